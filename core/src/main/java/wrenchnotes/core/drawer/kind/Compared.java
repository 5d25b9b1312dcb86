package wrenchnotes.core.drawer.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.typed.Figures;

/** One part held against another, property by property. Lives for one question. */
final class Compared {

    /** Two sizes of the same thing as different makers print them. Ours, no source. */
    private static final double SAME = 0.02;
    /** A screw this much longer may go through what it holds. Ours, no source. */
    private static final double SCREW_MM = 0.5;

    private static final double THREAD_MM = 0.1;
    /** A press fit stands so much of its bore (common practice: 1 to 3 %). */
    private static final double PRESS = 0.03;

    private final PartSpec wanted;
    private final PartSpec at;
    private final List<String> refused = new ArrayList<>();
    private final List<String> open = new ArrayList<>();
    private final List<String> right = new ArrayList<>();

    Compared(PartSpec wanted, PartSpec at) {
        this.wanted = wanted;
        this.at = at;
    }

    InStead judged() {
        switch (wanted.kind()) {
            case GEAR -> gear();
            case ROLLER -> roller();
            case FASTENER -> fastener();
            case RESISTOR -> resistor();
            case FUSE -> fuse();
            case CHIP -> chip();
            case LAMP -> lamp();
            case LEAD -> lead();
            default -> wanted.kind().fields().forEach(this::alike);
        }
        List<String> reasons = new ArrayList<>(refused);
        reasons.addAll(open);
        reasons.addAll(right);
        Judgement verdict =
                !refused.isEmpty() ? Judgement.BAD : open.isEmpty() ? Judgement.GOOD : Judgement.CAN_NOT_SAY;
        return new InStead(verdict, reasons);
    }

    private void gear() {
        same(PartField.TEETH);
        same(PartField.MODULE);
        same(PartField.SPLINED);
        both(PartField.BORE, (was, is) -> {
            if (is > was * (1 + SAME / 2)) {
                open.add("Its bore is " + mm(is - was) + " wider: it must be sleeved or filled");
            } else if (is < was * (1 - PRESS)) {
                open.add("Its bore is " + mm(was - is) + " narrower: reamed, or it splits");
            } else {
                right.add("the same bore");
            }
        });
    }

    private void roller() {
        same(PartField.OUTER);
        both(PartField.BORE, (was, is) -> {
            if (is > was * (1 + SAME)) {
                refused.add("Its bore is " + mm(is - was) + " wider: it turns on its hub");
            } else {
                right.add("bore " + mm(is) + " for " + mm(was));
            }
        });
        both(PartField.WIDTH, (was, is) -> {
            if (is > was * (1 + SAME)) {
                open.add("It is " + mm(is - was) + " wider: look for the room");
            } else {
                right.add("no wider");
            }
        });
    }

    private void fastener() {
        same(PartField.THREAD);
        both(
                PartField.DIAMETER,
                (was, is) -> say(Math.abs(was - is) <= THREAD_MM, "thread of " + mm(is) + " for " + mm(was)));
        both(PartField.LENGTH, (was, is) -> {
            if (is > was + SCREW_MM) {
                refused.add("It is " + mm(is - was) + " longer: it may go through what it holds");
            } else if (is < was - SCREW_MM) {
                open.add("It is " + mm(was - is) + " shorter: it holds by fewer threads");
            } else {
                right.add("as long");
            }
        });
        differs(PartField.HEAD, "Another head: look whether it sits in its recess");
    }

    private void resistor() {
        both(
                PartField.RESISTANCE,
                (was, is) -> say(
                        Math.abs(was - is) <= SAME * was, Figures.of(is, 4) + " Ω for " + Figures.of(was, 4) + " Ω"));
        atLeast(PartField.WATTS);
        both(PartField.TOLERANCE, (was, is) -> {
            if (is > was) {
                open.add("±" + Figures.of(is, 3) + " % for ±" + Figures.of(was, 3) + " %");
            }
        });
    }

