package wrenchnotes.server.finder;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keeps the finder's words in step with the jobs, in the transaction that changes them. */
@Component
public class FinderIndex {

    private static final String WORDS = """
            SELECT job.id,
                   printf('WN-%04d %d', unit.tag, unit.tag),
                   unit.serial,
                   model.maker || ' ' || model.name || ' ' || revision.name,
                   COALESCE(owner.name, 'resale'),
                   complaint || ' ' || COALESCE((SELECT group_concat(symptom.name, ' ')
                                                 FROM job_symptom JOIN symptom ON symptom.id = symptom_id
                                                 WHERE job_id = job.id AND present), '')
            FROM job
            JOIN unit ON unit.id = job.unit_id
            JOIN revision ON revision.id = job.revision_id
            JOIN model ON model.id = revision.model_id
            LEFT JOIN owner ON owner.id = job.owner_id
            """;

    private final JdbcClient jdbc;

    FinderIndex(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** After a job came in, or its arrival was corrected. */
    public void renew(long job) {
        jdbc.sql("DELETE FROM finder WHERE rowid = :job").param("job", job).update();
        jdbc.sql("INSERT INTO finder (rowid, tag, serial, model, owner, symptoms) " + WORDS + "WHERE job.id = :job")
                .param("job", job)
                .update();
    }

    /** After a model or one of its revisions got another name. */
    public void renameModel(long model) {
        String jobs = "SELECT job.id FROM job JOIN revision ON revision.id = job.revision_id WHERE model_id = :model";
        jdbc.sql("DELETE FROM finder WHERE rowid IN (" + jobs + ")")
                .param("model", model)
                .update();
        jdbc.sql("INSERT INTO finder (rowid, tag, serial, model, owner, symptoms) " + WORDS
                        + "WHERE revision.model_id = :model")
                .param("model", model)
                .update();
    }
}
