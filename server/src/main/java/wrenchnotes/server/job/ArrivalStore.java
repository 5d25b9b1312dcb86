package wrenchnotes.server.job;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.server.ground.Sql;

/** What was said of a unit when it came in: its symptoms, marks, missing things and belongings. */
@Component
public class ArrivalStore {

    /** @param thing its id in the notes */
    public record MissingThing(String thing, String label, int count) {}

    private final JdbcClient jdbc;

    ArrivalStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public List<Arrival.Symptom> symptoms(long job) {
        return jdbc.sql("""
                        SELECT symptom.name, present
                        FROM job_symptom JOIN symptom ON symptom.id = symptom_id
                        WHERE job_id = :job
                        ORDER BY present DESC, symptom.id
                        """)
                .param("job", job)
                .query((row, n) -> new Arrival.Symptom(row.getString("name"), row.getBoolean("present")))
                .list();
    }

    public Set<ArrivalMark> marks(long job) {
        return jdbc
                .sql("SELECT mark FROM job_mark WHERE job_id = :job")
                .param("job", job)
                .query((row, n) -> ArrivalMark.valueOf(row.getString("mark")))
                .list()
                .stream()
                .collect(Collectors.toUnmodifiableSet());
    }

    public List<MissingThing> missing(long job) {
        return jdbc.sql("SELECT thing, label, count FROM arrival_missing WHERE job_id = :job ORDER BY label")
                .param("job", job)
                .query((row, n) ->
                        new MissingThing(row.getString("thing"), row.getString("label"), row.getInt("count")))
                .list();
    }

    public List<String> belongings(long job) {
        return jdbc.sql("SELECT name FROM belonging WHERE job_id = :job ORDER BY place")
                .param("job", job)
                .query(String.class)
                .list();
    }

    /** Writes everything anew: the journal holds what was there before. */
    public void write(long job, Arrival arrival, List<MissingThing> missing) {
        clear(job);
        arrival.symptoms().forEach(symptom -> jdbc.sql("INSERT INTO job_symptom VALUES (:job, :symptom, :present)")
                .param("job", job)
                .param("symptom", symptomId(symptom.name()))
                .param("present", symptom.present() ? 1 : 0)
                .update());
        arrival.marks().forEach(mark -> jdbc.sql("INSERT INTO job_mark VALUES (:job, :mark)")
                .param("job", job)
                .param("mark", mark.name())
                .update());
        for (int place = 0; place < arrival.belongings().size(); place++) {
            jdbc.sql("INSERT INTO belonging VALUES (:job, :place, :name)")
                    .param("job", job)
                    .param("place", place)
                    .param("name", arrival.belongings().get(place))
                    .update();
        }
        missing.forEach(thing -> jdbc.sql("INSERT INTO arrival_missing VALUES (:job, :thing, :label, :count)")
                .param("job", job)
                .param("thing", thing.thing())
                .param("label", thing.label())
                .param("count", thing.count())
                .update());
    }

    private void clear(long job) {
        for (String table : List.of("job_symptom", "job_mark", "belonging", "arrival_missing")) {
            jdbc.sql("DELETE FROM " + table + " WHERE job_id = :job")
                    .param("job", job)
                    .update();
        }
    }

    /** The id of a symptom, which joins the shop's words if it is new. */
    private long symptomId(String name) {
        return jdbc.sql("SELECT id FROM symptom WHERE name = :name")
                .param("name", name)
                .query(Long.class)
                .optional()
                .orElseGet(() -> Sql.inserted(jdbc.sql("INSERT INTO symptom (area, name) VALUES ('ours', :name)")
                        .param("name", name)));
    }
}
