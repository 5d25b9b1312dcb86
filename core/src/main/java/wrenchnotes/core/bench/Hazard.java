package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.teardown.Step;

/**
 * A caution over a step: its own, or that of a step which it needs, as long as that one is open or was passed over.
 *
 * @param step id of the step whose caution it is
 * @param words may be empty if it asks for a wait alone
 * @param waits how long the unit must be unplugged before hands go in; empty if it asks for none
 * @param heeded whether somebody has said since the last power-up that it was heeded
 */
public record Hazard(String step, String title, String words, Optional<Wait> waits, boolean heeded) {

    static Hazard of(Step step, PowerLog power, Optional<Instant> heededAt, Instant now) {
        Optional<Wait> wait = Wait.of(step, power.unpluggedSince(), now);
        boolean heeded = heededAt.isPresent()
                && wait.flatMap(Wait::until)
                        .map(until -> !heededAt.get().isBefore(until))
                        .orElse(wait.isEmpty());
        return new Hazard(step.id(), step.title(), step.caution(), wait, heeded);
    }

    /** Whether its wait, if it asks for one, is over. */
    public boolean waited() {
        return waits.map(Wait::over).orElse(true);
    }

    /** What is in the way of working under it; empty if nothing is. */
    Optional<String> inTheWay() {
        if (!waited()) {
            return waits.map(one -> one.sentence(title));
        }
        return heeded
                ? Optional.empty()
                : Optional.of("Say first that the caution of \"" + title + "\" is heeded"
                        + (words.isEmpty() ? "." : ": " + words));
    }
}
