package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.bench.RunRecord;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Stroke;
import wrenchnotes.core.teardown.plan.Access;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.Assembly;
import wrenchnotes.server.teardown.Drafts;

/** Runs: started, turned elsewhere, paused, and ended by closing. Each method runs in the caller's transaction. */
@Component
public class RunService {

    private final Benches benches;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final Assembly assembly;
    private final EntryService entries;
    private final Rights rights;
    private final Drafts drafts;
    private final AtBenchStore at;

    RunService(
            Benches benches,
            JobStore jobs,
            ArrivalStore arrivals,
            Assembly assembly,
            EntryService entries,
            Rights rights,
            Drafts drafts,
            AtBenchStore at) {
        this.benches = benches;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.assembly = assembly;
        this.entries = entries;
        this.rights = rights;
        this.drafts = drafts;
        this.at = at;
    }

    /** Which of the ways that are offered. */
    public enum Offer {
        TIME,
        PARTS,
        UNDO
    }

    /**
     * Where to.
     *
     * @param targets components to reach; none for the whole of it
     */
    public record Aim(List<Long> targets, Offer offer) {
        public static final Aim THE_WHOLE = new Aim(List.of(), Offer.TIME);
    }

    /**
     * @param off that the unit is off and unplugged
     * @param missing what was counted as missing before the first step
     * @param rework why it is opened again, if it was closed for good before
     * @param words more about that; may be empty
     */
    public record Start(
            Aim aim, boolean off, List<Press.CountedMissing> missing, Optional<Rework> rework, String words) {
        /** The whole of it, on a first run. */
        public static final Start PLAIN = new Start(Aim.THE_WHOLE, true, List.of(), Optional.empty(), "");
    }

    public BenchState start(By by, long job, Seen seen, Start said) {
        return start(by, job, seen, said, Optional.empty());
    }

    /** @param bench on which the unit lies, if it has a name */
    public BenchState start(By by, long job, Seen seen, Start said, Optional<String> bench) {
        bench.ifPresent(name -> at.put(by, job, Checked.text("bench", name, 40)));
        BenchPress press = benches.changeable(by, job, seen);
        Beside beside = press.beside();
        if (!beside.notSeenTo().isEmpty()) {
            throw Refused.because(beside.notSeenTo().stream()
                    .map(ArrivalMark::beforeItIsSeenTo)
                    .toList());
        }
        BenchPress.Kept kept = press.keep(new Press.Begin(
                route(press.now(), said.aim()),
                said.off(),
                new RunRecord.Why(said.rework(), said.words()),
                beside.lastClosing()));
        countMissing(press, said.missing());
        return press.done("run", kept.id(), kept.words(), said);
    }

    /** Enters what is missing before the first step: counted now, or said on arrival. */
    private void countMissing(BenchPress press, List<Press.CountedMissing> counted) {
        if (press.now().opened()) {
            press.keep(new Press.CountMissing(counted));
        } else if (!counted.isEmpty() || !arrivals.missing(press.job()).isEmpty()) {
            benches.pin(press, counted);
        }
    }

    /** Turns a run elsewhere: what is open stays open. */
    public BenchState turn(By by, long job, Seen seen, Aim aim) {
        BenchPress press = benches.changeable(by, job, seen);
        return press.make(new Press.Turn(route(press.now(), aim)));
    }

    private RunRecord.Route route(BenchState state, Aim aim) {
        if (aim.targets().isEmpty()) {
            return RunRecord.Route.THE_WHOLE;
        }
        List<Assembly.Variant> fitted = state.fitted().stream()
                .map(entry -> new Assembly.Variant(entry.component(), entry.revision()))
                .toList();
        Access.Offers offers = Access.to(
                state.run().notes(),
                new TreeSet<>(aim.targets()),
                Costs.USUAL,
                assembly.times(state.job().revisionId(), fitted));
        Access way =
                switch (aim.offer()) {
                    case TIME -> offers.time();
                    case PARTS -> offers.parts();
                    case UNDO ->
                        offers.undo().orElseThrow(() -> Refused.because("No way leaves it as made: choose another."));
                };
        return new RunRecord.Route(aim.targets(), way.plan().order());
    }

