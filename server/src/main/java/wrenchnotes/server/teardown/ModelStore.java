package wrenchnotes.server.teardown;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;
import wrenchnotes.server.teardown.form.PhotoForm;

/** Models, revisions, components and known faults. */
@Component
public class ModelStore {

    private static final TypeReference<List<String>> NAMES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;

    ModelStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    public record Model(long id, String maker, String name, Kind kind, long version) {

        public String title() {
            return maker + " " + name;
        }
    }

    /**
     * @param look a picture of what tells it apart from outside
     * @param notes number of the newest version of its notes, 0 if it has none
     */
    public record Revision(
            long id, long modelId, String name, String tellApart, Optional<Photo> look, long version, long notes) {}

    /**
     * @param aliases other names that people call it by
     * @param inside the model that it is, if it is one of its own: a drive, a supply
     */
    public record ModelComponent(long id, String name, List<String> aliases, Optional<Long> inside, long version) {}

    /** A known fault of a component. */
    public record Fault(long id, long componentId, String wrong) {}

    private static final String REVISION = """
            SELECT revision.id, model_id, name, tell_apart, look, version,
                   COALESCE((SELECT MAX(number) FROM teardown WHERE revision_id = revision.id), 0) AS notes
            FROM revision
            """;

    public List<Model> models() {
        return jdbc.sql("SELECT id, maker, name, kind, version FROM model ORDER BY maker, name")
                .query((row, n) -> model(row))
                .list();
    }

