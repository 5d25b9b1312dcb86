package wrenchnotes.core.drawer.kind;

import static wrenchnotes.core.drawer.kind.FieldsRead.N;
import static wrenchnotes.core.drawer.kind.FieldsRead.words;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.drawer.kind.PartField.Blows;
import wrenchnotes.core.drawer.kind.PartField.LeadStyle;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorSeries;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;
import wrenchnotes.core.typed.Quantity;
import wrenchnotes.core.typed.Typed;

/** Reads what is told by what it bears: capacitors, resistors, fuses, chips, lamps. */
final class ReadElectric {

    private static final Pattern FARADS =
            Pattern.compile("(?<![\\d.])(?:\\d+[pnu]\\d+F?|\\d[\\d.]* ?(?:[pnu]F?|mfd|MFD))\\b");
    private static final Pattern VOLTS = Pattern.compile("(?<![\\d.])(\\d[\\d.]* ?k?V)(?=ac|dc|AC|DC|\\b)");
    private static final Pattern AC = words("V ?(?:~|AC\\b|a\\.? ?c\\b)");
    private static final Pattern DC = words("V ?(?:=|⎓|DC\\b|d\\.? ?c\\b)");
    private static final Pattern CLASS = Pattern.compile("\\b([XY][1-4])\\b");
    private static final Pattern CELSIUS = Pattern.compile(N + " ?°C");
    private static final Pattern PERCENT = Pattern.compile("(?:±|\\+/-)? ?" + N + " ?%");
    private static final Pattern BODY = words(N + " x " + N + " ?mm");
    private static final Pattern LEADS = words("\\b(?:lead )?pitch " + N + "|\\bleads? " + N + " ?mm");

    private static final Pattern OHMS =
            Pattern.compile("(?<![\\d.])(?:\\d+[RkKM]\\d+|\\d[\\d.]* ?(?:[kKM]?ohms?|[RkKM]))(?![A-Za-z])");
    private static final Pattern WATTS = Pattern.compile("(?<![\\d.])(?:(\\d)/(\\d+)|" + N + ") ?W\\b");

    private static final Pattern RATING = Pattern.compile("(?<![A-Za-z])(FF|TT|F|T|M)? ?" + N + " ?(m?)A\\b(?!H)");
    private static final Pattern SLOW = words("\\b(?:slow|time[ -]?lag|anti-?surge|delayed)\\b");
    private static final Pattern QUICK = words("\\b(?:quick|fast)\\b");
    private static final Pattern CASE = words(N + " x " + N);

    private static final Pattern LOGIC = words("\\b(?:74|54)([A-Z]{0,4})(\\d{2,4})\\b");
    private static final Pattern OTHER_CHIP =
            Pattern.compile("\\b(?:[A-Z]{1,4}\\d{2,5}[A-Z]{0,3}|4\\d{3}[A-Z]{0,2})\\b");
    private static final Pattern PACKAGE = words("\\b(?:DIP|DIL|SOIC|SOP|SO|PLCC|QFP|TO)-? ?\\d{1,3}\\b");

    private static final Pattern MILLIAMPS = Pattern.compile("(?<![\\d.])" + N + " ?mA\\b");
    private static final Pattern COLOUR = words("\\b(?:red|green|amber|yellow|blue|white|warm white)\\b");
    private static final Pattern ACROSS = words("\\b" + N + " ?mm\\b");

    private ReadElectric() {}

