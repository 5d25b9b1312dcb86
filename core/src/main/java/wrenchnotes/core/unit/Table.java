package wrenchnotes.core.unit;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** A table of published values that stands beside a class as semicolon-separated text, its sources in lines with #, its columns in the first. */
public final class Table {

    private Table() {}

    /**
     * @param beside the class in whose package it stands @param name "threads.csv"
     * @return its rows, without the columns' names; empty cells are empty words, at the end of a row too
     * @throws IllegalStateException if it is not there or a row has not as many cells as there are columns
     */
    public static List<List<String>> rows(Class<?> beside, String name) {
        try (InputStream in = beside.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException(name + " does not stand beside " + beside.getSimpleName());
            }
            List<List<String>> lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .map(line -> List.of(line.split(";", -1)))
                    .toList();
            int columns = lines.get(0).size();
            lines.stream().filter(line -> line.size() != columns).findFirst().ifPresent(line -> {
                throw new IllegalStateException(name + ": " + line + " has not " + columns + " cells");
            });
            return lines.subList(1, lines.size());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
