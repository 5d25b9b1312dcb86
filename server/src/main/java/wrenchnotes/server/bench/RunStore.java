package wrenchnotes.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.bench.Entered;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.bench.RunRecord;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** Runs of a job: from "off and unplugged" to closing. */
@Component
class RunStore {

    private static final TypeReference<List<Long>> TARGETS = new TypeReference<>() {};
    private static final TypeReference<List<String>> ROUTE = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;

    RunStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** Oldest first; at most the last one is not closed. */
    List<RunRecord> runs(long job) {
        return jdbc.sql("""
                        SELECT run.id, targets, route, rework, words, started_moment, started_at, closing_id,
                               (SELECT json_group_array(DISTINCT step) FROM skip WHERE run_id = run.id) AS skipped,
                               (SELECT from_at FROM pause WHERE pause.job_id = run.job_id AND to_at IS NULL) AS paused_since,
                               (SELECT json_group_array(reason) FROM opened_again WHERE run_id = run.id) AS again,
                               person.name AS started_by
                        FROM run JOIN person ON person.id = started_by
                        WHERE job_id = :job
                        ORDER BY run.id
                        """)
                .param("job", job)
                .query((row, n) -> new RunRecord(
                        row.getLong("id"),
                        new RunRecord.Route(
                                list(row.getString("targets"), TARGETS), list(row.getString("route"), ROUTE)),
                        Set.copyOf(list(row.getString("skipped"), ROUTE)),
                        Sql.when(row, "paused_since"),
                        new RunRecord.Why(
                                Optional.ofNullable(row.getString("rework")).map(Rework::valueOf),
                                row.getString("words")),
                        Sql.moment(row, "started_moment", "started_at"),
                        row.getString("started_by"),
                        list(row.getString("again"), ROUTE).stream()
                                .map(Rework::valueOf)
                                .toList(),
                        Sql.id(row, "closing_id").isPresent()))
                .list();
    }

    /** Most lists are empty. */
    private <T> List<T> list(String text, TypeReference<List<T>> type) {
        return text.equals("[]") ? List.of() : json.readValue(text, type);
    }

    /** @return its number */
    long add(By by, long job, RunRecord run) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO run (job_id, targets, route, rework, words, started_moment, started_at, started_by)
                                VALUES (:job, :targets, :route, :rework, :words, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("targets", json.writeValueAsString(run.route().targets()))
                .param("route", json.writeValueAsString(run.route().steps()))
                .param("rework", run.why().rework().map(Enum::name).orElse(null))
                .param("words", run.why().words())
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void turn(long run, RunRecord.Route route) {
        jdbc.sql("UPDATE run SET targets = :targets, route = :route WHERE id = :run")
                .param("targets", json.writeValueAsString(route.targets()))
                .param("route", json.writeValueAsString(route.steps()))
                .param("run", run)
                .update();
    }

    void close(long run, long closing) {
        jdbc.sql("UPDATE run SET closing_id = :closing WHERE id = :run")
                .param("closing", closing)
                .param("run", run)
                .update();
    }

    void skip(By by, long job, long run, String step, String reason) {
        jdbc.sql("""
                        INSERT INTO skip (job_id, run_id, step, reason, at, by)
                        VALUES (:job, :run, :step, :reason, :at, :by)
                        """)
                .param("job", job)
                .param("run", run)
                .param("step", step)
                .param("reason", reason)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    void openedAgain(By by, long job, long run, Entered.OpenedAgain again) {
        jdbc.sql("""
                        INSERT INTO opened_again (job_id, run_id, step, reason, at, by)
                        VALUES (:job, :run, :step, :reason, :at, :by)
                        """)
                .param("job", job)
                .param("run", run)
                .param("step", again.step())
                .param("reason", again.reason().name())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** How long the clock stood still since a moment, in pauses that are over. */
    Duration paused(long job, Instant since) {
        return Duration.ofMillis(jdbc.sql(
                        "SELECT COALESCE(SUM(to_at - from_at), 0) FROM pause WHERE job_id = :job AND from_at >= :since")
                .param("job", job)
                .param("since", since.toEpochMilli())
                .query(Long.class)
                .single());
    }

    void pause(By by, long job) {
        jdbc.sql("INSERT INTO pause (job_id, from_at, by) VALUES (:job, :at, :by)")
                .param("job", job)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    void goOn(By by, long job) {
        jdbc.sql("UPDATE pause SET to_at = :at WHERE job_id = :job AND to_at IS NULL")
                .param("at", by.at().toEpochMilli())
                .param("job", job)
                .update();
    }
}
