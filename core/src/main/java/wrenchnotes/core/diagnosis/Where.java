package wrenchnotes.core.diagnosis;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Spoken;

/** What a unit is, from the most specific to the widest: revision, model, kind. */
public record Where(long revision, long model, Kind kind) {

    public Where {
        Checked.present("kind", kind);
    }

    /** How far one looks for jobs like this one. */
    public enum Level implements Spoken {
        REVISION,
        MODEL,
        KIND,
        ALL,
        /** No job of the shop: the small table of common practice that ships with it. */
        SHIPPED
    }
}
