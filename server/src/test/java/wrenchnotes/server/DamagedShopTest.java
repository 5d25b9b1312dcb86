package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.KeepingOverHttpTest.await;
import static wrenchnotes.server.KeepingOverHttpTest.health;
import static wrenchnotes.server.KeepingOverHttpTest.lead;
import static wrenchnotes.server.KeepingOverHttpTest.lot;
import static wrenchnotes.server.KeepingOverHttpTest.wrong;

import java.io.RandomAccessFile;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wrenchnotes.server.ground.DataFolder;

/** A file that is damaged, or whose books were changed behind the shop's back: it can be read, and says what is wrong. */
@Tag("shop")
class DamagedShopTest {

    @TempDir
    Path data;

    @BeforeEach
    void aShop() throws Exception {
        RunningShop.goldenIn(data);
    }

    /** Bytes of a page changed on the disk: found by the daily look, read on, and nothing is written into it. */
    @Test
    void aDamagedFileIsReadOnlyAndSaysSo() throws Exception {
        damageAnIndex();
        try (RunningShop shop = RunningShop.in(data, "wrenchnotes.upkeep-after=PT0S")) {
            Client client = lead(shop);
            await(() -> !wrong(client).isEmpty());
            assertThat(wrong(client))
                    .singleElement()
                    .asString()
                    .contains("is damaged")
                    .contains("restore the last backup");
            Client.Answer refused = lot(client, "not into this one");
            assertThat(refused.status()).isEqualTo(503);
            assertThat(refused.detail()).contains("nothing is written into it any more");
            assertThat(client.get("/api/parts").status()).isEqualTo(200);
            assertThat(health(shop)).contains("OUT_OF_SERVICE").contains("damaged");
        }
    }

    /** Met by what a start does before its first answer: it ended with a trace, and the shop could not even be read. */
    @Test
    void whatTheStartFindsDamagedIsReadOnlyAndSaysSo() throws Exception {
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + data.resolve(DataFolder.DATABASE))) {
            // Statistics are made again of what has none.
            file.createStatement().execute("DELETE FROM sqlite_stat1");
        }
        damageAnIndex();
        try (RunningShop shop = RunningShop.in(data)) {
            Client client = lead(shop);
            assertThat(wrong(client)).singleElement().asString().contains("is damaged");
            assertThat(lot(client, "not into this one").status()).isEqualTo(503);
            assertThat(client.get("/api/parts").status()).isEqualTo(200);
        }
    }

    private void damageAnIndex() throws Exception {
        try (RandomAccessFile file =
                new RandomAccessFile(data.resolve(DataFolder.DATABASE).toFile(), "rw")) {
            file.seek(rootOf("journal_by_job") * 4096L - 4096 + 3);
            file.write(new byte[] {(byte) 0xFF, (byte) 0xFF, (byte) 0xFF});
        }
    }

    private long rootOf(String name) throws Exception {
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + data.resolve(DataFolder.DATABASE));
                var row = file.createStatement()
                        .executeQuery("SELECT rootpage FROM sqlite_master WHERE name = '" + name + "'")) {
            row.next();
            return row.getLong(1);
        }
    }

    @Test
    void sumsThatDoNotComeOutAreSaid() throws Exception {
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + data.resolve(DataFolder.DATABASE))) {
            file.createStatement().execute("""
                    INSERT INTO part_movement (part_id, count, from_account, to_account, value_minor, why, at, by)
                    SELECT id, 700, 'DRAWER', 'LOST_COUNT', 0, 'behind our back', 0, 1 FROM part
                    """);
        }
        try (RunningShop shop = RunningShop.in(data, "wrenchnotes.upkeep-after=PT0S")) {
            Client client = lead(shop);
            await(() -> !wrong(client).isEmpty());
            assertThat(wrong(client))
                    .containsExactly("More belt 57 went out of its drawer than ever lay in it: count the drawer.");
            assertThat(health(shop))
                    .as("it can be worked with")
                    .contains("\"UP\"")
                    .contains("belt 57");
        }
    }
}