    /** @throws NotFound if there is none */
    public Model model(long id) {
        return jdbc.sql("SELECT id, maker, name, kind, version FROM model WHERE id = :id")
                .param("id", id)
                .query((row, n) -> model(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no model " + id));
    }

    private static Model model(ResultSet row) throws SQLException {
        return new Model(
                row.getLong("id"),
                row.getString("maker"),
                row.getString("name"),
                Kind.valueOf(row.getString("kind")),
                row.getLong("version"));
    }

    public Optional<Long> idOf(String maker, String name) {
        return jdbc.sql("SELECT id FROM model WHERE maker = :maker AND name = :name")
                .param("maker", maker)
                .param("name", name)
                .query(Long.class)
                .optional();
    }

    long addModel(String maker, String name, Kind kind) {
        return Sql.inserted(jdbc.sql("INSERT INTO model (maker, name, kind) VALUES (:maker, :name, :kind)")
                .param("maker", maker)
                .param("name", name)
                .param("kind", kind.name()));
    }

    void changeModel(long id, String maker, String name, Kind kind) {
        jdbc.sql("""
                        UPDATE model
                        SET maker = :maker, name = :name, kind = :kind, version = version + 1
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("maker", maker)
                .param("name", name)
                .param("kind", kind.name())
                .update();
    }

    public List<Revision> revisions(long model) {
        return jdbc.sql(REVISION + "WHERE model_id = :model ORDER BY name")
                .param("model", model)
                .query((row, n) -> revision(row))
                .list();
    }

    List<Revision> revisions() {
        return jdbc.sql(REVISION + "ORDER BY name")
                .query((row, n) -> revision(row))
                .list();
    }

    /** @throws NotFound if there is none */
    public Revision revision(long id) {
        return jdbc.sql(REVISION + "WHERE id = :id")
                .param("id", id)
                .query((row, n) -> revision(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no revision " + id));
    }

    private Revision revision(ResultSet row) throws SQLException {
        return new Revision(
                row.getLong("id"),
                row.getLong("model_id"),
                row.getString("name"),
                row.getString("tell_apart"),
                Optional.ofNullable(row.getString("look")).map(PhotoForm::photo),
                row.getLong("version"),
                row.getLong("notes"));
    }

    boolean hasRevision(long model, String name) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM revision WHERE model_id = :model AND name = :name)")
                .param("model", model)
                .param("name", name)
                .query(Boolean.class)
                .single();
    }

    long addRevision(long model, String name, String tellApart) {
        return Sql.inserted(
                jdbc.sql("INSERT INTO revision (model_id, name, tell_apart) VALUES (:model, :name, :tellApart)")
                        .param("model", model)
                        .param("name", name)
                        .param("tellApart", tellApart));
    }

    void changeRevision(long id, String name, String tellApart, Optional<Photo> look) {
        jdbc.sql("""
                        UPDATE revision
                        SET name = :name, tell_apart = :tellApart, look = :look, version = version + 1
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("name", name)
                .param("tellApart", tellApart)
                .param("look", look.map(PhotoForm::text).orElse(null))
                .update();
    }

    private static final String COMPONENT = "SELECT component.id, name, aliases, inside, version FROM component ";

    public List<ModelComponent> components(long model) {
        return jdbc.sql(COMPONENT + "WHERE model_id = :model ORDER BY name")
                .param("model", model)
                .query((row, n) -> component(row))
                .list();
    }

    /** @throws NotFound if there is none */
    public ModelComponent component(long id) {
        return jdbc.sql(COMPONENT + "WHERE id = :id")
                .param("id", id)
                .query((row, n) -> component(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no component " + id));
    }

    /** Those of the components that are models of their own, in the order given. */
    public List<ModelComponent> withModelInside(List<Long> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        return jdbc.sql(COMPONENT + """
                        JOIN json_each(:ids) AS asked ON component.id = asked.value
                        WHERE inside IS NOT NULL
                        ORDER BY asked.key
                        """)
                .param("ids", Stored.text(ids))
                .query((row, n) -> component(row))
                .list();
    }

    public long modelOfComponent(long id) {
        return jdbc.sql("SELECT model_id FROM component WHERE id = :id")
                .param("id", id)
                .query(Long.class)
                .single();
    }

    /** The component of a model that is called this, by its name or by another that people use. */
    public Optional<ModelComponent> component(long model, String called) {
        return jdbc.sql(COMPONENT + """
                        WHERE model_id = :model
                          AND (name = :called
                               OR EXISTS (SELECT 1 FROM json_each(aliases) WHERE value = :called COLLATE NOCASE))
                        ORDER BY name <> :called
                        LIMIT 1
                        """)
                .param("model", model)
                .param("called", called)
                .query((row, n) -> component(row))
                .optional();
    }

    void changeComponent(long id, String name, List<String> aliases, Optional<Long> inside) {
        jdbc.sql("""
                        UPDATE component
                        SET name = :name, aliases = :aliases, inside = :inside, version = version + 1
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("name", name)
                .param("aliases", json.writeValueAsString(aliases))
                .param("inside", inside.orElse(null))
                .update();
    }

    private ModelComponent component(ResultSet row) throws SQLException {
        return new ModelComponent(
                row.getLong("id"),
                row.getString("name"),
                json.readValue(row.getString("aliases"), NAMES),
                Sql.id(row, "inside"),
                row.getLong("version"));
    }

    public long addComponent(long model, String name) {
        return Sql.inserted(jdbc.sql("INSERT INTO component (model_id, name) VALUES (:model, :name)")
                .param("model", model)
                .param("name", name));
    }

    public List<Fault> faults(long model) {
        return jdbc.sql("""
                        SELECT fault.id, component_id, wrong
                        FROM fault JOIN component ON component.id = component_id
                        WHERE model_id = :model
                        ORDER BY component.name, wrong
                        """)
                .param("model", model)
                .query((row, n) -> new Fault(row.getLong("id"), row.getLong("component_id"), row.getString("wrong")))
                .list();
    }

    /** The id of this fault, which becomes a known one if it was not. */
    public long fault(long component, String wrong) {
        return jdbc.sql("SELECT id FROM fault WHERE component_id = :component AND wrong = :wrong")
                .param("component", component)
                .param("wrong", wrong)
                .query(Long.class)
                .optional()
                .orElseGet(() ->
                        Sql.inserted(jdbc.sql("INSERT INTO fault (component_id, wrong) VALUES (:component, :wrong)")
                                .param("component", component)
                                .param("wrong", wrong)));
    }
}
