package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.teardown.ThreadTable;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Which screw it is: by diameter and pitch against ISO 261 (metric coarse, published) and ISO 1478 (tapping, published; values from
 * memory). Pitch = length over which threads were counted / number of threads. Fine, even threads go into metal; coarse, sharp ones
 * into plastic (common practice). Hexalobular sizes across points: ISO 10664 (published; from memory).
 */
public final class ThreadGauge {

    private static final Map<String, Double> HEXALOBULAR =
            Map.of("T5", 1.42, "T6", 1.70, "T7", 1.99, "T8", 2.31, "T9", 2.50, "T10", 2.74, "T15", 3.27, "T20", 3.86);
    /** A caliper on a crest reads a little under the nominal diameter. Ours, no source. */
    private static final double DIAMETER_MM = 0.12;

    private static final double PITCH_SHARE = 0.12;
    private static final int SHOWN = 4;

    /** @param count of threads, 1 to 200 @param overMm the length they were counted over */
    public record ThreadsCounted(int count, double overMm) {
        public ThreadsCounted {
            Checked.within("threads.count", count, 1, 200);
            Checked.within("threads.overMm", overMm, 0.1, 500);
        }
    }

    /** @param acrossMm across the points of a hexalobular recess */
    public record ScrewHead(Head type, Optional<Double> acrossMm) {
        public ScrewHead {
            Checked.present("head.type", type);
            acrossMm.ifPresent(value -> Checked.within("head.acrossMm", value, 0.3, 50));
        }
    }

    public record ThreadAsked(
            double diameterMm, Optional<ThreadsCounted> threads, Optional<Double> lengthMm, Optional<ScrewHead> head) {
        public ThreadAsked {
            Checked.within("diameterMm", diameterMm, 0.5, 30);
            lengthMm.ifPresent(value -> Checked.within("lengthMm", value, 0.5, 300));
        }
    }

    public enum GoesInto implements Spoken {
        METAL,
        PLASTIC
    }

    /** @param designation "M3 × 0.5", "ST2.9" @param off how far diameter and pitch are off, 0 is exact */
    public record ThreadMatch(
            String designation, ThreadForm form, double diameterMm, double pitchMm, double off, String how) {}

    /**
     * @param pitchMm measured; empty if nothing was counted
     * @param designations the nearest, best first
     * @param form empty if the two kinds fit as well
     * @param driver "T8"; empty if the head says nothing
     */
    public record ThreadFound(
            Optional<Double> pitchMm,
            List<ThreadMatch> designations,
            Optional<ThreadForm> form,
            Optional<GoesInto> goesInto,
            Optional<String> driver,
            List<String> reasons) {}

    private ThreadGauge() {}

    public static ThreadFound of(ThreadAsked asked) {
        Optional<Double> pitch = asked.threads().map(threads -> threads.overMm() / threads.count());
        List<Standard> all = new ArrayList<>();
        for (ThreadForm form : List.of(ThreadForm.MACHINE, ThreadForm.TAPPING)) {
            for (double diameter : ThreadTable.diametersMm(form)) {
                all.add(new Standard(
                        form, diameter, ThreadTable.pitchMm(form, diameter).orElseThrow()));
            }
        }
        List<ThreadMatch> best = all.stream()
                .sorted(Comparator.comparingDouble(standard -> standard.off(asked.diameterMm(), pitch)))
                .limit(SHOWN)
                .map(standard -> standard.match(asked.diameterMm(), pitch))
                .toList();
        List<String> reasons = new ArrayList<>();
        Optional<ThreadForm> form = form(best, pitch, reasons);
        return new ThreadFound(
                pitch,
                best,
                form,
                form.map(one -> one == ThreadForm.MACHINE ? GoesInto.METAL : GoesInto.PLASTIC),
                asked.head().flatMap(head -> driver(head, reasons)),
                List.copyOf(reasons));
    }

    /** A thread of the standards, to be compared with what was measured. */
    private record Standard(ThreadForm form, double diameter, double pitch) {

        double off(double measured, Optional<Double> counted) {
            return Math.hypot(
                    (measured - diameter) / DIAMETER_MM,
                    counted.map(one -> (one / pitch - 1) / PITCH_SHARE).orElse(0.0));
        }

        ThreadMatch match(double measured, Optional<Double> counted) {
            String name = form == ThreadForm.MACHINE
                    ? "M" + LimitGauge.number(diameter) + " × " + LimitGauge.number(pitch)
                    : "ST" + String.format(Locale.ROOT, "%.1f", diameter);
            String how = signed(measured - diameter) + " mm across"
                    + counted.map(one -> ", " + signed(one - pitch) + " mm pitch")
                            .orElse("");
            return new ThreadMatch(name, form, diameter, pitch, off(measured, counted), how);
        }
    }

    private static String signed(double value) {
        return (value < 0 ? "−" : "+") + LimitGauge.number(Math.abs(Math.round(value * 1000) / 1000.0));
    }

    private static Optional<ThreadForm> form(List<ThreadMatch> best, Optional<Double> pitch, List<String> reasons) {
        if (pitch.isEmpty()) {
            reasons.add("Count some threads and measure over them: the pitch tells metal from plastic.");
            return Optional.empty();
        }
        ThreadMatch first = best.get(0);
        boolean alike =
                best.stream().anyMatch(other -> other.form() != first.form() && other.off() < first.off() + 0.5);
        if (alike) {
            reasons.add("Two kinds fit as well: count over a longer piece.");
            return Optional.empty();
        }
        if (first.off() > 3) {
            reasons.add("No standard thread is near: measure again, or it is not metric.");
            return Optional.empty();
        }
        reasons.add(
                first.form() == ThreadForm.MACHINE
                        ? "Fine, even thread: it goes into metal and strips plastic."
                        : "Coarse, sharp thread: it goes into plastic and cuts a machine thread to pieces.");
        return Optional.of(first.form());
    }

    private static Optional<String> driver(ScrewHead head, List<String> reasons) {
        boolean pin = head.type() == Head.HEXALOBULAR_SECURITY;
        if (head.type() != Head.HEXALOBULAR && !pin) {
            return Optional.empty();
        }
        if (head.acrossMm().isEmpty()) {
            throw new Invalid("head.acrossMm", "Measure across the points of the recess: that says which driver");
        }
        Map.Entry<String, Double> near = HEXALOBULAR.entrySet().stream()
                .min(Comparator.comparingDouble(
                        entry -> Math.abs(entry.getValue() - head.acrossMm().get())))
                .orElseThrow();
        if (pin) {
            reasons.add("A pin in the middle: its driver has a hole, and fits the plain screw too.");
        }
        return Optional.of(near.getKey() + (pin ? " with a hole" : ""));
    }
}
