package wrenchnotes.server.bench;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** Writes down that a component was seen good or bad, wherever that was: at the gate, at the bench or on the sheet. */
@Component
public class LookStore {

    private final JdbcClient jdbc;

    LookStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @return its number */
    public long add(By by, long job, long component, boolean good, Means means, String words) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO component_look (job_id, component_id, good, means, words, at, by)
                                VALUES (:job, :component, :good, :means, :words, :at, :by)
                                """)
                .param("job", job)
                .param("component", component)
                .param("good", good ? 1 : 0)
                .param("means", means.name())
                .param("words", words)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    /** How the job's story tells it. */
    public static String story(String component, boolean good, Means means, String words) {
        return component + ": " + (good ? "good" : "bad") + ", " + means.how() + (words.isEmpty() ? "" : ". " + words);
    }
}
