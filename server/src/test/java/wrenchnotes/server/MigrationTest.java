package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import wrenchnotes.server.ground.upgrade.Upgrade;

/** A shop that has worked for a while is brought up to date: nothing of its books is lost, and what lies open goes on. */
class MigrationTest {

    @TempDir
    Path data;

    private SingleConnectionDataSource file;
    private JdbcClient jdbc;

    @BeforeEach
    void aFile() {
        file = new SingleConnectionDataSource("jdbc:sqlite:" + data.resolve("shop.sqlite") + "?foreign_keys=on", true);
        jdbc = JdbcClient.create(file);
    }

    private void migrate(String to) {
        Upgrade.migrate(Upgrade.to(file, to));
    }

    @Test
    void theLedgerIsRebuiltWithAllItsEntriesAndOpenUnitsHaveTheirRun() {
        migrate("5");
        aShopThatWorks();
        List<Map<String, Object>> before = entries();
        assertThat(before).hasSize(4);
        migrate("latest");
        assertThat(entries()).isEqualTo(before);
        assertThat(jdbc.sql("SELECT DISTINCT basis FROM ledger_entry")
                        .query(String.class)
                        .list())
                .containsExactly("COUNTED");
        // The unit that lies open has a run to go on with; the one that was closed has none.
        assertThat(jdbc.sql("SELECT job_id FROM run WHERE closing_id IS NULL")
                        .query(Long.class)
                        .list())
                .containsExactly(2L);
        assertThat(jdbc.sql("SELECT for_now FROM closing").query(String.class).list())
                .containsExactly((String) null);
        assertThat(jdbc.sql("PRAGMA foreign_key_check").query((row, n) -> n).list())
                .isEmpty();
        assertThat(jdbc.sql("PRAGMA integrity_check").query(String.class).single())
                .isEqualTo("ok");
        assertThat(jdbc.sql("SELECT moment FROM step_entry ORDER BY id")
                        .query(Long.class)
                        .list())
                .as("without a journal all have the same moment, and are ordered by id")
                .containsOnly(0L);
    }

    private List<Map<String, Object>> entries() {
        return jdbc.sql("""
                        SELECT id, job_id, step_entry_id, thing, kind, from_account, to_account, count, reason, undoes, at, by
                        FROM ledger_entry
                        ORDER BY id
                        """).query().listOfRows();
    }

    /** Two units: one opened and closed again, one with a step in that was taken back and done again. */
    private void aShopThatWorks() {
        for (String sql : List.of(
                "INSERT INTO person (id, name, password_hash, role, made_at) VALUES (1, 'ragna', 'x', 'LEAD', 0)",
                "INSERT INTO model (id, maker, name, kind) VALUES (1, 'Cormorant Works', 'Tide', 'PLAYER')",
                "INSERT INTO revision (id, model_id, name) VALUES (1, 1, 'A')",
                "INSERT INTO teardown (id, revision_id, number, steps, made_at, made_by) VALUES (1, 1, 1, '[]', 0, 1)",
                "INSERT INTO unit (id, tag, revision_id, made_at) VALUES (1, 1, 1, 0), (2, 2, 1, 0)",
                "INSERT INTO job (id, unit_id, revision_id, ownership, checked_in_at, checked_in_by, teardown_id)"
                        + " VALUES (1, 1, 1, 'RESALE', 0, 1, 1), (2, 2, 1, 'RESALE', 0, 1, 1)",
                "INSERT INTO step_entry (id, job_id, step, direction, undoes, at, by) VALUES"
                        + " (1, 1, 'lid', 'IN', NULL, 1, 1), (2, 1, 'lid', 'OUT', NULL, 2, 1),"
                        + " (3, 2, 'lid', 'IN', NULL, 3, 1), (4, 2, 'lid', 'OUT', 3, 4, 1), (5, 2, 'lid', 'IN', NULL, 5, 1)",
                "INSERT INTO ledger_entry (id, job_id, step_entry_id, thing, kind, from_account, to_account, count, reason,"
                        + " undoes, at, by) VALUES"
                        + " (1, 1, 1, 'case', 'FASTENER', 'FITTED', 'TRAY', 4, '', NULL, 1, 1),"
                        + " (2, 1, 2, 'case', 'FASTENER', 'TRAY', 'FITTED', 4, 'as made', NULL, 2, 1),"
                        + " (3, 2, 3, 'case', 'FASTENER', 'FITTED', 'TRAY', 4, '', NULL, 3, 1),"
                        + " (4, 2, 4, 'case', 'FASTENER', 'TRAY', 'FITTED', 4, '', 3, 4, 1)",
                "INSERT INTO closing (id, job_id, at, by) VALUES (1, 1, 9, 1)")) {
            jdbc.sql(sql).update();
        }
    }

    private JdbcClient golden() throws Exception {
        file.destroy();
        Path shop = data.resolve("golden.sqlite");
        Files.copy(Path.of("src/test/resources/golden/v8/wrench-notes.sqlite"), shop);
        file = new SingleConnectionDataSource("jdbc:sqlite:" + shop + "?foreign_keys=on", true);
        return JdbcClient.create(file);
    }

