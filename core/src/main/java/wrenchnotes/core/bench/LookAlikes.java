package wrenchnotes.core.bench;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
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
        return one.head() == other.head()
                && one.finish() == other.finish()
                && Math.abs(one.diameterMm() - other.diameterMm()) <= SAME_DIAMETER_MM
                && Math.abs(one.lengthMm() - other.lengthMm()) <= FAR_LENGTH_MM;
    }

    private static List<String> differences(FastenerGroup one, FastenerGroup other) {
        List<String> said = new ArrayList<>();
        if (one.thread() != other.thread() && one.thread() != ThreadForm.NONE && other.thread() != ThreadForm.NONE) {
            FastenerGroup fine = one.thread() == ThreadForm.MACHINE ? one : other;
            said.add("the fine-threaded one (" + fine.label() + ") goes into metal");
        }
        if (Math.abs(one.lengthMm() - other.lengthMm()) >= SAME_LENGTH_MM) {
            FastenerGroup longer = one.lengthMm() > other.lengthMm() ? one : other;
            said.add("the longer one (" + longer.label() + ") is " + number(longer.lengthMm()) + " mm, the other "
                    + number(longer == one ? other.lengthMm() : one.lengthMm()));
        }
        return said;
    }

    private static String number(double mm) {
        return Figures.of(BigDecimal.valueOf(mm));
    }
}
