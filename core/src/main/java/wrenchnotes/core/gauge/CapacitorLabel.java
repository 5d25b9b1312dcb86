package wrenchnotes.core.gauge;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;
import wrenchnotes.core.typed.Quantity;
import wrenchnotes.core.typed.Typed;
import wrenchnotes.core.unit.Invalid;

/** Reads a capacitor off the words on a drawer: "0.1 µF, 275 V~, class X2", "470 µF, 25 V, electrolytic, 105 °C". */
public final class CapacitorLabel {

    private static final Pattern FARADS =
            Pattern.compile("(?<![\\d.,])(?:\\d[\\d.,]*\\s*(?:[pnuµ\u03bc]F|mfd|MFD)\\b|\\d+[pnuµ\u03bc]\\d+F?\\b)");
    private static final Pattern VOLTS = Pattern.compile("(?<![\\d.,])\\d[\\d.,]*\\s*k?V");
    private static final Pattern CLASS = Pattern.compile("\\b([XY][1-4])\\b");
    private static final Pattern CELSIUS = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*°C");

    private static final Pattern TOLERANCE = Pattern.compile("±\\s*(\\d+(?:\\.\\d+)?)\\s*%");
    private static final Pattern AC = Pattern.compile("^\\s*(?:~|AC\\b|a\\.?\\s?c\\b)", Pattern.CASE_INSENSITIVE);
    private static final Pattern DC = Pattern.compile("^\\s*(?:=|⎓|DC\\b|d\\.?\\s?c\\b)", Pattern.CASE_INSENSITIVE);

    private CapacitorLabel() {}

    /** By what stands after the volts; a safety class and a polar kind say it by themselves. */
    private static Optional<RatedFor> ratedFor(String after, CapacitorKind kind) {
        boolean alternating = AC.matcher(after).find();
        return kind.safety()
                        || kind.polar()
                        || !alternating && !DC.matcher(after).find()
                ? Optional.empty()
                : Optional.of(alternating ? RatedFor.AC : RatedFor.DC);
    }

    /** @return empty if the words name no capacitance or no voltage, or such as no capacitor has */
    public static Optional<Capacitor> read(String words) {
        Matcher farads = FARADS.matcher(words);
        Matcher volts = VOLTS.matcher(words);
        if (!farads.find() || !volts.find()) {
            return Optional.empty();
        }
        Optional<Double> microfarads = read(farads.group(), "µF");
        Optional<Double> rated = read(volts.group(), "V");
        if (microfarads.isEmpty() || rated.isEmpty()) {
            return Optional.empty();
        }
        Matcher safety = CLASS.matcher(words);
        Optional<String> grade = safety.find() ? Optional.of(safety.group(1)) : Optional.empty();
        Matcher celsius = CELSIUS.matcher(words);
        Matcher tolerance = TOLERANCE.matcher(words);
        CapacitorKind kind = kind(words.toLowerCase(Locale.ROOT), grade);
        try {
            return Optional.of(new Capacitor(
                    microfarads.get(),
                    rated.get(),
                    ratedFor(words.substring(volts.end()), kind),
                    kind,
                    grade,
                    tolerance.find() ? Optional.of(Double.parseDouble(tolerance.group(1))) : Optional.empty(),
                    celsius.find() ? Optional.of(Double.parseDouble(celsius.group(1))) : Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty()));
        } catch (Invalid e) {
            return Optional.empty();
        }
    }

    private static Optional<Double> read(String typed, String unit) {
        return Quantity.read(typed, unit) instanceof Typed.Read<Double> read
                ? Optional.of(read.value())
                : Optional.empty();
    }

    private static CapacitorKind kind(String words, Optional<String> grade) {
        if (grade.isPresent()) {
            return grade.get().startsWith("X") ? CapacitorKind.SAFETY_X : CapacitorKind.SAFETY_Y;
        }
        for (CapacitorKind kind : CapacitorKind.values()) {
            if (words.contains(kind.words())) {
                return kind;
            }
        }
        return CapacitorKind.FILM;
    }
}
