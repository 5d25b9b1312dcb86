package wrenchnotes.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.plan.Access;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.RunStore.Run;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.job.HoldService;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.Assembly;

/** Runs: started, turned elsewhere, paused, and ended by closing. Each method runs in the caller's transaction. */
@Component
public class RunService {

    private final Benches benches;
    private final BenchStore store;
    private final RunStore runs;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final Assembly assembly;
    private final HoldService holds;
    private final EntryService entries;

    RunService(
            Benches benches,
            BenchStore store,
            RunStore runs,
            JobStore jobs,
            ArrivalStore arrivals,
            Assembly assembly,
            HoldService holds,
            EntryService entries) {
        this.benches = benches;
        this.store = store;
        this.runs = runs;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.assembly = assembly;
        this.holds = holds;
        this.entries = entries;
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

    /** Some of a thing that were not there before the first step. */
    public record CountedMissing(String thing, int count) {}

    /**
     * @param off that the unit is off and unplugged
     * @param missing what was counted as missing before the first step
     * @param rework why it is opened again, if it was closed for good before
     * @param words more about that; may be empty
     */
    public record Start(Aim aim, boolean off, List<CountedMissing> missing, Optional<Rework> rework, String words) {
        /** The whole of it, on a first run. */
        public static final Start PLAIN = new Start(Aim.THE_WHOLE, true, List.of(), Optional.empty(), "");
    }

    public BenchState start(By by, long job, Seen seen, Start said) {
        BenchPress press = benches.changeable(by, job, seen);
        BenchState state = press.now();
        if (state.run().isPresent()) {
            throw Refused.because("A run is under way already: go on with it.");
        }
        if (!said.off()) {
            throw Refused.because("Switch the unit off and unplug it first, and say so.");
        }
        boolean again = again(state);
        if (again && said.rework().isEmpty()) {
            throw new Invalid("rework", "The unit was closed for good: say why it is opened again");
        }
        Optional<Rework> rework = again ? said.rework() : Optional.empty();
        String words = Checked.optionalText("words", said.words(), 300);
        List<String> route = route(state, said.aim());
        Run run = runs.add(press.by(), job, said.aim().targets(), route, rework, words);
        press.is(state.with(state.runs().plus(run)));
        open(press, said.missing());
        return press.done(
                "run",
                run.id(),
                (rework.isPresent()
                                ? "Opened again, because " + rework.get().words()
                                : state.runs().all().isEmpty() ? "Run begun" : "Run begun again")
                        + (words.isEmpty() ? "" : ": " + words) + ". Off and unplugged"
                        + (route.isEmpty() ? "" : "; " + route.size() + " steps to go"),
                said);
    }

    /** Whether the unit was closed for good in this stay. */
    private boolean again(BenchState state) {
        if (state.runs().all().isEmpty()) {
            return false;
        }
        JobFacts facts = benches.facts(state);
        return facts.lastIn().isPresent()
                && facts.closed()
                && facts.closedForNow().isEmpty();
    }

    /** Enters what is missing before the first step: counted now, or said on arrival. */
    private void open(BenchPress press, List<CountedMissing> counted) {
        if (counted.isEmpty() && arrivals.missing(press.job()).isEmpty()) {
            return;
        }
        benches.pin(press, counted);
        if (press.now().opened()) {
            benches.missing(press, counted);
        }
    }

    /** Turns a run elsewhere: what is open stays open. */
    public BenchState turn(By by, long job, Seen seen, Aim aim) {
        BenchPress press = benches.running(by, job, seen);
        Run run = press.now().run().orElseThrow();
        List<String> route = route(press.now(), aim);
        runs.turn(run.id(), aim.targets(), route);
        press.is(press.now().with(press.now().runs().changed(now -> now.turned(aim.targets(), route))));
        return press.done(
                "run",
                run.id(),
                aim.targets().isEmpty() ? "On with the whole of it" : "On elsewhere: " + route.size() + " steps",
                aim);
    }

    private List<String> route(BenchState state, Aim aim) {
        if (aim.targets().isEmpty()) {
            return List.of();
        }
        List<Assembly.Variant> fitted = state.fitted().stream()
                .map(entry -> new Assembly.Variant(entry.component(), entry.revision()))
                .toList();
        Teardown notes = state.teardown();
        Access.Offers offers = Access.to(
                notes,
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
        return way.plan().order();
    }

    /**
     * Says since when the unit is without power, for steps whose caution asks for a wait. It can be said later again, never
     * earlier: the wait cannot be shortened.
     */
    public BenchState leftOff(By by, long job, Seen seen, Instant since) {
        BenchPress press = benches.running(by, job, seen);
        Instant now = press.by().now();
        BenchState state = press.now();
        Run run = state.run().orElseThrow();
        if (since.isAfter(now)) {
            throw new Invalid("since", "It cannot be off since a moment that is still to come");
        }
        if (run.leftOffSince().filter(since::isBefore).isPresent()) {
            throw Refused.because("A wait that is a caution cannot be shortened: it runs from the time said first.");
        }
        runs.leftOff(run.id(), since);
        press.is(state.with(state.runs().changed(one -> one.leftOff(since))));
        int hours = state.teardown().steps().stream()
                .filter(step -> !state.way().isOpen(step.id()))
                .mapToInt(Step::waitHours)
                .max()
                .orElse(0);
        Instant until = since.plus(Duration.ofHours(hours));
        if (until.isAfter(now)) {
            holds.caution(
                    press.by(),
                    job,
                    new Hold(
                            HoldKind.BLEED,
                            "Left off for " + hours + " hours",
                            since,
                            Optional.of(until),
                            Optional.empty()));
        }
        return said(press, new JobEntry.PowerOff(since));
    }

    /** Passes over a step. */
    public BenchState skip(By by, long job, Seen seen, String stepId, String reason) {
        BenchPress press = benches.entering(by, job, seen);
        BenchState state = press.now();
        state.way().skip(stepId);
        Run run = state.run().orElseThrow();
        String why = Checked.text("reason", reason, 200);
        runs.skip(press.by(), job, run.id(), stepId, why);
        press.is(state.with(state.runs().changed(one -> one.passedOver(stepId))));
        return press.done(
                "skip", run.id(), "Skipped: " + state.teardown().step(stepId).title() + ". " + why, stepId);
    }

    /** The clock stands still until the next press. */
    public BenchState pause(By by, long job, Seen seen) {
        BenchPress press = benches.running(by, job, seen);
        runs.pause(press.by(), job);
        Optional<Instant> since = Optional.of(press.by().at());
        press.is(press.now().with(press.now().runs().changed(one -> one.pausedSince(since))));
        return press.done("pause", press.now().run().orElseThrow().id(), "Paused", null);
    }

    public BenchState goOn(By by, long job, Seen seen) {
        BenchPress press = benches.running(by, job, seen);
        return press.done("pause", press.now().run().orElseThrow().id(), "Went on", null);
    }

    /** Closes the unit for good, if nothing is in the way; else names each thing that is. */
    public BenchState close(By by, long job, Seen seen) {
        BenchPress press = benches.running(by, job, seen);
        Beside beside = benches.beside(press.now());
        JobFacts facts = openOnce(press.now(), beside);
        return end(
                press,
                press.now().inTheWay(facts, beside.ends()),
                Optional.empty(),
                "Closed up, everything accounted for");
    }

    /** Closes the unit for now: what is left out until the next run stays on record, and on the rack. */
    public BenchState closeForNow(By by, long job, Seen seen, String reason) {
        BenchPress press = benches.running(by, job, seen);
        String why = Checked.text("reason", reason, 200);
        Beside beside = benches.beside(press.now());
        JobFacts facts = openOnce(press.now(), beside);
        Ledger ledger = press.now().ledger();
        String out = ledger.things().stream()
                .filter(thing -> ledger.count(thing.id(), Account.OUT_FOR_NOW) > 0)
                .map(thing -> ledger.count(thing.id(), Account.OUT_FOR_NOW) + " × " + thing.label())
                .collect(Collectors.joining(", "));
        return end(
                press,
                press.now().inTheWayForNow(facts, beside.ends()),
                Optional.of(why),
                "Closed for now: " + why + (out.isEmpty() ? "" : ". Left out: " + out));
    }

    private static JobFacts openOnce(BenchState state, Beside beside) {
        JobFacts facts = state.facts(beside);
        if (facts.lastIn().isEmpty() || facts.closed()) {
            throw Refused.because("Nothing was opened on this run: there is nothing to close.");
        }
        return facts;
    }

    private BenchState end(BenchPress press, List<String> reasons, Optional<String> forNow, String words) {
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
        long closing = store.addClosing(press.by(), press.job(), forNow);
        runs.close(press.now().run().orElseThrow().id(), closing);
        press.is(press.now().with(press.now().runs().changed(run -> run.closed(closing))));
        return press.done("closing", closing, words, Map.of("forNow", forNow.isPresent()));
    }

    /** A remark, a picture, or both, on what is before the bench. */
    public BenchState note(By by, long job, Seen seen, String said, Optional<String> photo) {
        BenchPress press = benches.changeable(by, job, seen);
        String before = press.now().nextIn().map(Step::title).orElse("");
        return said(press, new JobEntry.Remark(said, photo, before));
    }

    private BenchState said(BenchPress press, JobEntry entry) {
        entries.say(press.by(), press.job(), entry);
        jobs.countBenchMove(press.job());
        press.is(press.now().pressed(press.by()));
        return press.now();
    }
}
