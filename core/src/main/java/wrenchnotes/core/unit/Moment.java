package wrenchnotes.core.unit;

import java.time.Instant;

/**
 * When something was written down: its place in the order of all that the shop ever wrote, and the time by the clock then.
 * What came first is told by the number alone, since a clock can be set back.
 *
 * @param number ascending with each write, 0 and up; what was written in one go has the same
 * @param at by the shop's clock
 */
public record Moment(long number, Instant at) implements Comparable<Moment> {

    public Moment {
        Checked.present("at", at);
        if (number < 0) {
            throw new Invalid("number", "number is " + number + "; moments are counted from 0 up");
        }
    }

    public boolean isBefore(Moment other) {
        return number < other.number;
    }

    public boolean isAfter(Moment other) {
        return number > other.number;
    }

    @Override
    public int compareTo(Moment other) {
        return Long.compare(number, other.number);
    }
}
