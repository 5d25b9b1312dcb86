package wrenchnotes.core.teardown;

import java.math.BigDecimal;
import java.util.List;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Like fasteners taken off in one step from one place: "10, cross-head, black, 2 × 4 mm, tapping, along the plate".
 *
 * @param size the driver that fits, as the bench calls it: {@code PH1}, {@code T8}; empty for rivets and clips
 * @param diameterMm outer diameter of thread, rivet or clip, 0.5 to 12 mm
 * @param lengthMm length under the head, 0.5 to 120 mm
 * @param count 1 to 99
 * @param hides what it hides under: "felt foot", "seal"; empty if it is in plain sight
 * @param spots where they sit on the side that faces up, where that matters; may be left out (null)
 */
public record FastenerGroup(
        String id,
        String label,
        Head head,
        String size,
        ThreadForm thread,
        double diameterMm,
        double lengthMm,
        Finish finish,
        int count,
        String hides,
        List<Spot> spots)
        implements Thing {

    public FastenerGroup {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        Checked.present("head", head);
        size = Checked.optionalText("size", size, 12);
        Checked.present("thread", thread);
        Checked.within("diameterMm", diameterMm, 0.5, 12);
        Checked.within("lengthMm", lengthMm, 0.5, 120);
        Checked.present("finish", finish);
        Checked.within("count", count, 1, 99);
        hides = Checked.optionalText("hides", hides, 80);
        spots = spots == null ? List.of() : List.copyOf(spots);
        if (spots.size() > count) {
            throw new Invalid("spots", spots.size() + " places are marked for " + count + ": take some out");
        }
        if (head.threadless() && thread != ThreadForm.NONE) {
            throw new Invalid("thread", "A " + head + " has no thread: say NONE, not " + thread);
        }
    }

    /** "10 cross PH1, 2.9 × 12 mm, tapping, black", as a bench would say it. */
    public String words() {
        String driver = size.isEmpty() ? "" : " " + size;
        String form = thread == ThreadForm.NONE ? "" : ", " + thread.form();
        String under = hides.isEmpty() ? "" : ", under the " + hides;
        return count + " " + head.words() + driver + ", " + number(diameterMm) + " × " + number(lengthMm) + " mm" + form
                + ", " + finish.words() + under;
    }

    /** The same group with another count. */
    public FastenerGroup counting(int others) {
        return new FastenerGroup(id, label, head, size, thread, diameterMm, lengthMm, finish, others, hides, spots);
    }

    FastenerGroup withId(String other) {
        return new FastenerGroup(other, label, head, size, thread, diameterMm, lengthMm, finish, count, hides, spots);
    }

    private static String number(double mm) {
        return Figures.of(BigDecimal.valueOf(mm));
    }
}
