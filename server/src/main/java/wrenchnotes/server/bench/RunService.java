package wrenchnotes.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.teardown.plan.Access;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.RunStore.Run;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
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

    RunService(
            Benches benches,
            BenchStore store,
            RunStore runs,
            JobStore jobs,
            ArrivalStore arrivals,
            Assembly assembly,
            HoldService holds) {
        this.benches = benches;
        this.store = store;
        this.runs = runs;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.assembly = assembly;
        this.holds = holds;
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

    public void start(By by, long job, Seen seen, Start said) {
        BenchState state = benches.changeable(job, seen);
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
        long run = runs.add(by, job, said.aim().targets(), route, rework, words);
        if (!state.teardown().steps().isEmpty()) {
            open(by, state, said.missing());
        }
        benches.done(
                by,
                job,
                "run",
                run,
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

    /** Keeps the notes as they are now for this job, and enters what was missing on arrival. */
    private void open(By by, BenchState state, List<CountedMissing> counted) {
        long job = state.job().id();
        List<String> known = state.teardown().things().stream().map(Thing::id).toList();
        List<CountedMissing> missing = new ArrayList<>(counted);
        if (!state.opened()) {
            jobs.openWith(job, state.notes().id());
            List<String> again = counted.stream().map(CountedMissing::thing).toList();
            arrivals.missing(job).stream()
                    .filter(thing -> !again.contains(thing.thing()))
                    .map(thing -> new CountedMissing(thing.thing(), thing.count()))
                    .forEach(missing::add);
        }
        benches.post(
                by,
                job,
                null,
                state.ledger(),
                missing.stream()
                        .filter(thing -> known.contains(thing.thing()))
                        .map(thing -> Move.of(thing.thing(), Account.FITTED, Account.MISSING_ON_ARRIVAL, thing.count()))
                        .toList());
    }

    /** Turns a run elsewhere: what is open stays open. */
    public void turn(By by, long job, Seen seen, Aim aim) {
        BenchState state = benches.running(by, job, seen);
        Run run = state.run().orElseThrow();
        List<String> route = route(state, aim);
        runs.turn(run.id(), aim.targets(), route);
        benches.done(
                by,
                job,
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
    public void leftOff(By by, long job, Seen seen, Instant since) {
        BenchState state = benches.running(by, job, seen);
        Run run = state.run().orElseThrow();
        if (since.isAfter(by.at())) {
            throw new Invalid("since", "It cannot be off since a moment that is still to come");
        }
        if (run.leftOffSince().filter(since::isBefore).isPresent()) {
            throw Refused.because("A wait that is a caution cannot be shortened: it runs from the time said first.");
        }
        runs.leftOff(run.id(), since);
        int hours = state.teardown().steps().stream()
                .filter(step -> !state.way().isOpen(step.id()))
                .mapToInt(Step::waitHours)
                .max()
                .orElse(0);
        Instant until = since.plus(Duration.ofHours(hours));
        if (until.isAfter(by.at())) {
            holds.caution(
                    by,
                    job,
                    new Hold(
                            HoldKind.BLEED,
                            "Left off for " + hours + " hours",
                            since,
                            Optional.of(until),
                            Optional.empty()));
        }
        benches.done(
                by,
                job,
                "run",
                run.id(),
                "Off since " + since.toString().substring(0, 16).replace('T', ' ') + " UTC",
                since);
    }

    /** Passes over a step. */
    public void skip(By by, long job, Seen seen, String stepId, String reason) {
        BenchState state = benches.running(by, job, seen);
        state.way().skip(stepId);
        Run run = state.run().orElseThrow();
        String why = Checked.text("reason", reason, 200);
        runs.skip(by, job, run.id(), stepId, why);
        benches.done(
                by,
                job,
                "skip",
                run.id(),
                "Skipped: " + state.teardown().step(stepId).title() + ". " + why,
                stepId);
    }

    /** The clock stands still until the next press. */
    public void pause(By by, long job, Seen seen) {
        BenchState state = benches.running(by, job, seen);
        runs.pause(by, job);
        benches.done(by, job, "pause", state.run().orElseThrow().id(), "Paused", null);
    }

    public void goOn(By by, long job, Seen seen) {
        BenchState state = benches.running(by, job, seen);
        benches.done(by, job, "pause", state.run().orElseThrow().id(), "Went on", null);
    }

    /** Closes the unit for good, if nothing is in the way; else names each thing that is. */
    public void close(By by, long job, Seen seen) {
        BenchState state = benches.running(by, job, seen);
        JobFacts facts = openOnce(state);
        end(
                by,
                state,
                state.inTheWay(facts, benches.openEnds(state)),
                Optional.empty(),
                "Closed up, everything accounted for");
    }

    /** Closes the unit for now: what is left out until the next run stays on record, and on the rack. */
    public void closeForNow(By by, long job, Seen seen, String reason) {
        BenchState state = benches.running(by, job, seen);
        String why = Checked.text("reason", reason, 200);
        JobFacts facts = openOnce(state);
        String out = state.ledger().things().stream()
                .filter(thing -> state.ledger().count(thing.id(), Account.OUT_FOR_NOW) > 0)
                .map(thing -> state.ledger().count(thing.id(), Account.OUT_FOR_NOW) + " × " + thing.label())
                .collect(Collectors.joining(", "));
        end(
                by,
                state,
                state.inTheWayForNow(facts, benches.openEnds(state)),
                Optional.of(why),
                "Closed for now: " + why + (out.isEmpty() ? "" : ". Left out: " + out));
    }

    private JobFacts openOnce(BenchState state) {
        JobFacts facts = benches.facts(state);
        if (facts.lastIn().isEmpty() || facts.closed()) {
            throw Refused.because("Nothing was opened on this run: there is nothing to close.");
        }
        return facts;
    }

    private void end(By by, BenchState state, List<String> reasons, Optional<String> forNow, String words) {
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
        long job = state.job().id();
        long closing = store.addClosing(by, job, forNow);
        runs.close(state.run().orElseThrow().id(), closing);
        benches.done(by, job, "closing", closing, words, Map.of("forNow", forNow.isPresent()));
    }

    /** A remark, a picture, or both, on what is before the bench. */
    public void note(By by, long job, Seen seen, String said, Optional<String> photo) {
        BenchState state = benches.changeable(job, seen);
        String words = photo.isPresent() ? Checked.optionalText("words", said, 300) : Checked.text("words", said, 300);
        String where = state.nextIn()
                .map(step -> " (at: " + step.title().toLowerCase(Locale.ROOT) + ")")
                .orElse("");
        benches.done(
                by,
                job,
                photo.isPresent() ? "photo" : "note",
                job,
                (words.isEmpty() ? "A picture" : words) + where,
                photo.map(hash -> Map.of("photo", hash)).orElse(null));
    }
}
