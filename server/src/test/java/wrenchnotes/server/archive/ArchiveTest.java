package wrenchnotes.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.ground.Sha256;

/** The whole shop goes out in open formats and comes back the same; what is no whole archive leaves nothing behind. */
@Tag("shop")
class ArchiveTest {

    private static final Instant NOW = Instant.parse("2026-03-06T10:00:00Z");

    @TempDir
    static Path folder;

    private static Path archive;
    private static TreeSet<String> tables;

    @BeforeAll
    static void theDemoShopGoesOut() throws Exception {
        Path shop = folder.resolve("shop");
        RunningShop.demoIn(shop);
        try (RunningShop open = RunningShop.in(shop)) {
            archive = written(open, folder.resolve("shop.zip"));
            tables = new TreeSet<>(open.bean(JdbcClient.class)
                    .sql("SELECT name FROM sqlite_master WHERE type = 'table'")
                    .query(String.class)
                    .list());
        }
    }

    private static Path written(RunningShop shop, Path file) throws IOException {
        try (OutputStream out = Files.newOutputStream(file)) {
            shop.bean(ArchiveWriter.class).write(out, NOW);
        }
        return file;
    }

    @Test
    void whatComesBackIsTheSameToTheLetter() throws IOException {
        Path again = folder.resolve("again");
        assertThat(ArchiveReader.read(archive, again)).isGreaterThan(3_000);
        try (RunningShop open = RunningShop.in(again)) {
            Map<String, String> first = entries(archive);
            Map<String, String> second = entries(written(open, folder.resolve("again.zip")));
            assertThat(second.keySet()).isEqualTo(first.keySet());
            assertThat(second).isEqualTo(first);
            assertThat(first.keySet()).anyMatch(name -> name.startsWith("notes/"));
            assertThat(first.keySet()).anyMatch(name -> name.startsWith("photos/"));
            // The finder was filled by what was read in.
            for (String words : List.of("find_job", "find_finding", "find_part", "find_owner", "find_step")) {
                assertThat(open.bean(JdbcClient.class)
                                .sql("SELECT COUNT(*) FROM " + words)
                                .query(Integer.class)
                                .single())
                        .as(words)
                        .isPositive();
            }
        }
    }

    @Test
    void noTableIsForgottenAndNoSecretLeaves() throws IOException {
        tables.removeIf(name -> Kept.WORKED_OUT.stream().anyMatch(name::startsWith));
        TreeSet<String> known = new TreeSet<>(Kept.TABLES);
        known.addAll(Kept.LEFT_OUT.keySet());
        assertThat(known)
                .as("a new table goes into Kept: out with the others, or left out with a reason")
                .isEqualTo(tables);
        assertThat(text("tables/person.csv")).contains("ines").doesNotContain("bcrypt");
    }

    @Test
    void whatIsNoWholeArchiveLeavesNothing() throws IOException {
        Path shop = folder.resolve("refused");
        refused(without("tables/finding.csv"), shop, "lacks the table finding");
        refused(without("schema.json"), shop, "no archive of a shop");
        refused(changed("tables/model.csv", "\"id\",", "\"di\","), shop, "other columns");
        refused(changed("tables/finding.csv", "\n\"1\",\"1\"", "\n\"1\",\"987654\""), shop, "not in it");
        refused(changed("schema.json", "\"version\" : \"30\"", "\"version\" : \"99\""), shop, "newer program");
        Files.writeString(folder.resolve("words.txt"), "no zip");
        refused(folder.resolve("words.txt"), shop, "Nothing was read");
        Files.createDirectories(shop);
        Files.writeString(shop.resolve("mine"), "mine");
        assertThatThrownBy(() -> ArchiveReader.read(archive, shop)).hasMessageContaining("not empty");
        assertThat(shop.resolve("mine")).hasContent("mine");
    }

    private static void refused(Path bad, Path shop, String why) {
        assertThatThrownBy(() -> ArchiveReader.read(bad, shop))
                .isInstanceOf(ArchiveFailed.class)
                .hasMessageContaining(why);
        assertThat(shop.toFile().list()).isNullOrEmpty();
    }

    private static Path without(String name) throws IOException {
        return copy(name, null);
    }

    private static Path changed(String name, String from, String to) throws IOException {
        assertThat(text(name)).contains(from);
        return copy(name, text(name).replaceFirst(java.util.regex.Pattern.quote(from), to));
    }

    private static Path copy(String name, String instead) throws IOException {
        Path file = Files.createTempFile(folder, "bad", ".zip");
        try (ZipFile zip = new ZipFile(archive.toFile());
                ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(file))) {
            for (ZipEntry entry : Collections.list(zip.entries())) {
                boolean here = entry.getName().equals(name);
                if (!here || instead != null) {
                    out.putNextEntry(new ZipEntry(entry.getName()));
                    out.write(here ? instead.getBytes(StandardCharsets.UTF_8) : bytes(zip, entry));
                    out.closeEntry();
                }
            }
        }
        return file;
    }

    private static byte[] bytes(ZipFile zip, ZipEntry entry) throws IOException {
        try (InputStream in = zip.getInputStream(entry)) {
            return in.readAllBytes();
        }
    }

    private static String text(String name) throws IOException {
        try (ZipFile zip = new ZipFile(archive.toFile())) {
            return new String(bytes(zip, zip.getEntry(name)), StandardCharsets.UTF_8);
        }
    }

    /** Name and content: pictures by their hash. */
    private static Map<String, String> entries(Path file) throws IOException {
        Map<String, String> entries = new LinkedHashMap<>();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            for (ZipEntry entry : Collections.list(zip.entries())) {
                byte[] bytes = bytes(zip, entry);
                entries.put(
                        entry.getName(),
                        entry.getName().startsWith("photos/")
                                ? Sha256.of(bytes)
                                : new String(bytes, StandardCharsets.UTF_8));
            }
        }
        return entries;
    }
}
