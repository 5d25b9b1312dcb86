package wrenchnotes.server.doors;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Makes what could be sent through a door: bodies of the right shape, and such with one thing wrong. */
final class Bodies {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int DEEPEST = 6;
    private static final List<String> TEXTS = List.of(
            "belt",
            "lid",
            "before",
            "",
            " ",
            "0",
            "Robert'); DROP TABLE job;--",
            "<script>alert(1)</script>",
            "\u0000\u0007",
            "ä\uD83D\uDD27ö",
            "../../etc/passwd",
            "x".repeat(5000));
    private static final List<Number> NUMBERS =
            List.of(0, 1, 2, 3, 5, 12, 230, -1, 0.5, 2.9, 1e-9, 1e12, -1e12, Integer.MAX_VALUE, Long.MAX_VALUE);

    private final ApiWords words;
    private final Random random;

    Bodies(ApiWords words, Random random) {
        this.words = words;
        this.random = random;
    }

    /** Of the right shape, though perhaps of no sense. */
    JsonNode fitting(JsonNode schema) {
        return made(schema, 0);
    }

    /** The same with one thing wrong somewhere. */
    JsonNode spoilt(JsonNode schema) {
        JsonNode body = fitting(schema);
        List<Runnable> ways = new ArrayList<>();
        waysToSpoil(body, ways);
        if (ways.isEmpty()) {
            return wrong();
        }
        ways.get(random.nextInt(ways.size())).run();
        return body;
    }

    private void waysToSpoil(JsonNode node, List<Runnable> ways) {
        if (node instanceof ObjectNode object) {
            object.propertyNames().forEach(name -> {
                ways.add(() -> object.remove(name));
                ways.add(() -> object.set(name, wrong()));
                ways.add(() -> object.put(name + "x", 1));
            });
        }
        if (node instanceof ArrayNode array && !array.isEmpty()) {
            ways.add(() -> array.set(0, wrong()));
            ways.add(() -> array.addNull());
        }
        node.forEach(child -> waysToSpoil(child, ways));
    }

    private JsonNode wrong() {
        return switch (random.nextInt(6)) {
            case 0 -> JSON.nullNode();
            case 1 -> JSON.valueToTree(pick(TEXTS));
            case 2 -> JSON.valueToTree(pick(NUMBERS));
            case 3 -> JSON.createArrayNode().add(JSON.createArrayNode());
            case 4 -> JSON.createObjectNode().put("no", "such");
            default -> JSON.valueToTree(random.nextBoolean());
        };
    }

    private JsonNode made(JsonNode reference, int depth) {
        JsonNode schema = words.resolved(reference);
        if (schema.has("enum")) {
            return schema.get("enum").get(random.nextInt(schema.get("enum").size()));
        }
        return switch (schema.path("type").asString("")) {
            case "string" -> JSON.valueToTree(text(schema));
            case "integer" -> JSON.valueToTree(random.nextInt(4) > 0 ? (Number) random.nextInt(300) : pick(NUMBERS));
            case "number" ->
                JSON.valueToTree(random.nextInt(4) > 0 ? (Number) (random.nextInt(900) / 10.0) : pick(NUMBERS));
            case "boolean" -> JSON.valueToTree(random.nextBoolean());
            case "array" -> array(schema, depth);
            case "object" -> object(schema, depth);
            default -> wrong();
        };
    }

    private String text(JsonNode schema) {
        return switch (schema.path("format").asString("")) {
            case "date-time" -> random.nextBoolean() ? "2026-12-24T10:00:00Z" : "1812-01-01T00:00:00Z";
            case "date" -> "2026-12-24";
            default -> random.nextInt(3) > 0 ? "word " + random.nextInt(40) : pick(TEXTS);
        };
    }

    private ArrayNode array(JsonNode schema, int depth) {
        ArrayNode array = JSON.createArrayNode();
        int size = depth >= DEEPEST ? 0 : random.nextInt(4);
        for (int at = 0; at < size; at++) {
            array.add(made(schema.get("items"), depth + 1));
        }
        return array;
    }

    private ObjectNode object(JsonNode schema, int depth) {
        ObjectNode object = JSON.createObjectNode();
        List<String> required = schema.path("required").values().stream()
                .map(JsonNode::asString)
                .toList();
        schema.path("properties").properties().forEach(property -> {
            boolean wanted = depth < DEEPEST && random.nextBoolean();
            if (wanted || required.contains(property.getKey())) {
                object.set(property.getKey(), made(property.getValue(), depth + 1));
            }
        });
        return object;
    }

    private <T> T pick(List<T> from) {
        return from.get(random.nextInt(from.size()));
    }
}
