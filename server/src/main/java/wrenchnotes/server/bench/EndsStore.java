package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** What no account of the ledger holds: what is so for a test only, fragments, and what was looked at and is good. */
@Component
class EndsStore {

    /** Something that is so for a test only, and not yet put right. */
    public record Temporary(long id, String words, Instant at, String by) {}

    public record FragmentTally(long id, Fragments tally) {}

    private final JdbcClient jdbc;

    EndsStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<Temporary> temporary(long job) {
        return jdbc.sql("""
                        SELECT temporary.id, words, at, person.name AS by
                        FROM temporary JOIN person ON person.id = temporary.by
                        WHERE job_id = :job AND ended_at IS NULL
                        ORDER BY temporary.id
                        """)
                .param("job", job)
                .query((row, n) -> new Temporary(
                        row.getLong("id"), row.getString("words"), Sql.instant(row, "at"), row.getString("by")))
                .list();
    }

    long addTemporary(By by, long job, String words) {
        return Sql.inserted(jdbc.sql("INSERT INTO temporary (job_id, words, at, by) VALUES (:job, :words, :at, :by)")
                .param("job", job)
                .param("words", words)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void putRight(By by, long id) {
        jdbc.sql("UPDATE temporary SET ended_at = :at, ended_by = :by WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("id", id)
                .update();
    }

    List<FragmentTally> fragments(long job) {
        return jdbc.sql("SELECT id, what, expected, found, explained FROM fragment WHERE job_id = :job ORDER BY id")
                .param("job", job)
                .query((row, n) -> new FragmentTally(
                        row.getLong("id"),
                        new Fragments(
                                row.getString("what"),
                                row.getInt("expected"),
                                row.getInt("found"),
                                row.getString("explained"))))
                .list();
    }

    long addFragments(By by, long job, Fragments tally) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO fragment (job_id, what, expected, found, explained, at, by)
                                VALUES (:job, :what, :expected, :found, :explained, :at, :by)
                                """)
                .param("job", job)
                .param("what", tally.what())
                .param("expected", tally.expected())
                .param("found", tally.found())
                .param("explained", tally.explained())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void countFragments(long id, Fragments tally) {
        jdbc.sql("UPDATE fragment SET found = :found, explained = :explained WHERE id = :id")
                .param("found", tally.found())
                .param("explained", tally.explained())
                .param("id", id)
                .update();
    }

    void looked(By by, long job, long component) {
        jdbc.sql("""
                        INSERT INTO looked (job_id, component_id, at, by) VALUES (:job, :component, :at, :by)
                        ON CONFLICT (job_id, component_id) DO NOTHING
                        """)
                .param("job", job)
                .param("component", component)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
