package wrenchnotes.server.exchange;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.networknt.schema.utils.JsonNodes;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.teardown.form.OverviewForm;
import wrenchnotes.server.teardown.form.PhotoForm;
import wrenchnotes.server.teardown.form.StepForm;

/** Notes as a JSON file, written for other software and for the next fifty years; checked by its schema when read. */
@Component
public class TeardownFile {

    static final String SCHEMA = "/exchange/teardown-1.schema.json";
    private static final String FORMAT = "wrench-notes/teardown/1";
    private static final int MOST_TOLD = 8;
    private static final int LONGEST = 60_000_000;

    /** Parts of the overview that name components. */
    private static final List<String> POINTS = List.of("watch", "lookOver", "points");

    private final JsonMapper json;

    TeardownFile(JsonMapper json) {
        this.json = json.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    /**
     * The notes of one revision with the names that make them readable elsewhere.
     *
     * @param components by id, as the steps name them
     * @param photos the pictures that the steps name, by hash
     */
    record Content(
            ModelName model,
            String revision,
            String tellApart,
            Optional<Photo> look,
            Map<Long, Part> components,
            Map<String, byte[]> photos,
            Teardown notes) {

        String name(long component) {
            return components.get(component).name();
        }
    }

    record ModelName(String maker, String name, Kind kind) {}

    /** A component as the file has it. */
    record Part(String name, List<String> aliases, Optional<ModelName> inside) {}

    String write(Content content) {
        ObjectNode file = json.createObjectNode();
        file.put("format", FORMAT);
        file.set("model", json.valueToTree(content.model()));
        ObjectNode revision = file.putObject("revision");
        revision.put("name", content.revision()).put("tellApart", content.tellApart());
        content.look().ifPresent(look -> revision.set("look", json.valueToTree(PhotoForm.of(look))));
        ArrayNode components = file.putArray("components");
        for (Part part : content.components().values()) {
            ObjectNode node = components.addObject().put("name", part.name());
            node.set("aliases", json.valueToTree(part.aliases()));
            part.inside().ifPresent(inside -> node.set("inside", json.valueToTree(inside)));
        }
        ObjectNode overview =
                json.valueToTree(OverviewForm.of(null, content.notes().overview()));
        for (String points : POINTS) {
            for (JsonNode point : overview.path(points).values()) {
                ((ObjectNode) point)
                        .put("component", content.name(point.get("component").asLong()));
            }
        }
        file.set("overview", overview);
        ArrayNode steps = file.putArray("steps");
        for (Step step : content.notes().steps()) {
            ObjectNode node = json.valueToTree(StepForm.of(step));
            ArrayNode exposes = node.putArray("exposes");
            // By name: ids differ from shop to shop, and the same notes are always written the same way.
            step.exposes().stream().map(content::name).sorted().forEach(exposes::add);
            steps.add(node);
        }
        ObjectNode photos = file.putObject("photos");
        content.photos()
                .forEach((hash, jpeg) -> photos.put(hash, Base64.getEncoder().encodeToString(jpeg)));
        return json.writeValueAsString(file) + "\n";
    }

    /**
     * Components get ids from 1 up, in the order of the file; whoever stores them gives them others.
     *
     * @throws Invalid with line and reason of each thing that is wrong; nothing of such a file is taken
     */
    Content read(String text) {
        refuseWhatTheSchemaRefuses(text);
        JsonNode file = json.readTree(text);
        Map<Long, Part> components = new TreeMap<>();
        file.get("components").values().forEach(node -> components.put(components.size() + 1L, part(node)));
        Map<String, Long> ids = new TreeMap<>();
        components.forEach((id, part) -> {
            if (ids.put(part.name(), id) != null) {
                throw new Invalid("components", "Two components are called \"" + part.name() + "\"");
            }
        });
        List<Step> steps = file.get("steps").values().stream()
                .map(node -> step((ObjectNode) node, ids))
                .toList();
        return new Content(
                model(file.get("model")),
                file.get("revision").get("name").asString(),
                file.get("revision").path("tellApart").asString(""),
                file.get("revision").optional("look").map(look -> json.treeToValue(look, PhotoForm.class)
                        .photo()),
                components,
                photos(file.path("photos")),
                Teardown.of(overview(file.path("overview"), ids), steps));
    }

    private static ModelName model(JsonNode node) {
        return new ModelName(
                node.get("maker").asString(),
                node.get("name").asString(),
                Kind.valueOf(node.get("kind").asString()));
    }

    private static Part part(JsonNode node) {
        if (node.isString()) {
            return new Part(node.asString(), List.of(), Optional.empty());
        }
        return new Part(
                node.get("name").asString(),
                node.path("aliases").values().stream().map(JsonNode::asString).toList(),
                node.optional("inside").map(TeardownFile::model));
    }

    private Overview overview(JsonNode node, Map<String, Long> ids) {
        if (node.isMissingNode()) {
            return Overview.NONE;
        }
        for (String points : POINTS) {
            for (JsonNode point : node.path(points).values()) {
                String name = point.get("component").asString();
                ((ObjectNode) point).put("component", known(ids, name, "A watch or test point"));
            }
        }
        return json.treeToValue(node, OverviewForm.class).overview();
    }

    private static long known(Map<String, Long> ids, String name, String who) {
        Long id = ids.get(name);
        if (id == null) {
            throw new Invalid("components", who + " names \"" + name + "\", which is not among the file's components");
        }
        return id;
    }

    private static Map<String, byte[]> photos(JsonNode node) {
        Map<String, byte[]> photos = new TreeMap<>();
        node.properties().forEach(photo -> {
            try {
                photos.put(
                        photo.getKey(),
                        Base64.getDecoder().decode(photo.getValue().asString()));
            } catch (IllegalArgumentException e) {
                throw new Invalid("photos", "Photo " + photo.getKey() + " is not base64");
            }
        });
        return photos;
    }

    private Step step(ObjectNode node, Map<String, Long> ids) {
        ArrayNode exposes = json.createArrayNode();
        for (JsonNode name : node.path("exposes").values()) {
            exposes.add(
                    known(ids, name.asString(), "Step \"" + node.get("title").asString() + "\""));
        }
        node.set("exposes", exposes);
        return json.treeToValue(node, StepForm.class).step();
    }

    private void refuseWhatTheSchemaRefuses(String text) {
        if (text.length() > LONGEST) {
            throw new Invalid("file", "This file is longer than any notes: at most 60 MB are read");
        }
        List<Error> errors;
        try {
            errors = schema().validate(text, InputFormat.JSON);
        } catch (IllegalArgumentException | JacksonException e) {
            throw new Invalid("file", "This is not JSON" + where(e) + ": " + firstLine(e));
        }
        if (errors.isEmpty()) {
            return;
        }
        String told = errors.stream().limit(MOST_TOLD).map(TeardownFile::told).collect(Collectors.joining("; "));
        String more = errors.size() > MOST_TOLD ? "; and " + (errors.size() - MOST_TOLD) + " more" : "";
        throw new Invalid("file", "Nothing was taken from this file. " + told + more);
    }

    private static String told(Error error) {
        TokenStreamLocation at = JsonNodes.tokenStreamLocationOf(error.getInstanceNode());
        String line = at == null || at.getLineNr() < 1 ? "" : "line " + at.getLineNr();
        String place = error.getInstanceLocation().toString();
        return line + (line.isEmpty() || place.isEmpty() ? "" : ", ") + place + ": " + error.getMessage();
    }

    private static String where(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof JacksonException jackson && jackson.getLocation() != null) {
                return ", line " + jackson.getLocation().getLineNr();
            }
        }
        return "";
    }

    private static String firstLine(Throwable e) {
        Throwable cause = e.getCause() == null ? e : e.getCause();
        return String.valueOf(cause.getMessage()).lines().findFirst().orElse("");
    }

    private static Schema schema() {
        try (InputStream stream = TeardownFile.class.getResourceAsStream(SCHEMA)) {
            return SchemaRegistry.withDefaultDialect(
                            SpecificationVersion.DRAFT_2020_12,
                            builder -> builder.nodeReader(reader -> reader.locationAware()))
                    .getSchema(stream, InputFormat.JSON);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
