package wrenchnotes.core.unit;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** A table of published values that stands beside the class that knows it: semicolons between, its sources in lines with #, its columns in the first. */
public final class PublishedTable {

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setDelimiter(';')
            .setCommentMarker('#')
            .setHeader()
            .setSkipHeaderRecord(true)
            .get();

    private PublishedTable() {}

    /**
     * @param beside the class in whose package it stands @param name "threads.csv"
     * @return its rows, their cells by the names of the columns
     * @throws IllegalStateException if it is not there or a row has not as many cells as there are columns
     */
    public static List<CSVRecord> rows(Class<?> beside, String name) {
        try (InputStream in = beside.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException(name + " does not stand beside " + beside.getSimpleName());
            }
            List<CSVRecord> rows = FORMAT.parse(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .getRecords();
            rows.stream().filter(row -> !row.isConsistent()).findFirst().ifPresent(row -> {
                throw new IllegalStateException(name + ": " + row + " has not as many cells as there are columns");
            });
            return rows;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
