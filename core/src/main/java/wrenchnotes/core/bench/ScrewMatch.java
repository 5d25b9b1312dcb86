package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.teardown.ThreadTable;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Words;

/**
 * "What is this screw?": ranks the open places of a unit by how well they agree with what can be seen and measured.
 *
 * <p>Lengths under the head are measured with a rule to about half a millimetre, diameters over the thread with a caliper to
 * about 0.15 mm, and threads are counted over a length (common practice). A wrong head or thread, or a length out by more
 * than a millimetre, rules a place out; a finish that differs only speaks against it, since finishes wear. What nobody has measured of a place says nothing;
 * a place of which nothing said is known is passed over, and named.
 */
public final class ScrewMatch {

    private static final double LENGTH_MM = 0.5;
    private static final double DIAMETER_MM = 0.15;
    private static final double PITCH_SHARE = 0.15;
    /** What nobody has measured of a place speaks against it half as much as what is out by its tolerance. Ours, no source. */
    private static final double NOT_KNOWN = 0.5;

    private ScrewMatch() {}

    /**
     * What is known of the screw in hand; whatever is not known is empty.
     *
     * @param lengthMm under the head, 0.5 to 120
     * @param diameterMm over the thread, 0.5 to 12
     * @param threads how many threads were counted, 2 to 200
     * @param overMm over which length, 0.5 to 120; needed with {@code threads}
     */
    public record Known(
            Optional<Head> head,
            Optional<Double> lengthMm,
            Optional<Double> diameterMm,
            Optional<Integer> threads,
            Optional<Double> overMm,
            Optional<Finish> finish) {

        public Known {
            lengthMm.ifPresent(mm -> Checked.within("lengthMm", mm, 0.5, 120));
            diameterMm.ifPresent(mm -> Checked.within("diameterMm", mm, 0.5, 12));
            threads.ifPresent(n -> Checked.within("threads", n, 2, 200));
            overMm.ifPresent(mm -> Checked.within("overMm", mm, 0.5, 120));
            if (threads.isPresent() != overMm.isPresent()) {
                throw new Invalid("overMm", "Say both: how many threads, and over how many mm");
            }
            if (head.isEmpty() && lengthMm.isEmpty() && diameterMm.isEmpty() && threads.isEmpty() && finish.isEmpty()) {
                throw new Invalid("head", "Say at least one thing about the screw: its head, or how long it is");
            }
        }

        int said() {
            return (int) Stream.of(head, lengthMm, diameterMm, threads, finish)
                    .filter(Optional::isPresent)
                    .count();
        }

        Optional<Double> pitchMm() {
            return threads.map(n -> overMm.orElseThrow() / n);
        }
    }

    /**
     * A place that the screw may belong to.
     *
     * @param open how many of that place are off or absent
     * @param agrees what speaks for it
     * @param differs what speaks against it, though it does not rule it out
     */
    public record Match(FastenerGroup group, int open, List<String> agrees, List<String> differs) {}

    /**
     * @param fits best first
     * @param words what follows: which place, or that it fits none
     */
    public record Answer(List<Match> fits, String words) {}

    public static Answer rank(Known known, Ledger ledger) {
        List<Scored> scored = new ArrayList<>();
        List<String> unmeasured = new ArrayList<>();
        int places = 0;
        for (var thing : ledger.things()) {
            if (thing instanceof FastenerGroup group
                    && group.head().filter(Head::threadless).isEmpty()) {
                int open = ledger.made(thing.id())
                        - ledger.count(thing.id(), Account.FITTED)
                        - ledger.count(thing.id(), Account.REPLACED);
                if (open > 0) {
                    places++;
                    Optional<Scored> one = score(known, group, open);
                    one.filter(Scored::compared).ifPresent(scored::add);
                    one.filter(like -> !like.compared()).ifPresent(like -> unmeasured.add(group.label()));
                }
            }
        }
        List<Match> fits = scored.stream()
                .sorted(Comparator.comparingDouble(Scored::penalty))
                .map(Scored::match)
                .toList();
        return new Answer(fits, words(fits, places, unmeasured));
    }

    private static String words(List<Match> fits, int places, List<String> unmeasured) {
        if (places == 0) {
            return "No place of this unit is open: it is not from here, or the notes are wrong.";
        }
        if (fits.isEmpty() && !unmeasured.isEmpty()) {
            return "It fits none that is measured; nobody has measured " + String.join(", ", unmeasured) + ".";
        }
        if (fits.isEmpty()) {
            return "It fits none of the " + Words.count(places, "open place", "open places")
                    + ": not from this unit, or the notes are wrong.";
        }
        String best = fits.get(0).group().label();
        if (!fits.get(0).differs().isEmpty()) {
            return "Nearest: " + best + ", but its "
                    + String.join(" and ", fits.get(0).differs())
                    + " differs. Measure again, or it is not from this unit.";
        }
        long agreeing = fits.stream().filter(match -> match.differs().isEmpty()).count();
        return fits.size() == 1 || agreeing == 1
                ? "It belongs to: " + best + "."
                : "Most likely: " + best + ". Measure what tells it from the others.";
    }

    private record Scored(Match match, double penalty) {

        /** Whether anything of what was said is known of the place. */
        boolean compared() {
            return !match.agrees().isEmpty() || !match.differs().isEmpty();
        }
    }

    private static Optional<Scored> score(Known known, FastenerGroup group, int open) {
        List<String> agrees = new ArrayList<>();
        List<String> differs = new ArrayList<>();
        if (known.head().isPresent() && group.head().isPresent()) {
            if (!known.head().equals(group.head())) {
                return Optional.empty();
            }
            agrees.add("head");
        }
        double penalty = 0;
        Optional<Double> length = off(known.lengthMm(), group.lengthMm(), LENGTH_MM, "length", agrees, differs);
        Optional<Double> diameter =
                off(known.diameterMm(), group.diameterMm(), DIAMETER_MM, "diameter", agrees, differs);
        Optional<Double> pitch = group.is(ThreadForm.NONE)
                ? known.pitchMm().map(mm -> Double.POSITIVE_INFINITY)
                : off(
                        known.pitchMm(),
                        pitchOf(group),
                        PITCH_SHARE * pitchOf(group).orElse(1.0),
                        "thread",
                        agrees,
                        differs);
        for (Optional<Double> one : List.of(length, diameter, pitch)) {
            if (one.orElse(0.0) > 2) {
                return Optional.empty();
            }
            penalty += one.orElse(0.0);
        }
        if (known.finish().isPresent() && group.finish().isPresent()) {
            boolean same = known.finish().equals(group.finish());
            (same ? agrees : differs).add("finish");
            penalty += same ? 0 : 1;
        }
        penalty += NOT_KNOWN * (known.said() - agrees.size() - differs.size());
        return Optional.of(new Scored(new Match(group, open, agrees, differs), penalty));
    }

    private static Optional<Double> pitchOf(FastenerGroup group) {
        return group.thread().flatMap(thread -> group.diameterMm().map(mm -> ThreadTable.nearestPitchMm(thread, mm)));
    }

    /** How far off, in tolerances: up to one agrees, up to two speaks against it, beyond rules it out. Empty where either is not known. */
    private static Optional<Double> off(
            Optional<Double> said,
            Optional<Double> measured,
            double tolerance,
            String what,
            List<String> agrees,
            List<String> differs) {
        return said.flatMap(mm -> measured.map(own -> {
            double far = Math.abs(mm - own) / tolerance;
            (far <= 1 ? agrees : differs).add(what);
            return far;
        }));
    }
}
