package wrenchnotes.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Sql;

/** Runs of a job: from "off and unplugged" to closing. */
@Component
class RunStore {

    private static final TypeReference<List<Long>> TARGETS = new TypeReference<>() {};
    private static final TypeReference<List<String>> ROUTE = new TypeReference<>() {};

    /**
     * @param targets components to reach; none for the whole of it
     * @param route ids of the steps to do, in order; none for all of the notes in theirs
     * @param leftOffSince since when the unit was without power, if a caution asked for it
     * @param skipped steps passed over
     * @param pausedSince empty unless the clock stands still
     * @param rework why a unit that was closed for good was opened again; empty on a first run and after a closing for now
     */
    record Run(
            long id,
            List<Long> targets,
            List<String> route,
            Set<String> skipped,
            Optional<Instant> pausedSince,
            Optional<Instant> leftOffSince,
            Optional<Rework> rework,
            String words,
            Moment started,
            String startedBy,
            Optional<Long> closing) {

        Run turned(List<Long> others, List<String> way) {
            return new Run(
                    id, others, way, skipped, pausedSince, leftOffSince, rework, words, started, startedBy, closing);
        }

        Run passedOver(String step) {
            Set<String> more = new TreeSet<>(skipped);
            more.add(step);
            return new Run(
                    id, targets, route, more, pausedSince, leftOffSince, rework, words, started, startedBy, closing);
        }

        Run pausedSince(Optional<Instant> since) {
            return new Run(
                    id, targets, route, skipped, since, leftOffSince, rework, words, started, startedBy, closing);
        }

        Run leftOff(Instant since) {
            return new Run(
                    id,
                    targets,
                    route,
                    skipped,
                    pausedSince,
                    Optional.of(since),
                    rework,
                    words,
                    started,
                    startedBy,
                    closing);
        }

        Run closed(long by) {
            return new Run(
                    id,
                    targets,
                    route,
                    skipped,
                    pausedSince,
                    leftOffSince,
                    rework,
                    words,
                    started,
                    startedBy,
                    Optional.of(by));
        }
    }

    private final JdbcClient jdbc;
    private final JsonMapper json;

    RunStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** Oldest first; at most the last one is not closed. */
    List<Run> runs(long job) {
        return jdbc.sql("""
                        SELECT run.id, targets, route, left_off_since, rework, words, started_moment, started_at, closing_id,
                               (SELECT json_group_array(DISTINCT step) FROM skip WHERE run_id = run.id) AS skipped,
                               (SELECT from_at FROM pause WHERE pause.job_id = run.job_id AND to_at IS NULL) AS paused_since,
                               person.name AS started_by
                        FROM run JOIN person ON person.id = started_by
                        WHERE job_id = :job
                        ORDER BY run.id
                        """)
                .param("job", job)
                .query((row, n) -> new Run(
                        row.getLong("id"),
                        list(row.getString("targets"), TARGETS),
                        list(row.getString("route"), ROUTE),
                        Set.copyOf(list(row.getString("skipped"), ROUTE)),
                        Sql.when(row, "paused_since"),
                        Sql.when(row, "left_off_since"),
                        Optional.ofNullable(row.getString("rework")).map(Rework::valueOf),
                        row.getString("words"),
                        Sql.moment(row, "started_moment", "started_at"),
                        row.getString("started_by"),
                        Sql.id(row, "closing_id")))
                .list();
    }

    /** Most lists are empty. */
    private <T> List<T> list(String text, TypeReference<List<T>> type) {
        return text.equals("[]") ? List.of() : json.readValue(text, type);
    }

    Run add(By by, long job, List<Long> targets, List<String> route, Optional<Rework> rework, String words) {
        long id = Sql.inserted(jdbc.sql("""
                                INSERT INTO run (job_id, targets, route, rework, words, started_moment, started_at, started_by)
                                VALUES (:job, :targets, :route, :rework, :words, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("targets", json.writeValueAsString(targets))
                .param("route", json.writeValueAsString(route))
                .param("rework", rework.map(Enum::name).orElse(null))
                .param("words", words)
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
        return new Run(
                id,
                targets,
                route,
                Set.of(),
                Optional.empty(),
                Optional.empty(),
                rework,
                words,
                by.moment(),
                by.name(),
                Optional.empty());
    }

    void turn(long run, List<Long> targets, List<String> route) {
        jdbc.sql("UPDATE run SET targets = :targets, route = :route WHERE id = :run")
                .param("targets", json.writeValueAsString(targets))
                .param("route", json.writeValueAsString(route))
                .param("run", run)
                .update();
    }

    void leftOff(long run, Instant since) {
        jdbc.sql("UPDATE run SET left_off_since = :since WHERE id = :run")
                .param("since", since.toEpochMilli())
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
