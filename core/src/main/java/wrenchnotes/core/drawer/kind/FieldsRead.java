package wrenchnotes.core.drawer.kind;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/** The fields of one part as they are read off its words, one after another; the first that says a field is taken. Lives for one reading. */
final class FieldsRead {

    /** A number, within a pattern. */
    static final String N = "(\\d+(?:\\.\\d+)?)";

    private final String plain;
    private PartSpec spec;

    FieldsRead(PartKind kind, String plain) {
        this.plain = plain;
        this.spec = PartSpec.of(kind);
    }

    PartSpec spec() {
        return spec;
    }

    String plain() {
        return plain;
    }

    static Pattern words(String pattern) {
        return Pattern.compile(pattern, Pattern.CASE_INSENSITIVE);
    }

    Optional<Matcher> find(Pattern pattern) {
        return ReadPart.find(pattern, plain);
    }

    boolean says(Pattern pattern) {
        return pattern.matcher(plain).find();
    }

    /** A figure that no such part can have was not meant as that. */
    void put(PartField field, double value) {
        if (!spec.figures().containsKey(field)) {
            try {
                spec = spec.with(field, value);
            } catch (Invalid e) {
                // Not known, then.
            }
        }
    }

    void put(PartField field, String value) {
        if (!spec.words().containsKey(field)) {
            try {
                spec = spec.with(field, value);
            } catch (Invalid e) {
                // Not known, then.
            }
        }
    }

    void put(PartField field, Spoken choice) {
        put(field, choice.name());
    }

    /** The groups of the first place where a pattern stands go into some fields, as far as they are there. */
    void figures(Pattern pattern, PartField... fields) {
        find(pattern).ifPresent(found -> {
            for (int at = 0; at < fields.length; at++) {
                if (found.group(at + 1) != null) {
                    put(fields[at], Double.parseDouble(found.group(at + 1)));
                }
            }
        });
    }

    /** The first of some words that is said. */
    void firstOf(PartField field, Pattern pattern) {
        find(pattern).ifPresent(found -> put(field, found.group().strip()));
    }

    void when(Pattern said, PartField field, Spoken choice) {
        if (says(said)) {
            put(field, choice);
        }
    }
}
