package wrenchnotes.core.bench;

import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Words;

/**
 * How much is off a unit, in numbers small enough for a rack.
 *
 * @param fasteners in the tray
 * @param connectors unplugged
 * @param pieces loose pieces in the tray
 * @param undecided absent, and nobody has said what to do about it
 */
public record Tally(int fasteners, int connectors, int pieces, int undecided) {

    public static final Tally NONE = new Tally(0, 0, 0, 0);

    static Tally of(Ledger ledger) {
        Tally tally = NONE;
        for (Unsettled open : ledger.unsettled()) {
            tally = tally.plus(open);
        }
        return tally;
    }

    private Tally plus(Unsettled open) {
        if (open.account().undecided()) {
            return new Tally(fasteners, connectors, pieces, undecided + open.count());
        }
        Thing thing = open.thing();
        if (thing instanceof FastenerGroup) {
            return new Tally(fasteners + open.count(), connectors, pieces, undecided);
        }
        if (thing instanceof Connector) {
            return new Tally(fasteners, connectors + open.count(), pieces, undecided);
        }
        return new Tally(fasteners, connectors, pieces + open.count(), undecided);
    }

    public int inTray() {
        return fasteners + connectors + pieces;
    }

    public boolean balances() {
        return inTray() == 0 && undecided == 0;
    }

    /** "15 fasteners, 2 plugs, 2 loose pieces". */
    public String words() {
        return Words.off(fasteners, connectors, pieces);
    }
}
