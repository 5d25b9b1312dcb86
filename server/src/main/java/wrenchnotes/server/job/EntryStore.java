package wrenchnotes.server.job;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.check.ElectricalCheck;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** What was said about jobs and never changes. */
@Component
public class EntryStore {

    /**
     * @param takesBack the entry that this one takes back
     * @param takenBack why it was taken back itself, if it was
     */
    public record EntryRow(
            long id,
            long jobId,
            String kind,
            JobEntry entry,
            Instant at,
            String by,
            Optional<Long> answers,
            Optional<Long> takesBack,
            Optional<String> takenBack) {}

    private static final String ENTRY = """
            SELECT entry.id, entry.job_id, entry.kind, entry.form, entry.said, entry.at, person.name AS by, entry.answers,
                   entry.takes_back, back.kind AS back_kind, back.form AS back_form, back.said AS back_said
            FROM entry
            JOIN person ON person.id = entry.by
            LEFT JOIN entry AS back ON back.takes_back = entry.id
            """;

    private final JdbcClient jdbc;

    EntryStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In the order in which they were said. */
    public List<EntryRow> ofJob(long job) {
        return jdbc.sql(ENTRY + "WHERE entry.job_id = :job ORDER BY entry.id")
                .param("job", job)
                .query((row, n) -> entry(row))
                .list();
    }

    /** @param entry with the moment at which it was said */
    public record SaidAt(JobEntry entry, Moment moment) {}

    /** What has to be said before a step: of a job's power, which cautions were heeded, what was marked; in the order in which it was said. */
    public List<SaidAt> saidFirst(long job) {
        return jdbc.sql("""
                        SELECT kind, form, said, moment, at
                        FROM entry
                        WHERE job_id = :job AND kind IN ('POWER', 'POWER_OFF', 'ACKNOWLEDGED', 'MARKED')
                        ORDER BY id
                        """)
                .param("job", job)
                .query((row, n) -> new SaidAt(read(row, "kind", "form", "said"), Sql.moment(row)))
                .list();
    }

    public EntryRow entry(long id) {
        return jdbc.sql(ENTRY + "WHERE entry.id = :id")
                .param("id", id)
                .query((row, n) -> entry(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no entry " + id));
    }

    private static EntryRow entry(ResultSet row) throws SQLException {
        JobEntry entry = read(row, "kind", "form", "said");
        return new EntryRow(
                row.getLong("id"),
                row.getLong("job_id"),
                row.getString("kind"),
                entry,
                Sql.instant(row, "at"),
                row.getString("by"),
                Sql.id(row, "answers"),
                Sql.id(row, "takes_back"),
                row.getString("back_kind") == null
                        ? Optional.empty()
                        : Optional.of(
                                read(row, "back_kind", "back_form", "back_said") instanceof JobEntry.TakenBack is
                                        ? is.why()
                                        : ""));
    }

    private static JobEntry read(ResultSet row, String kind, String form, String said) throws SQLException {
        return new EntryForm(row.getString(kind), row.getInt(form), row.getString(said)).entry();
    }

    /** What came in dangerous and was seen to. */
    public List<ArrivalMark> seenTo(long job) {
        return ofJob(job).stream()
                .map(EntryRow::entry)
                .filter(JobEntry.MadeSafe.class::isInstance)
                .map(entry -> ((JobEntry.MadeSafe) entry).mark())
                .toList();
    }

    /** How a unit is not as made any more, of what is kept of its entry. */
    public static JobEntry.Altered altered(String said) {
        return (JobEntry.Altered) new EntryForm("ALTERED", 1, said).entry();
    }

    /** A remark, of what is kept of its entry. */
    public static JobEntry.Remark remark(String said) {
        return EntryForm.remark(Stored.tree(said));
    }

    /** An electrical check, of what is kept of its entry. */
    public static ElectricalCheck electrical(String said) {
        return new EntryForm("ELECTRICAL", 1, said).electrical();
    }

    long add(By by, long job, JobEntry entry, Optional<Long> takesBack) {
        EntryForm form = EntryForm.of(entry);
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO entry (job_id, kind, form, said, takes_back, moment, at, by)
                                VALUES (:job, :kind, :form, :said, :takesBack, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("kind", form.kind())
                .param("form", form.number())
                .param("said", form.said())
                .param("takesBack", takesBack.orElse(null))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }
}
