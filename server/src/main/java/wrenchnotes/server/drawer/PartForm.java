package wrenchnotes.server.drawer;

import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.drawer.kind.PartField;
import wrenchnotes.core.drawer.kind.PartKind;
import wrenchnotes.core.drawer.kind.PartSpec;
import wrenchnotes.server.ground.Stored;

/** What is known of a part as it stands in the database beside its kind, form 1. Never changed: docs/decisions/0013-the-store.md */
record PartForm(Integer form, Map<String, Double> figures, Map<String, String> words) {

    private static final int NUMBER = 1;

    static String text(PartSpec spec) {
        Map<String, Double> figures = new TreeMap<>();
        spec.figures().forEach((field, value) -> figures.put(field.name(), value));
        Map<String, String> words = new TreeMap<>();
        spec.words().forEach((field, value) -> words.put(field.name(), value));
        return Stored.text(new PartForm(NUMBER, figures, words));
    }

    static PartSpec spec(String kind, String text) {
        JsonNode tree = Stored.tree(text);
        if (Stored.number(tree) > NUMBER) {
            throw Stored.unknown("A part", tree);
        }
        PartForm is = Stored.read(tree, PartForm.class);
        Map<PartField, Double> figures = new EnumMap<>(PartField.class);
        Map<PartField, String> words = new EnumMap<>(PartField.class);
        if (is.figures() != null) {
            is.figures().forEach((name, value) -> figures.put(PartField.valueOf(name), value));
        }
        if (is.words() != null) {
            is.words().forEach((name, value) -> words.put(PartField.valueOf(name), value));
        }
        return new PartSpec(PartKind.valueOf(kind), figures, words);
    }
}
