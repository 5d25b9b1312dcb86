package wrenchnotes.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Staying;
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
        if (press.onRecord()) {
            return done(press.read(this));
        }
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
        if (step.danger().leadOnly() && !said.lead()) {
            throw Refused.because("\"" + step.title() + "\" is for a lead alone: ask one to do it.");
        }
        mustBeSafe(step);
        Optional<Rework> again = before.againIfOpened(said.checks());
        String words = made(new Moving(before, by).in(said));
        again.ifPresent(reason -> is(new Entered.OpenedAgain(step.id(), reason)));
        return words + again.map(reason -> ". Opened again: " + reason.words()).orElse("");
    }

    @Override
    public String foundOpen(Press.FoundOpen said) {
        List<Moving.Made> made = FoundOpen.made(before, by, said);
        made.forEach(one -> is(one.entry()));
        return made.stream().map(Moving.Made::words).collect(Collectors.joining("; ", "Came apart already. ", ""));
    }

    @Override
    public String stepOut(Press.StepOut said) {
        Step step = before.notes().step(said.step());
        before.way().out(step.id());
        mustBeSafe(step);
        List<String> open = Stream.concat(
                        before.inTheWayOfGoingBack(step, said.checks()).stream(),
                        before.lastReachOfEnds(step, said.ends()).stream()
                                .map(sentence -> "Out of reach later: " + sentence))
                .toList();
        if (!open.isEmpty()) {
            throw Refused.because(open);
        }
        return made(new Moving(before, by).out(said));
    }

    private void mustBeSafe(Step step) {
        List<String> reasons = Stream.concat(
                        before.hazards().inTheWay(step, by.now()).stream(), before.marks().inTheWay(step).stream())
                .toList();
        if (!reasons.isEmpty()) {
            throw Refused.because(reasons);
        }
    }

    @Override
    public String heed(Press.Heed said) {
        Step step = before.notes().step(said.step());
        if (step.danger().equals(Caution.NONE)) {
            throw new Invalid("step", "\"" + step.title() + "\" has no caution");
        }
        if (!step.danger().live() && !before.power().is(Power.UNPLUGGED)) {
            throw Refused.because("The unit has power: switch it off, unplug it and say so first.");
        }
        Wait.of(step, before.power().unpluggedSince(), by.now())
                .filter(wait -> !wait.over())
                .ifPresent(wait -> {
                    throw Refused.because(wait.sentence(step.title()));
                });
        is(new Entered.Heeded(new Acknowledgement(step.id(), by.moment()), step.title(), step.caution()));
        return "Heeded: " + (step.caution().isEmpty() ? step.title() : step.caution());
    }

    @Override
    public String marking(Press.Marking said) {
        Step step = before.notes().step(said.step());
        Staying stays = step.adjusted().stream()
                .filter(one -> one.id().equals(said.stays()))
                .findFirst()
                .orElseThrow(() -> new Invalid("stays", "\"" + step.title() + "\" adjusts no " + said.stays()));
        boolean back = before.marks().standing(step.id(), stays.id()).isPresent();
        String words = Checked.optionalText("words", said.words(), 200);
        if (!back && words.isEmpty() && said.photo().isEmpty()) {
            throw new Invalid("words", "Say how \"" + stays.label() + "\" was marked, or take a picture of it");
        }
        is(new Entered.Marked(
                new PlaceMark(step.id(), stays.id(), back, words, said.photo(), by.moment()), stays.label()));
        return stays.label() + (back ? " stands where it stood" : " marked");
    }

    @Override
    public String switchTo(Press.SwitchTo said) {
        String why = Checked.optionalText("why", said.why(), 200);
        if (before.power().is(said.power())) {
            throw Refused.because("It is " + said.power().words() + " already.");
        }
        powered(new PowerEntry(said.power(), by.now(), why, false, by.moment()));
        return "Power: " + said.power().words() + (why.isEmpty() ? "" : ", " + why);
    }

    private void powered(PowerEntry entry) {
        int hours = entry.power() == Power.UNPLUGGED ? longestWait() : 0;
        Optional<Instant> until = Optional.of(entry.since().plus(Duration.ofHours(hours)))
                .filter(end -> hours > 0 && end.isAfter(by.now()));
        is(new Entered.Powered(entry, hours, until));
    }

    /** Of what the next steps stand under, in and out; 0 if they ask for none. */
    private int longestWait() {
        return Stream.concat(before.nextIn().stream(), before.way().nextOut().stream())
                .flatMap(step -> before.over(step, by.now()).stream())
                .flatMap(hazard -> hazard.waits().stream())
                .mapToInt(Wait::hours)
                .max()
                .orElse(0);
    }

    @Override
    public String stepBack(Press.StepBack said) {
        return before.agreed()
                .lastByHand(before)
                .map(moment -> takeBack(new Press.TakeBack(moment.number())))
                .orElseGet(() -> made(new Moving(before, by).back()));
    }

    @Override
    public String moveByHand(Press.MoveByHand said) {
        return made(new Moving(before, by).move(said));
    }

    @Override
    public String settle(Press.Settle said) {
        return made(new Moving(before, by).settle(said));
    }

    @Override
    public String takeBack(Press.TakeBack said) {
        return made(new Moving(before, by).takeBack(said));
    }

    @Override
    public String countMissing(Press.CountMissing said) {
        return made(new Moving(before, by).missing(said));
    }

    @Override
    public String counted(Press.Counted said) {
        return made(new Moving(before, by).counted(said));
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
        PowerLog power = before.power();
        Instant now = power.unpluggedSince()
                .orElseThrow(() -> Refused.because("The unit has power: switch it off, unplug it and say so first."));
        if (power.lastWithPower().filter(since::isBefore).isPresent()) {
            throw Refused.because(
                    "It had power after that, as is on record: it is unplugged since then at the earliest.");
        }
        if (since.isBefore(now) && !said.lead() && (power.sinceIsSaid() || since.isBefore(said.here()))) {
            throw Refused.because(
                    power.sinceIsSaid()
                            ? "A wait for safety runs from the time said first: only a lead can make it earlier."
                            : "The unit was not here yet: only a lead can say since when it was off before.");
        }
        powered(new PowerEntry(Power.UNPLUGGED, since, "", true, by.moment()));
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
