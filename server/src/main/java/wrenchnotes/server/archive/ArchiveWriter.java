package wrenchnotes.server.archive;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.server.exchange.TeardownFiles;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Snapshot;

/**
 * The whole shop as one file that other programs read: ZIP with a CSV of each table, what they mean in {@code schema.json}, the pictures,
 * the papers that were printed, and the newest notes of each revision as a teardown file. docs/formats.md
 */
@Component
public class ArchiveWriter {

    static final String FORMAT = "wrench-notes/shop/1";
    static final String SCHEMA = "schema.json";
    static final String TABLES = "tables/";
    static final String PHOTOS = "photos/";

    private static final String PAPERS = "printed";

    private static final String README = """
            A repair shop's records, whole. tables/ has one CSV a table (RFC 4180, UTF-8; a cell without a value is empty, an empty
            text stands in quotes; times are milliseconds since 1970-01-01 UTC, sums are minor units of the shop's currency).
            schema.json says what columns each has and which rows they name. photos/ are JPEG, named by the SHA-256 of what they hold.
            notes/ has the newest notes of each revision as a teardown file. printed/ has what came out of the printer as PDF.
            Read it into an empty shop: java -jar wrench-notes.jar import FILE --wrenchnotes.data=EMPTY
            Passwords and tokens are not in it: start with --reset-lead=NAME afterwards.
            """;

    private final ArchiveStore store;
    private final TeardownFiles notes;
    private final DataFolder folder;
    private final Snapshot snapshot;
    private final JsonMapper json;

    ArchiveWriter(DataSource shop, TeardownFiles notes, DataFolder folder, Snapshot snapshot, JsonMapper json) {
        this.store = new ArchiveStore(shop);
        this.notes = notes;
        this.folder = folder;
        this.snapshot = snapshot;
        this.json = json.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    /** @param version number of the tables' form @param rows of each table */
    record SchemaSaid(
            String format, String version, String made, List<TableSaid> tables, Map<String, String> leftOut) {}

    record TableSaid(String name, long rows, List<ArchiveStore.Column> columns) {}

    /** @param made when, for whoever reads it later */
    public void write(OutputStream out, Instant made) {
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            put(zip, "README.txt", README.getBytes(StandardCharsets.UTF_8));
            // One moment for all tables and notes; pictures and papers never change once they are there.
            SchemaSaid schema = snapshot.read(() -> tables(zip, made));
            put(zip, SCHEMA, json.writeValueAsBytes(schema));
            files(zip, folder.photos(), PHOTOS, ".jpg");
            files(zip, folder.path().resolve(PAPERS), PAPERS + "/", ".pdf");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private SchemaSaid tables(ZipOutputStream zip, Instant made) {
        List<TableSaid> tables = new ArrayList<>();
        try {
            for (String table : Kept.TABLES) {
                zip.putNextEntry(new ZipEntry(TABLES + table + ".csv"));
                // Closed by nobody: the archive goes on.
                Writer words = new BufferedWriter(new OutputStreamWriter(zip, StandardCharsets.UTF_8));
                long rows = store.write(table, words);
                words.flush();
                zip.closeEntry();
                tables.add(new TableSaid(table, rows, store.columns(table)));
            }
            for (Map.Entry<String, String> one : notes.newest().entrySet()) {
                put(zip, "notes/" + one.getKey(), one.getValue().getBytes(StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new SchemaSaid(FORMAT, store.version(), made.toString(), tables, Kept.LEFT_OUT);
    }

    private static void files(ZipOutputStream zip, Path from, String to, String ending) throws IOException {
        if (!Files.isDirectory(from)) {
            return;
        }
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.filter(one -> one.toString().endsWith(ending))
                    .sorted()
                    .toList()) {
                zip.putNextEntry(new ZipEntry(to + file.getFileName()));
                try (InputStream in = Files.newInputStream(file)) {
                    in.transferTo(zip);
                }
                zip.closeEntry();
            }
        }
    }

    private static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(bytes);
        zip.closeEntry();
    }
}
