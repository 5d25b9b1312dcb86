package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Units, owners, slots and the rows of new jobs. */
@Component
public class CheckInStore {

    /** @param openJob its job if it is in the shop now */
    public record Unit(long id, String tag, String serial, long revisionId, Optional<Long> openJob) {}

    /** @param said how often of this revision lately */
    public record SymptomWord(long id, String area, String name, int said) {}

    /** @param jobs stays of units of this owner so far */
    public record OwnerFound(long id, String name, String contact, int jobs) {}

    private static final String UNIT = """
            SELECT unit.id, tag, serial, unit.revision_id,
                   (SELECT job.id FROM job WHERE unit_id = unit.id AND handed_over_at IS NULL) AS open_job
            FROM unit
            """;

    private final JdbcClient jdbc;

    CheckInStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Units with exactly this tag or this serial number. */
    List<Unit> find(String text) {
        return jdbc.sql(UNIT + "WHERE tag = :tag OR (serial = :serial AND serial <> '') ORDER BY tag LIMIT 10")
                .param("tag", Tag.parse(text).map(Tag::number).orElse(-1))
                .param("serial", text.strip())
                .query((row, n) -> unit(row))
                .list();
    }

    Unit unit(long id) {
        return jdbc.sql(UNIT + "WHERE unit.id = :id")
                .param("id", id)
                .query((row, n) -> unit(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no unit " + id));
    }

    private static Unit unit(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Unit(
                row.getLong("id"),
                Tag.of(row.getInt("tag")).text(),
                row.getString("serial"),
                row.getLong("revision_id"),
                Sql.id(row, "open_job"));
    }

    Tag nextTag() {
        return Tag.of(jdbc.sql("SELECT COALESCE(MAX(tag), 0) + 1 FROM unit")
                .query(Integer.class)
                .single());
    }

    long addUnit(By by, Tag tag, String serial, long revision) {
        return Sql.inserted(
                jdbc.sql("INSERT INTO unit (tag, serial, revision_id, made_at) VALUES (:tag, :serial, :revision, :at)")
                        .param("tag", tag.number())
                        .param("serial", serial)
                        .param("revision", revision)
                        .param("at", by.at().toEpochMilli()));
    }

    /** A unit's revision is sometimes seen only later, and its serial number found under a sticker. */
    void correctUnit(long unit, String serial, long revision) {
        jdbc.sql("UPDATE unit SET serial = :serial, revision_id = :revision WHERE id = :unit")
                .param("serial", serial)
                .param("revision", revision)
                .param("unit", unit)
                .update();
    }

    /** By the beginning of any word of the name or contact, or by any run of three digits and more of a phone number. */
    List<OwnerFound> owners(String text) {
        String digits = text.replaceAll("\\D", "");
        return jdbc.sql("""
                        SELECT id, name, contact, (SELECT COUNT(*) FROM job WHERE owner_id = owner.id) AS jobs
                        FROM owner
                        WHERE ' ' || name LIKE :word ESCAPE '\\' OR ' ' || REPLACE(contact, CHAR(10), ' ') LIKE :word ESCAPE '\\'
                           OR (:digits <> '' AND REPLACE(REPLACE(REPLACE(REPLACE(REPLACE(REPLACE(
                                  contact, ' ', ''), '-', ''), '/', ''), '.', ''), '(', ''), ')', '')
                                  LIKE '%' || :digits || '%')
                        ORDER BY name
                        LIMIT 8
                        """)
                .param("word", "% " + literal(text) + "%")
                .param("digits", digits.length() >= 3 && text.matches("[\\d\\s+/.()-]*") ? digits : "")
                .query((row, n) -> new OwnerFound(
                        row.getLong("id"), row.getString("name"), row.getString("contact"), row.getInt("jobs")))
                .list();
    }

    private static String literal(String text) {
        return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
    }

    boolean hasOwner(long id) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM owner WHERE id = :id)")
                .param("id", id)
                .query(Boolean.class)
                .single();
    }

    long addOwner(String name, String contact) {
        return Sql.inserted(jdbc.sql("INSERT INTO owner (name, contact) VALUES (:name, :contact)")
                .param("name", name)
                .param("contact", contact));
    }

    void reach(long owner, String contact) {
        jdbc.sql("UPDATE owner SET contact = :contact WHERE id = :owner")
                .param("contact", contact)
                .param("owner", owner)
                .update();
    }

    List<String> freeSlots() {
        return jdbc.sql("""
                        SELECT name
                        FROM slot
                        WHERE gone = 0 AND NOT EXISTS (SELECT 1 FROM job WHERE slot = slot.name AND handed_over_at IS NULL)
                        ORDER BY shelf, place
                        """).query(String.class).list();
    }

