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
import wrenchnotes.core.gauge.Conditions;
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
     * @param componentId what it speaks of; empty if nobody said
     * @param step of the notes at which it was read; empty for none
     * @param means whether it was said to mean that the component is good; empty if nothing was said, or that was struck
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
            Conditions conditions,
            Optional<Long> componentId,
            Optional<String> step,
            Optional<Boolean> means,
            String instrument,
            Map<String, Object> typed,
            Optional<Judgement> verdict,
            String words,
            Instant at,
            String by,
            Optional<String> struckWhy,
            List<Reading> readings) {}

    /** What is new of one. @param look that it was said to be, if it was */
    record NewMeasurement(long job, Measured said, Measurement measured, Optional<Long> look) {}

    private static final String MEASUREMENT = """
            SELECT measurement.id, job_id, unit.tag, gauge, place, stage, good_unit, instrument, typed, verdict, words,
                   measurement.at, person.name AS by, struck_why, component_id, step, supply, warmth,
                   (SELECT good FROM component_look WHERE component_look.id = look_id AND component_look.struck_at IS NULL) AS means
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

    /** What was read last on a good unit of this revision, by place; in whatever job. */
    List<MeasurementRow> goodUnits(long revision, GaugeKind gauge) {
        return withReadings(jdbc.sql(MEASUREMENT + """
                        WHERE measurement.id IN (
                            SELECT MAX(measurement.id)
                            FROM measurement JOIN job ON job.id = job_id
                            WHERE good_unit = 1 AND struck_at IS NULL AND gauge = :gauge AND job.revision_id = :revision
                            GROUP BY place COLLATE NOCASE)
                        ORDER BY place
                        """)
                .param("gauge", gauge.name())
                .param("revision", revision)
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
                new Conditions(
                        Optional.ofNullable(row.getString("supply")).map(Conditions.Supplied::valueOf),
                        Optional.ofNullable(row.getString("warmth")).map(Conditions.Warmth::valueOf)),
                Optional.ofNullable((Number) row.getObject("component_id")).map(Number::longValue),
                Optional.ofNullable(row.getString("step")),
                Optional.ofNullable((Number) row.getObject("means")).map(good -> good.intValue() == 1),
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
                        row.conditions(),
                        row.componentId(),
                        row.step(),
                        row.means(),
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
        Measured said = one.said();
        long id = Sql.inserted(jdbc.sql("""
                                INSERT INTO measurement (job_id, gauge, place, stage, good_unit, instrument, asked, typed,
                                                         verdict, words, component_id, step, supply, warmth, look_id, at, by)
                                VALUES (:job, :gauge, :place, :stage, :goodUnit, :instrument, :asked, :typed,
                                        :verdict, :words, :component, :step, :supply, :warmth, :look, :at, :by)
                                """)
                .param("job", one.job())
                .param("gauge", said.asked().kind().name())
                .param("place", said.place())
                .param("stage", said.stage())
                .param("goodUnit", said.goodUnit() ? 1 : 0)
                .param("instrument", said.instrument())
                .param("asked", Stored.document(said.asked()))
                .param("typed", json.writeValueAsString(said.typed()))
                .param("component", said.componentId().orElse(null))
                .param("step", said.step().orElse(null))
                .param("supply", said.conditions().supply().map(Enum::name).orElse(null))
                .param("warmth", said.conditions().warmth().map(Enum::name).orElse(null))
                .param("look", one.look().orElse(null))
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

    Optional<Long> lookOf(long id) {
        return jdbc.sql("SELECT look_id FROM measurement WHERE id = :id AND look_id IS NOT NULL")
                .param("id", id)
                .query(Long.class)
                .optional();
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
