package wrenchnotes.server.schedule;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Secret;
import wrenchnotes.server.ground.Sql;

/** Private addresses of the calendar, and what it holds. Only the hash of an address is kept. */
@Component
class CalendarStore {

    /**
     * A day or a moment to look at.
     *
     * @param id stays the same as long as it is the same entry
     * @param kind what the unit waits for; empty for the day it is promised
     */
    record Date(String id, long job, String tag, String model, Optional<HoldKind> kind, String words, Instant at) {}

    private final JdbcClient jdbc;

    CalendarStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A new address; the ones this person had before are over. */
    String make(By by) {
        revoke(by);
        String token = Secret.fresh();
        jdbc.sql("INSERT INTO calendar (token, person_id, made_at) VALUES (:token, :person, :at)")
                .param("token", Secret.hash(token))
                .param("person", by.person())
                .param("at", by.at().toEpochMilli())
                .update();
        return token;
    }

    void revoke(By by) {
        jdbc.sql("UPDATE calendar SET revoked_at = :at WHERE person_id = :person AND revoked_at IS NULL")
                .param("at", by.at().toEpochMilli())
                .param("person", by.person())
                .update();
    }

    boolean knows(String token) {
        return jdbc.sql("SELECT 1 FROM calendar WHERE token = :token AND revoked_at IS NULL")
                .param("token", Secret.hash(token))
                .query(Integer.class)
                .optional()
                .isPresent();
    }

    boolean has(long person) {
        return jdbc.sql("SELECT COUNT(*) FROM calendar WHERE person_id = :person AND revoked_at IS NULL")
                        .param("person", person)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Ends of holds and promised days of the units that are here. */
    List<Date> dates() {
        return jdbc.sql("""
                        SELECT 'hold-' || hold.id AS id, job.id AS job_id, unit.tag, model.maker || ' ' || model.name AS model,
                               hold.kind AS wait, why AS words, until_at AS at
                        FROM hold
                        JOIN job ON job.id = hold.job_id
                        JOIN unit ON unit.id = job.unit_id
                        JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = revision.model_id
                        WHERE ended_at IS NULL AND until_at IS NOT NULL AND handed_over_at IS NULL
                        UNION ALL
                        SELECT 'due-' || job.id, job.id, unit.tag, model.maker || ' ' || model.name, NULL, complaint, due_at
                        FROM job
                        JOIN unit ON unit.id = job.unit_id
                        JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = revision.model_id
                        WHERE due_at IS NOT NULL AND handed_over_at IS NULL
                        ORDER BY at
                        """)
                .query((row, n) -> new Date(
                        row.getString("id"),
                        row.getLong("job_id"),
                        Tag.of(row.getInt("tag")).text(),
                        row.getString("model"),
                        Optional.ofNullable(row.getString("wait")).map(HoldKind::valueOf),
                        row.getString("words"),
                        Sql.instant(row, "at")))
                .list();
    }
}
