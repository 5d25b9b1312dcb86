package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * A 14-pin logic chip: which pins are the inputs and the output of each gate. 7 is ground, 14 supply. Published: manufacturers' logic data
 * books (from memory).
 *
 * @param number without the family: "00", "14"
 * @param openCollector its outputs only pull down; their high comes from a resistor elsewhere
 */
public record LogicChip(String number, LogicFunction function, boolean openCollector, List<LogicGate> gates) {

    public enum LogicFunction {
        NAND,
        NOR,
        AND,
        OR,
        XOR,
        NOT,
        BUFFER
    }

    /** @param inputs pins, 1 or 2 */
    public record LogicGate(List<Integer> inputs, int output) {
        public LogicGate {
            inputs = List.copyOf(inputs);
            Checked.within("inputs", inputs.size(), 1, 2);
            inputs.forEach(pin -> Checked.within("pin", pin, 1, 14));
            Checked.within("output", output, 1, 14);
        }
    }

    private static final int[][] HEX = {{1, 2}, {3, 4}, {5, 6}, {9, 8}, {11, 10}, {13, 12}};
    private static final int[][] TWO = {{1, 2, 3}, {4, 5, 6}, {9, 10, 8}, {12, 13, 11}};
    private static final int[][] TWO_OF_02 = {{2, 3, 1}, {5, 6, 4}, {8, 9, 10}, {11, 12, 13}};

    private static final Map<String, LogicChip> KNOWN = new TreeMap<>();

    static {
        for (LogicChip chip : List.of(
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
                chip("86", LogicFunction.XOR, false, TWO))) {
            KNOWN.put(chip.number(), chip);
        }
    }

    private static final Pattern DESIGNATION = Pattern.compile("(?:74|54)([A-Z]{0,4})(\\d{2,3})[A-Z]{0,2}");

    public LogicChip {
        gates = List.copyOf(gates);
    }

    private static LogicChip chip(String number, LogicFunction function, boolean openCollector, int[][] pins) {
        List<LogicGate> gates = new ArrayList<>();
        for (int[] gate : pins) {
            List<Integer> inputs = new ArrayList<>();
            for (int at = 0; at < gate.length - 1; at++) {
                inputs.add(gate[at]);
            }
            gates.add(new LogicGate(inputs, gate[gate.length - 1]));
        }
        return new LogicChip(number, function, openCollector, gates);
    }

    /**
     * @param designation "7406", "74LS14", "SN74HC00": whatever stands before 74 does not count
     * @throws Invalid naming the chips that are known
     */
    public static LogicChip of(String designation) {
        String text =
                Checked.text("chip", designation, 30).toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        Matcher matcher = DESIGNATION.matcher(text.substring(Math.max(0, start(text))));
        LogicChip chip = matcher.matches() ? KNOWN.get(matcher.group(2)) : null;
        if (chip == null) {
            throw new Invalid(
                    "chip", "\"" + designation + "\" is not among the chips known here: 74 with " + numbers());
        }
        return chip;
    }

    private static int start(String text) {
        int at = text.indexOf("74");
        return at < 0 ? text.indexOf("54") : at;
    }

    /** @return the letters between 74 and the number: "LS", "HC", "" for standard */
    static String familyOf(String designation) {
        String text = designation.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        Matcher matcher = DESIGNATION.matcher(text.substring(Math.max(0, start(text))));
        return matcher.matches() ? matcher.group(1) : "";
    }

    public static String numbers() {
        return String.join(", ", KNOWN.keySet());
    }

    /** @return empty if what is known of the inputs leaves it open: three-valued (Kleene's strong logic; published, from memory) */
    Optional<Boolean> expected(List<Optional<Boolean>> inputs) {
        boolean anyLow = inputs.stream().anyMatch(in -> in.isPresent() && !in.get());
        boolean anyHigh = inputs.stream().anyMatch(in -> in.isPresent() && in.get());
        boolean all = inputs.stream().allMatch(Optional::isPresent);
        return switch (function) {
            case AND -> decided(anyLow, false, all, true);
            case NAND -> decided(anyLow, true, all, false);
            case OR -> decided(anyHigh, true, all, false);
            case NOR -> decided(anyHigh, false, all, true);
            case XOR -> all ? Optional.of(inputs.get(0).get() ^ inputs.get(1).get()) : Optional.empty();
            case NOT -> inputs.get(0).map(in -> !in);
            case BUFFER -> inputs.get(0);
        };
    }

    private static Optional<Boolean> decided(boolean byOne, boolean then, boolean all, boolean otherwise) {
        return byOne ? Optional.of(then) : all ? Optional.of(otherwise) : Optional.empty();
    }
}
