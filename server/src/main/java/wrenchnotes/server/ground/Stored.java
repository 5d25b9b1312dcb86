package wrenchnotes.server.ground;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * JSON as it stands in the database. Each stored form is a record of its own with a number in it, {@code "form":1}, which is
 * never changed once it was written to a shop; whoever needs another makes the next number and keeps the reader of the one
 * before. Types of the core know nothing of it, so that they can be renamed. docs/decisions/0013-the-store.md
 */
public final class Stored {

    private static final JsonMapper JSON = JsonMapper.builder()
            .changeDefaultPropertyInclusion(inclusion -> inclusion.withValueInclusion(JsonInclude.Include.NON_EMPTY))
            .build();

    private Stored() {}

    /** A form as text; what is empty is left out. */
    public static String text(Object form) {
        return JSON.writeValueAsString(form);
    }

    /**
     * What was so when it was written, under the names that it had then: read by people and by exports as names and values,
     * never into a type of the core.
     */
    public static String document(Object what) {
        JsonNode tree = JSON.valueToTree(what);
        ObjectNode document = JSON.createObjectNode().put("form", 1);
        if (tree instanceof ObjectNode fields) {
            document.setAll(fields);
        } else {
            document.set("is", tree);
        }
        return JSON.writeValueAsString(document);
    }

    /** The words of a list. */
    public static List<String> texts(String list) {
        List<String> texts = new ArrayList<>();
        JSON.readTree(list).forEach(text -> texts.add(text.asString()));
        return texts;
    }

    public static JsonNode tree(String text) {
        return JSON.readTree(text);
    }

    /** The number of the form; 0 for what was written before forms had numbers. */
    public static int number(JsonNode tree) {
        return tree.path("form").asInt(0);
    }

    public static <T> T read(JsonNode tree, Class<T> form) {
        return JSON.treeToValue(tree, form);
    }

    /** @throws UnknownForm always: this program is older than what was written */
    public static UnknownForm unknown(String what, JsonNode tree) {
        return new UnknownForm(what, number(tree));
    }

    /** Something was written by a newer version of the program. */
    public static final class UnknownForm extends IllegalStateException {
        UnknownForm(String what, int number) {
            super(what + " of form " + number + " cannot be read by this version: start the newer one that wrote it");
        }
    }
}
