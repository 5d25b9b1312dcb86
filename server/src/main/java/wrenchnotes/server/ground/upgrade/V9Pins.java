package wrenchnotes.server.ground.upgrade;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Jobs that were locked: something came off before any notes were kept for them, and the notes were changed since. Each goes by
 * the newest version that knows all of its steps and things.
 */
final class V9Pins {

    private static final Logger LOG = LoggerFactory.getLogger(V9Pins.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private record Job(long id, long revision, long model) {}

    private record Version(long id, Set<String> known) {}

    private final JdbcClient jdbc;

    V9Pins(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void pinLockedJobs() {
        jdbc.sql("""
                        SELECT job.id, job.revision_id, revision.model_id
                        FROM job JOIN revision ON revision.id = job.revision_id
                        WHERE teardown_id IS NULL
                          AND (EXISTS (SELECT 1 FROM step_entry WHERE job_id = job.id)
                               OR EXISTS (SELECT 1 FROM ledger_entry WHERE job_id = job.id)
                               OR EXISTS (SELECT 1 FROM skip WHERE job_id = job.id))
                        """)
                .query((row, n) -> new Job(row.getLong("id"), row.getLong("revision_id"), row.getLong("model_id")))
                .list()
                .forEach(this::pin);
    }

    private void pin(Job job) {
        Set<String> used = used(job);
        List<Version> versions = versions(job);
        versions.stream()
                .filter(version -> version.known().containsAll(used))
                .findFirst()
                .or(() -> versions.stream().findFirst())
                .ifPresent(version -> {
                    jdbc.sql("UPDATE job SET teardown_id = :version WHERE id = :job")
                            .param("version", version.id())
                            .param("job", job.id())
                            .update();
                    LOG.info("Job {} goes by the notes that it was opened with again", job.id());
                });
    }

    /** Steps and things of the unit's own notes: those of a sub-assembly have a number and a colon in front. */
    private Set<String> used(Job job) {
        return new HashSet<>(
                jdbc.sql("""
                        SELECT step FROM (SELECT step FROM step_entry WHERE job_id = :job
                                          UNION SELECT thing FROM ledger_entry WHERE job_id = :job
                                          UNION SELECT step FROM skip WHERE job_id = :job)
                        WHERE step NOT GLOB '[0-9]*:*'
                        """).param("job", job.id()).query(String.class).list());
    }

    /** Of its own revision first, then of its model, then of any, the newest first of each: a revision may have been corrected. */
    private List<Version> versions(Job job) {
        return jdbc.sql("""
                        SELECT teardown.id, steps
                        FROM teardown JOIN revision ON revision.id = revision_id
                        ORDER BY revision_id = :revision DESC, model_id = :model DESC, teardown.id DESC
                        """)
                .param("revision", job.revision())
                .param("model", job.model())
                .query((row, n) -> new Version(row.getLong("id"), known(row.getString("steps"))))
                .list();
    }

    private static Set<String> known(String steps) {
        Set<String> known = new HashSet<>();
        for (JsonNode step : JSON.readTree(steps).values()) {
            known.add(step.get("id").asString());
            Stream.of("fasteners", "connectors", "pieces")
                    .flatMap(list -> step.path(list).values().stream())
                    .forEach(thing -> known.add(thing.get("id").asString()));
        }
        return known;
    }
}
