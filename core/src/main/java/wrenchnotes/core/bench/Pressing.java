package wrenchnotes.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/** One press while it is made. Lives for one call of {@link Run#press}. */
final class Pressing implements Press.Reader<String> {

    private static final long NOT_KEPT_YET = 0;

    private final Run before;
    private final By by;
    private final List<Entered> entered = new ArrayList<>();
    private RunLog log;

    Pressing(Run before, By by) {
        this.before = before;
        this.by = by;
        this.log = before.log();
    }

    Pressed press(Press press) {
        boolean begins = press instanceof Press.Begin;
        if (!begins && before.underWay().isEmpty()) {
            throw Refused.because("Start the run first: say that the unit is off and unplugged.");
        }
        if (!begins && before.underWay().flatMap(RunRecord::pausedSince).isPresent()) {
            is(new Entered.WentOn());
        }
        return done(press.read(this));
    }

    private Pressed done(String words) {
        return new Pressed(Run.replayed(before.notes(), log), entered, words);
    }

    private void is(Entered entry) {
        entered.add(entry);
        log = log.plus(entry);
    }

    @Override
    public String begin(Press.Begin said) {
        if (before.underWay().isPresent()) {
            throw Refused.because("A run is under way already: go on with it.");
        }
        if (!said.off()) {
            throw Refused.because("Switch the unit off and unplug it first, and say so.");
        }
        boolean again = before.wasClosedForGood(said.closing());
        if (again && said.why().rework().isEmpty()) {
            throw new Invalid("rework", "The unit was closed for good: say why it is opened again");
        }
        RunRecord.Why why = new RunRecord.Why(
                again ? said.why().rework() : Optional.empty(),
                Checked.optionalText("words", said.why().words(), 300));
        boolean first = log.runs().isEmpty();
        RunRecord run = RunRecord.begun(NOT_KEPT_YET, said.route(), why, by.moment(), by.name());
        is(new Entered.Begun(run));
        String how = again ? "Opened again, because " : first ? "Run begun" : "Run begun again";
        String more = again || why.words().isEmpty() ? why.sentence() : ": " + why.words();
        int steps = said.route().steps().size();
        return how + more + ". Off and unplugged" + (steps == 0 ? "" : "; " + steps + " steps to go");
    }

    @Override
    public String turn(Press.Turn said) {
        is(new Entered.Turned(said.route()));
        return said.route().targets().isEmpty()
                ? "On with the whole of it"
                : "On elsewhere: " + said.route().steps().size() + " steps";
    }

    @Override
    public String stepIn(Press.StepIn said) {
        Step step = before.notes().step(said.step());
        before.way().in(step.id());
        before.waitBefore(step, by.now()).ifPresent(wait -> {
            wait.mustBeKept(step, said.waitKept());
            is(new Entered.WaitKept(step.id(), step.title(), step.caution()));
        });
        return made(new Moving(before, by).in(said));
    }

    @Override
    public String stepOut(Press.StepOut said) {
        return made(new Moving(before, by).out(said));
    }

    @Override
    public String stepBack(Press.StepBack said) {
        return made(new Moving(before, by).back());
    }

    @Override
    public String moveByHand(Press.MoveByHand said) {
        return made(new Moving(before, by).move(said));
    }

    @Override
    public String countMissing(Press.CountMissing said) {
        return made(new Moving(before, by).missing(said));
    }

    @Override
    public String goOn(Press.GoOn said) {
        return "Went on";
    }

    private String made(Moving.Made made) {
        is(made.entry());
        return made.words();
    }

    @Override
    public String skip(Press.Skip said) {
        Step step = before.notes().step(said.step());
        before.way().skip(said.step());
        String why = Checked.text("reason", said.reason(), 200);
        is(new Entered.Skipped(said.step(), why));
        return "Skipped: " + step.title() + ". " + why;
    }

    @Override
    public String leaveOff(Press.LeaveOff said) {
        Instant since = said.since();
        if (since.isAfter(by.now())) {
            throw new Invalid("since", "It cannot be off since a moment that is still to come");
        }
        if (before.underWay()
                .flatMap(RunRecord::leftOffSince)
                .filter(since::isBefore)
                .isPresent()) {
            throw Refused.because("A wait that is a caution cannot be shortened: it runs from the time said first.");
        }
        int hours = before.notes().steps().stream()
                .filter(step -> !before.way().isOpen(step.id()))
                .mapToInt(Step::waitHours)
                .max()
                .orElse(0);
        Optional<Instant> until =
                Optional.of(since.plus(Duration.ofHours(hours))).filter(end -> end.isAfter(by.now()));
        is(new Entered.LeftOff(since, hours, until));
        return "Left off";
    }

    @Override
    public String pause(Press.Pause said) {
        is(new Entered.Paused(by.at()));
        return "Paused";
    }

    @Override
    public String close(Press.Close said) {
        if (Closing.coversOn(before.lastIn(), said.closing())) {
            throw Refused.because("Nothing was opened on this run: there is nothing to close.");
        }
        Optional<String> forNow = said.forNow().map(why -> Checked.text("reason", why, 200));
        List<String> reasons = before.inTheWayOfClosing(said.ends(), said.checks(), forNow.isPresent());
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
        is(new Entered.Ended(forNow));
        return forNow.map(why -> "Closed for now: " + why + leftOut()).orElse("Closed up, everything accounted for");
    }

    private String leftOut() {
        Ledger ledger = before.ledger();
        String out = ledger.things().stream()
                .filter(thing -> ledger.count(thing.id(), Account.OUT_FOR_NOW) > 0)
                .map(thing -> ledger.count(thing.id(), Account.OUT_FOR_NOW) + " × " + thing.label())
                .collect(Collectors.joining(", "));
        return out.isEmpty() ? "" : ". Left out: " + out;
    }
}
