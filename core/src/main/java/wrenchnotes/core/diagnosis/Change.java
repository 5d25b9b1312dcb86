package wrenchnotes.core.diagnosis;

import java.util.Set;
import java.util.TreeSet;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Spoken;

/** What a remedy did to a symptom. */
public enum Change implements Spoken {
    WENT,
    STAYED,
    CAME;

    /** @param symptom in the shop's words */
    public record After(String symptom, Change change) {
        public After {
            symptom = Checked.text("symptom", symptom, 80);
            Checked.present("change", change);
        }
    }

    /** Which symptoms are there and which are not, as remedies change them one after the other. */
    public record Now(Set<String> present, Set<String> absent) {

        public Now {
            present = Set.copyOf(present);
            absent = Set.copyOf(absent);
        }

        /** A symptom that stayed is there, whatever was said of it before. */
        public Now after(Iterable<After> changes) {
            Set<String> there = new TreeSet<>(present);
            Set<String> not = new TreeSet<>(absent);
            for (After after : changes) {
                boolean went = after.change() == WENT;
                (went ? there : not).remove(after.symptom());
                (went ? not : there).add(after.symptom());
            }
            return new Now(there, not);
        }
    }
}
