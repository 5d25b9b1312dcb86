package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What a reader is promised of the house: words are where docs/domain.md says, and a file is a room one can see across. */
class ReadersTest {

    private static final Path ROOT = Path.of("..");
    private static final Pattern FILE = Pattern.compile("\\| ([^|]+) \\| (core/[^ |]+\\.java) \\|");
    private static final Pattern STARTS_A_SHOP = Pattern.compile("RunningShop|static final Visit ");
    private static final int LONGEST = 300;
    private static final int MEDIAN = 110;

    @Test
    void eachWordIsFoundInTheFileThatTheListNames() throws IOException {
        List<String> files = FILE.matcher(Files.readString(ROOT.resolve("docs/domain.md")))
                .results()
                .map(found -> found.group(2))
                .toList();
        assertThat(files).hasSizeGreaterThanOrEqualTo(20).doesNotHaveDuplicates();
        assertThat(files).allSatisfy(file -> assertThat(ROOT.resolve(file)).isRegularFile());
    }

    @Test
    void noFileIsLongerThanOneCanSeeAcross() throws IOException {
        List<Path> files;
        try (Stream<Path> core = Files.walk(ROOT.resolve("core/src/main/java"));
                Stream<Path> server = Files.walk(ROOT.resolve("server/src/main/java"));
                Stream<Path> web = Files.walk(ROOT.resolve("web/src"))) {
            files = Stream.of(core, server, web)
                    .flatMap(all -> all)
                    .filter(file -> file.toString().matches(".*\\.(java|tsx?)"))
                    .filter(file -> !file.toString().matches(".*(schema\\.d|enumWords|\\.test)\\.ts"))
                    .toList();
        }
        assertThat(files).hasSizeGreaterThan(400);
        assertThat(files).allSatisfy(file -> assertThat(lines(file)).isLessThanOrEqualTo(LONGEST));
        List<Integer> sorted = files.stream().map(ReadersTest::lines).sorted().toList();
        assertThat(sorted.get(sorted.size() / 2)).isLessThanOrEqualTo(MEDIAN);
    }

    /** What starts a shop takes seconds, and is left out of {@code make unit}. */
    @Test
    void testsThatStartAShopSaySo() throws IOException {
        try (Stream<Path> tests = Files.walk(Path.of("src/test/java"))) {
            assertThat(tests.filter(file -> file.toString().endsWith("Test.java"))
                            .filter(file -> !file.endsWith("ReadersTest.java"))
                            .filter(file -> STARTS_A_SHOP.matcher(text(file)).find()
                                    != text(file).contains("@Tag(\"shop\")")))
                    .isEmpty();
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static int lines(Path file) {
        try (Stream<String> lines = Files.lines(file)) {
            return (int) lines.count();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
