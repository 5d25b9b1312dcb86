package wrenchnotes.server.job;

import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.Loan;

/** A job as it is sent: all that a screen shows of it. */
public record JobView(
        long id,
        Job.UnitHere unit,
        Job.Brought brought,
        Optional<Instant> handedOverAt,
        Optional<Long> openedWith,
        Optional<Loan> loan,
        long version,
        long benchVersion) {

    public static JobView of(Job job) {
        return new JobView(
                job.id(),
                job.unit(),
                job.brought(),
                job.handedOverAt(),
                job.openedWith(),
                job.loan(),
                job.version(),
                job.benchVersion());
    }
}
