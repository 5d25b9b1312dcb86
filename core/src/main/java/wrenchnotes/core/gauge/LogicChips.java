package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.gauge.LogicChip.LogicFunction;
import wrenchnotes.core.gauge.LogicChip.LogicGate;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * The chips that ship with the application, 14 pins, 7 ground, 14 supply (published: manufacturers' logic data books; from memory), and
 * how a chip is found by what is printed on it, or by its bare number.
 */
public final class LogicChips {

    private static final int[][] HEX = {{1, 2}, {3, 4}, {5, 6}, {9, 8}, {11, 10}, {13, 12}};
    private static final int[][] TWO = {{1, 2, 3}, {4, 5, 6}, {9, 10, 8}, {12, 13, 11}};
    private static final int[][] TWO_OF_02 = {{2, 3, 1}, {5, 6, 4}, {8, 9, 10}, {11, 12, 13}};

    private static final List<LogicChip> SHIPPED = List.of(
            chip("00", LogicFunction.NAND, false, TWO),
            chip("02", LogicFunction.NOR, false, TWO_OF_02),
            chip("04", LogicFunction.NOT, false, HEX),
            chip("06", LogicFunction.NOT, true, HEX),
            chip("07", LogicFunction.BUFFER, true, HEX),
            chip("08", LogicFunction.AND, false, TWO),
            chip("14", LogicFunction.NOT, false, HEX),
            chip("16", LogicFunction.NOT, true, HEX),
            chip("17", LogicFunction.BUFFER, true, HEX),
            chip("32", LogicFunction.OR, false, TWO),
            chip("86", LogicFunction.XOR, false, TWO));

    private static final Pattern DESIGNATION =
            Pattern.compile("(?:74|54)([A-Z]{0,4})(\\d{2,4})[A-Z]{0,2}|()(\\d{2,4})");

    /** What an open-collector output bears, volts (published: manufacturers' logic data books; from memory). */
    private static final Map<String, Double> OPEN_COLLECTOR_VOLTS =
            Map.of("06", 30.0, "07", 30.0, "16", 15.0, "17", 15.0);

    private LogicChips() {}

    public static List<LogicChip> shipped() {
        return SHIPPED;
    }

    private static LogicChip chip(String number, LogicFunction function, boolean openCollector, int[][] pins) {
        List<LogicGate> gates = new ArrayList<>();
        for (int[] gate : pins) {
            int last = gate.length - 1;
            gates.add(new LogicGate(Arrays.stream(gate, 0, last).boxed().toList(), gate[last]));
        }
        return new LogicChip(number, function, openCollector, 14, 7, 14, gates);
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
                        "\"" + designation + "\" is not among the chips known here: 74 with "
                                + Stream.concat(SHIPPED.stream(), added.stream())
                                        .map(LogicChip::number)
                                        .sorted()
                                        .collect(Collectors.joining(", "))
                                + ". Others can be added."));
    }

    /** Of one that is not known to bear more: 0. */
    static double openCollectorVolts(LogicChip chip) {
        return OPEN_COLLECTOR_VOLTS.getOrDefault(chip.number(), 0.0);
    }

    /** Whether what is printed says the family: a bare "14" does not. */
    static boolean saysFamily(String designation) {
        Matcher printed = printed(designation);
        return printed.matches() && printed.group(2) != null;
    }

    private static String number(Matcher printed) {
        return printed.group(2) != null ? printed.group(2) : printed.group(4);
    }

    /** @return the letters between 74 and the number: "LS", "HC", "" for standard */
    static String familyOf(String designation) {
        Matcher printed = printed(designation);
        return printed.matches() && printed.group(1) != null ? printed.group(1) : "";
    }

    private static Matcher printed(String designation) {
        String text = designation.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        int at = text.indexOf("74");
        return DESIGNATION.matcher(text.substring(Math.max(0, at < 0 ? text.indexOf("54") : at)));
    }
}
