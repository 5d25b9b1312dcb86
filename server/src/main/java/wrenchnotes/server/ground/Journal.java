package wrenchnotes.server.ground;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;

/**
 * Everything that was ever written: who, when, what, on which job, before and after. A job's story is read from it. A line is
 * written once; it names owners by id ({@link #owner}), and what an owner said lies beside it, so that both can be forgotten.
 */
@Component
public class Journal {

    private final JdbcClient jdbc;

    Journal(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * One entry, in the transaction of the write it tells of.
     *
     * @param job the job it belongs to; null for things that outlive jobs, such as notes and parts
     * @param words the sentence for the job's story
     * @param ownWords what an owner said, told after the sentence; may be empty
     * @param before null when something is new
     * @param after null when nothing is left
     */
    public record Entry(
            Long job, String subject, long subjectId, String words, String ownWords, Object before, Object after) {

        public Entry(Long job, String subject, long subjectId, String words, Object before, Object after) {
            this(job, subject, subjectId, words, "", before, after);
        }

        public static Entry ofJob(long job, String subject, long subjectId, String words, Object after) {
            return new Entry(job, subject, subjectId, words, null, after);
        }

        public static Entry ofShop(String subject, long subjectId, String words, Object before, Object after) {
            return new Entry(null, subject, subjectId, words, before, after);
        }

        public Entry with(String said) {
            return new Entry(job, subject, subjectId, words, said, before, after);
        }
    }

    /** An owner in the words of an entry: read as the name that the owner has when the story is told. */
    public static String owner(long id) {
        return "{owner:" + id + "}";
    }

    /** The number of the last moment in which something was written; 0 if nothing was. */
    public long last() {
        return jdbc.sql("SELECT moment FROM journal ORDER BY id DESC LIMIT 1")
                .query(Long.class)
                .optional()
                .orElse(0L);
    }

    public void write(By by, Entry entry) {
        long line = Sql.inserted(jdbc.sql("""
                                INSERT INTO journal
                                    (moment, at, by, token_id, job_id, subject, subject_id, words, before, after)
                                VALUES (:moment, :at, :by, :token, :job, :subject, :subjectId, :words, :before, :after)
                                """)
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("token", Session.here().flatMap(Session::token).orElse(null))
                .param("job", entry.job())
                .param("subject", entry.subject())
                .param("subjectId", entry.subjectId())
                .param("words", entry.words())
                .param("before", entry.before() == null ? null : Stored.document(entry.before()))
                .param("after", entry.after() == null ? null : Stored.document(entry.after())));
        if (!entry.ownWords().isEmpty()) {
            jdbc.sql("INSERT INTO journal_private (journal_id, words) VALUES (:line, :words)")
                    .param("line", line)
                    .param("words", entry.ownWords())
                    .update();
        }
    }
}
