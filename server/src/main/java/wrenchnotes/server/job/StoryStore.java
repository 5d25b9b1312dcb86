package wrenchnotes.server.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.Sql;

/** A job's story, read from the journal. */
@Component
public class StoryStore {

    /** The newest entries of a job; an entry whose subject was struck since says so. */
    public static final String STORY = """
            SELECT journal.id, journal.at, person.name AS by, journal.subject, journal.words,
                   CASE journal.subject WHEN 'photo' THEN json_extract(journal.after, '$.photo') END AS photo,
                   COALESCE(finding.struck_why, check_entry.struck_why, measurement.struck_why) AS struck_why
            FROM journal
            JOIN person ON person.id = journal.by
            LEFT JOIN finding ON journal.subject = 'finding' AND finding.id = journal.subject_id
            LEFT JOIN check_entry ON journal.subject = 'check' AND check_entry.id = journal.subject_id
            LEFT JOIN measurement ON journal.subject = 'measurement' AND measurement.id = journal.subject_id
            WHERE journal.job_id = :job
            ORDER BY journal.id DESC
            LIMIT :most
            """;

    private final JdbcClient jdbc;

    StoryStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param photo hash of a picture taken then
     * @param struckWhy why the entry was struck, if it was; it stays in the story
     */
    public record Line(
            long id,
            Instant at,
            String by,
            String subject,
            String words,
            Optional<String> photo,
            Optional<String> struckWhy) {}

    /** Newest first. */
    public List<Line> story(long job, int most) {
        return jdbc.sql(STORY)
                .param("job", job)
                .param("most", most)
                .query((row, n) -> new Line(
                        row.getLong("id"),
                        Sql.instant(row, "at"),
                        row.getString("by"),
                        row.getString("subject"),
                        row.getString("words"),
                        Optional.ofNullable(row.getString("photo")),
                        Optional.ofNullable(row.getString("struck_why"))))
                .list();
    }
}
