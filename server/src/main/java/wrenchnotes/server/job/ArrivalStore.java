package wrenchnotes.server.job;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.checkin.GoesBack;
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

    /** Words that were merged count as the word they were merged into. */
    public List<Arrival.Symptom> symptoms(long job) {
        return jdbc.sql("""
                        SELECT word.name, MAX(present) AS present
                        FROM job_symptom
                        JOIN symptom AS said ON said.id = symptom_id
                        JOIN symptom AS word ON word.id = COALESCE(said.merged_into, said.id)
                        WHERE job_id = :job
                        GROUP BY word.id
                        ORDER BY MAX(present) DESC, word.id
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

    /** Of the units that are here. */
    public Map<Long, Set<ArrivalMark>> marksOfOpen() {
        Map<Long, Set<ArrivalMark>> marks = new HashMap<>();
        jdbc.sql("""
                        SELECT job_id, mark
                        FROM job JOIN job_mark ON job_id = job.id
                        WHERE handed_over_at IS NULL
                        """).query(row -> {
            marks.computeIfAbsent(row.getLong("job_id"), id -> EnumSet.noneOf(ArrivalMark.class))
                    .add(ArrivalMark.valueOf(row.getString("mark")));
        });
        return marks;
    }

    /** Where marks are, in words; marks without words are left out. */
    public Map<ArrivalMark, String> places(long job) {
        Map<ArrivalMark, String> places = new EnumMap<>(ArrivalMark.class);
        jdbc.sql("SELECT mark, place FROM job_mark WHERE job_id = :job AND place <> ''")
                .param("job", job)
                .query(row -> {
                    places.put(ArrivalMark.valueOf(row.getString("mark")), row.getString("place"));
                });
        return places;
    }

    public List<Arrival.ArrivalPhoto> photos(long job) {
        return jdbc.sql("SELECT hash, words FROM job_photo WHERE job_id = :job ORDER BY place")
                .param("job", job)
                .query((row, n) -> new Arrival.ArrivalPhoto(row.getString("hash"), row.getString("words")))
                .list();
    }

    public List<MissingThing> missing(long job) {
        return jdbc.sql("SELECT thing, label, count FROM arrival_missing WHERE job_id = :job ORDER BY label")
                .param("job", job)
                .query((row, n) ->
                        new MissingThing(row.getString("thing"), row.getString("label"), row.getInt("count")))
                .list();
    }

    /**
     * @param back whether it went back; empty until the unit is handed over
     * @param absent whether the unit came without it: it is asked for at handover all the same
     */
    public record Belonging(String name, Optional<Boolean> back, String why, boolean absent) {}

    /** What came with the unit. */
    public List<String> cameWith(long job) {
        return names(job, false);
    }

    /** What it came without. */
    public List<String> cameWithout(long job) {
        return names(job, true);
    }

    private List<String> names(long job, boolean absent) {
        return belongings(job).stream()
                .filter(one -> one.absent() == absent)
                .map(Belonging::name)
                .toList();
    }

    public List<Belonging> belongings(long job) {
        return jdbc.sql("SELECT name, back, why, absent FROM belonging WHERE job_id = :job ORDER BY place")
                .param("job", job)
                .query((row, n) -> new Belonging(
                        row.getString("name"),
                        Sql.id(row, "back").map(back -> back == 1),
                        row.getString("why"),
                        row.getBoolean("absent")))
                .list();
    }

    /** Something more that goes back with the unit. @return false if the same is on the list already */
    boolean cameToo(long job, String name) {
        return jdbc.sql("""
                                INSERT INTO belonging (job_id, place, name)
                                SELECT :job, COALESCE(MAX(place), -1) + 1, :name
                                FROM belonging
                                WHERE job_id = :job
                                HAVING SUM(name = :name) IS NULL OR SUM(name = :name) = 0
                                """).param("job", job).param("name", name).update() > 0;
    }

    public void goesBack(long job, GoesBack thing) {
        jdbc.sql("UPDATE belonging SET back = :back, why = :why WHERE job_id = :job AND name = :name")
                .param("job", job)
                .param("name", thing.name())
                .param("back", thing.back() ? 1 : 0)
                .param("why", thing.why())
                .update();
    }

    /** A symptom that was asked for or tried later; the last answer stands. */
    public void say(long job, Arrival.Symptom symptom) {
        jdbc.sql("""
                        INSERT INTO job_symptom (job_id, symptom_id, present)
                        VALUES (:job, :symptom, :present)
                        ON CONFLICT DO UPDATE SET present = excluded.present
                        """)
                .param("job", job)
                .param("symptom", symptomId(job, symptom.name()))
                .param("present", symptom.present() ? 1 : 0)
                .update();
    }

    /** Writes everything anew: the journal holds what was there before. */
    public void write(long job, Arrival arrival, List<MissingThing> missing) {
        clear(job);
        arrival.symptoms().forEach(symptom -> jdbc.sql("INSERT INTO job_symptom VALUES (:job, :symptom, :present)")
                .param("job", job)
                .param("symptom", symptomId(job, symptom.name()))
                .param("present", symptom.present() ? 1 : 0)
                .update());
        arrival.marks().forEach(mark -> jdbc.sql("INSERT INTO job_mark VALUES (:job, :mark, :place)")
                .param("job", job)
                .param("mark", mark.name())
                .param("place", arrival.places().getOrDefault(mark, ""))
                .update());
        for (int place = 0; place < arrival.photos().size(); place++) {
            jdbc.sql("INSERT INTO job_photo VALUES (:job, :place, :hash, :words)")
                    .param("job", job)
                    .param("place", place)
                    .param("hash", arrival.photos().get(place).hash())
                    .param("words", arrival.photos().get(place).words())
                    .update();
        }
        List<String> named = Stream.concat(arrival.belongings().stream(), arrival.without().stream())
                .toList();
        for (int place = 0; place < named.size(); place++) {
            jdbc.sql("INSERT INTO belonging (job_id, place, name, absent) VALUES (:job, :place, :name, :absent)")
                    .param("job", job)
                    .param("place", place)
                    .param("name", named.get(place))
                    .param("absent", place < arrival.belongings().size() ? 0 : 1)
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
        for (String table : List.of("job_symptom", "job_mark", "job_photo", "belonging", "arrival_missing")) {
            jdbc.sql("DELETE FROM " + table + " WHERE job_id = :job")
                    .param("job", job)
                    .update();
        }
    }

    /** The id of a symptom, which joins the shop's words for this kind of unit if it is new. */
    public long symptomId(long job, String name) {
        return jdbc.sql("SELECT id FROM symptom WHERE name = :name")
                .param("name", name)
                .query(Long.class)
                .optional()
                .orElseGet(() -> Sql.inserted(jdbc.sql("""
                                INSERT INTO symptom (area, name, kinds)
                                SELECT 'ours', :name, json_array(model.kind)
                                FROM job
                                JOIN revision ON revision.id = job.revision_id
                                JOIN model ON model.id = model_id
                                WHERE job.id = :job
                                """).param("name", name).param("job", job)));
    }
}
