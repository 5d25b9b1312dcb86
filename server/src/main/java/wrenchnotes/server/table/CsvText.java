package wrenchnotes.server.table;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import wrenchnotes.core.unit.Invalid;

/**
 * A table as spreadsheets write it (RFC 4180, and with semicolons or tabs where the comma is the decimal mark).
 *
 * @param header names of the columns
 * @param rows without the empty ones
 */
public record CsvText(List<String> header, List<List<String>> rows) {

    public static final int MOST_ROWS = 100_000;
    private static final int MOST_COLUMNS = 60;
    private static final Charset OLDER = Charset.forName("windows-1252");

    /** UTF-8 if it can be that, else as older spreadsheets write. */
    public static String text(byte[] file) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            return new String(file, OLDER);
        }
    }

    /** @throws Invalid if it is no table, if it has no rows, or too many */
    public static CsvText read(String text) {
        String first = text.lines().findFirst().orElse("");
        char mark = first.chars().filter(c -> c == '\t').count() > 0
                ? '\t'
                : first.chars().filter(c -> c == ';').count()
                                > first.chars().filter(c -> c == ',').count()
                        ? ';'
                        : ',';
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(mark)
                .setIgnoreEmptyLines(true)
                .get();
        List<List<String>> all = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            parser.forEach(row -> {
                List<String> cells = Arrays.asList(row.values());
                if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
                    all.add(cells);
                }
                if (all.size() > MOST_ROWS + 1) {
                    throw new Invalid("file", "More than " + MOST_ROWS + " rows: bring it in in parts");
                }
            });
        } catch (IOException | UncheckedIOException e) {
            Throwable cause = e instanceof UncheckedIOException && e.getCause() != null ? e.getCause() : e;
            throw new Invalid("file", "This is no table with commas, semicolons or tabs: " + cause.getMessage());
        }
        if (all.size() < 2) {
            throw new Invalid(
                    "file", "There are no rows in it: a first line with names, and a line for each of what it lists");
        }
        if (all.get(0).size() < 2 || all.get(0).size() > MOST_COLUMNS) {
            throw new Invalid(
                    "file",
                    "A table has at least two columns, with commas, semicolons or tabs between, and at most "
                            + MOST_COLUMNS);
        }
        return new CsvText(all.get(0), all.subList(1, all.size()));
    }
}
