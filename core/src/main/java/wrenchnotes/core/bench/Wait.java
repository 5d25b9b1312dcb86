package wrenchnotes.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.unit.Refused;

/**
 * A wait that a step's caution asks for: the unit must have been left off for some hours before it, and somebody says so.
 *
 * @param hours how long the unit must have been left off, 1 and up
 * @param since when it was switched off; empty while nobody has said
 * @param until when the step may be done; empty while nobody has said since when the unit is off
 * @param over whether that moment has come
 */
public record Wait(int hours, Optional<Instant> since, Optional<Instant> until, boolean over) {

    /** @return empty if the step asks for none */
    public static Optional<Wait> of(Step step, Optional<Instant> leftOffSince, Instant now) {
        if (step.waitHours() == 0) {
            return Optional.empty();
        }
        Optional<Instant> until = leftOffSince.map(at -> at.plus(Duration.ofHours(step.waitHours())));
        boolean over = until.map(at -> !now.isBefore(at)).orElse(false);
        return Optional.of(new Wait(step.waitHours(), leftOffSince, until, over));
    }

    /**
     * @param kept whether somebody says that it was kept and its caution followed
     * @throws Refused while it is not over, or if nobody has said that it was kept
     */
    void mustBeKept(Step step, boolean kept) {
        String title = "\"" + step.title() + "\"";
        if (since.isEmpty()) {
            throw Refused.because(title + " may be done only after the unit was left off for " + hours
                    + " hours: say since when it is off.");
        }
        if (!over) {
            throw Refused.because(title + " must wait: " + hours
                    + " hours without power are not over yet. This wait cannot be shortened.");
        }
        if (!kept) {
            throw Refused.because(
                    "Say that the wait was kept and the caution of " + title + " was followed, before you do it.");
        }
    }
}
