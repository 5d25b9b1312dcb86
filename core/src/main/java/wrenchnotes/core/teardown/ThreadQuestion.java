package wrenchnotes.core.teardown;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What to ask whoever has typed in a fastener: a question, never a refusal, since odd threads exist.
 *
 * <p>Metric coarse threads: ISO 261 (published). Tapping screws: ISO 1478 (published; values from memory).
 */
public final class ThreadQuestion {

    private ThreadQuestion() {}

    /** A question in words, if the standard has no thread of this diameter; empty if there is nothing to ask. */
    public static Optional<String> about(FastenerGroup group) {
        return group.thread().filter(thread -> thread != ThreadForm.NONE).flatMap(thread -> group.diameterMm()
                .flatMap(mm -> about(thread, mm)));
    }

    private static Optional<String> about(ThreadForm thread, double diameterMm) {
        if (ThreadTable.pitchMm(thread, diameterMm).isPresent()) {
            return Optional.empty();
        }
        boolean machine = thread == ThreadForm.MACHINE;
        double near = ThreadTable.nearestDiameterMm(thread, diameterMm);
        String question = "%s has no %s; the nearest is %s. Measure again?"
                .formatted(
                        machine ? "ISO 261 coarse" : "ISO 1478",
                        (machine ? "usual " : "") + name(machine, diameterMm),
                        name(machine, near));
        OptionalDouble other = ThreadTable.pitchMm(machine ? ThreadForm.TAPPING : ThreadForm.MACHINE, diameterMm);
        return Optional.of(
                other.isEmpty()
                        ? question
                        : question
                                + " Or is it a %s, %s?"
                                        .formatted(
                                                machine ? "tapping screw" : "machine screw",
                                                name(!machine, diameterMm)));
    }

    private static String name(boolean machine, double diameterMm) {
        return (machine ? "M" : "ST")
                + (diameterMm == Math.rint(diameterMm) && machine
                        ? String.valueOf((int) diameterMm)
                        : String.format(Locale.ROOT, "%.1f", diameterMm));
    }
}
