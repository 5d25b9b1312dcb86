package wrenchnotes.core.diagnosis.history;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Spoken;

/** What a unit is, from the most specific to the widest: revision, model, kind. */
public record Where(long revision, long model, Kind kind) {

    public Where {
        Checked.present("kind", kind);
    }

    /** The narrowest thing that a unit has in common with another. */
    Level nearness(Where other) {
        if (revision == other.revision) {
            return Level.REVISION;
        }
        if (model == other.model) {
            return Level.MODEL;
        }
        return kind == other.kind ? Level.KIND : Level.ALL;
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