    /** V8 was edited once, between two commits: a shop of its first form opens too, and gets what it lacks. */
    @Test
    void aShopOfTheFirstV8Opens() throws Exception {
        JdbcClient shop = golden();
        List<String> lacking = List.of("hold_not_ended", "hold_by_kind", "job_by_owner", "job_symptom_by_symptom");
        lacking.forEach(index -> shop.sql("DROP INDEX " + index).update());
        shop.sql("UPDATE flyway_schema_history SET checksum = 792166021 WHERE version = '8'")
                .update();
        migrate("latest");
        assertThat(shop.sql("SELECT name FROM sqlite_master WHERE type = 'index'")
                        .query(String.class)
                        .list())
                .containsAll(lacking);
        assertThat(shop.sql("SELECT bench_millis FROM job WHERE handed_over_at IS NOT NULL")
                        .query(Integer.class)
                        .list())
                .as("time worked on closed jobs, added up once")
                .doesNotContainNull()
                .anyMatch(millis -> millis > 0);
    }

    /** The books of a shop that ran other forms of these scripts. */
    private void landedAs(Map<String, Integer> checksums) {
        checksums.forEach((version, checksum) -> jdbc.sql(
                        "UPDATE flyway_schema_history SET checksum = :checksum WHERE version = :version")
                .param("checksum", checksum)
                .param("version", version)
                .update());
    }

    /** V20 was edited after it was committed, and put right again: a shop of the days between opens and goes on. */
    @Test
    void aShopOfTheEditedV20Opens() {
        migrate("24");
        landedAs(Map.of("20", -1501376059, "21", -848282546, "24", 1154112806));
        migrate("latest");
        assertThat(Upgrade.of(file).validateWithResult().validationSuccessful).isTrue();
        assertThat(jdbc.sql("SELECT COUNT(*) FROM finding_photo")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    /** V27 was edited after it had landed, and put right again: what a shop of the landed form knew of its suppliers stands. */
    @Test
    void whatWasKnownOfSuppliersStands() {
        migrate("28");
        jdbc.sql("INSERT INTO supplier (name, address) VALUES ('Ringholm', 'http://127.0.0.1:1')")
                .update();
        migrate("latest");
        assertThat(jdbc.sql("SELECT address FROM supplier").query(String.class).single())
                .isEqualTo("http://127.0.0.1:1");
    }

    /** And one of the days between opens and goes on. */
    @Test
    void aShopOfTheEditedV27Opens() {
        migrate("28");
        jdbc.sql("ALTER TABLE supplier DROP COLUMN address").update();
        jdbc.sql("ALTER TABLE part_order DROP COLUMN their_number").update();
        jdbc.sql("INSERT INTO supplier (name) VALUES ('Ringholm')").update();
        landedAs(Map.of("27", -711006370));
        migrate("latest");
        assertThat(Upgrade.of(file).validateWithResult().validationSuccessful).isTrue();
        assertThat(jdbc.sql("SELECT address FROM supplier").query(String.class).single())
                .isEmpty();
    }

    /** Nor does one that went on to V29 as it was in those days: it has the column already. */
    @Test
    void aShopOfTheEditedV27ThatWentOnOpens() {
        migrate("29");
        landedAs(Map.of("27", -711006370, "29", 377180897));
        migrate("latest");
        assertThat(Upgrade.of(file).validateWithResult().validationSuccessful).isTrue();
    }

    /** What has landed is never edited: these are the checksums that shops have in their books. */
    @Test
    void noMigrationIsEditedOnceItHasLanded() throws Exception {
        migrate("latest");
        assertThat(jdbc.sql("SELECT checksum FROM flyway_schema_history WHERE type = 'SQL' ORDER BY installed_rank")
                        .query(Integer.class)
                        .list())
                .containsExactly(
                        561308332,
                        -1019378158,
                        -609788755,
                        502147520,
                        -152310263,
                        -1137476617,
                        -1508111716,
                        1959162236,
                        -1942055741,
                        341979940,
                        171035880,
                        477126598,
                        -290986281,
                        548208270,
                        1131829537,
                        -362264311,
                        1038671599,
                        916174635,
                        -2071718215,
                        -1886268999,
                        825466209,
                        1277569849,
                        1635617408,
                        924750041,
                        1433180997,
                        1529862022,
                        1085446187);
        CRC32 ninth = new CRC32();
        for (String script : List.of("V9-tables.sql", "V9-indexes.sql")) {
            ninth.update(Files.readAllBytes(Path.of("src/main/resources/db/rebuild/" + script)));
        }
        assertThat(ninth.getValue()).isEqualTo(2927066765L);
    }

    /** A row that would lose what it refers to: nothing of the shop is touched, and it says which. */
    @Test
    void aRebuildThatBreaksAKeyIsUndoneWhole() throws Exception {
        JdbcClient shop = golden();
        shop.sql("PRAGMA foreign_keys = OFF").update();
        shop.sql("UPDATE hold SET set_by = 99").update();
        List<String> before = schema(shop);
        assertThatThrownBy(() -> migrate("latest"))
                .hasStackTraceContaining("A row of hold would lose what it refers to");
        assertThat(schema(shop)).isEqualTo(before);
        assertThat(shop.sql("SELECT COUNT(*) FROM journal WHERE words LIKE '%Harbour choir%'")
                        .query(Integer.class)
                        .single())
                .isPositive();
        shop.sql("UPDATE hold SET set_by = 1").update();
        migrate("latest");
        assertThat(shop.sql("PRAGMA foreign_keys").query(Integer.class).single())
                .isEqualTo(1);
    }

    private static List<String> schema(JdbcClient shop) {
        return shop.sql("SELECT COALESCE(sql, name) FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY name")
                .query(String.class)
                .list();
    }
}
