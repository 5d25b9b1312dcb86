package wrenchnotes.core.unit;

import java.time.Instant;

/**
 * Who writes, and when.
 *
 * @param moment where this write stands among all writes of the shop, and its date
 * @param now by the clock: what waits are measured with
 */
public record By(long person, String name, Moment moment, Instant now) {

    public By(long person, String name, Moment moment) {
        this(person, name, moment, moment.at());
    }

    /** The date of what is written. */
    public Instant at() {
        return moment.at();
    }

    /** The same write, dated no earlier than {@code last}: no clock that was set back dates an entry before the one before it. */
    public By notBefore(Instant last) {
        return at().isBefore(last) ? new By(person, name, new Moment(moment.number(), last), now) : this;
    }
}
