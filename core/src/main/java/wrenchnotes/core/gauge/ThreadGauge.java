package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.StandardThread;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.teardown.ThreadTable;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Spoken;

/**
 * Which screw it is, by diameter and pitch against the published threads ({@link ThreadTable}). Pitch = length over which threads were counted /
 * number of threads. What fits is what a screw made to the standard may be, widened by how well it was measured; if nothing is in that
 * window, that is the answer. Fine, even threads go into metal; coarse, sharp ones into plastic or sheet metal: those for plastic have narrow flanks,
 * about 30° against 60° (common practice).
 */
public final class ThreadGauge {

    /** What is taken if nobody says how well it was measured: a caliper, and half a thread. */
    private static final double CALIPER_MM = 0.05;

    private static final double THREADS = 0.5;
    private static final int SHOWN = 6;
    private static final double EDGE = 1e-9;

    /**
     * @param count of threads, 1 to 200 @param overMm the length they were counted over, 0.1 to 500
     * @param uncertainty of the count, in threads, 0 to 5; half a thread if left out
     */
    public record ThreadsCounted(int count, double overMm, Optional<Double> uncertainty) {
        public ThreadsCounted {
            Checked.within("threads.count", count, 1, 200);
            Checked.within("threads.overMm", overMm, 0.1, 500);
            uncertainty.ifPresent(value -> Checked.within("threads.uncertainty", value, 0.0, 5.0));
        }

        double pitchMm() {
            return overMm / count;
        }

        private boolean may(double pitch) {
            double u = uncertainty.orElse(THREADS);
            double turns = overMm / pitch;
            return Math.abs(turns - count) <= u + EDGE;
        }
    }

    /** The flanks of a coarse thread, seen from the side. */
    public enum Flank implements Spoken {
        /** About 60°. */
        WIDE,
        /** About 30°, on a thin core. */
        NARROW
    }

    /**
     * @param diameterMm across the thread, 0.5 to 30
     * @param lengthMm 0.5 to 300
     * @param uncertaintyMm of the caliper, 0 to 1; 0.05 if left out
     */
    public record ThreadAsked(
            double diameterMm,
            Optional<ThreadsCounted> threads,
            Optional<Double> lengthMm,
            Optional<ScrewHead> head,
            Optional<Flank> flank,
            Optional<Double> uncertaintyMm) {
        public ThreadAsked {
            Checked.within("diameterMm", diameterMm, 0.5, 30);
            lengthMm.ifPresent(value -> Checked.within("lengthMm", value, 0.5, 300.0));
            uncertaintyMm.ifPresent(value -> Checked.within("uncertaintyMm", value, 0.0, 1.0));
        }

        double caliper() {
            return uncertaintyMm.orElse(CALIPER_MM);
        }

        /** Whether a screw made to it could have measured so. */
        private boolean may(StandardThread thread) {
            return diameterMm >= thread.leastMm() - caliper() - EDGE
                    && diameterMm <= thread.mostMm() + caliper() + EDGE
                    && threads.map(counted -> counted.may(thread.pitchMm())).orElse(true);
        }

        /** How far off, in shares of diameter and pitch. */
        private double off(StandardThread thread) {
            return Math.hypot(
                    diameterMm / thread.diameterMm() - 1,
                    threads.map(counted -> counted.pitchMm() / thread.pitchMm() - 1)
                            .orElse(0.0));
        }
    }

    public enum GoesInto implements Spoken {
        METAL,
        PLASTIC,
        PLASTIC_OR_SHEET_METAL
    }

    /** @param designation "M3 × 0.5", "ST2.9" @param standard "ISO 261 coarse" @param how "−0.05 mm across, +0.01 mm pitch" */
    public record ThreadMatch(
            String designation, String standard, ThreadForm form, double diameterMm, double pitchMm, String how) {}

