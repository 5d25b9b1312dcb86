package wrenchnotes.server.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A table as it leaves the shop.
 *
 * @param name of its file, without the ending
 * @param rows each as wide as the titles; a cell is a word, a number, {@link MinorUnits}, a moment, a day, several words, or empty
 */
public record Table(String name, List<String> titles, List<List<Object>> rows) {

    /** A sum in minor units of the shop's currency. */
    public record MinorUnits(long minor) {}

    public Table {
        titles = List.copyOf(titles);
        rows = List.copyOf(rows);
    }

    /** @param cells an empty one is an empty {@link Optional} or an empty word */
    public static List<Object> row(Object... cells) {
        List<Object> row = new ArrayList<>(cells.length);
        for (Object cell : cells) {
            row.add(
                    cell instanceof Optional<?> maybe
                            ? maybe.map(Object.class::cast).orElse("")
                            : cell);
        }
        return row;
    }
}
