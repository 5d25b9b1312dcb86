package wrenchnotes.core.drawer.donor;

import wrenchnotes.core.unit.Spoken;

/** What is known of a component of a unit that is kept for parts. */
public enum InDonor implements Spoken {
    GOOD,
    /** Nobody has looked: it may be good, and is tried before it is trusted. */
    UNKNOWN,
    BAD,
    GONE;

    /** Whether anybody would take it out. */
    public boolean isThere() {
        return this == GOOD || this == UNKNOWN;
    }

    @Override
    public String words() {
        return switch (this) {
            case GOOD -> "known good";
            case UNKNOWN -> "nobody has looked";
            case BAD -> "bad";
            case GONE -> "taken out";
        };
    }
}
