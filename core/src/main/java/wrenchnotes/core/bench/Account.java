package wrenchnotes.core.bench;

import java.util.EnumSet;
import java.util.Set;

/**
 * Where the things of one place in a unit can be. Every place of a unit as made is in exactly one of these at any
 * moment; a move takes some from one account to another and nothing appears or vanishes.
 */
public enum Account {
    /** In its place, the one that belongs there. */
    FITTED,
    /** Off the unit, lying on the mat. */
    TRAY,
    /** Not there when the unit came. */
    MISSING_ON_ARRIVAL,
    /** Was here and cannot be found. */
    LOST,
    /** Broken while coming off, found broken, or broken on the mat. */
    BROKEN,
    /** The place is filled with another from a drawer. */
    REPLACED,
    /** The place stays empty on purpose, and the reason is on record. */
    LEFT_OUT;

    /** Whether a unit may be closed while something is here. */
    public boolean settled() {
        return this == FITTED || this == REPLACED || this == LEFT_OUT;
    }

    /** Whether somebody has still to decide: replace it, or leave it out and say why. */
    public boolean undecided() {
        return this == MISSING_ON_ARRIVAL || this == LOST || this == BROKEN;
    }

    /** Where things in this account can go next. */
    public Set<Account> goesTo() {
        return switch (this) {
            case FITTED -> EnumSet.of(TRAY, MISSING_ON_ARRIVAL, BROKEN);
            case REPLACED -> EnumSet.of(TRAY, BROKEN);
            case TRAY -> EnumSet.of(FITTED, LOST, BROKEN, REPLACED, LEFT_OUT);
            case MISSING_ON_ARRIVAL -> EnumSet.of(TRAY, REPLACED, LEFT_OUT);
            case LOST -> EnumSet.of(TRAY, REPLACED, LEFT_OUT);
            case BROKEN -> EnumSet.of(REPLACED, LEFT_OUT);
            case LEFT_OUT -> EnumSet.of(TRAY, REPLACED);
        };
    }

    /** As said on the floor: "in the tray", "lost". */
    public String words() {
        return switch (this) {
            case FITTED -> "fitted";
            case TRAY -> "in the tray";
            case MISSING_ON_ARRIVAL -> "missing on arrival";
            case LOST -> "lost";
            case BROKEN -> "broken";
            case REPLACED -> "replaced from a drawer";
            case LEFT_OUT -> "left out";
        };
    }
}
