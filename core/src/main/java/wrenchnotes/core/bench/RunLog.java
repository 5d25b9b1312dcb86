package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import wrenchnotes.core.bench.NotesTaken.Opening;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Moment;

/**
 * What is on record of the work on a unit in one stay.
 *
 * @param runs oldest first; at most the last one is not closed
 * @param steps in the order in which they were entered
 * @param moves in the order in which they were entered
 * @param power what was said of the unit's power beside its runs, each of which began unplugged
 * @param acknowledged cautions that were heeded
 * @param marks what was marked before it was moved, and stands there again
 * @param opened with how many the books of a thing opened, where the job went on by newer notes than it began with
 */
public record RunLog(
        List<RunRecord> runs,
        List<StepEntry> steps,
        List<LedgerEntry> moves,
        List<PowerEntry> power,
        List<Acknowledgement> acknowledged,
        List<PlaceMark> marks,
        Map<String, Opening> opened) {
    public static final RunLog NONE = new RunLog(List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    public RunLog {
        runs = List.copyOf(runs);
        steps = List.copyOf(steps);
        moves = List.copyOf(moves);
        power = List.copyOf(power);
        acknowledged = List.copyOf(acknowledged);
        marks = List.copyOf(marks);
        opened = Map.copyOf(opened);
    }

    /** Of a job that goes by the notes that it began with. */
    public RunLog(
            List<RunRecord> runs,
            List<StepEntry> steps,
            List<LedgerEntry> moves,
            List<PowerEntry> power,
            List<Acknowledgement> acknowledged,
            List<PlaceMark> marks) {
        this(runs, steps, moves, power, acknowledged, marks, Map.of());
    }

    /**
     * The same work in the words of the notes that the job went on by: what was entered up to then is called as they call it. An entry of that very press is so
     * already, if it was made for the newer notes: those have none of the older names.
     */
    public RunLog renamed(NotesTaken taken) {
        return new RunLog(
                runs.stream().map(run -> run.renamed(taken)).toList(),
                steps.stream()
                        .map(entry -> !entry.moment().isAfter(taken.moment())
                                ? new StepEntry(
                                        entry.id(),
                                        taken.step(entry.step()),
                                        entry.direction(),
                                        entry.undoes(),
                                        entry.moment())
                                : entry)
                        .filter(entry -> !entry.step().isEmpty())
                        .toList(),
                moves.stream()
                        .filter(entry -> entry.moment().isAfter(taken.moment())
                                || !taken.thing(entry.move().thing()).isEmpty())
                        .map(entry -> !entry.moment().isAfter(taken.moment())
                                ? entry.of(taken.thing(entry.move().thing()))
                                : entry)
                        .toList(),
                power,
                acknowledged.stream()
                        .map(one -> !one.moment().isAfter(taken.moment())
                                ? new Acknowledgement(taken.step(one.step()), one.moment())
                                : one)
                        .filter(one -> !one.step().isEmpty())
                        .toList(),
                marks.stream()
                        .map(one -> one.moment().isAfter(taken.moment()) ? one : one.of(taken.step(one.step())))
                        .filter(one -> !one.step().isEmpty())
                        .toList(),
                taken.opened());
    }

    /** When something was entered last that was done to the unit; empty if nothing was. */
    public Optional<Moment> last() {
        return Stream.of(
                        runs.stream().map(RunRecord::started),
                        steps.stream().map(StepEntry::moment),
                        moves.stream().map(LedgerEntry::moment),
                        acknowledged.stream().map(Acknowledgement::moment),
                        marks.stream().map(PlaceMark::moment))
                .flatMap(moments -> moments)
                .max(Moment::compareTo);
    }

    /** The books as these entries left them. */
    Ledger ledger(Teardown notes) {
        return Ledger.replayed(
                notes.things(), moves.stream().map(LedgerEntry::move).toList(), opened);
    }

    /** The run that is under way, if the unit is not closed. */
    Optional<RunRecord> underWay() {
        return runs.isEmpty()
                ? Optional.empty()
                : Optional.of(runs.get(runs.size() - 1)).filter(run -> !run.closed());
    }

    /** With one more entry. */
    RunLog plus(Entered entry) {
        return entry.read(new Onto());
    }

    private final class Onto implements Entered.Reader<RunLog> {
        @Override
        public RunLog begun(Entered.Begun begun) {
            return new RunLog(more(runs, List.of(begun.run())), steps, moves, power, acknowledged, marks, opened);
        }

        @Override
        public RunLog stepped(Entered.Stepped stepped) {
            return new RunLog(
                    runs,
                    more(steps, List.of(stepped.step())),
                    more(moves, stepped.moves()),
                    power,
                    acknowledged,
                    marks,
                    opened);
        }

        @Override
        public RunLog moved(Entered.Moved moved) {
            return new RunLog(runs, steps, more(moves, moved.moves()), power, acknowledged, marks, opened);
        }

        @Override
        public RunLog turned(Entered.Turned turned) {
            return changed(run -> run.turned(turned.route()));
        }

        @Override
        public RunLog skipped(Entered.Skipped skipped) {
            return changed(run -> run.passedOver(skipped.step()));
        }

        @Override
        public RunLog openedAgain(Entered.OpenedAgain again) {
            return changed(run -> run.openedAgain(again.reason()));
        }

        @Override
        public RunLog powered(Entered.Powered powered) {
            return new RunLog(runs, steps, moves, more(power, List.of(powered.entry())), acknowledged, marks, opened);
        }

        @Override
        public RunLog paused(Entered.Paused paused) {
            return changed(run -> run.paused(Optional.of(paused.since())));
        }

        @Override
        public RunLog wentOn(Entered.WentOn wentOn) {
            return changed(run -> run.paused(Optional.empty()));
        }

        @Override
        public RunLog ended(Entered.Ended ended) {
            return changed(RunRecord::ended);
        }

        @Override
        public RunLog heeded(Entered.Heeded heeded) {
            return new RunLog(
                    runs, steps, moves, power, more(acknowledged, List.of(heeded.acknowledged())), marks, opened);
        }

        @Override
        public RunLog marked(Entered.Marked marked) {
            return new RunLog(runs, steps, moves, power, acknowledged, more(marks, List.of(marked.mark())), opened);
        }
    }

    private RunLog changed(UnaryOperator<RunRecord> change) {
        List<RunRecord> others = new ArrayList<>(runs);
        others.set(others.size() - 1, change.apply(others.get(others.size() - 1)));
        return new RunLog(others, steps, moves, power, acknowledged, marks, opened);
    }

    private static <T> List<T> more(List<T> some, List<T> others) {
        return Stream.concat(some.stream(), others.stream()).toList();
    }
}
