package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Job;

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
        List<String> without,
        List<Arrival.ArrivalPhoto> photos) {

    static ArrivalLine of(Job job, Arrival said) {
        return new ArrivalLine(
                job.unit().serial(),
                job.revisionId(),
                job.brought().owner().map(Job.Owner::id),
                job.brought().slot(),
                job.brought().dueAt(),
                said.symptoms(),
                said.marks(),
                said.places(),
                said.condition(),
                said.missing(),
                said.belongings(),
                said.without(),
                said.photos());
    }
}
