package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
}
