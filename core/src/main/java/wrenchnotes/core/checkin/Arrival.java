package wrenchnotes.core.checkin;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * The state of a unit as it came over the counter.
 *
 * @param complaint what is wrong, in the owner's words
 * @param symptoms each asked once, with whether it is so; "asked and not so" is kept
 * @param missing fasteners and pieces of the notes that were not there
 * @param belongings what came with it and goes back with it, discs inside and their scratches too
 * @param photos of its state
 * @param without what came without it, and is asked for at handover like what came with it: "remote"; left out (null) means nothing is known to be absent
 * @param places where a mark is, in words: "dents" is "front left corner"
 */
public record Arrival(
        String complaint,
        List<Symptom> symptoms,
        Set<ArrivalMark> marks,
        String condition,
        List<Missing> missing,
        List<String> belongings,
        List<ArrivalPhoto> photos,
        Map<ArrivalMark, String> places,
        List<String> without) {

    private static final int MOST_WORDS = 60;
    private static final int MOST_BELONGINGS = 40;
    private static final int MOST_PHOTOS = 12;

    /** @param hash of a photo that was kept */
    public record ArrivalPhoto(String hash, String words) {
        public ArrivalPhoto {
            hash = Checked.text("photo", hash, 64);
            words = Checked.optionalText("words", words, 200);
        }
    }

    /** @param present false: asked, and it is not so */
    public record Symptom(String name, boolean present) {
        public Symptom {
            name = Checked.text("symptom", name, 80);
        }
    }

    /**
     * @param thing its id in the notes
     * @param count 1 to 99
     */
    public record Missing(String thing, int count) {
        public Missing {
            thing = Checked.text("thing", thing, 80);
            Checked.within("count", count, 1, 99);
        }
    }

    public Arrival {
        complaint = Checked.optionalText("complaint", complaint, 1000);
        condition = Checked.optionalText("condition", condition, 1000);
        symptoms = onceEach(symptoms == null ? List.of() : symptoms);
        marks = agreeing(marks == null ? Set.of() : marks);
        missing = missing == null ? List.of() : List.copyOf(missing);
        belongings = listed("belongings", belongings == null ? List.of() : belongings);
        without = listed("without", without == null ? List.of() : without);
        photos = photos == null ? List.of() : List.copyOf(photos);
        Checked.within("symptoms", symptoms.size(), 0, MOST_WORDS);
        Checked.within("missing", missing.size(), 0, MOST_WORDS);
        Checked.within("belongings", belongings.size() + without.size(), 0, MOST_BELONGINGS);
        without.stream().filter(belongings::contains).findFirst().ifPresent(name -> {
            throw new Invalid("without", "\"" + name + "\" cannot have come with it and be absent: keep one");
        });
        Checked.within("photos", photos.size(), 0, MOST_PHOTOS);
        places = placed(places == null ? Map.of() : places, marks);
    }

    /** One of which nothing is known to be absent. */
    public Arrival(
            String complaint,
            List<Symptom> symptoms,
            Set<ArrivalMark> marks,
            String condition,
            List<Missing> missing,
            List<String> belongings,
            List<ArrivalPhoto> photos,
            Map<ArrivalMark, String> places) {
        this(complaint, symptoms, marks, condition, missing, belongings, photos, places, null);
    }

    private static Map<ArrivalMark, String> placed(Map<ArrivalMark, String> places, Set<ArrivalMark> marks) {
        Map<ArrivalMark, String> said = new EnumMap<>(ArrivalMark.class);
        places.forEach((mark, where) -> {
            String words = Checked.optionalText("places", where, 120);
            if (marks.contains(mark) && !words.isEmpty()) {
                said.put(mark, words);
            }
        });
        return Map.copyOf(said);
    }

    private static List<Symptom> onceEach(List<Symptom> symptoms) {
        Set<String> said = new HashSet<>();
        for (Symptom symptom : symptoms) {
            if (!said.add(symptom.name().toLowerCase(Locale.ROOT))) {
                throw new Invalid("symptoms", "\"" + symptom.name() + "\" is there twice: keep one");
            }
        }
        return List.copyOf(symptoms);
    }

    private static Set<ArrivalMark> agreeing(Set<ArrivalMark> marks) {
        if (marks.contains(ArrivalMark.SEAL_WHOLE) && marks.contains(ArrivalMark.SEAL_BROKEN)) {
            throw new Invalid("marks", "The seal cannot be whole and broken: keep one");
        }
        return marks.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(marks));
    }

    private static List<String> listed(String field, List<String> belongings) {
        List<String> checked = new ArrayList<>();
        for (int at = 0; at < belongings.size(); at++) {
            checked.add(Checked.text(field + "[" + at + "]", belongings.get(at), 120));
        }
        return List.copyOf(checked);
    }
}
