package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.bench.OpenEnds;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Sql;

/** What no account of the ledger holds: what is so for a test only, fragments, and what was looked at and is good. */
@Component
class EndsStore {

    /** Something that is so for a test only, and not yet put right. */
    public record Temporary(long id, String words, Instant at, String by) {}

    public record FragmentTally(long id, Fragments tally) {}

    /** @param lookedAt components that were looked at in this job */
    record Ends(List<Temporary> temporary, List<FragmentTally> fragments, List<Long> lookedAt) {

        OpenEnds open() {
            return new OpenEnds(
                    temporary.stream().map(Temporary::words).toList(),
                    fragments.stream().map(FragmentTally::tally).toList());
        }
    }

    private final JdbcClient jdbc;

    EndsStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Ends all(long job) {
        return new Ends(temporary(job), fragments(job), lookedAt(job));
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

    /** Components that were looked at in this job: said to be good, or found to be bad. */
    private List<Long> lookedAt(long job) {
        return jdbc.sql("""
                        SELECT component_id FROM looked WHERE job_id = :job
                        UNION
                        SELECT component_id FROM finding WHERE job_id = :job AND struck_at IS NULL
                        """).param("job", job).query(Long.class).list();
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

    /** How many jobs of a revision were handed over, and in how many of them a component had something wrong with it. */
    record Usual(long component, String name, int jobs, int of) {}

    /** Components that were at fault in at least a fifth of the revision's jobs, and in three or more. */
    List<Usual> usuallyFound(long revision) {
        return jdbc.sql("""
                        WITH done AS (
                            SELECT id FROM job
                            WHERE revision_id = :revision AND handed_over_at IS NOT NULL
                            ORDER BY id DESC LIMIT 500
                        )
                        SELECT component.id, component.name, COUNT(DISTINCT finding.job_id) AS jobs,
                               (SELECT COUNT(*) FROM done) AS of
                        FROM done
                        JOIN finding ON finding.job_id = done.id AND struck_at IS NULL
                        JOIN component ON component.id = finding.component_id
                        GROUP BY component.id
                        HAVING jobs >= 3 AND jobs * 5 >= of
                        ORDER BY jobs DESC, component.name
                        """)
                .param("revision", revision)
                .query((row, n) ->
                        new Usual(row.getLong("id"), row.getString("name"), row.getInt("jobs"), row.getInt("of")))
                .list();
    }
}
