package wrenchnotes.server.bench;

import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.PowerLog;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.job.EntryStore;

/** Whatever was done with a unit, it is under power now: said once, until it is switched off. */
@Component
public class LivePower {

    private final RunStore runs;
    private final EntryStore said;
    private final EntryService entries;

    LivePower(RunStore runs, EntryStore said, EntryService entries) {
        this.runs = runs;
        this.said = said;
        this.entries = entries;
    }

    /**
     * Runs in the caller's transaction.
     *
     * @param by dated for the job
     * @param why what it is live for
     */
    public void on(By by, long job, String why) {
        PowerLog power = PowerLog.of(SaidFirst.power(said.saidFirst(job)), runs.runs(job));
        if (!power.is(Power.LIVE)) {
            entries.say(by, job, new JobEntry.Powered(Power.LIVE, why));
        }
    }
}
