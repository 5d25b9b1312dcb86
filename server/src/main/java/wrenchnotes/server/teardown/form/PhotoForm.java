package wrenchnotes.server.teardown.form;

import java.util.List;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Photo.Mark;
import wrenchnotes.core.teardown.Photo.MarkKind;
import wrenchnotes.server.ground.Stored;
import wrenchnotes.server.teardown.form.FastenerForm.SpotForm;

/** A photo and what is marked on it: within {@link StepForm}, and as what a revision looks like from outside. */
public record PhotoForm(Integer form, String hash, String words, List<MarkForm> marks) {

    private static final int NUMBER = 1;

    public record MarkForm(String kind, SpotForm at, String words) {

        private Mark mark() {
            return new Mark(MarkKind.valueOf(kind), at.spot(), words);
        }
    }

    /** Within another form, whose number holds for it too. */
    public static PhotoForm of(Photo photo) {
        return numbered(null, photo);
    }

    private static PhotoForm numbered(Integer form, Photo photo) {
        return new PhotoForm(
                form,
                photo.hash(),
                photo.words(),
                photo.marks().stream()
                        .map(mark -> new MarkForm(mark.kind().name(), SpotForm.of(mark.at()), mark.words()))
                        .toList());
    }

    public Photo photo() {
        return new Photo(hash, words, StepForm.each(marks, MarkForm::mark));
    }

    public static String text(Photo photo) {
        return Stored.text(numbered(NUMBER, photo));
    }

    /** Reads what was ever written: form 0 had no number, and was otherwise as form 1. */
    public static Photo photo(String text) {
        var tree = Stored.tree(text);
        if (Stored.number(tree) > NUMBER) {
            throw Stored.unknown("A photo", tree);
        }
        return Stored.read(tree, PhotoForm.class).photo();
    }
}
