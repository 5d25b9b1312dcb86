package wrenchnotes.server.keeping;

import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Looks at the books as a whole: is the file sound, does every row find what it refers to, do the sums come out. */
@Component
class BooksStore {

    private static final String LEDGER = """
            SELECT job_id, thing
            FROM (SELECT job_id, thing, to_account AS account, count AS n FROM ledger_entry
                  UNION ALL SELECT job_id, thing, from_account, -count FROM ledger_entry)
            WHERE account NOT IN ('FITTED', 'BEYOND_NOTES')
            GROUP BY job_id, thing, account
            HAVING SUM(n) < 0
            """;

    private static final String STOCK = """
            SELECT part.name
            FROM part_movement JOIN part ON part.id = part_id
            WHERE 'DRAWER' IN (from_account, to_account)
            GROUP BY part.id
            HAVING SUM(CASE WHEN to_account = 'DRAWER' THEN part_movement.count ELSE -part_movement.count END) < 0
                OR SUM(CASE WHEN to_account = 'DRAWER' THEN value_minor ELSE -value_minor END) < 0
            """;

    private final JdbcClient jdbc;

    BooksStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What does not come out, a sentence each. */
    List<String> wrong() {
        List<String> wrong = new ArrayList<>();
        int orphans =
                jdbc.sql("PRAGMA foreign_key_check").query((row, n) -> n).list().size();
        if (orphans > 0) {
            wrong.add(
                    orphans
                            + " rows of the database refer to something that is not there: tell whoever looks after the program.");
        }
        List<Long> jobs =
                jdbc.sql(LEDGER).query((row, n) -> row.getLong("job_id")).list();
        if (!jobs.isEmpty()) {
            wrong.add("The ledger of job " + jobs.get(0) + " does not add up: tell whoever looks after the program.");
        }
        jdbc.sql(STOCK).query(String.class).list().stream()
                .limit(3)
                .forEach(part ->
                        wrong.add("More " + part + " went out of its drawer than ever lay in it: count the drawer."));
        return wrong;
    }

    /** As SQLite advises long-lived programs: the first time all tables, later those that have changed. */
    void optimize(boolean all) {
        jdbc.sql(all ? "PRAGMA optimize = 0x10002" : "PRAGMA optimize")
                .query((row, n) -> n)
                .list();
    }
}
