package wrenchnotes.core.gauge;

import java.util.Locale;
import java.util.Optional;

/**
 * Classes of capacitors across the mains (published: IEC 60384-14; from memory). X1 is tested with an impulse of 4 kV, X2 2.5 kV, X3
 * none; Y1 8 kV, Y2 5 kV, Y3 none, Y4 2.5 kV and for rated voltages below 150 V.
 */
enum SafetyClass {
    X1,
    X2,
    X3,
    Y1,
    Y2,
    Y3,
    Y4;

    static Optional<SafetyClass> read(Optional<String> printed) {
        return printed.map(one -> valueOf(one.toUpperCase(Locale.ROOT)));
    }

    private boolean across() {
        return name().charAt(0) == 'X';
    }

    private boolean strong() {
        return this == Y1 || this == Y2;
    }

    /**
     * Whether this may be fitted where another was, its volts aside: the same class or a stronger one of its letter, Y1 and Y2 for any X.
     * An X never for a Y, Y3 and Y4 never for X1 and X2; of Y3 and Y4 for one another, or for X3, nothing can be said.
     */
    Judgement standsInFor(SafetyClass other) {
        if (this == other) {
            return Judgement.GOOD;
        }
        if (across()) {
            return other.across() && ordinal() < other.ordinal() ? Judgement.GOOD : Judgement.BAD;
        }
        if (other.across()) {
            return strong() ? Judgement.GOOD : other == X3 ? Judgement.CAN_NOT_SAY : Judgement.BAD;
        }
        if (!strong() && !other.strong()) {
            return Judgement.CAN_NOT_SAY;
        }
        return ordinal() < other.ordinal() ? Judgement.GOOD : Judgement.BAD;
    }
}
