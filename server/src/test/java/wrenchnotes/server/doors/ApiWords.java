package wrenchnotes.server.doors;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The API's description, read for what can be asked and what is promised in answer. */
final class ApiWords {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final SchemaRegistry SCHEMAS = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);

    /** @param place "path", "query", "header" */
    record Parameter(String name, String place, boolean required, String type) {}

    /** @param body schema of what is sent along @param answer schema of what a good answer is; both JSON */
    record Door(
            String method,
            String path,
            List<Parameter> parameters,
            Optional<JsonNode> body,
            Optional<JsonNode> answer) {

        @Override
        public String toString() {
            return method + " " + path;
        }

        boolean has(String parameter) {
            return parameters.stream().anyMatch(one -> one.name().equals(parameter));
        }
    }

    private final JsonNode description;

    ApiWords(JsonNode description) {
        this.description = description;
    }

    List<Door> doors() {
        List<Door> doors = new ArrayList<>();
        description.get("paths").properties().forEach(path -> path.getValue()
                .properties()
                .forEach(operation -> doors.add(door(
                        operation.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(), operation.getValue()))));
        return doors;
    }

    private static Door door(String method, String path, JsonNode operation) {
        List<Parameter> parameters = new ArrayList<>();
        operation
                .path("parameters")
                .forEach(one -> parameters.add(new Parameter(
                        one.get("name").asString(),
                        one.get("in").asString(),
                        one.path("required").asBoolean(false),
                        one.get("schema").path("type").asString(""))));
        JsonNode good = operation.get("responses").properties().stream()
                .filter(answer -> answer.getKey().startsWith("2"))
                .map(java.util.Map.Entry::getValue)
                .findFirst()
                .orElseThrow();
        return new Door(method, path, parameters, json(operation.path("requestBody")), json(good));
    }

    private static Optional<JsonNode> json(JsonNode content) {
        return Optional.of(content.path("content").path("application/json").path("schema"))
                .filter(schema -> !schema.isMissingNode());
    }

    /** What a reference stands for; anything else as it is. */
    JsonNode resolved(JsonNode schema) {
        return schema.has("$ref") ? description.at(schema.get("$ref").asString().substring(1)) : schema;
    }

    /** A check of an answer: what the description promises must be there, and nothing that it does not name. */
    Schema promise(JsonNode answer) {
        ObjectNode whole = JSON.createObjectNode();
        ObjectNode components = description.get("components").deepCopy().asObject();
        components.get("schemas").forEach(ApiWords::close);
        whole.set("components", components);
        answer.properties().forEach(part -> whole.set(part.getKey(), part.getValue()));
        return SCHEMAS.getSchema(whole);
    }

    private static void close(JsonNode schema) {
        if (schema.has("properties") && !schema.has("additionalProperties")) {
            ((ObjectNode) schema).put("additionalProperties", false);
        }
    }
}
