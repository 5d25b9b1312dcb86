package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Spoken;

/** How a count is known. */
public enum Basis implements Spoken {
    /** Somebody counted them here. */
    COUNTED,
    /** Somebody said so: the unit was already open when it came. */
    TOLD,
    /** Nobody knows; the notes' count is taken until the way out shows how many there are. */
    UNKNOWN;

    /** As said on the floor: "told, not counted". */
    @Override
    public String words() {
        return switch (this) {
            case COUNTED -> "counted";
            case TOLD -> "told, not counted";
            case UNKNOWN -> "not counted";
        };
    }

    Basis weaker(Basis other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
