package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/**
 * The work on one unit in one stay: its runs with what they entered, and how far the unit is open by it. Immutable; a
 * {@link Press} gives the next one.
 */
public final class Run {

    private final Teardown notes;
    private final RunLog log;
    private final WayIn way;
    private final Ledger ledger;
    private final PowerLog power;
    private final Hazards hazards;
    private final Marks marks;

    private Run(Teardown notes, RunLog log, WayIn way, Ledger ledger) {
        this.notes = notes;
        this.log = log;
        this.way = way;
        this.ledger = ledger;
        this.power = PowerLog.of(log.power(), log.runs());
        this.hazards = new Hazards(notes, way, power, log.acknowledged());
        this.marks = new Marks(way, log.marks());
    }

    /**
     * The run as its entries left it: what was allowed when it was done is not judged again.
     *
     * @param notes those that the job goes by, sub-assemblies included
     * @throws wrenchnotes.core.unit.Invalid if the notes have no such step or thing
     * @throws Refused if the moves cannot have happened in this order
     */
    public static Run replayed(Teardown notes, RunLog log) {
        List<String> open = StepEntry.open(log.steps());
        Set<String> skipped =
                new HashSet<>(log.underWay().map(RunRecord::skipped).orElse(Set.of()));
        skipped.removeAll(open);
        return new Run(notes, log, WayIn.recorded(notes, open, skipped), log.ledger(notes));
    }

    /**
     * What follows from a press. The clock goes on if it stood still.
     *
     * @param by whoever presses; waits are measured by the clock, entries dated by the moment
     * @throws Refused if the rules do not allow it: a sentence for each thing in the way
     * @throws wrenchnotes.core.unit.Invalid if what was said cannot be
     */
    public Pressed press(Press press, By by) {
        return new Pressing(this, by).press(press);
    }

    /** The same work by other notes, which have all that the ones before had of it. */
    public Run by(Teardown others) {
        return replayed(others, log);
    }

    public Teardown notes() {
        return notes;
    }

    public RunLog log() {
        return log;
    }

    public WayIn way() {
        return way;
    }

    public Ledger ledger() {
        return ledger;
    }

    /** The run that is under way, if the unit is not closed. */
    public Optional<RunRecord> underWay() {
        return log.underWay();
    }

    /** The steps of the way that was chosen; none for all of the notes in their order. */
    public List<String> route() {
        return underWay().map(run -> run.route().steps()).orElse(List.of());
    }

    /** How many steps the way has; of several ways to the same end one counts. */
    public int stepsInAll() {
        return route().isEmpty() ? notes.depth() : route().size();
    }

    /** Why it was opened again, for each time: after it was closed for good, or on a run after something was back already. */
    public List<String> reworks() {
        return log.runs().stream()
                .flatMap(run -> Stream.concat(
                        run
                                .why()
                                .rework()
                                .filter(Rework::counts)
                                .map(reason -> run.why().sentence())
                                .stream(),
                        run.again().stream().filter(Rework::counts).map(Rework::words)))
                .toList();
    }

    /** How often it was put together for a trial fit and opened again. */
    public int trialFits() {
        return (int) log.runs().stream()
                .flatMap(run -> Stream.concat(run.why().rework().stream(), run.again().stream()))
                .filter(Rework.TRIAL_FIT::equals)
                .count();
    }

    /** Why it is opened again most likely, by what just happened; empty if nothing points to a reason. */
    public Optional<Rework> likelyRework(CheckRecord checks) {
        return Optional.of(Rework.FAILED_CHECK)
                .filter(failed -> !checks.standingFailures().isEmpty());
    }

    /**
     * Why what is back already on this run would be opened again now, by what just happened; empty if the way has not turned.
     *
     * @param checks all that stand
     */
    Optional<Rework> againIfOpened(CheckRecord checks) {
        return lastStep().filter(last -> last.direction() == Direction.OUT).map(last -> {
            if (checks.checks().stream()
                    .anyMatch(check ->
                            check.verdict() == Verdict.FAILED && check.at().isAfter(last.moment()))) {
                return Rework.FAILED_CHECK;
            }
            boolean forgotten = notes.steps().stream()
                    .filter(step -> !way.isOpen(step.id()))
                    .flatMap(step -> step.things().stream())
                    .anyMatch(thing -> ledger.count(thing.id(), Account.TRAY) > 0);
            return forgotten ? Rework.FORGOTTEN_PLUG : Rework.TRIAL_FIT;
        });
    }

    public Optional<Step> nextIn() {
        return way.nextIn(route());
    }

    /** The unit's power in this stay, each run having begun unplugged. */
    public PowerLog power() {
        return power;
    }

    Hazards hazards() {
        return hazards;
    }

    Marks marks() {
        return marks;
    }

    /** The cautions that a step stands under, in the order of the notes. */
    public List<Hazard> over(Step step, Instant now) {
        return hazards.over(step, now);
    }

    /** What has to be said before a step on the run that is under way; empty when it can be done. */
    public Optional<SayFirst> sayFirst(Step step, Instant now) {
        return underWay().flatMap(run -> Coming.next(hazards, marks, step, now));
    }

