package wrenchnotes.server.teardown;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.teardown.form.NotesForm;

/** What benches propose for the notes. */
@Component
public class ProposalStore {

    enum Decision {
        ACCEPTED,
        DECLINED
    }

    /** @param teardownId the version of the notes it was made from */
    record Proposal(
            long id,
            long revisionId,
            long teardownId,
            Optional<Long> jobId,
            Optional<String> tag,
            Step step,
            String why,
            long byId,
            String by,
            Instant at,
            Optional<Decision> decision) {}

    private static final String PROPOSAL = """
            SELECT proposal.id, proposal.revision_id, proposal.teardown_id, proposal.job_id, unit.tag, step, why,
                   made_by, person.name AS by, proposal.made_at, decision
            FROM proposal
            JOIN person ON person.id = made_by
            LEFT JOIN job ON job.id = proposal.job_id
            LEFT JOIN unit ON unit.id = job.unit_id
            """;

    private final JdbcClient jdbc;

    ProposalStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<Proposal> waiting(long revision) {
        return jdbc.sql(PROPOSAL + "WHERE proposal.revision_id = :revision AND decision IS NULL ORDER BY proposal.id")
                .param("revision", revision)
                .query((row, n) -> proposal(row))
                .list();
    }

    Proposal proposal(long id) {
        return jdbc.sql(PROPOSAL + "WHERE proposal.id = :id")
                .param("id", id)
                .query((row, n) -> proposal(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no proposal " + id));
    }

    long add(By by, long revision, long teardown, Optional<Long> job, Step step, String why) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO proposal (revision_id, teardown_id, job_id, step, why, made_at, made_by)
                                VALUES (:revision, :teardown, :job, :step, :why, :at, :by)
                                """)
                .param("revision", revision)
                .param("teardown", teardown)
                .param("job", job.orElse(null))
                .param("step", NotesForm.proposal(step))
                .param("why", why)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    void decide(By by, long id, Decision decision, String why) {
        jdbc.sql("""
                        UPDATE proposal
                        SET decision = :decision, decided_at = :at, decided_by = :by, decided_why = :why
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("decision", decision.name())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("why", why)
                .update();
    }

    /** How many units of a model somebody has closed up. */
    int closings(long person, long model) {
        return jdbc.sql("""
                        SELECT COUNT(DISTINCT closing.job_id)
                        FROM closing
                        JOIN job ON job.id = closing.job_id
                        JOIN revision ON revision.id = job.revision_id
                        WHERE closing.by = :person AND revision.model_id = :model
                        """)
                .param("person", person)
                .param("model", model)
                .query(Integer.class)
                .single();
    }

    private Proposal proposal(java.sql.ResultSet row) throws java.sql.SQLException {
        Optional<Long> job = Sql.id(row, "job_id");
        return new Proposal(
                row.getLong("id"),
                row.getLong("revision_id"),
                row.getLong("teardown_id"),
                job,
                job.isPresent() ? Optional.of(Tag.of(row.getInt("tag")).text()) : Optional.empty(),
                NotesForm.proposal(row.getString("step")),
                row.getString("why"),
                row.getLong("made_by"),
                row.getString("by"),
                Sql.instant(row, "made_at"),
                Optional.ofNullable(row.getString("decision")).map(Decision::valueOf));
    }
}
