package wrenchnotes.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Moment;

/**
 * Whether the ledger and the findings of a stay say the same of its things.
 *
 * @param ledger as it stands
 * @param log of all runs of the stay
 */
public record Agreed(Ledger ledger, RunLog log) {

    /**
     * What came off on this stay, is in its place as made, and is said to have been replaced.
     *
     * @param replaced what findings say
     */
    public List<Thing> stillTheOld(List<Replaced> replaced) {
        return cameOff().stream()
                .filter(thing -> Replaced.stillTheOld(ledger, thing, replaced) > 0)
                .toList();
    }

    /** What was off the unit at any time on this stay. */
    public List<Thing> cameOff() {
        return moved(Account.TRAY);
    }

    private List<Thing> moved(Account to) {
        Set<String> ids = log.moves().stream()
                .filter(entry -> entry.move().to() == to && entry.undoes().isEmpty())
                .map(entry -> entry.move().thing())
                .collect(Collectors.toSet());
        return ledger.things().stream()
                .filter(thing -> ids.contains(thing.id()))
                .toList();
    }

    /**
     * What is broken and nobody has written a finding of, by its label: the ledger knows that it broke, not why.
     *
     * @param found what findings speak of
     */
    public List<String> brokenUnsaid(List<Replaced> found) {
        return moved(Account.BROKEN).stream()
                .filter(thing ->
                        ledger.count(thing.id(), Account.BROKEN) + ledger.count(thing.id(), Account.REPLACED) > 0)
                .filter(thing -> found.stream().noneMatch(one -> one.borneBy(thing)))
                .map(Thing::label)
                .toList();
    }

    /** What is in the way of closing, with what the two do not say alike first. */
    List<String> before(List<String> reasons, List<Replaced> replaced) {
        return Stream.concat(stillTheOld(replaced).stream().map(Replaced::sentence), reasons.stream())
                .toList();
    }

    /** Components that findings call replaced and that nobody has yet found among the things of the notes. */
    public List<Replaced> borneByNobodyKnows(List<Replaced> replaced) {
        return replaced.stream().filter(one -> one.asksAmong(ledger.things())).toList();
    }

    /** Ids of the things that a press settled to be replaced, on a finding's word, if all of that still stands; else none. */
    public List<String> settled(long moment) {
        List<Move> moves = byHand(moment).stream().map(LedgerEntry::move).toList();
        return moves.stream().allMatch(move -> move.from() == Account.FITTED && move.to() == Account.REPLACED)
                ? moves.stream().map(Move::thing).toList()
                : List.of();
    }

    /**
     * The last press of a run that moved something by hand, if it came after the run's last step and all that it moved is still where it
     * put it: "back" takes it back before any step.
     */
    public Optional<Moment> lastByHand(Run run) {
        return run.underWay()
                .flatMap(now -> standingByHand()
                        .filter(entry -> !entry.move().from().inPlace()
                                && !entry.moment().isBefore(now.started()))
                        .map(LedgerEntry::moment)
                        .reduce((first, last) -> last))
                .filter(moment -> run.lastStep()
                        .filter(step -> step.moment().isAfter(moment))
                        .isEmpty())
                .filter(moment -> !byHand(moment.number()).isEmpty());
    }

    /** Moves by hand of one press that stand, if all that they moved is still where they put it; else none. */
    List<LedgerEntry> byHand(long moment) {
        List<LedgerEntry> its = standingByHand()
                .filter(entry -> entry.moment().number() == moment)
                .toList();
        return its.stream()
                        .map(LedgerEntry::move)
                        .allMatch(move -> move.to() == Account.BEYOND_NOTES
                                || ledger.count(move.thing(), move.to()) >= move.count())
                ? its
                : List.of();
    }

    private Stream<LedgerEntry> standingByHand() {
        Set<Long> undone =
                log.moves().stream().flatMap(entry -> entry.undoes().stream()).collect(Collectors.toSet());
        return log.moves().stream()
                .filter(entry ->
                        entry.stepEntry().isEmpty() && entry.undoes().isEmpty() && !undone.contains(entry.id()));
    }
}
