package wrenchnotes.core.bench;

import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * A move as it was entered in the ledger. Never changed: it is undone by its opposite.
 *
 * @param id ascending in the order in which they were entered
 * @param stepEntry the step that it was part of; empty for a move by hand
 * @param undoes the entry that this one takes back
 */
public record LedgerEntry(long id, Optional<Long> stepEntry, Move move, Optional<Long> undoes, Moment moment) {

    /** The same entry of a thing that is called otherwise now. */
    LedgerEntry of(String thing) {
        Move renamed = new Move(thing, move.from(), move.to(), move.count(), move.reason(), move.basis());
        return new LedgerEntry(id, stepEntry, renamed, undoes, moment);
    }
}
