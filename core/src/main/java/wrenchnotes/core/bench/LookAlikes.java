package wrenchnotes.core.bench;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.typed.Figures;

/**
 * Groups of fasteners that are easily swapped: alike to the eye, and different in length or thread. Pointed out before the
 * second of them comes off, when both would lie on one mat.
 */
public final class LookAlikes {

    private static final double SAME_DIAMETER_MM = 0.45;
    private static final double SAME_LENGTH_MM = 0.5;
    /** Beyond this nobody takes one for the other. */
    private static final double FAR_LENGTH_MM = 6.5;

    private LookAlikes() {}

    /**
     * Only of those that were looked at and measured.
     *
     * @param step about to be done
     * @param ledger as it is now
     * @return a sentence for each pair: "Keep apart, ..."
     */
    public static List<String> of(Step step, Ledger ledger) {
        List<String> pairs = new ArrayList<>();
        List<FastenerGroup> coming = step.fasteners();
        for (int at = 0; at < coming.size(); at++) {
            FastenerGroup group = coming.get(at);
            List<FastenerGroup> others = new ArrayList<>(coming.subList(at + 1, coming.size()));
            ledger.things().stream()
                    .filter(thing -> thing instanceof FastenerGroup && ledger.count(thing.id(), Account.TRAY) > 0)
                    .filter(thing -> step.things().stream().noneMatch(own -> same(own, thing)))
                    .forEach(thing -> others.add((FastenerGroup) thing));
            others.stream()
                    .filter(other ->
                            alike(group, other) && !differences(group, other).isEmpty())
                    .forEach(other -> pairs.add("Keep apart, " + group.label() + " and " + other.label() + ": "
                            + String.join("; ", differences(group, other)) + "."));
        }
        return pairs;
    }

    private static boolean same(Thing one, Thing other) {
        return one.id().equals(other.id());
    }

    private static boolean alike(FastenerGroup one, FastenerGroup other) {
        return same(one.head(), other.head())
                && same(one.finish(), other.finish())
                && apart(one.diameterMm(), other.diameterMm()) <= SAME_DIAMETER_MM
                && apart(one.lengthMm(), other.lengthMm()) <= FAR_LENGTH_MM;
    }

    /** What nobody has looked at yet is passed over. */
    private static <T> boolean same(Optional<T> one, Optional<T> other) {
        return one.isPresent() && one.equals(other);
    }

    private static double apart(Optional<Double> one, Optional<Double> other) {
        return one.isEmpty() || other.isEmpty() ? Double.POSITIVE_INFINITY : Math.abs(one.get() - other.get());
    }

    private static List<String> differences(FastenerGroup one, FastenerGroup other) {
        List<String> said = new ArrayList<>();
        if (one.is(ThreadForm.MACHINE) && other.is(ThreadForm.TAPPING)
                || one.is(ThreadForm.TAPPING) && other.is(ThreadForm.MACHINE)) {
            FastenerGroup fine = one.is(ThreadForm.MACHINE) ? one : other;
            said.add("the fine-threaded one (" + fine.label() + ") goes into metal");
        }
        double length = one.lengthMm().orElseThrow();
        double others = other.lengthMm().orElseThrow();
        if (Math.abs(length - others) >= SAME_LENGTH_MM) {
            said.add("the longer one (" + (length > others ? one : other).label() + ") is "
                    + number(Math.max(length, others)) + " mm, the other " + number(Math.min(length, others)));
        }
        return said;
    }

    private static String number(double mm) {
        return Figures.of(BigDecimal.valueOf(mm));
    }
}
