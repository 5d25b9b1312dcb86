package wrenchnotes.core.teardown;

import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Like fasteners taken off in one step from one place: "10, cross-head, black, 2 × 4 mm, tapping, along the plate". Whatever nobody has counted or
 * measured yet is empty, and left out (null) means the same.
 *
 * @param size the driver that fits, as the bench calls it: {@code PH1}, {@code T8}; empty if it is not known, or for rivets and clips
 * @param diameterMm outer diameter of thread, rivet or clip, 0.5 to 12 mm
 * @param lengthMm length under the head, 0.5 to 120 mm
 * @param count 1 to 99
 * @param hides what it hides under: "felt foot", "seal"; empty if it is in plain sight
 * @param spots where they sit on the side that faces up, where that matters; may be left out (null)
 */
public record FastenerGroup(
        String id,
        String label,
        Optional<Head> head,
        String size,
        Optional<ThreadForm> thread,
        Optional<Double> diameterMm,
        Optional<Double> lengthMm,
        Optional<Finish> finish,
        Optional<Integer> count,
        String hides,
        List<Spot> spots)
        implements Thing {

    /** What can be counted, seen or measured of it. */
    public enum Known implements Spoken {
        COUNT,
        HEAD,
        THREAD,
        DIAMETER,
        LENGTH,
        FINISH
    }

    public FastenerGroup {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        head = said(head);
        size = Checked.optionalText("size", size, 12);
        thread = said(thread);
        diameterMm = said(diameterMm);
        diameterMm.ifPresent(mm -> Checked.within("diameterMm", mm, 0.5, 12));
        lengthMm = said(lengthMm);
        lengthMm.ifPresent(mm -> Checked.within("lengthMm", mm, 0.5, 120));
        finish = said(finish);
        count = said(count);
        count.ifPresent(n -> Checked.within("count", n, 1, 99));
        hides = Checked.optionalText("hides", hides, 80);
        spots = spots == null ? List.of() : List.copyOf(spots);
        int most = count.orElse(99);
        if (spots.size() > most) {
            throw new Invalid("spots", spots.size() + " places are marked for " + most + ": take some out");
        }
        if (head.filter(Head::threadless).isPresent()) {
            if (thread.filter(form -> form != ThreadForm.NONE).isPresent()) {
                throw new Invalid("thread", "A " + head.get().words() + " has no thread: say no thread");
            }
            thread = Optional.of(ThreadForm.NONE);
        }
    }

    /** One of which all is known. */
    public FastenerGroup(
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
            List<Spot> spots) {
        this(
                id,
                label,
                Optional.of(head),
                size,
                Optional.of(thread),
                Optional.of(diameterMm),
                Optional.of(lengthMm),
                Optional.of(finish),
                Optional.of(count),
                hides,
                spots);
    }

    /** Some of a place, as they are seen before anybody measures them. */
    public static FastenerGroup seen(String id, String label, Optional<Head> head, Optional<Integer> count) {
        return new FastenerGroup(id, label, head, "", null, null, null, null, count, "", null);
    }

    private static <T> Optional<T> said(Optional<T> value) {
        return value == null ? Optional.empty() : value;
    }

    /** What nobody has counted, seen or measured yet, of what such a fastener has. */
    public Set<Known> notKnown() {
        Set<Known> open = EnumSet.noneOf(Known.class);
        boolean flat = head.filter(Head::flat).isPresent();
        note(open, Known.COUNT, count);
        note(open, Known.HEAD, head);
        note(open, Known.THREAD, thread);
        if (!flat) {
            note(open, Known.DIAMETER, diameterMm);
            note(open, Known.LENGTH, lengthMm);
            note(open, Known.FINISH, finish);
        }
        return open;
    }

    private static void note(Set<Known> open, Known what, Optional<?> value) {
        if (value.isEmpty()) {
            open.add(what);
        }
    }

    /** "10 cross PH1, 2.9 × 12 mm, tapping, black", as a bench would say it; "not counted, cross, sizes not known". */
    public String words() {
        String driver = size.isEmpty() ? "" : " " + size;
        String what = count.map(n -> n + " ").orElse("not counted, ")
                + head.map(Head::words).orElse("head not known")
                + driver;
        boolean flat = head.filter(Head::flat).isPresent();
        String sizes = diameterMm.isEmpty() && lengthMm.isEmpty()
                ? flat ? "" : "sizes not known"
                : mm(diameterMm) + " × " + mm(lengthMm) + " mm";
        return Stream.of(
                        what,
                        sizes,
                        thread.filter(form -> form != ThreadForm.NONE)
                                .map(ThreadForm::form)
                                .orElse(""),
                        finish.map(Finish::words).orElse(""),
                        hides.isEmpty() ? "" : "under the " + hides)
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** Whether it is known to hold so. */
    public boolean is(ThreadForm form) {
        return thread.filter(form::equals).isPresent();
    }

    /** The same group with another count. */
    @Override
    public FastenerGroup counting(int others) {
        return new FastenerGroup(
                id, label, head, size, thread, diameterMm, lengthMm, finish, Optional.of(others), hides, spots);
    }

    /** With what was measured since in the place of what was not known; what was known stays. */
    public FastenerGroup filledBy(FastenerGroup measured) {
        return new FastenerGroup(
                id,
                label,
                head.or(measured::head),
                size.isEmpty() ? measured.size() : size,
                thread.or(measured::thread),
                diameterMm.or(measured::diameterMm),
                lengthMm.or(measured::lengthMm),
                finish.or(measured::finish),
                count.or(measured::count),
                hides,
                spots);
    }

    @Override
    public int asMade() {
        return count.orElse(1);
    }

    @Override
    public boolean hasCount() {
        return count.isPresent();
    }

    FastenerGroup withId(String other) {
        return new FastenerGroup(other, label, head, size, thread, diameterMm, lengthMm, finish, count, hides, spots);
    }

    private static String mm(Optional<Double> size) {
        return size.map(mm -> Figures.of(BigDecimal.valueOf(mm))).orElse("?");
    }
}
