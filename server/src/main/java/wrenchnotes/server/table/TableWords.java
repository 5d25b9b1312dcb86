package wrenchnotes.server.table;

import java.io.IOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;
import wrenchnotes.core.shop.DecimalMark;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.server.shop.TheShop;

/**
 * Tables in words: comma-separated values by RFC 4180, or the same with tabs, as a clipboard wants them.
 *
 * <p>Numbers and days are written as the shop writes them. Where the comma is the decimal mark, cells are parted by semicolons, as
 * spreadsheets there expect. What a spreadsheet would take for a formula is marked as words.
 */
@Component
class TableWords {

    /** Spreadsheets take a file without it for one of the machine's old character set. */
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern(" HH:mm", Locale.ROOT);

    /** Begins a formula in one spreadsheet or another, or a field that one of them would run. */
    private static final Pattern FORMULA = Pattern.compile("^[=+\\-@\\t\\r].*", Pattern.DOTALL);

    private final TheShop shop;

    TableWords(TheShop shop) {
        this.shop = shop;
    }

    String withCommas(Table table) {
        char parting = shop.now().decimal() == DecimalMark.COMMA ? ';' : ',';
        return BYTE_ORDER_MARK
                + written(
                        table, CSVFormat.RFC4180.builder().setDelimiter(parting).get());
    }

    String withTabs(Table table) {
        return written(table, CSVFormat.TDF);
    }

    private String written(Table table, CSVFormat format) {
        StringBuilder page = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(page, format)) {
            printer.printRecord(table.titles());
            for (List<Object> row : table.rows()) {
                printer.printRecord(row.stream().map(this::cell).toList());
            }
        } catch (IOException e) {
            throw new IllegalStateException("No words can be written into memory", e);
        }
        return page.toString();
    }

    private String cell(Object cell) {
        ShopSettings how = shop.now();
        if (cell instanceof Table.MinorUnits sum) {
            int digits = Currency.getInstance(how.currency()).getDefaultFractionDigits();
            return number(BigDecimal.valueOf(sum.minor(), digits), how);
        }
        if (cell instanceof Number number) {
            return number(new BigDecimal(number.toString()), how);
        }
        if (cell instanceof Instant moment) {
            LocalDateTime there = LocalDateTime.ofInstant(moment, how.zoneId());
            return how.dates().figures(there.toLocalDate()) + CLOCK.format(there);
        }
        if (cell instanceof LocalDate day) {
            return how.dates().figures(day);
        }
        if (cell instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        String words = cell instanceof Collection<?> several
                ? several.stream().map(String::valueOf).collect(Collectors.joining(", "))
                : String.valueOf(cell);
        return FORMULA.matcher(words).matches() ? "'" + words : words;
    }

    private static String number(BigDecimal value, ShopSettings how) {
        return how.decimal().written(value.toPlainString());
    }
}
