package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.quoted;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.FileSystemUtils;

/** The packaged program on a small disk of its own that is filled up, and that is then mounted for reading only. */
class FullDiskIT {

    @TempDir
    Path work;

    private Path disk;

    @BeforeEach
    void aSmallDisk() throws Exception {
        disk = Files.createDirectory(work.resolve("disk"));
        Assumptions.assumeTrue(
                run("mount", "-t", "tmpfs", "-o", "size=12m", "tmpfs", disk.toString()) == 0,
                "Only root may mount a disk for this test");
        FileSystemUtils.copyRecursively(Path.of("src/test/resources/golden/v8"), disk.resolve("shop"));
    }

    @AfterEach
    void away() throws Exception {
        run("umount", "-l", disk.toString());
    }

    private static int run(String... command) throws Exception {
        Process process = new ProcessBuilder(command).inheritIO().start();
        assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
        return process.exitValue();
    }

    @Test
    void aFullDiskIsOverByItselfAndAReadOnlyOneIsNotOpened() throws Exception {
        Path shop = disk.resolve("shop");
        Path filler = disk.resolve("filler");
        try (PackagedShop running = PackagedShop.start(shop)) {
            Client client = new Client(running.url()).signedIn("lead", "first lead");
            fill(filler);
            Client.Answer refused = lots(client, "full");
            assertThat(refused.status()).as(refused.body().toString()).isEqualTo(507);
            assertThat(refused.detail()).contains("disk of the shop's machine is full");
            Client.Answer photo = client.postBytes("/api/photos", Pictures.png(300, 200, 1));
            assertThat(photo.status()).isEqualTo(507);
            assertThat(client.get("/api/rack").status()).isEqualTo(200);
            assertThat(client.text("/actuator/health"))
                    .contains("OUT_OF_SERVICE")
                    .contains("is full");
            Files.delete(filler);
            assertThat(lots(client, "room").status()).isEqualTo(201);
            assertThat(client.postBytes("/api/photos", Pictures.png(300, 200, 1))
                            .status())
                    .isEqualTo(201);
            assertThat(client.text("/actuator/health")).contains("\"UP\"");
            assertThat(client.get("/api/keeping/wrong").body().get("wrong").size())
                    .isZero();
        }
        assertThat(run("mount", "-o", "remount,ro", disk.toString())).isZero();
        try {
            PackagedShop.start(shop).close();
            throw new AssertionError("It started on a disk that cannot be written");
        } catch (IllegalStateException notStarted) {
            assertThat(PackagedShop.log(shop))
                    .contains("cannot be used (Read-only file system)")
                    .doesNotContain("\tat ");
        }
    }

    /** More than the file has spare pages for. */
    private static Client.Answer lots(Client client, String name) {
        Client.Answer answer = null;
        for (int n = 0; n < 300 && (answer == null || name.equals("full") && answer.status() == 201); n++) {
            answer = client.post("/api/lots", quoted("{'source':'" + "x".repeat(100) + name + n + "'}"));
        }
        return answer;
    }

    private static void fill(Path filler) throws IOException {
        byte[] some = new byte[4096];
        try (OutputStream out = Files.newOutputStream(filler)) {
            while (true) {
                out.write(some);
            }
        } catch (IOException full) {
            assertThat(full.getMessage()).contains("No space left");
        }
    }
}
