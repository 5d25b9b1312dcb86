package wrenchnotes.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.RunStore.Run;

/** Cautions with a wait: the unit must have been left off for some hours before a step, and somebody says so. */
final class Waits {

    private Waits() {}

    /**
     * A wait that a step asks for.
     *
     * @param hours how long the unit must have been left off
     * @param until when the step may be done; empty while nobody has said since when the unit is off
     */
    public record Wait(int hours, Optional<Instant> since, Optional<Instant> until, boolean over) {}

    static Optional<Wait> of(Step step, Optional<Run> run, Instant now) {
        if (step.waitHours() == 0) {
            return Optional.empty();
        }
        Optional<Instant> since = run.flatMap(Run::leftOffSince);
        Optional<Instant> until = since.map(at -> at.plus(Duration.ofHours(step.waitHours())));
        return Optional.of(new Wait(
                step.waitHours(),
                since,
                until,
                until.map(at -> !now.isBefore(at)).orElse(false)));
    }

    /** @throws Refused while the wait is not over, or if nobody has said that it was kept */
    static void mustBeOver(Step step, Run run, boolean acknowledged, Instant now) {
        of(step, Optional.of(run), now).ifPresent(wait -> {
            if (wait.since().isEmpty()) {
                throw Refused.because("\"" + step.title() + "\" may be done only after the unit was left off for "
                        + wait.hours() + " hours: say since when it is off.");
            }
            if (!wait.over()) {
                throw Refused.because("\"" + step.title() + "\" must wait: " + wait.hours()
                        + " hours without power are not over yet. This wait cannot be shortened.");
            }
            if (!acknowledged) {
                throw Refused.because("Say that the wait was kept and the caution of \"" + step.title()
                        + "\" was followed, before you do it.");
            }
        });
    }
}