    /** When a step was last done on the way in; what was taken back never happened. Empty if the unit was never opened. */
    public Optional<Moment> lastIn() {
        Set<Long> takenBack = undone(log.steps().stream().map(StepEntry::undoes));
        return log.steps().stream()
                .filter(entry -> entry.direction() == Direction.IN && !takenBack.contains(entry.id()))
                .map(StepEntry::moment)
                .max(Moment::compareTo);
    }

    /** Whether a run can begin only with a reason: the unit was closed for good. */
    public boolean wasClosedForGood(Optional<Closing> last) {
        return underWay().isEmpty()
                && lastIn().isPresent()
                && Closing.coversOn(lastIn(), last)
                && last.flatMap(Closing::forNow).isEmpty();
    }

    /** The last step of this run that can be taken back: not yet taken back, and no taking back itself. */
    public Optional<StepEntry> lastStep() {
        Set<Long> takenBack = undone(log.steps().stream().map(StepEntry::undoes));
        return underWay().flatMap(run -> log.steps().stream()
                .filter(entry -> entry.undoes().isEmpty() && !takenBack.contains(entry.id()))
                .filter(entry -> !entry.moment().isBefore(run.started()))
                .reduce((earlier, later) -> later));
    }

    /** The way out of this run against its way in, what was taken back left out. */
    public List<BothWays.CountLine> bothWays() {
        Set<Long> takenBack = undone(log.moves().stream().map(LedgerEntry::undoes));
        List<Move> moves = underWay()
                .map(run -> log.moves().stream()
                        .filter(entry -> entry.undoes().isEmpty() && !takenBack.contains(entry.id()))
                        .filter(entry -> !entry.moment().isBefore(run.started()))
                        .map(LedgerEntry::move)
                        .toList())
                .orElse(List.of());
        return BothWays.disagreeing(notes.things(), moves);
    }

    /** What is unsettled and can no longer be reached once the next step is out. */
    public List<Unsettled> lastReach() {
        return way.nextOut().map(this::lastReach).orElse(List.of());
    }

    List<Unsettled> lastReach(Step out) {
        Set<String> stays = thisRun(log.moves().stream(), LedgerEntry::moment)
                .map(LedgerEntry::move)
                .filter(move -> move.to() == Account.OUT_FOR_NOW)
                .map(Move::thing)
                .collect(Collectors.toSet());
        return LastReach.before(notes, way, ledger, out.id(), stays);
    }

    /** What no account holds, and can no longer be reached once this step is out, a sentence each. */
    public List<String> lastReachOfEnds(Step out, OpenEnds ends) {
        return LastReach.ends(notes, ends, underWay(), out.id());
    }

    private <T> Stream<T> thisRun(Stream<T> entries, Function<T, Moment> moment) {
        return underWay()
                .map(run -> entries.filter(entry -> !moment.apply(entry).isBefore(run.started())))
                .orElse(Stream.empty());
    }

    /** What was closed for now, or lent, and is still to be put right: for whoever opens it next, and for its owner. */
    public List<String> unfinished(OpenEnds ends) {
        return Stream.concat(
                        ledger.things().stream()
                                .filter(thing -> ledger.count(thing.id(), Account.OUT_FOR_NOW) > 0)
                                .map(thing -> ledger.count(thing.id(), Account.OUT_FOR_NOW) + " × " + thing.label()
                                        + " left out for now"),
                        ends.temporary().stream()
                                .map(one -> one.words()
                                        + one.stays()
                                                .map(stays -> " (" + stays.why() + ")")
                                                .orElse("")))
                .toList();
    }

    /** Whether any entry goes by the notes of the sub-assembly that is this component. */
    public boolean hasEntriesInside(long component) {
        return Stream.of(
                        log.steps().stream().map(StepEntry::step),
                        log.moves().stream().map(entry -> entry.move().thing()),
                        log.runs().stream().flatMap(run -> run.skipped().stream()))
                .flatMap(ids -> ids)
                .anyMatch(id -> Assembled.belongsTo(component, id));
    }

    /**
     * What is in the way of closing; empty if nothing is, or if there is nothing to close.
     *
     * @param checks all that stand
     * @param forNow whether it would be for now only
     */
    public List<String> inTheWayOfClosing(OpenEnds ends, CheckRecord checks, boolean forNow) {
        return lastIn().map(checks::since)
                .map(since -> forNow
                        ? ClosingGate.reasonsForNow(notes, way, ledger, ends, underWay(), since)
                        : ClosingGate.reasons(notes, way, ledger, ends, since))
                .map(reasons -> agreed().before(reasons, ends.replaced()))
                .orElse(List.of());
    }

    /** What findings say of this run's things, beside what its ledger says. */
    public Agreed agreed() {
        return new Agreed(ledger, log);
    }

    /** What the plan wants tried before a step goes back and was not, a sentence each. */
    public List<String> inTheWayOfGoingBack(Step step, CheckRecord checks) {
        return lastIn().map(checks::since)
                .map(since -> CheckPlan.before(step.id(), notes.overview(), since))
                .orElse(List.of());
    }

    private static Set<Long> undone(Stream<Optional<Long>> ids) {
        return ids.flatMap(Optional::stream).collect(Collectors.toSet());
    }
}
