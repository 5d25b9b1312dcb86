package wrenchnotes.server.checkin;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.NotFound;

/** What is kept of an owner, and how it is taken out: what happened to their units stays. */
@Component
class OwnerDataStore {

    /** The finder's tables that an owner's name can stand in: what was taken out lingers in them until they are put in order. */
    private static final List<String> FINDER = List.of("find_owner", "find_job", "find_past", "find_entry");

    private final JdbcClient jdbc;

    OwnerDataStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Row(long id, String name, String contact) {}

    /** @throws NotFound if there is none */
    Row owner(long id) {
        return jdbc.sql("SELECT id, name, contact FROM owner WHERE id = :id")
                .param("id", id)
                .query((row, n) -> new Row(row.getLong("id"), row.getString("name"), row.getString("contact")))
                .optional()
                .orElseThrow(() -> new NotFound("There is no owner " + id));
    }

    /** Newest first. */
    List<Long> jobs(long owner) {
        return jdbc.sql("SELECT id FROM job WHERE owner_id = :owner ORDER BY id DESC")
                .param("owner", owner)
                .query(Long.class)
                .list();
    }

    void forget(Row owner, String instead) {
        jdbc.sql("PRAGMA secure_delete = ON").query((row, n) -> n).list();
        jdbc.sql(
                        "DELETE FROM journal_private WHERE journal_id IN (SELECT journal.id FROM journal JOIN job ON job.id = job_id WHERE owner_id = :owner)")
                .param("owner", owner.id())
                .update();
        jdbc.sql(
                        "DELETE FROM entry_private WHERE entry_id IN (SELECT entry.id FROM entry JOIN job ON job.id = job_id WHERE owner_id = :owner)")
                .param("owner", owner.id())
                .update();
        jdbc.sql("UPDATE job SET complaint = REPLACE(complaint, :name, :instead) WHERE owner_id = :owner")
                .param("name", owner.name())
                .param("instead", instead)
                .param("owner", owner.id())
                .update();
        jdbc.sql("UPDATE past_job SET owner = '' WHERE owner = :name COLLATE NOCASE")
                .param("name", owner.name())
                .update();
        jdbc.sql("UPDATE owner SET name = :instead, contact = '' WHERE id = :owner")
                .param("instead", instead)
                .param("owner", owner.id())
                .update();
        for (String table : FINDER) {
            jdbc.sql("INSERT INTO " + table + " (" + table + ") VALUES ('optimize')")
                    .update();
        }
    }

    /** Entries that were written once and name them all the same: how many. */
    int stillNamed(Row owner) {
        return jdbc.sql("""
                        SELECT COUNT(*) FROM entry JOIN job ON job.id = entry.job_id
                        WHERE owner_id = :owner AND INSTR(entry.said, :name) > 0
                        """)
                .param("owner", owner.id())
                .param("name", owner.name())
                .query(Integer.class)
                .single();
    }
}
