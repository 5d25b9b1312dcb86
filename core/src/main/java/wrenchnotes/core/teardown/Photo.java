package wrenchnotes.core.teardown;

import java.util.List;
import java.util.regex.Pattern;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * A picture of a step.
 *
 * @param hash SHA-256 of the picture as kept, 64 hexadecimal digits: the same picture is kept once
 * @param words what is to be seen; may be empty
 * @param marks what is marked on it
 */
public record Photo(String hash, String words, List<Mark> marks) {

    private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

    public Photo {
        if (hash == null || !HASH.matcher(hash).matches()) {
            throw new Invalid("hash", "A photo is named by its SHA-256, 64 hexadecimal digits, not " + hash);
        }
        words = Checked.optionalText("words", words, 200);
        marks = marks == null ? List.of() : List.copyOf(marks);
    }

    /** What a mark points at. */
    public enum MarkKind implements Spoken {
        FASTENER,
        CONNECTOR,
        CAUTION
    }

    /**
     * A mark on a photo: data, not paint.
     *
     * @param at where, from the top left corner
     * @param words what it is: "the long one", "stripe to the edge"
     */
    public record Mark(MarkKind kind, Spot at, String words) {
        public Mark {
            Checked.present("kind", kind);
            Checked.present("at", at);
            words = Checked.text("words", words, 120);
        }
    }
}
