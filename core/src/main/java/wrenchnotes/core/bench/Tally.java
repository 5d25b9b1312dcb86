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
 * @param lots in the tray, of fasteners or pieces that nobody has counted
 * @param undecided absent, and nobody has said what to do about it
 * @param forNow left out until the next run
 */
public record Tally(int fasteners, int connectors, int pieces, int lots, int undecided, int forNow) {

    public static final Tally NONE = new Tally(0, 0, 0, 0, 0);

    /** All of it counted. */
    public Tally(int fasteners, int connectors, int pieces, int undecided, int forNow) {
        this(fasteners, connectors, pieces, 0, undecided, forNow);
    }

    /** What lies in the tray and nobody has counted. */
    public static Tally uncounted(int lots) {
        return new Tally(0, 0, 0, lots, 0, 0);
    }

    /** One sort of thing in one account. */
    public static Tally of(Class<? extends Thing> kind, Account account, int count) {
        if (account == Account.OUT_FOR_NOW) {
            return new Tally(0, 0, 0, 0, count);
        }
        if (account.undecided()) {
            return new Tally(0, 0, 0, count, 0);
        }
        if (kind == FastenerGroup.class) {
            return new Tally(count, 0, 0, 0, 0);
        }
        return kind == Connector.class ? new Tally(0, count, 0, 0, 0) : new Tally(0, 0, count, 0, 0);
    }

    static Tally of(Ledger ledger) {
        Tally tally = NONE;
        for (Unsettled open : ledger.unsettled()) {
            boolean lot = open.account() == Account.TRAY
                    && !ledger.isCounted(open.thing().id());
            tally = tally.plus(
                    lot ? uncounted(open.count()) : of(open.thing().getClass(), open.account(), open.count()));
        }
        return tally;
    }

    public Tally plus(Tally other) {
        return new Tally(
                fasteners + other.fasteners,
                connectors + other.connectors,
                pieces + other.pieces,
                lots + other.lots,
                undecided + other.undecided,
                forNow + other.forNow);
    }

    public int inTray() {
        return fasteners + connectors + pieces + lots;
    }

    public boolean balances() {
        return inTray() == 0 && undecided == 0 && forNow == 0;
    }

    /** "15 fasteners, 2 plugs, 2 loose pieces and some uncounted". */
    public String words() {
        String counted = Words.off(fasteners, connectors, pieces);
        if (lots == 0) {
            return counted;
        }
        return inTray() == lots ? "some uncounted" : counted + " and some uncounted";
    }
}