    /** A fuse of another rating or slower protects something else (common practice; what is printed beside its holder decides). */
    private void fuse() {
        same(PartField.AMPS);
        same(PartField.BLOWS);
        same(PartField.CASE_SIZE);
        if (wanted.figure(PartField.VOLTS).isPresent()) {
            atLeast(PartField.VOLTS);
        }
    }

    private void chip() {
        Optional<String> was = wanted.word(PartField.DESIGNATION).map(Compared::number);
        Optional<String> is = at.word(PartField.DESIGNATION).map(Compared::number);
        if (was.isEmpty() || is.isEmpty()) {
            open.add("Not known: its designation");
        } else {
            say(
                    was.get().equals(is.get()),
                    at.word(PartField.DESIGNATION).get() + " for "
                            + wanted.word(PartField.DESIGNATION).get());
        }
        differs(PartField.FAMILY, "Another family: its levels and its speed are others, see the logic gauge");
        same(PartField.PACKAGE);
    }

    private void lamp() {
        same(PartField.VOLTS);
        both(PartField.MILLIAMPS, (was, is) -> {
            if (is > was * (1 + SAME)) {
                open.add("It draws " + Figures.of(is - was, 3) + " mA more");
            }
        });
        differs(PartField.COLOUR, "Another colour");
        same(PartField.CASE_SIZE);
    }

    private void lead() {
        same(PartField.WAYS);
        same(PartField.PITCH);
        both(PartField.LENGTH, (was, is) -> {
            if (is < was * (1 - SAME)) {
                open.add("It is " + mm(was - is) + " shorter: does it reach?");
            } else {
                right.add("long enough");
            }
        });
    }

    /** The same, or not known: what has no rule of its own is never called good by a field that nobody said. */
    private void alike(PartField field) {
        if (wanted.figures().containsKey(field) || wanted.words().containsKey(field)) {
            same(field);
        } else {
            open.add("Not known: " + field.words());
        }
    }

    private void same(PartField field) {
        if (field.isFigure()) {
            both(
                    field,
                    (was, is) -> say(
                            Math.abs(was - is) <= SAME * was,
                            field.words() + " " + Figures.of(is, 4) + " for " + Figures.of(was, 4)));
            return;
        }
        Optional<String> was = wanted.word(field);
        Optional<String> is = at.word(field);
        if (was.isEmpty() || is.isEmpty()) {
            open.add("Not known: " + field.words());
        } else {
            say(is.get().equalsIgnoreCase(was.get()), told(field, is.get()) + " for " + told(field, was.get()));
        }
    }

    private static String told(PartField field, String value) {
        return field.choice(value).map(one -> one.words()).orElse(value);
    }

    private void differs(PartField field, String words) {
        Optional<String> was = wanted.word(field);
        Optional<String> is = at.word(field);
        if (was.isPresent() && is.isPresent() && !was.get().equalsIgnoreCase(is.get())) {
            open.add(words);
        }
    }

    private void atLeast(PartField field) {
        both(
                field,
                (was, is) -> say(
                        is >= was,
                        Figures.of(is, 4) + " " + field.unit() + " for " + Figures.of(was, 4) + " " + field.unit()));
    }

    private interface Two {
        void judge(double was, double is);
    }

    private void both(PartField field, Two two) {
        OptionalDouble was = wanted.figure(field);
        OptionalDouble is = at.figure(field);
        if (was.isEmpty() || is.isEmpty()) {
            open.add("Not known: " + field.words());
        } else {
            two.judge(was.getAsDouble(), is.getAsDouble());
        }
    }

    private void say(boolean fits, String words) {
        (fits ? right : refused).add(fits ? words : "Does not fit: " + words);
    }

    private static String mm(double value) {
        return Figures.rounded(value, 2) + " mm";
    }

    /** Of a logic chip without its family: "74LS04" and "7404" are the same gates. */
    private static String number(String designation) {
        return designation.toUpperCase(Locale.ROOT).replaceAll("^(74|54)[A-Z]{0,4}(\\d+)$", "$1$2");
    }
}
