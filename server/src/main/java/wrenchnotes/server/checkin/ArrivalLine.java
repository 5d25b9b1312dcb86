package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.server.job.JobStore;

/** What the journal keeps of an arrival: the owner by id, and none of the owner's own words. */
record ArrivalLine(
        String serial,
        long revision,
        Optional<Long> owner,
        Optional<String> slot,
        Optional<Instant> due,
        List<Arrival.Symptom> symptoms,
        Set<ArrivalMark> marks,
        Map<ArrivalMark, String> places,
        String condition,
        List<Arrival.Missing> missing,
        List<String> belongings,
        List<Arrival.ArrivalPhoto> photos) {

    static ArrivalLine of(JobStore.Job job, Arrival said) {
        return new ArrivalLine(
                job.serial(),
                job.revisionId(),
                job.owner().map(JobStore.Owner::id),
                job.slot(),
                job.dueAt(),
                said.symptoms(),
                said.marks(),
                said.places(),
                said.condition(),
                said.missing(),
                said.belongings(),
                said.photos());
    }

    /** @param owners what differs in the owner's own words; may be empty */
    record Corrected(String ours, String owners) {}

    static Corrected corrected(JobStore.Job before, JobStore.Job after, Arrival was, Arrival is) {
        List<String> ours = new ArrayList<>();
        differ(ours, "Slot", before.slot().orElse("none"), after.slot().orElse("none"));
        differ(ours, "Serial", before.serial(), after.serial());
        differ(ours, "Revision", before.revision(), after.revision());
        differ(ours, "Promised", day(before.dueAt()), day(after.dueAt()));
        differ(ours, "Condition", was.condition(), is.condition());
        differ(ours, "Symptoms", symptoms(was), symptoms(is));
        differ(ours, "Marks", was.marks().toString(), is.marks().toString());
        differ(ours, "Missing", was.missing().toString(), is.missing().toString());
        differ(ours, "Came with", String.join(", ", was.belongings()), String.join(", ", is.belongings()));
        List<String> owners = new ArrayList<>();
        differ(owners, "Complaint", was.complaint(), is.complaint());
        if (ours.isEmpty() && owners.isEmpty()) {
            ours.add("Nothing differs");
        }
        return new Corrected(("Corrected. " + sentences(ours)).strip(), sentences(owners));
    }

    private static String sentences(List<String> said) {
        return said.isEmpty() ? "" : String.join(". ", said) + ".";
    }

    private static void differ(List<String> said, String what, String before, String after) {
        if (!Objects.equals(before, after)) {
            said.add(what + ": " + (before.isEmpty() ? "nothing" : before) + " → "
                    + (after.isEmpty() ? "nothing" : after));
        }
    }

    private static String symptoms(Arrival arrival) {
        return arrival.symptoms().stream()
                .map(symptom -> symptom.present() ? symptom.name() : "not " + symptom.name())
                .collect(Collectors.joining(", "));
    }

    private static String day(Optional<Instant> due) {
        return due.map(at -> at.toString().substring(0, 10)).orElse("no day");
    }
}
