package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.bench.OpenEnds;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** What no account of the ledger holds: what is so for a test only, and fragments. */
@Component
public class EndsStore {

    /**
     * Something that is so for a test only, and not yet put right.
     *
     * @param step the step that was open last then; empty if none was
     * @param stays why it stays in until the next run; empty if nobody said so
     */
    public record Temporary(
            long id, String words, Instant at, String by, Optional<String> step, Optional<OpenEnds.Stays> stays) {

        OpenEnds.ForTheTest end() {
            return new OpenEnds.ForTheTest(words, step, stays);
        }
    }

    public record FragmentTally(long id, Fragments tally, Optional<String> step) {

        OpenEnds.Piece end() {
            return new OpenEnds.Piece(tally, step);
        }
    }

    private final JdbcClient jdbc;

    EndsStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    long addTemporary(By by, long job, String words, Optional<String> step) {
        return Sql.inserted(
                jdbc.sql("INSERT INTO temporary (job_id, words, step, at, by) VALUES (:job, :words, :step, :at, :by)")
                        .param("job", job)
                        .param("words", words)
                        .param("step", step.orElse(null))
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

    void stays(By by, long id, String why) {
        jdbc.sql("UPDATE temporary SET stays = :why, stays_moment = :moment, stays_at = :at WHERE id = :id")
                .param("why", why)
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("id", id)
                .update();
    }

    long addFragments(By by, long job, Fragments tally, Optional<String> step) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO fragment (job_id, what, expected, found, explained, step, at, by)
                                VALUES (:job, :what, :expected, :found, :explained, :step, :at, :by)
                                """)
                .param("job", job)
                .param("what", tally.what())
                .param("expected", tally.expected())
                .param("found", tally.found())
                .param("explained", tally.explained())
                .param("step", step.orElse(null))
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
}