    /** Says since when the unit is without power, for steps whose caution asks for a wait. */
    public BenchState leftOff(By by, long job, Seen seen, Instant since) {
        BenchPress press = benches.changeable(by, job, seen);
        return toldByItself(
                press, new Press.LeaveOff(since, press.now().job().hereSince(), rights.may(by, Act.OVERRULE)));
    }

    /** The unit is switched. */
    public BenchState switchTo(By by, long job, Seen seen, Power power, String why) {
        return toldByItself(benches.changeable(by, job, seen), new Press.SwitchTo(power, why));
    }

    /** A caution is heeded. */
    public BenchState heed(By by, long job, Seen seen, String stepId) {
        return toldByItself(benches.changeable(by, job, seen), new Press.Heed(stepId));
    }

    /** What a step moves without taking it off is marked, or stands on its mark again. */
    public BenchState mark(By by, long job, Seen seen, Press.Marking said) {
        return toldByItself(benches.changeable(by, job, seen), said);
    }

    /** Of what is kept as an entry that the story reads as it is. */
    private BenchState toldByItself(BenchPress press, Press said) {
        press.keep(said);
        jobs.countBenchMove(press.job());
        return press.unsaid();
    }

    /** Passes over a step. */
    public BenchState skip(By by, long job, Seen seen, String stepId, String reason) {
        return benches.changeable(by, job, seen).make(new Press.Skip(stepId, reason));
    }

    /** The clock stands still until the next press. */
    public BenchState pause(By by, long job, Seen seen) {
        return benches.changeable(by, job, seen).make(new Press.Pause());
    }

    public BenchState goOn(By by, long job, Seen seen) {
        return benches.changeable(by, job, seen).make(new Press.GoOn());
    }

    /**
     * Closes the unit through the gate.
     *
     * @param forNow why it is for now only; empty for good
     */
    public BenchState close(By by, long job, Seen seen, Optional<String> forNow) {
        BenchPress press = benches.changeable(by, job, seen);
        Beside beside = press.beside();
        BenchState closed = press.make(new Press.Close(forNow, beside.lastClosing(), beside.ends(), beside.checks()));
        if (forNow.isEmpty()) {
            drafts.together(
                    press.by(), closed.job().revisionId(), job, closed.job().tag());
        }
        return closed;
    }

    /** The unit goes to another bench, with its tray: whoever has it on the first one sees that it is gone. */
    BenchState takeOver(By by, long job, Seen seen, String bench) {
        BenchPress press = benches.changeable(by, job, seen);
        String from = at.of(job).map(name -> " from " + name).orElse("");
        at.put(press.by(), job, Checked.text("bench", bench, 40));
        return press.done("bench", job, "Taken over at " + bench + from, Map.of("bench", bench));
    }

    /** A remark, a picture, or both. @param step in hand, by its id */
    public record Noted(String words, Optional<String> photo, Optional<String> step, List<Stroke> strokes) {}

    /** A remark, a picture, or both, on what is before the bench. */
    public BenchState note(By by, long job, Seen seen, Noted said) {
        BenchPress press = benches.changeable(by, job, seen);
        Run run = press.now().run();
        // Whoever says nothing of a step means the one that comes next.
        Optional<Step> step = said.step().map(run.notes()::step).or(run::nextIn);
        entries.say(
                press.by(),
                job,
                new JobEntry.Remark(
                        said.words(),
                        said.photo(),
                        step.map(Step::title).orElse(""),
                        step.map(Step::id),
                        said.strokes()));
        jobs.countBenchMove(job);
        return press.unsaid();
    }
}
