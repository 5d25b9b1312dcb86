package wrenchnotes.core.drawer.list;

import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.typed.Sum;
import wrenchnotes.core.unit.Invalid;

/** A list of parts: which column says what, and what each row says. Drawer and part must be there; what no column says stays unsaid. */
public final class PartsList {

    private static final int MOST = 9_999;
    private static final long DEAREST = 100_000_000;

    /** What a column can say. */
    private enum Column {
        DRAWER(12, "drawer", "box", "bin", "location"),
        NAME(120, "part", "name", "item", "description"),
        WHAT(200, "what it is", "what", "label", "details", "spec"),
        COUNT(0, "left", "count", "how many", "quantity", "qty", "stock"),
        EACH(0, "cost of one", "each", "price", "cost", "unit price"),
        NUMBER(60, "supplier's number", "supplier number", "order number", "part number", "sku"),
        PACK(0, "pack", "pack size"),
        LEAST(0, "least", "minimum", "min"),
        PLACE(60, "place", "where");

        private final int longest;
        private final List<String> names;

        Column(int longest, String... names) {
            this.longest = longest;
            this.names = List.of(names);
        }
    }

    private final List<List<String>> rows;
    private final Map<Column, Integer> columns = new EnumMap<>(Column.class);
    private final Currency currency;
    private final boolean point;

    private PartsList(List<String> header, List<List<String>> rows, Currency currency, boolean point) {
        this.rows = rows;
        this.currency = currency;
        this.point = point;
        for (Column column : Column.values()) {
            for (String name : column.names) {
                for (int at = 0; at < header.size() && !columns.containsKey(column); at++) {
                    if (plain(header.get(at)).equals(name) && !columns.containsValue(at)) {
                        columns.put(column, at);
                    }
                }
            }
        }
        if (!columns.containsKey(Column.DRAWER) || !columns.containsKey(Column.NAME)) {
            throw new Invalid(
                    "file", "The first line must name the columns: at least one called drawer and one called part");
        }
    }

    /**
     * @param header names of the columns
     * @param point whether the shop's decimal mark is the point
     * @throws Invalid if no column is called drawer, or none part
     */
    public static PartsList of(List<String> header, List<List<String>> rows, Currency currency, boolean point) {
        return new PartsList(header, rows, currency, point);
    }

    /**
     * A part as a row says it.
     *
     * @param count 0 to 9,999
     * @param eachMinor in minor units
     * @param pack 1 if the row does not say
     */
    public record ListedPart(
            String drawer,
            String name,
            String what,
            int count,
            long eachMinor,
            String number,
            int pack,
            Optional<Integer> least,
            String place) {}

    /** @param row as a spreadsheet counts them, the header is 1 @param wrong what is wrong with it, a sentence each; empty if it can be taken */
    public record RowOfParts(int row, Optional<ListedPart> part, List<String> wrong) {}

    public List<RowOfParts> read() {
        List<RowOfParts> read = new ArrayList<>();
        for (int at = 0; at < rows.size(); at++) {
            read.add(read(at + 2, rows.get(at)));
        }
        return read;
    }

    private RowOfParts read(int number, List<String> row) {
        List<String> wrong = new ArrayList<>();
        ListedPart part = new ListedPart(
                words(row, Column.DRAWER, true, wrong),
                words(row, Column.NAME, true, wrong),
                words(row, Column.WHAT, false, wrong),
                count(row, Column.COUNT, wrong).orElse(0),
                sum(row, wrong),
                words(row, Column.NUMBER, false, wrong),
                Math.max(1, count(row, Column.PACK, wrong).orElse(1)),
                count(row, Column.LEAST, wrong),
                words(row, Column.PLACE, false, wrong));
        return new RowOfParts(number, wrong.isEmpty() ? Optional.of(part) : Optional.empty(), List.copyOf(wrong));
    }

    private String words(List<String> row, Column column, boolean must, List<String> wrong) {
        String said = cell(row, column);
        if (said.isEmpty() && must) {
            wrong.add("No " + column.names.get(0) + " is said");
        } else if (said.length() > column.longest) {
            wrong.add("The " + column.names.get(0) + " is longer than " + column.longest + " letters");
        }
        return said;
    }

    private Optional<Integer> count(List<String> row, Column column, List<String> wrong) {
        String said = cell(row, column);
        if (said.isEmpty()) {
            return Optional.empty();
        }
        if (!said.matches("\\d{1,4}([.,]0{1,2})?")) {
            wrong.add("\"" + said + "\" is no count from 0 to " + MOST);
            return Optional.empty();
        }
        return Optional.of(Integer.parseInt(said.replaceAll("[.,].*", "")));
    }

    private long sum(List<String> row, List<String> wrong) {
        String said = cell(row, Column.EACH);
        if (said.isEmpty()) {
            return 0;
        }
        Optional<Long> sum = Sum.settled(said, currency, point).filter(minor -> minor >= 0 && minor <= DEAREST);
        if (sum.isEmpty()) {
            wrong.add("No price can be read in \"" + said + "\"");
        }
        return sum.orElse(0L);
    }

    /** Without the apostrophe by which a table that left here keeps a spreadsheet from taking words for a formula. */
    private String cell(List<String> row, Column column) {
        Integer at = columns.get(column);
        String said = at == null || at >= row.size() ? "" : row.get(at).strip();
        return said.matches("'[=+\\-@\\t\\r].*") ? said.substring(1) : said;
    }

    private static String plain(String name) {
        return name.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s_-]+", " ");
    }
}
