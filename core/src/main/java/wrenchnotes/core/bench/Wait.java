package wrenchnotes.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.teardown.Step;

/**
 * A wait that a caution asks for: the unit must have been unplugged for some hours before hands go in.
 *
 * @param hours how long the unit must have been unplugged, 1 and up
 * @param since since when it is unplugged; empty while it is not
 * @param until when the step may be done; empty while it is not unplugged
 * @param over whether that moment has come
 */
public record Wait(int hours, Optional<Instant> since, Optional<Instant> until, boolean over) {

    /** @return empty if the step asks for none */
    public static Optional<Wait> of(Step step, Optional<Instant> unpluggedSince, Instant now) {
        if (step.waitHours() == 0) {
            return Optional.empty();
        }
        Optional<Instant> until = unpluggedSince.map(at -> at.plus(Duration.ofHours(step.waitHours())));
        boolean over = until.map(at -> !now.isBefore(at)).orElse(false);
        return Optional.of(new Wait(step.waitHours(), unpluggedSince, until, over));
    }

    /** What it says to whoever would not keep it. */
    String sentence(String title) {
        return since.isEmpty()
                ? "\"" + title + "\" asks for " + hours + " hours unplugged: say that it is off and unplugged."
                : "\"" + title + "\" asks for " + hours
                        + " hours unplugged, and they are not over yet. This wait cannot be shortened.";
    }
}
