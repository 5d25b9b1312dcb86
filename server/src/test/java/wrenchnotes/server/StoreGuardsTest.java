package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import wrenchnotes.server.ground.upgrade.Upgrade;

/** What the database itself refuses, whoever writes SQL. */
class StoreGuardsTest {

    @TempDir
    static Path data;

    private static SingleConnectionDataSource file;
    private static JdbcClient jdbc;

    @BeforeAll
    static void anOldShopBroughtUpToDate() throws Exception {
        Path shop = data.resolve("shop.sqlite");
        Files.copy(Path.of("src/test/resources/golden/v8/wrench-notes.sqlite"), shop);
        file = new SingleConnectionDataSource("jdbc:sqlite:" + shop + "?foreign_keys=on", true);
        jdbc = JdbcClient.create(file);
        Upgrade.migrate(Upgrade.of(file));
        jdbc.sql(
                        "INSERT INTO entry (job_id, kind, form, said, moment, at, by) VALUES (1, 'REMARK', 1, '{}', 900, 1, 1)")
                .update();
    }

    @AfterAll
    static void shut() {
        file.destroy();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "entry",
                "ledger_entry",
                "step_entry",
                "teardown",
                "reading",
                "journal",
                "closing",
                "outcome_entry",
                "part_movement",
                "part_told",
                "skip",
                "triage",
                "sale",
                "overruling",
                "check_entry",
                "finding",
                "component_look",
                "crossed_tries",
                "measurement"
            })
    void whatIsWrittenOnceStaysAsItWasWritten(String table) {
        List<?> before = rows(table);
        assertThat(before).as("there is one to try it on").isNotEmpty();
        String column = columns(table).stream()
                .filter(name -> !name.startsWith("struck")
                        && !name.startsWith("as_remark")
                        && !name.startsWith("back_")
                        && !name.equals("failed"))
                .reduce((first, last) -> last)
                .orElseThrow();
        assertRefused("UPDATE %s SET %s = %s".formatted(table, column, column));
        assertRefused("DELETE FROM " + table);
        // Passes triggers on UPDATE and DELETE: the row that is there would simply be gone.
        assertRefused("INSERT OR REPLACE INTO %s SELECT * FROM %s LIMIT 1".formatted(table, table));
        assertThat(rows(table)).isEqualTo(before);
    }

    @Test
    void versionsOfNotesAreNotReplacedUnderAnotherId() {
        assertRefused("INSERT OR REPLACE INTO teardown (revision_id, number, steps, made_at, made_by) "
                + "SELECT revision_id, number, '[]', 1, 1 FROM teardown LIMIT 1");
    }

    @Test
    void anEntryNeedsPinnedNotesAndKeepsThem() {
        long unpinned = jdbc.sql("SELECT id FROM job WHERE teardown_id IS NULL LIMIT 1")
                .query(Long.class)
                .single();
        for (String insert : List.of(
                "INSERT INTO step_entry (job_id, step, direction, moment, at, by) VALUES (%d, 'lid', 'IN', 1, 1, 1)",
                "INSERT INTO ledger_entry (job_id, thing, kind, from_account, to_account, count, moment, at, by) "
                        + "VALUES (%d, 'case', 'FASTENER', 'FITTED', 'TRAY', 1, 1, 1, 1)")) {
            assertThatThrownBy(() -> jdbc.sql(insert.formatted(unpinned)).update())
                    .hasMessageContaining("needs the notes");
        }
        for (String change : List.of("teardown_id = NULL", "revision_id = 2")) {
            assertThatThrownBy(() -> jdbc.sql(
                                    "UPDATE job SET " + change + " WHERE id = (SELECT job_id FROM step_entry LIMIT 1)")
                            .update())
                    .hasMessageContaining("keeps its revision");
        }
    }

    @Test
    void whatIsThereOnceIsThereOnce() {
        assertThatThrownBy(() -> jdbc.sql(
                                "INSERT INTO run (job_id, targets, route, started_moment, started_at, started_by) "
                                        + "SELECT job_id, '[]', '[]', 1, 1, 1 FROM run WHERE closing_id IS NULL LIMIT 1")
                        .update())
                .hasMessageContaining("UNIQUE");
        jdbc.sql("INSERT INTO pause (job_id, from_at, by) VALUES (1, 1, 1)").update();
        assertThatThrownBy(() -> jdbc.sql("INSERT INTO pause (job_id, from_at, by) VALUES (1, 2, 1)")
                        .update())
                .hasMessageContaining("UNIQUE");
        assertThatThrownBy(() -> jdbc.sql("INSERT INTO step_entry (job_id, step, direction, undoes, moment, at, by) "
                                + "SELECT job_id, step, direction, undoes, 1, 1, 1 FROM step_entry "
                                + "WHERE undoes IS NOT NULL LIMIT 1")
                        .update())
                .as("an entry is taken back once");
    }

    /** A word that no version knew needs no rebuilding: core and readers hold the words. */
    @Test
    void aNewWordRebuildsNothing() {
        jdbc.sql("INSERT INTO hold (job_id, kind, why, from_at, set_by) VALUES (1, 'SET_ASIDE', 'later', 1, 1)")
                .update();
        assertThat(jdbc.sql("SELECT sql FROM sqlite_master WHERE type = 'table' AND sql LIKE '% IN (''%'")
                        .query(String.class)
                        .list())
                .as("no table holds a list of words")
                .isEmpty();
    }

    private static void assertRefused(String sql) {
        assertThatThrownBy(() -> jdbc.sql(sql).update()).as(sql).hasMessageContaining("written once");
    }

    private static List<?> rows(String table) {
        return jdbc.sql("SELECT * FROM " + table).query().listOfRows();
    }

    private static List<String> columns(String table) {
        return jdbc.sql("SELECT name FROM pragma_table_info('" + table + "') ORDER BY cid")
                .query(String.class)
                .list();
    }
}
