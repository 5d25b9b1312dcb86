package wrenchnotes.core.drawer.kind;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorSeries;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/** One thing that can be said of a part: a figure in a unit and within a range, one of a closed list, or words. */
public enum PartField implements Spoken {
    CIRCUMFERENCE("inner circumference", "mm", 5, 5000),
    SECTION(BeltShape.class),
    WIDTH("mm", 0.1, 500),
    THICKNESS("mm", 0.1, 50),
    TEETH("", 4, 500),
    MODULE("mm", 0.1, 5),
    OUTER("outside", "mm", 0.5, 500),
    BORE("mm", 0.2, 200),
    SPLINED(YesOrNo.class),
    MATERIAL,
    HEAD(Head.class),
    DRIVER,
    THREAD(ThreadForm.class),
    DIAMETER("mm", 0.5, 20),
    LENGTH("mm", 0.5, 2000),
    FINISH(Finish.class),
    CAPACITANCE("µF", 1e-7, 1e6),
    VOLTS("V", 0.5, 50_000),
    RATED_FOR("rated for", RatedFor.class),
    DIELECTRIC("kind", CapacitorKind.class),
    SAFETY_CLASS("safety class"),
    TOLERANCE("%", 0.1, 100),
    CELSIUS("to", "°C", 40, 250),
    HEIGHT("mm", 0.5, 300),
    LEAD_PITCH("lead pitch", "mm", 0.5, 200),
    STYLE(LeadStyle.class),
    SERIES(CapacitorSeries.class),
    RESISTANCE("Ω", 1e-4, 1e9),
    WATTS("W", 0.01, 1000),
    AMPS("A", 0.001, 100),
    BLOWS(Blows.class),
    CASE_SIZE("size"),
    DESIGNATION,
    FAMILY,
    PACKAGE,
    MILLIAMPS("current", "mA", 0.1, 10_000),
    COLOUR,
    WAYS("", 1, 200),
    PITCH("mm", 0.2, 50),
    OF_MODEL("of model"),
    AGENT,
    AMOUNT("unit of amount");

    /** How a fuse takes a surge (IEC 60127-1, letters of the characteristic; from memory). */
    public enum Blows implements Spoken {
        FF,
        F,
        M,
        T,
        TT;

        @Override
        public String words() {
            return switch (this) {
                case FF -> "very quick, FF";
                case F -> "quick, F";
                case M -> "medium, M";
                case T -> "slow, T";
                case TT -> "very slow, TT";
            };
        }
    }

    /** How a part meets its board. */
    public enum LeadStyle implements Spoken {
        RADIAL,
        AXIAL,
        SURFACE
    }

    /** Said either way; not known is said by leaving it out. */
    public enum YesOrNo implements Spoken {
        YES,
        NO
    }

    private static final int LONGEST = 60;

    private final String words;
    private final String unit;
    private final double least;
    private final double most;
    private final List<? extends Spoken> choices;

    PartField(String words, String unit, double least, double most, List<? extends Spoken> choices) {
        this.words = words;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.choices = choices;
    }

    PartField() {
        this((String) null);
    }

    PartField(String words) {
        this(words, "", Double.NaN, Double.NaN, List.of());
    }

    PartField(String unit, double least, double most) {
        this(null, unit, least, most);
    }

    PartField(String words, String unit, double least, double most) {
        this(words, unit, least, most, List.of());
    }

    <E extends Enum<E> & Spoken> PartField(Class<E> of) {
        this(null, of);
    }

    <E extends Enum<E> & Spoken> PartField(String words, Class<E> of) {
        this(words, "", Double.NaN, Double.NaN, Arrays.asList(of.getEnumConstants()));
    }

    @Override
    public String words() {
        return words == null ? Spoken.super.words() : words;
    }

    /** Whether it is a figure; all else is words. */
    public boolean isFigure() {
        return !Double.isNaN(least);
    }

    /** What a figure is in; empty for a bare number and for words. */
    public String unit() {
        return unit;
    }

    /** The closed list that its words are of; empty if any words are. */
    public List<? extends Spoken> choices() {
        return choices;
    }

    /** @throws Invalid unless it is a figure within its range */
    double checked(double value) {
        if (!isFigure()) {
            throw new Invalid(name(), words() + " is no figure: say it in words");
        }
        return Checked.within(words(), value, least, most);
    }

    /** @throws Invalid unless it takes words, and these */
    String checked(String value) {
        if (isFigure()) {
            throw new Invalid(name(), words() + " is a figure: give it in " + (unit.isEmpty() ? "numbers" : unit));
        }
        String said = Checked.text(words(), value, LONGEST);
        if (!choices.isEmpty() && choices.stream().noneMatch(one -> one.name().equals(said))) {
            throw new Invalid(
                    name(),
                    words() + " is " + said + "; one of "
                            + String.join(
                                    ", ", choices.stream().map(Spoken::name).toList()));
        }
        return said;
    }

    /** The choice that its words name. */
    Optional<Spoken> choice(String value) {
        return choices.stream()
                .filter(one -> one.name().equals(value))
                .map(Spoken.class::cast)
                .findFirst();
    }
}