    static void capacitor(FieldsRead read) {
        quantity(read, FARADS, "µF").ifPresent(value -> read.put(PartField.CAPACITANCE, value));
        volts(read);
        read.find(CLASS).ifPresent(found -> {
            read.put(PartField.SAFETY_CLASS, found.group(1));
            read.put(
                    PartField.DIELECTRIC,
                    found.group(1).startsWith("X") ? CapacitorKind.SAFETY_X : CapacitorKind.SAFETY_Y);
        });
        for (CapacitorKind kind : CapacitorKind.values()) {
            read.when(words("\\b" + kind.words() + "s?\\b"), PartField.DIELECTRIC, kind);
        }
        read.when(AC, PartField.RATED_FOR, RatedFor.AC);
        read.when(DC, PartField.RATED_FOR, RatedFor.DC);
        read.figures(PERCENT, PartField.TOLERANCE);
        read.figures(CELSIUS, PartField.CELSIUS);
        read.figures(BODY, PartField.DIAMETER, PartField.HEIGHT);
        read.find(LEADS)
                .ifPresent(found -> read.put(
                        PartField.LEAD_PITCH,
                        Double.parseDouble(found.group(1) == null ? found.group(2) : found.group(1))));
        style(read);
        read.when(words("low[ -]?(?:esr|series resistance)"), PartField.SERIES, CapacitorSeries.LOW_ESR);
        read.when(words("general purpose"), PartField.SERIES, CapacitorSeries.GENERAL);
    }

    static void resistor(FieldsRead read) {
        quantity(read, OHMS, "Ω").ifPresent(value -> read.put(PartField.RESISTANCE, value));
        read.find(WATTS).ifPresent(found -> read.put(PartField.WATTS, watts(found)));
        read.figures(PERCENT, PartField.TOLERANCE);
        style(read);
    }

    private static double watts(Matcher found) {
        return found.group(3) != null
                ? Double.parseDouble(found.group(3))
                : Double.parseDouble(found.group(1)) / Double.parseDouble(found.group(2));
    }

    static void fuse(FieldsRead read) {
        read.find(RATING).ifPresent(found -> {
            double amps = Double.parseDouble(found.group(2));
            read.put(PartField.AMPS, found.group(3).isEmpty() ? amps : amps / 1000);
            if (found.group(1) != null) {
                read.put(PartField.BLOWS, Blows.valueOf(found.group(1)));
            }
        });
        read.when(SLOW, PartField.BLOWS, Blows.T);
        read.when(QUICK, PartField.BLOWS, Blows.F);
        read.find(CASE).ifPresent(found -> read.put(PartField.CASE_SIZE, found.group(1) + " × " + found.group(2)));
        volts(read);
    }

    static void chip(FieldsRead read) {
        read.find(LOGIC).ifPresent(found -> {
            read.put(PartField.DESIGNATION, found.group().toUpperCase(Locale.ROOT));
            if (!found.group(1).isEmpty()) {
                read.put(PartField.FAMILY, found.group(1).toUpperCase(Locale.ROOT));
            }
        });
        read.firstOf(PartField.PACKAGE, PACKAGE);
        Matcher others = OTHER_CHIP.matcher(read.plain());
        while (others.find()) {
            if (!PACKAGE.matcher(others.group()).matches()) {
                read.put(PartField.DESIGNATION, others.group());
            }
        }
    }

    static void lamp(FieldsRead read) {
        volts(read);
        read.figures(MILLIAMPS, PartField.MILLIAMPS);
        read.firstOf(PartField.COLOUR, COLOUR);
        read.find(ACROSS).ifPresent(found -> read.put(PartField.CASE_SIZE, found.group(1) + " mm"));
    }

    private static void volts(FieldsRead read) {
        read.find(VOLTS)
                .flatMap(found -> quantity(found.group(1), "V"))
                .ifPresent(value -> read.put(PartField.VOLTS, value));
    }

    private static void style(FieldsRead read) {
        for (LeadStyle style : LeadStyle.values()) {
            read.when(words("\\b" + style.name() + "\\b"), PartField.STYLE, style);
        }
        read.when(words("\\bSMD\\b"), PartField.STYLE, LeadStyle.SURFACE);
    }

    private static Optional<Double> quantity(FieldsRead read, Pattern pattern, String unit) {
        return read.find(pattern).flatMap(found -> quantity(found.group(), unit));
    }

    private static Optional<Double> quantity(String typed, String unit) {
        String plain = typed.replace("ohms", "Ω").replace("ohm", "Ω").replace('u', 'µ');
        return Quantity.read(plain, unit) instanceof Typed.Read<Double> read
                ? Optional.of(read.value())
                : Optional.empty();
    }
}
