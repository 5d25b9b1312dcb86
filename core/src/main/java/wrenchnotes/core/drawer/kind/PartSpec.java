package wrenchnotes.core.drawer.kind;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.StringJoiner;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * What is known of a part. Any field of its kind may be missing: not known is not the same as none.
 *
 * @param figures in the unit of each field
 * @param words of the others; the name of a choice, where a field has a list
 */
public record PartSpec(PartKind kind, Map<PartField, Double> figures, Map<PartField, String> words) {

    /** Two figures that differ by less are the same to whoever searches. */
    private static final double SAME = 0.02;

    public PartSpec {
        Checked.present("kind", kind);
        Map<PartField, Double> checked = new EnumMap<>(PartField.class);
        Map<PartField, String> said = new EnumMap<>(PartField.class);
        for (Map.Entry<PartField, Double> one : orNone(figures).entrySet()) {
            mustBeOf(kind, one.getKey());
            checked.put(
                    one.getKey(),
                    one.getKey().checked(Checked.present(one.getKey().words(), one.getValue())));
        }
        for (Map.Entry<PartField, String> one : orNone(words).entrySet()) {
            mustBeOf(kind, one.getKey());
            said.put(one.getKey(), one.getKey().checked(one.getValue()));
        }
        figures = Collections.unmodifiableMap(checked);
        words = Collections.unmodifiableMap(said);
    }

    /** Of which nothing more is known. */
    public static PartSpec of(PartKind kind) {
        return new PartSpec(kind, Map.of(), Map.of());
    }

    private static <V> Map<PartField, V> orNone(Map<PartField, V> said) {
        return said == null ? Map.of() : said;
    }

    private static void mustBeOf(PartKind kind, PartField field) {
        if (!kind.fields().contains(field)) {
            throw new Invalid(field.name(), "A " + kind.words() + " has no " + field.words() + ": leave it out");
        }
    }

    public PartSpec with(PartField field, double value) {
        Map<PartField, Double> more = new LinkedHashMap<>(figures);
        more.put(field, value);
        return new PartSpec(kind, more, words);
    }

    public PartSpec with(PartField field, String value) {
        Map<PartField, String> more = new LinkedHashMap<>(words);
        more.put(field, value);
        return new PartSpec(kind, figures, more);
    }

    public PartSpec with(PartField field, Spoken choice) {
        return with(field, choice.name());
    }

    OptionalDouble figure(PartField field) {
        Double value = figures.get(field);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    Optional<Double> figureIfAny(PartField field) {
        return Optional.ofNullable(figures.get(field));
    }

    Optional<String> word(PartField field) {
        return Optional.ofNullable(words.get(field));
    }

    <E extends Enum<E>> Optional<E> choice(PartField field, Class<E> of) {
        return word(field).map(name -> Enum.valueOf(of, name));
    }

    /**
     * Whether this may be what somebody asks for: of the same kind, and nothing that both say differs. Figures within a fiftieth are the
     * same, words in any case.
     *
     * @return how many of the fields asked for it is known to have; empty if it is something else
     */
    public Optional<Integer> answers(PartSpec asked) {
        if (kind != asked.kind()) {
            return Optional.empty();
        }
        int agree = 0;
        for (Map.Entry<PartField, Double> want : asked.figures().entrySet()) {
            OptionalDouble has = figure(want.getKey());
            if (has.isPresent()) {
                if (Math.abs(has.getAsDouble() - want.getValue()) > SAME * want.getValue()) {
                    return Optional.empty();
                }
                agree++;
            }
        }
        for (Map.Entry<PartField, String> want : asked.words().entrySet()) {
            Optional<String> has = word(want.getKey());
            if (has.isPresent()) {
                if (!has.get().equalsIgnoreCase(want.getValue())) {
                    return Optional.empty();
                }
                agree++;
            }
        }
        return Optional.of(agree);
    }

    /** Whether anything is known of both: of two that nothing is known of nothing can be said. */
    public boolean comparesWith(PartSpec other) {
        return kind == other.kind()
                && kind.fields().stream()
                        .anyMatch(field -> figures.containsKey(field) && other.figures.containsKey(field)
                                || words.containsKey(field) && other.words.containsKey(field));
    }

    /** What is known, in the order of the kind: "inner circumference 64 mm, square, width 1.6 mm". */
    public String told() {
        StringJoiner told = new StringJoiner(", ");
        for (PartField field : kind.fields()) {
            figure(field).ifPresent(value -> told.add(told(field, value)));
            word(field).ifPresent(value -> told.add(told(field, value)));
        }
        return told.toString();
    }

    private static String told(PartField field, double value) {
        String figure = Figures.of(value, 6);
        return switch (field) {
            case CAPACITANCE, VOLTS, RESISTANCE, WATTS, AMPS, MILLIAMPS -> figure + " " + field.unit();
            case TEETH, WAYS -> figure + " " + field.words();
            case TOLERANCE -> "±" + figure + " %";
            default -> field.words() + " " + figure + (field.unit().isEmpty() ? "" : " " + field.unit());
        };
    }

    private static String told(PartField field, String value) {
        if (field == PartField.SPLINED) {
            return value.equals(PartField.YesOrNo.YES.name()) ? "splined" : "smooth bore";
        }
        String words = field.choice(value).map(Spoken::words).orElse(value);
        return switch (field) {
            case SAFETY_CLASS -> "class " + words;
            case OF_MODEL -> "of " + words;
            case HEAD -> words + " head";
            default -> words;
        };
    }

    /** The fields of which nothing is known. */
    public List<PartField> unknown() {
        return kind.fields().stream()
                .filter(field -> !figures.containsKey(field) && !words.containsKey(field))
                .toList();
    }
}
