package wrenchnotes.core.bench;

import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * The unit was closed through the gate.
 *
 * @param forNow why it was for now only; empty if it was for good
 */
public record Closing(Moment moment, Optional<String> forNow) {

    /**
     * Whether the covers are on: it was never opened, or was closed since.
     *
     * @param lastIn when a step was last done on the way in; empty if none was
     */
    public static boolean coversOn(Optional<Moment> lastIn, Optional<Closing> last) {
        return lastIn.isEmpty()
                || last.filter(closing -> !closing.moment().isBefore(lastIn.get()))
                        .isPresent();
    }
}
