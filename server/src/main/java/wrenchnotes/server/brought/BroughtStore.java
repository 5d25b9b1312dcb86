package wrenchnotes.server.brought;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.brought.BroughtJob;
import wrenchnotes.core.brought.Field;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** Lists of past jobs, and their rows. */
@Component
class BroughtStore {

    enum State {
        READ,
        GOING,
        STOPPED,
        DONE,
        UNDONE
    }

    /**
     * @param kind what models are that the shop does not know
     * @param gone rows that were gone through
     */
    record Brought(
            long id,
            String name,
            Map<Field, Integer> columns,
            Kind kind,
            State state,
            int rows,
            int gone,
            Instant at,
            String by) {}

    /** Where a row's words stand in the shop. */
    record Resolved(long revision, List<Long> symptoms, Optional<Long> component, Optional<Long> fault) {}

    /** A row that can be taken. @param line of the table, 1 and up @param millis when it was done */
    record Taken(int line, long millis, BroughtJob job, Resolved resolved) {}

    private static final String BROUGHT = """
            SELECT brought.id, brought.name, columns, kind, state, rows, gone, at, person.name AS by
            FROM brought JOIN person ON person.id = by
            """;

    private final JdbcClient jdbc;
    private final JdbcTemplate template;

    BroughtStore(JdbcClient jdbc, JdbcTemplate template) {
        this.jdbc = jdbc;
        this.template = template;
    }

    /** Newest first. */
    List<Brought> all() {
        return jdbc.sql(BROUGHT + "ORDER BY brought.id DESC")
                .query((row, n) -> brought(row))
                .list();
    }

    Brought brought(long id) {
        return jdbc.sql(BROUGHT + "WHERE brought.id = :id")
                .param("id", id)
                .query((row, n) -> brought(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no list " + id));
    }

    private static Brought brought(ResultSet row) throws SQLException {
        Map<Field, Integer> columns = new EnumMap<>(Field.class);
        Stored.tree(row.getString("columns"))
                .properties()
                .forEach(one ->
                        columns.put(Field.valueOf(one.getKey()), one.getValue().asInt()));
        return new Brought(
                row.getLong("id"),
                row.getString("name"),
                columns,
                Kind.valueOf(row.getString("kind")),
                State.valueOf(row.getString("state")),
                row.getInt("rows"),
                row.getInt("gone"),
                Sql.instant(row, "at"),
                row.getString("by"));
    }

    /** The list as it was brought. */
    String said(long id) {
        return jdbc.sql("SELECT said FROM brought WHERE id = :id")
                .param("id", id)
                .query(String.class)
                .single();
    }

    long add(By by, String name, String said, int rows, Map<Field, Integer> columns) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO brought (name, said, columns, rows, at, by)
                                VALUES (:name, :said, :columns, :rows, :at, :by)
                                """)
                .param("name", name)
                .param("said", said)
                .param("columns", Stored.text(columns))
                .param("rows", rows)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void means(long id, Map<Field, Integer> columns, Kind kind) {
        jdbc.sql("UPDATE brought SET columns = :columns, kind = :kind WHERE id = :id")
                .param("columns", Stored.text(columns))
                .param("kind", kind.name())
                .param("id", id)
                .update();
    }

    void is(long id, State state) {
        jdbc.sql("UPDATE brought SET state = :state WHERE id = :id")
                .param("state", state.name())
                .param("id", id)
                .update();
    }

    /** After a restart nothing is going any more. */
    void stopAll() {
        jdbc.sql("UPDATE brought SET state = 'STOPPED' WHERE state = 'GOING'").update();
    }

    /** What is there already stays: a portion that is taken once more changes nothing. */
    void take(long id, int gone, List<Taken> portion) {
        template.batchUpdate("""
                INSERT INTO past_job (brought_id, line, at, owner, model, revision_id, symptoms, component_id, fault_id, remedy, part,
                                      cost_minor, outcome)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                ON CONFLICT (brought_id, line) DO NOTHING
                """, portion, Math.max(1, portion.size()), (row, taken) -> {
            BroughtJob job = taken.job();
            row.setLong(1, id);
            row.setInt(2, taken.line());
            row.setLong(3, taken.millis());
            row.setString(4, job.owner());
            row.setString(5, job.model());
            row.setLong(6, taken.resolved().revision());
            row.setString(7, Stored.text(taken.resolved().symptoms()));
            row.setObject(8, taken.resolved().component().orElse(null));
            row.setObject(9, taken.resolved().fault().orElse(null));
            row.setString(10, job.remedy().map(Enum::name).orElse(null));
            row.setString(11, job.part());
            row.setLong(12, job.costMinor());
            row.setString(13, job.outcome().map(Enum::name).orElse(null));
        });
        jdbc.sql("UPDATE brought SET gone = :gone WHERE id = :id")
                .param("gone", gone)
                .param("id", id)
                .update();
    }

    /** The word for what a unit does wrong, or the one that it was merged into; made if there is none. */
    long symptom(String name) {
        return jdbc.sql("SELECT id FROM symptom WHERE name = :name")
                .param("name", name)
                .query(Long.class)
                .optional()
                .orElseGet(() -> Sql.inserted(jdbc.sql("INSERT INTO symptom (area, name) VALUES ('other', :name)")
                        .param("name", name)));
    }

    /** What revisions may be called in a list: by the model's name, its maker before it, its revision after it; the first of a model if none is said. */
    Map<String, Long> revisions() {
        Map<String, Long> called = new HashMap<>();
        jdbc.sql("""
                        SELECT revision.id, model.maker, model.name AS model, revision.name AS revision
                        FROM revision JOIN model ON model.id = model_id
                        ORDER BY revision.id
                        """).query(row -> {
            long id = row.getLong("id");
            String model = row.getString("model");
            String whole = row.getString("maker") + " " + model;
            for (String name : List.of(model, whole)) {
                called.putIfAbsent(key(name), id);
                called.putIfAbsent(key(name + " " + row.getString("revision")), id);
            }
        });
        return called;
    }

    static String key(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }
}
