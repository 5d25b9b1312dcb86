package wrenchnotes.core.drawer;

import wrenchnotes.core.unit.Checked;

/**
 * How a part was made at the bench, for whoever needs the next one. Any of it may be empty.
 *
 * @param material what it is made of: "PETG", "brass rod 3 mm"
 * @param drawing the file or drawing that it was made by
 * @param tried fits that were tried and how they were: "bore 1.9 loose, 1.85 right"
 * @param filler what was used besides: "epoxy", "sleeve"
 */
public record Recipe(String material, String drawing, String tried, String filler) {

    public Recipe {
        material = Checked.optionalText("material", material, 120);
        drawing = Checked.optionalText("drawing", drawing, 200);
        tried = Checked.optionalText("tried", tried, 300);
        filler = Checked.optionalText("filler", filler, 120);
    }
}