    /**
     * @param pitchMm measured; empty if nothing was counted
     * @param designations all that it can be, the usual ones first; none if nothing is near
     * @param nearest of the tables, if nothing is near
     * @param form empty if nothing was counted, if nothing is near, or if both kinds can be it
     * @param driver "T8"; empty if the head says nothing
     */
    public record ThreadFound(
            Optional<Double> pitchMm,
            List<ThreadMatch> designations,
            Optional<ThreadMatch> nearest,
            Optional<ThreadForm> form,
            Optional<GoesInto> goesInto,
            Optional<String> driver,
            List<String> reasons) {}

    private ThreadGauge() {}

    public static ThreadFound of(ThreadAsked asked) {
        List<StandardThread> all = ThreadTable.all();
        List<StandardThread> fit = all.stream()
                .filter(asked::may)
                .sorted(Comparator.comparing((StandardThread thread) -> !thread.usual())
                        .thenComparingDouble(asked::off))
                .toList();
        Optional<ThreadMatch> nearest = fit.isEmpty()
                ? all.stream().min(Comparator.comparingDouble(asked::off)).map(thread -> match(asked, thread))
                : Optional.empty();
        List<String> reasons = new ArrayList<>();
        nearest.ifPresent(one -> reasons.add("No thread of the tables is near: the nearest is " + one.designation()
                + ", " + one.how() + ". Measure again, or it is none of them."));
        Optional<ThreadForm> form = form(asked, fit, reasons);
        if (asked.uncertaintyMm().isEmpty()
                || asked.threads()
                        .map(counted -> counted.uncertainty().isEmpty())
                        .orElse(false)) {
            reasons.add(
                    "How well it was measured is not said: taken as 0.05 mm across and half a thread in the count.");
        }
        return new ThreadFound(
                asked.threads().map(ThreadsCounted::pitchMm),
                fit.stream().limit(SHOWN).map(thread -> match(asked, thread)).toList(),
                nearest,
                form,
                form.map(one -> goesInto(one, asked)),
                asked.head().flatMap(head -> head.driver(asked.caliper(), reasons)),
                List.copyOf(reasons));
    }

    private static ThreadMatch match(ThreadAsked asked, StandardThread thread) {
        String how = signed(asked.diameterMm() - thread.diameterMm()) + " mm across"
                + asked.threads()
                        .map(counted -> ", " + signed(counted.pitchMm() - thread.pitchMm()) + " mm pitch")
                        .orElse("");
        return new ThreadMatch(
                thread.designation(), thread.standard(), thread.form(), thread.diameterMm(), thread.pitchMm(), how);
    }

    private static String signed(double value) {
        return (value < 0 ? "−" : "+") + LimitGauge.number(Math.abs(Math.round(value * 1000) / 1000.0));
    }

    private static Optional<ThreadForm> form(ThreadAsked asked, List<StandardThread> fit, List<String> reasons) {
        if (asked.threads().isEmpty()) {
            reasons.add("Count some threads and measure over them: the pitch tells the kinds apart.");
            return Optional.empty();
        }
        Set<ThreadForm> forms = fit.stream().map(StandardThread::form).collect(Collectors.toSet());
        if (forms.size() > 1) {
            reasons.add("Both kinds fit: count over a longer piece.");
        }
        if (forms.size() != 1) {
            return Optional.empty();
        }
        if (fit.size() > 1) {
            reasons.add(fit.size()
                    + " fit as well as it was measured: count over a longer piece, or try it in a nut that is known.");
        }
        ThreadForm form = fit.get(0).form();
        reasons.add(
                form == ThreadForm.MACHINE
                        ? "Fine, even thread: it goes into metal and strips plastic."
                        : asked.flank().isPresent()
                                ? "Coarse, sharp thread: it cuts a machine thread to pieces."
                                : "Coarse, sharp thread: it cuts a machine thread to pieces. Narrow flanks on a thin core are for plastic; wide ones go into sheet metal or plastic.");
        return Optional.of(form);
    }

    private static GoesInto goesInto(ThreadForm form, ThreadAsked asked) {
        if (form == ThreadForm.MACHINE) {
            return GoesInto.METAL;
        }
        return asked.flank().equals(Optional.of(Flank.NARROW)) ? GoesInto.PLASTIC : GoesInto.PLASTIC_OR_SHEET_METAL;
    }
}
