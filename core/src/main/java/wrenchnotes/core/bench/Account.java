package wrenchnotes.core.bench;

import java.util.EnumSet;
import java.util.Set;
import wrenchnotes.core.unit.Spoken;

/**
 * Where the things of one place in a unit can be. Every place of a unit as made is in exactly one of these at any
 * moment; a move takes some from one account to another and nothing appears or vanishes.
 */
public enum Account implements Spoken {
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
    /** Used up by the way that was chosen: a rivet cut. */
    DESTROYED,
    /** The place is filled with another from a drawer. */
    REPLACED,
    /** The place stays empty on purpose, the reason is on record, and the unit may leave the shop so. */
    LEFT_OUT,
    /** Left out or unplugged until the next time it is opened: it may be closed so, but the work is not done. */
    OUT_FOR_NOW,
    /**
     * The other side of the books: what a unit turned out to have more of than its notes say comes from here, and what it never had goes back. So the accounts
     * of a thing still add up to its count in the notes, this one with the difference.
     */
    BEYOND_NOTES;

    /** Whether a unit may be closed for good while something is here. */
    public boolean settled() {
        return this == FITTED || this == REPLACED || this == LEFT_OUT || this == BEYOND_NOTES;
    }

    /** Whether a unit may be closed for now while something is here. */
    public boolean settledForNow() {
        return settled() || this == OUT_FOR_NOW;
    }

    /** Whether somebody has still to decide: replace it, or leave it out and say why. */
    public boolean undecided() {
        return this == MISSING_ON_ARRIVAL || this == LOST || this == BROKEN || this == DESTROYED;
    }

    /** Whether the place is empty, and somebody has still to say what fills it: now, or before the next closing for good. */
    public boolean owed() {
        return undecided() || this == OUT_FOR_NOW;
    }

    /** Whether the place is filled: with what belongs there, or with another. */
    public boolean inPlace() {
        return this == FITTED || this == REPLACED;
    }

    /** Whether a move to here must say why. */
    public boolean wantsReason() {
        return this == LEFT_OUT || this == OUT_FOR_NOW;
    }

    /**
     * Where things in this account can go next. What lies in the tray can turn out to have been missing on arrival only as
     * far as it was not counted: {@link Ledger#uncounted}.
     */
    public Set<Account> goesTo() {
        return switch (this) {
            case FITTED -> EnumSet.of(TRAY, MISSING_ON_ARRIVAL, BROKEN, DESTROYED, REPLACED, BEYOND_NOTES);
            case REPLACED -> EnumSet.of(TRAY, BROKEN, DESTROYED);
            case TRAY ->
                EnumSet.of(FITTED, LOST, BROKEN, REPLACED, LEFT_OUT, OUT_FOR_NOW, MISSING_ON_ARRIVAL, BEYOND_NOTES);
            case MISSING_ON_ARRIVAL -> EnumSet.of(TRAY, REPLACED, LEFT_OUT, OUT_FOR_NOW, BEYOND_NOTES);
            case LOST -> EnumSet.of(TRAY, REPLACED, LEFT_OUT, OUT_FOR_NOW);
            case BROKEN, DESTROYED -> EnumSet.of(REPLACED, LEFT_OUT, OUT_FOR_NOW);
            case LEFT_OUT -> EnumSet.of(TRAY, REPLACED, OUT_FOR_NOW);
            case OUT_FOR_NOW -> EnumSet.of(TRAY, REPLACED, LEFT_OUT);
            case BEYOND_NOTES -> EnumSet.of(FITTED, TRAY, MISSING_ON_ARRIVAL);
        };
    }

    /** As said on the floor: "in the tray", "lost". */
    @Override
    public String words() {
        return switch (this) {
            case FITTED -> "fitted";
            case TRAY -> "in the tray";
            case MISSING_ON_ARRIVAL -> "missing on arrival";
            case LOST -> "lost";
            case BROKEN -> "broken";
            case DESTROYED -> "used up by the way in";
            case REPLACED -> "replaced from a drawer";
            case LEFT_OUT -> "left out";
            case OUT_FOR_NOW -> "left out for now";
            case BEYOND_NOTES -> "not in the notes";
        };
    }
}
