package wrenchnotes.server.schedule;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The places of the rack. */
@Component
public class SlotStore {

    public record Slot(String name, String shelf, int place) {}

    private final JdbcClient jdbc;

    SlotStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<Slot> slots() {
        return jdbc.sql("SELECT name, shelf, place FROM slot WHERE gone = 0 ORDER BY shelf, place")
                .query((row, n) -> new Slot(row.getString("name"), row.getString("shelf"), row.getInt("place")))
                .list();
    }

    /** What was noticed of each open job's unit, in words, by job. */
    List<Noticed> noticed() {
        return jdbc.sql("""
                        SELECT job_id, group_concat(name, ', ') AS words
                        FROM (SELECT job_id, symptom.name
                              FROM job_symptom
                              JOIN symptom ON symptom.id = symptom_id
                              WHERE present AND job_id IN (SELECT id FROM job WHERE handed_over_at IS NULL)
                              ORDER BY job_id, symptom.id)
                        GROUP BY job_id
                        """)
                .query((row, n) -> new Noticed(row.getLong("job_id"), row.getString("words")))
                .list();
    }

    record Noticed(long job, String words) {}
}
