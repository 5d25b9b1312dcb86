package wrenchnotes.core.gauge;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import wrenchnotes.core.gauge.LogicChip.LogicFunction;
import wrenchnotes.core.gauge.LogicChip.LogicGate;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.PublishedTable;

/**
 * The chips that ship with the application (chips.csv, with its source), and how a chip is found by what is printed on it, or by its bare number.
 */
public final class LogicChips {

    private static final List<LogicChip> SHIPPED = PublishedTable.rows(LogicChips.class, "chips.csv").stream()
            .map(LogicChips::read)
            .toList();

    /** 74LS14, 54HC00, a bare 14; CD4011B, a bare 4011. */
    private static final Pattern DESIGNATION =
            Pattern.compile("(?:74|54)([A-Z]{0,4})(\\d{2,4})[A-Z]{0,2}|[A-Z]{0,4}1?(4\\d{3})[A-Z]{0,3}|(\\d{2,4})");

    private LogicChips() {}

    public static List<LogicChip> shipped() {
        return SHIPPED;
    }

    private static LogicChip read(CSVRecord row) {
        String volts = row.get("open_collector_volts");
        Optional<Double> bears = volts.isEmpty() ? Optional.empty() : Optional.of(Double.valueOf(volts));
        return new LogicChip(
                row.get("number"),
                LogicFunction.valueOf(row.get("function")),
                bears.isPresent(),
                bears,
                Integer.parseInt(row.get("pins")),
                Integer.parseInt(row.get("ground")),
                Integer.parseInt(row.get("supply")),
                Arrays.stream(row.get("gates").split(" ")).map(LogicChips::gate).toList());
    }

    /** "1,2>3", "1,2>3:NOR". */
    private static LogicGate gate(String text) {
        String[] parts = text.split("[>:]");
        return new LogicGate(
                Arrays.stream(parts[0].split(",")).map(Integer::valueOf).toList(),
                Integer.parseInt(parts[1]),
                parts.length > 2 ? Optional.of(LogicFunction.valueOf(parts[2])) : Optional.empty());
    }

    /**
     * @param designation "7406", "74LS14": whatever stands before 74 does not count
     * @param added chips beyond those that ship
     * @throws Invalid naming the chips that are known
     */
    public static LogicChip find(String designation, List<LogicChip> added) {
        Matcher printed = printed(Checked.text("chip", designation, 30));
        return Stream.concat(SHIPPED.stream(), added.stream())
                .filter(chip -> printed.matches() && chip.number().equals(number(printed)))
                .findFirst()
                .orElseThrow(() -> new Invalid(
                        "chip",
                        "\"" + designation + "\" is not among the chips known here, with any letters of a family: "
                                + Stream.concat(SHIPPED.stream(), added.stream())
                                        .map(LogicChip::number)
                                        .sorted()
                                        .collect(Collectors.joining(", "))
                                + ". Others can be added."));
    }

    /** Whether what is printed says the family: a bare "14" does not. */
    static boolean saysFamily(String designation) {
        Matcher printed = printed(designation);
        return printed.matches() && printed.group(4) == null;
    }

    private static String number(Matcher printed) {
        return Stream.of(2, 3, 4)
                .map(printed::group)
                .filter(Objects::nonNull)
                .findFirst()
                .orElseThrow();
    }

    /** @return the letters between 74 and the number: "LS", "HC", "" for standard; "C" for the 4000 series */
    static String familyOf(String designation) {
        Matcher printed = printed(designation);
        if (!printed.matches()) {
            return "";
        }
        return printed.group(3) != null
                ? "C"
                : Optional.ofNullable(printed.group(1)).orElse("");
    }

    private static Matcher printed(String designation) {
        String text = designation.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        int at = text.indexOf("74");
        return DESIGNATION.matcher(text.substring(Math.max(0, at < 0 ? text.indexOf("54") : at)));
    }
}
