package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Something that a step meets and does not take off. No account holds it, since it never leaves the unit.
 *
 * @param id unique within its step, up to 80 characters; stays the same from version to version
 * @param label up to 80 characters
 * @param words of what is left alone, why; of what is adjusted, how it is best marked: "line across post and plate"; up to 200 characters, and
 *     empty only where nothing is left alone
 */
public record Staying(String id, String label, StaysAs as, String words) {

    public Staying {
        id = Checked.text("id", id, 80);
        label = Checked.text("label", label, 80);
        Checked.present("as", as);
        words = Checked.optionalText("words", words, 200);
        if (as == StaysAs.LEAVE_ALONE && words.isEmpty()) {
            throw new Invalid("words", "Say why \"" + label + "\" is left alone: who knows the reason keeps away");
        }
    }

    /** "height screw: adjusted, line across post and plate". */
    public String sentence() {
        return label + ": " + as.words() + (words.isEmpty() ? "" : ", " + words);
    }
}
