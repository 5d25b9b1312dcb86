package wrenchnotes.server.ground;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Everything that was ever written: who, when, what, on which job, before and after. A job's story is read from it. */
@Component
public class Journal {

    private final JdbcClient jdbc;
    private final JsonMapper json;

    Journal(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /**
     * One entry, in the transaction of the write it tells of.
     *
     * @param job the job it belongs to; null for things that outlive jobs, such as notes and parts
     * @param words the sentence for the job's story
     * @param before null when something is new
     * @param after null when nothing is left
     */
    public record Entry(Long job, String subject, long subjectId, String words, Object before, Object after) {

        public static Entry ofJob(long job, String subject, long subjectId, String words, Object after) {
            return new Entry(job, subject, subjectId, words, null, after);
        }

        public static Entry ofShop(String subject, long subjectId, String words, Object before, Object after) {
            return new Entry(null, subject, subjectId, words, before, after);
        }
    }

    public void write(By by, Entry entry) {
        jdbc.sql("""
                        INSERT INTO journal (at, by, job_id, subject, subject_id, words, before, after)
                        VALUES (:at, :by, :job, :subject, :subjectId, :words, :before, :after)
                        """)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("job", entry.job())
                .param("subject", entry.subject())
                .param("subjectId", entry.subjectId())
                .param("words", entry.words())
                .param("before", entry.before() == null ? null : json.writeValueAsString(entry.before()))
                .param("after", entry.after() == null ? null : json.writeValueAsString(entry.after()))
                .update();
    }
}
