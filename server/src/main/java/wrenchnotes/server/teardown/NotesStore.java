package wrenchnotes.server.teardown;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.teardown.form.NotesForm;

/** The versions of each revision's notes, each written once and never changed. */
@Component
public class NotesStore {

    private static final int KEPT = 400;

    private final JdbcClient jdbc;
    /** Saved notes never change, so one read serves every key press on the bench. */
    private final Map<Long, Version> read = new ConcurrentHashMap<>();

    NotesStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public record Version(long id, long revision, long number, Teardown teardown, String why, String by, Instant at) {}

    /** One version, without its steps. */
    public record Saved(long number, String why, String by, Instant at) {}

    private static final String VERSION = """
            SELECT teardown.id, revision_id, number, overview, steps, why, person.name AS by, teardown.made_at
            FROM teardown JOIN person ON person.id = made_by
            """;

    /** The newest notes of a revision; number 0 and no steps if there are none yet. */
    public Version newest(long revision) {
        return jdbc.sql("SELECT id FROM teardown WHERE revision_id = :revision ORDER BY number DESC LIMIT 1")
                .param("revision", revision)
                .query(Long.class)
                .optional()
                .map(this::version)
                .orElse(new Version(0, revision, 0, Teardown.empty(), "", "", Instant.EPOCH));
    }

    /** The newest notes of each revision that has any. */
    List<Version> newestOfAll() {
        return jdbc.sql("""
                        SELECT (SELECT id FROM teardown WHERE revision_id = revision.id ORDER BY number DESC LIMIT 1) AS newest
                        FROM revision
                        ORDER BY id
                        """).query((row, n) -> Sql.id(row, "newest")).list().stream()
                .flatMap(id -> id.map(this::version).stream())
                .toList();
    }

    /** All versions of a revision's notes, newest first, without their steps. */
    List<Saved> versions(long revision) {
        return jdbc.sql("""
                        SELECT number, why, person.name AS by, teardown.made_at
                        FROM teardown JOIN person ON person.id = made_by
                        WHERE revision_id = :revision
                        ORDER BY number DESC
                        """)
                .param("revision", revision)
                .query((row, n) -> new Saved(
                        row.getLong("number"), row.getString("why"), row.getString("by"), Sql.instant(row, "made_at")))
                .list();
    }

    /** @throws NotFound if there is no such version */
    Version numbered(long revision, long number) {
        return jdbc.sql("SELECT id FROM teardown WHERE revision_id = :revision AND number = :number")
                .param("revision", revision)
                .param("number", number)
                .query(Long.class)
                .optional()
                .map(this::version)
                .orElseThrow(() -> new NotFound("These notes have no version " + number));
    }

    /** The notes a job was opened with. */
    public Version version(long id) {
        Version known = read.get(id);
        if (known != null) {
            return known;
        }
        Version fetched = fetch(id);
        if (read.size() > KEPT) {
            read.clear();
        }
        read.put(id, fetched);
        forgetIfUndone(id);
        return fetched;
    }

    /** What a writer reads may be undone yet, and its id given to other notes. */
    private void forgetIfUndone(long id) {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    if (status != STATUS_COMMITTED) {
                        read.remove(id);
                    }
                }
            });
        }
    }

    private Version fetch(long id) {
        return jdbc.sql(VERSION + "WHERE teardown.id = :id")
                .param("id", id)
                .query((row, n) -> version(row))
                .optional()
                .orElseThrow(() -> new NotFound("There are no notes " + id));
    }

    private Version version(ResultSet row) throws SQLException {
        return new Version(
                row.getLong("id"),
                row.getLong("revision_id"),
                row.getLong("number"),
                NotesForm.teardown(row.getString("overview"), row.getString("steps")),
                row.getString("why"),
                row.getString("by"),
                Sql.instant(row, "made_at"));
    }

    Version save(By by, long revision, long number, Teardown teardown, String why) {
        long id = Sql.inserted(jdbc.sql("""
                                INSERT INTO teardown (revision_id, number, overview, steps, why, made_at, made_by)
                                VALUES (:revision, :number, :overview, :steps, :why, :at, :by)
                                """)
                .param("revision", revision)
                .param("number", number)
                .param("overview", NotesForm.overview(teardown.overview()))
                .param("steps", NotesForm.steps(teardown.steps()))
                .param("why", why)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
        // Who looks at the bench of a unit that nothing came off of yet looks at the newest notes: that sight is an
        // older one now.
        jdbc.sql("""
                        UPDATE job SET bench_version = bench_version + 1
                        WHERE revision_id = :revision AND teardown_id IS NULL AND handed_over_at IS NULL
                        """).param("revision", revision).update();
        return new Version(id, revision, number, teardown, why, by.name(), by.at());
    }
}