    boolean hasSlot(String slot) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM slot WHERE name = :slot AND gone = 0)")
                .param("slot", slot)
                .query(Boolean.class)
                .single();
    }

    /** The tag of the unit that stands in a slot. */
    Optional<String> inSlot(String slot, long exceptJob) {
        return jdbc.sql("""
                        SELECT tag
                        FROM job JOIN unit ON unit.id = unit_id
                        WHERE slot = :slot AND handed_over_at IS NULL AND job.id <> :except
                        """)
                .param("slot", slot)
                .param("except", exceptJob)
                .query(Integer.class)
                .optional()
                .map(tag -> Tag.of(tag).text());
    }

    /**
     * The words for what a unit of this kind does wrong: first those said most often of this revision lately. Words that were
     * merged into others are left out.
     *
     * @param revision null: the words of all kinds
     */
    List<SymptomWord> symptomWords(Long revision) {
        return jdbc.sql("""
                        SELECT symptom.id, area, name, COALESCE(said, 0) AS said
                        FROM symptom
                        LEFT JOIN (SELECT COALESCE(merged_into, id) AS word, COUNT(*) AS said
                                   FROM job_symptom JOIN symptom ON symptom.id = symptom_id
                                   WHERE present
                                     AND job_id IN (SELECT id FROM job WHERE revision_id = :revision
                                                    ORDER BY id DESC LIMIT 200)
                                   GROUP BY COALESCE(merged_into, id)) ON word = symptom.id
                        WHERE merged_into IS NULL
                          AND (:revision IS NULL OR kinds = '[]' OR said > 0
                               OR EXISTS (SELECT 1
                                          FROM json_each(kinds)
                                          JOIN revision ON revision.id = :revision
                                          JOIN model ON model.id = revision.model_id
                                          WHERE json_each.value = model.kind))
                        ORDER BY COALESCE(said, 0) DESC, symptom.id
                        """)
                .param("revision", revision)
                .query((row, n) -> new SymptomWord(
                        row.getLong("id"), row.getString("area"), row.getString("name"), row.getInt("said")))
                .list();
    }

    long addJob(By by, long unit, Optional<Long> owner, Optional<Instant> due, CheckInSaid said) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO job (unit_id, revision_id, ownership, owner_id, lot_id, paid_minor, slot, complaint,
                                                 condition_words, checked_in_at, checked_in_by, due_at)
                                VALUES (:unit, :revision, :ownership, :owner, :lot, :paid, :slot, :complaint,
                                        :condition, :at, :by, :due)
                                """)
                .param("unit", unit)
                .param("revision", said.revisionId())
                .param("ownership", said.ownership().name())
                .param("owner", owner.orElse(null))
                .param("lot", said.lotId().orElse(null))
                .param("paid", said.paidMinor().orElse(null))
                .param("slot", said.slot().orElse(null))
                .param("complaint", said.arrival().complaint())
                .param("condition", said.arrival().condition())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("due", Sql.millis(due.orElse(null))));
    }

    /** Whether anything came off, or was accounted for: then the job goes by its notes. */
    boolean hasEntries(long job) {
        return jdbc.sql("""
                        SELECT EXISTS (SELECT 1 FROM step_entry WHERE job_id = :job)
                            OR EXISTS (SELECT 1 FROM ledger_entry WHERE job_id = :job)
                            OR EXISTS (SELECT 1 FROM skip WHERE job_id = :job)
                        """).param("job", job).query(Boolean.class).single();
    }

    /** Where the revision turns out to be another, a run that is under way goes through the whole of it. */
    void correctJob(long id, Optional<Instant> due, CorrectionSaid said) {
        jdbc.sql("""
                        UPDATE run SET targets = '[]', route = '[]'
                        WHERE job_id = :id AND closing_id IS NULL
                          AND (SELECT revision_id FROM job WHERE id = :id) <> :revision
                        """).param("id", id).param("revision", said.revisionId()).update();
        jdbc.sql("""
                        UPDATE job
                        SET teardown_id = CASE WHEN revision_id = :revision THEN teardown_id END,
                            bench_version = bench_version + (revision_id <> :revision),
                            revision_id = :revision, slot = :slot, complaint = :complaint,
                            condition_words = :condition, due_at = :due, version = version + 1
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("revision", said.revisionId())
                .param("slot", said.slot().orElse(null))
                .param("complaint", said.arrival().complaint())
                .param("condition", said.arrival().condition())
                .param("due", Sql.millis(due.orElse(null)))
                .update();
    }
}
