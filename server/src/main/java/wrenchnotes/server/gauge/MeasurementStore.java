package wrenchnotes.server.gauge;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.gauge.GaugeAsked;
import wrenchnotes.core.gauge.GaugeAsked.GaugeKind;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.gauge.Measurement;
import wrenchnotes.core.gauge.Reading;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** What was measured in jobs. */
@Component
public class MeasurementStore {

    /**
     * @param place where on the unit, "supply board"; may be empty
     * @param stage of the work, "before"
     * @param goodUnit whether it was read on a good unit, for comparison
     * @param typed what was typed, as it was typed
     * @param struckWhy why it was struck; empty if it stands
     */
    public record MeasurementRow(
            long id,
            long jobId,
            String tag,
            GaugeKind gauge,
            String place,
            String stage,
            boolean goodUnit,
            String instrument,
            Map<String, Object> typed,
            Optional<Judgement> verdict,
            String words,
            Instant at,
            String by,
            Optional<String> struckWhy,
            List<Reading> readings) {}

    /** What is new of one. */
    record NewMeasurement(
            long job,
            GaugeAsked asked,
            Map<String, Object> typed,
            String place,
            String stage,
            boolean goodUnit,
            String instrument,
            Measurement measured) {}

    private static final String MEASUREMENT = """
            SELECT measurement.id, job_id, unit.tag, gauge, place, stage, good_unit, instrument, typed, verdict, words,
                   measurement.at, person.name AS by, struck_why
            FROM measurement
            JOIN job ON job.id = job_id
            JOIN unit ON unit.id = job.unit_id
            JOIN person ON person.id = measurement.by
            """;

    private static final TypeReference<Map<String, Object>> TYPED = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;

    MeasurementStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    public List<MeasurementRow> ofJob(long job) {
        return withReadings(jdbc.sql(MEASUREMENT + "WHERE job_id = :job ORDER BY measurement.id")
                .param("job", job)
                .query((row, n) -> row(row))
                .list());
    }

    /** What was read last on a good unit of this revision, in another job. */
    Optional<MeasurementRow> goodUnit(long revision, GaugeKind gauge, String place, long otherThan) {
        return withReadings(jdbc.sql(MEASUREMENT + """
                        WHERE good_unit = 1 AND struck_at IS NULL AND gauge = :gauge AND job_id <> :job
                          AND place = :place COLLATE NOCASE AND job.revision_id = :revision
                        ORDER BY measurement.id DESC
                        LIMIT 1
                        """)
                        .param("gauge", gauge.name())
                        .param("job", otherThan)
                        .param("place", place)
                        .param("revision", revision)
                        .query((row, n) -> row(row))
                        .list())
                .stream()
                .findFirst();
    }

    MeasurementRow measurement(long id) {
        return withReadings(jdbc.sql(MEASUREMENT + "WHERE measurement.id = :id")
                        .param("id", id)
                        .query((row, n) -> row(row))
                        .list())
                .stream()
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no measurement " + id));
    }

    private MeasurementRow row(ResultSet row) throws SQLException {
        return new MeasurementRow(
                row.getLong("id"),
                row.getLong("job_id"),
                Tag.of(row.getInt("tag")).text(),
                GaugeKind.valueOf(row.getString("gauge")),
                row.getString("place"),
                row.getString("stage"),
                row.getBoolean("good_unit"),
                row.getString("instrument"),
                json.readValue(row.getString("typed"), TYPED),
                Optional.ofNullable(row.getString("verdict")).map(Judgement::valueOf),
                row.getString("words"),
                Sql.instant(row, "at"),
                row.getString("by"),
                Optional.ofNullable(row.getString("struck_why")),
                List.of());
    }

    private List<MeasurementRow> withReadings(List<MeasurementRow> rows) {
        Map<Long, List<Reading>> readings = new HashMap<>();
        jdbc.sql("""
                        SELECT measurement_id, what, words, value, unit, min, max, uncertainty, state, verdict
                        FROM reading
                        WHERE measurement_id IN (SELECT value FROM json_each(:ids))
                        ORDER BY measurement_id, place
                        """)
                .param(
                        "ids",
                        json.writeValueAsString(
                                rows.stream().map(MeasurementRow::id).toList()))
                .query((row, n) -> readings.computeIfAbsent(row.getLong("measurement_id"), id -> new ArrayList<>())
                        .add(reading(row)))
                .list();
        return rows.stream()
                .map(row -> new MeasurementRow(
                        row.id(),
                        row.jobId(),
                        row.tag(),
                        row.gauge(),
                        row.place(),
                        row.stage(),
                        row.goodUnit(),
                        row.instrument(),
                        row.typed(),
                        row.verdict(),
                        row.words(),
                        row.at(),
                        row.by(),
                        row.struckWhy(),
                        readings.getOrDefault(row.id(), List.of())))
                .toList();
    }

    private static Reading reading(ResultSet row) throws SQLException {
        return new Reading(
                row.getString("what"),
                row.getString("words"),
                number(row, "value"),
                row.getString("unit"),
                number(row, "min"),
                number(row, "max"),
                number(row, "uncertainty"),
                Optional.ofNullable(row.getString("state")),
                Optional.ofNullable(row.getString("verdict")).map(Judgement::valueOf));
    }

    private static Optional<Double> number(ResultSet row, String column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? Optional.empty() : Optional.of(value);
    }

    long add(By by, NewMeasurement one) {
        long id = Sql.inserted(jdbc.sql("""
                                INSERT INTO measurement (job_id, gauge, place, stage, good_unit, instrument, asked, typed,
                                                         verdict, words, at, by)
                                VALUES (:job, :gauge, :place, :stage, :goodUnit, :instrument, :asked, :typed,
                                        :verdict, :words, :at, :by)
                                """)
                .param("job", one.job())
                .param("gauge", one.asked().kind().name())
                .param("place", one.place())
                .param("stage", one.stage())
                .param("goodUnit", one.goodUnit() ? 1 : 0)
                .param("instrument", one.instrument())
                .param("asked", Stored.document(one.asked()))
                .param("typed", json.writeValueAsString(one.typed()))
                .param("verdict", one.measured().verdict().map(Enum::name).orElse(null))
                .param("words", one.measured().words())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
        List<Reading> readings = one.measured().readings();
        for (int place = 0; place < readings.size(); place++) {
            add(id, place, readings.get(place));
        }
        return id;
    }

    private void add(long measurement, int place, Reading reading) {
        jdbc.sql("""
                        INSERT INTO reading (measurement_id, place, what, words, value, unit, min, max, uncertainty, state,
                                             verdict)
                        VALUES (:measurement, :place, :what, :words, :value, :unit, :min, :max, :uncertainty, :state,
                                :verdict)
                        """)
                .param("measurement", measurement)
                .param("place", place)
                .param("what", reading.what())
                .param("words", reading.words())
                .param("value", reading.value().orElse(null))
                .param("unit", reading.unit())
                .param("min", reading.min().orElse(null))
                .param("max", reading.max().orElse(null))
                .param("uncertainty", reading.uncertainty().orElse(null))
                .param("state", reading.state().orElse(null))
                .param("verdict", reading.verdict().map(Enum::name).orElse(null))
                .update();
    }

    void strike(By by, long id, String why) {
        jdbc.sql("UPDATE measurement SET struck_at = :at, struck_by = :by, struck_why = :why WHERE id = :id")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("why", why)
                .param("id", id)
                .update();
    }
}
