package wrenchnotes.server.supplier;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import wrenchnotes.server.ground.DataFolder;

/** Orders and answers as CSV (RFC 4180) in a folder that somebody else empties and fills: one file an order, one file of answers. */
final class FolderSupplier implements SupplierLine {

    static final String ORDERS = "orders";
    static final String ANSWERS = "answers";
    private static final CSVFormat ORDER = CSVFormat.RFC4180
            .builder()
            .setHeader("order", "customer", "line", "number", "name", "count", "each")
            .get();
    private static final CSVFormat ANSWER = CSVFormat.RFC4180
            .builder()
            .setHeader("answer", "line", "what", "count", "day", "number", "words")
            .setSkipHeaderRecord(true)
            .get();
    private static final int MOST_BYTES = 1 << 20;

    private final Path folder;

    FolderSupplier(Path folder) {
        this.folder = folder;
    }

    @Override
    public void place(OrderPlaced order) throws IOException {
        StringWriter text = new StringWriter();
        try (CSVPrinter rows = new CSVPrinter(text, ORDER)) {
            for (OrderPlaced.PlacedLine line : order.lines()) {
                rows.printRecord(
                        order.order(),
                        order.customer(),
                        line.line(),
                        line.number(),
                        line.name(),
                        line.count(),
                        line.eachMinor());
            }
        }
        Files.createDirectories(folder.resolve(ORDERS));
        DataFolder.write(file(ORDERS, order.order()), text.toString().getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public List<SupplierAnswer> answers(long order, long heard) throws IOException {
        Path file = file(ANSWERS, order);
        if (!Files.exists(file)) {
            return List.of();
        }
        if (Files.size(file) > MOST_BYTES) {
            throw new IOException("Its answers are more than a megabyte");
        }
        try (CSVParser rows = CSVParser.parse(Files.readString(file), ANSWER)) {
            List<SupplierAnswer> later = new ArrayList<>();
            for (CSVRecord row : rows) {
                SupplierAnswer one = answer(row);
                if (one.answer() > heard) {
                    later.add(one);
                }
            }
            return later;
        } catch (IllegalArgumentException | DateTimeException e) {
            throw new IOException("Its answers are no such file: " + e.getMessage());
        }
    }

    private static SupplierAnswer answer(CSVRecord row) {
        return new SupplierAnswer(
                Long.parseLong(row.get("answer")),
                Long.parseLong(row.get("line")),
                SupplierAnswer.Says.valueOf(row.get("what")),
                Integer.parseInt(row.get("count")),
                said(row, "day").map(LocalDate::parse),
                said(row, "number"),
                said(row, "words"));
    }

    private static Optional<String> said(CSVRecord row, String column) {
        return Optional.of(row.get(column)).filter(text -> !text.isEmpty());
    }

    private Path file(String kind, long order) {
        return folder.resolve(kind).resolve(order + ".csv");
    }

    /** The orders that lie there, as a supplier reads them. */
    List<OrderPlaced> placed() throws IOException {
        Path orders = folder.resolve(ORDERS);
        if (!Files.isDirectory(orders)) {
            return List.of();
        }
        List<OrderPlaced> all = new ArrayList<>();
        try (var files = Files.list(orders)) {
            for (Path file : files.filter(one -> one.toString().endsWith(".csv"))
                    .sorted()
                    .toList()) {
                try (CSVParser rows = CSVParser.parse(
                        Files.readString(file),
                        ORDER.builder().setSkipHeaderRecord(true).get())) {
                    List<CSVRecord> lines = rows.getRecords();
                    all.add(new OrderPlaced(
                            OrderPlaced.FORMAT,
                            Long.parseLong(lines.get(0).get("order")),
                            lines.get(0).get("customer"),
                            lines.stream()
                                    .map(row -> new OrderPlaced.PlacedLine(
                                            Long.parseLong(row.get("line")),
                                            row.get("number"),
                                            row.get("name"),
                                            Integer.parseInt(row.get("count")),
                                            Long.parseLong(row.get("each"))))
                                    .toList()));
                }
            }
        }
        return all;
    }

    /** As a supplier answers: all of them, each time. */
    void answer(long order, List<SupplierAnswer> answers) throws IOException {
        StringWriter text = new StringWriter();
        try (CSVPrinter rows =
                new CSVPrinter(text, ANSWER.builder().setSkipHeaderRecord(false).get())) {
            for (SupplierAnswer one : answers) {
                rows.printRecord(
                        one.answer(),
                        one.line(),
                        one.what(),
                        one.count(),
                        one.day().map(LocalDate::toString).orElse(""),
                        one.number().orElse(""),
                        one.words().orElse(""));
            }
        }
        Files.createDirectories(folder.resolve(ANSWERS));
        DataFolder.write(file(ANSWERS, order), text.toString().getBytes(StandardCharsets.UTF_8));
    }
}
