package wrenchnotes.core.gauge;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * A logic chip: which pins are the inputs and the output of each gate.
 *
 * @param number without the family, 2 to 4 digits: "00", "14", "133"
 * @param function of those gates that say none of their own
 * @param openCollector its outputs only pull down; their high comes from a resistor elsewhere
 * @param openCollectorVolts what such an output bears, 1 to 100; its supply if nobody said
 * @param pins 8 to 24, an even number
 * @param ground pin @param supply pin
 * @param gates 1 to 12; each pin has one use, but an input may be shared
 */
public record LogicChip(
        String number,
        LogicFunction function,
        boolean openCollector,
        Optional<Double> openCollectorVolts,
        int pins,
        int ground,
        int supply,
        List<LogicGate> gates) {

    public static final int MOST_PINS = 24;
    private static final int MOST_INPUTS = 8;

    public enum LogicFunction implements Spoken {
        NAND,
        NOR,
        AND,
        OR,
        XOR,
        NOT,
        BUFFER;

        private boolean single() {
            return this == NOT || this == BUFFER;
        }
    }

    /** @param inputs pins, 1 to 8 @param function if it is not what the others of its chip do */
    public record LogicGate(List<Integer> inputs, int output, Optional<LogicFunction> function) {
        public LogicGate {
            Checked.present("inputs", inputs);
            inputs.forEach(pin -> Checked.present("inputs", pin));
            inputs = List.copyOf(inputs);
            Checked.within("inputs", inputs.size(), 1, MOST_INPUTS);
        }

        public LogicGate(List<Integer> inputs, int output) {
            this(inputs, output, Optional.empty());
        }
    }

    /** @throws Invalid if a pin is not on the chip or has two uses, or if a gate has the wrong number of inputs */
    public LogicChip {
        number = Checked.text("number", number, 4);
        if (!number.matches("\\d{2,4}")) {
            throw new Invalid("number", "number is \"" + number + "\"; say the digits behind 74: \"10\", \"133\"");
        }
        Checked.present("function", function);
        openCollectorVolts.ifPresent(volts -> Checked.within("openCollectorVolts", volts, 1.0, 100.0));
        if (openCollectorVolts.isPresent() && !openCollector) {
            throw new Invalid("openCollectorVolts", "Only an open-collector output bears more than its supply");
        }
        Checked.within("pins", pins, 8, MOST_PINS);
        if (pins % 2 != 0) {
            throw new Invalid("pins", "A chip has as many pins on the left as on the right: " + pins + " is odd");
        }
        Checked.present("gates", gates);
        gates = List.copyOf(gates);
        Checked.within("gates", gates.size(), 1, 12);
        Set<Integer> taken = new HashSet<>(Set.of(Checked.within("ground", ground, 1, pins)));
        once(taken, "supply", Checked.within("supply", supply, 1, pins));
        for (LogicGate gate : gates) {
            once(taken, "output", Checked.within("output", gate.output(), 1, pins));
        }
        for (LogicGate gate : gates) {
            LogicFunction does = gate.function().orElse(function);
            boolean single = does.single();
            if (single ? gate.inputs().size() != 1 : gate.inputs().size() < 2) {
                throw new Invalid(
                        "inputs",
                        "A gate that is " + does.words() + " has "
                                + (single ? "one input" : "two inputs or more") + ", not "
                                + gate.inputs().size());
            }
            for (int pin : gate.inputs()) {
                Checked.within("inputs", pin, 1, pins);
                if (taken.contains(pin)) {
                    throw new Invalid("inputs", "Pin " + pin + " is an input and something else");
                }
            }
        }
    }

    private static void once(Set<Integer> taken, String field, int pin) {
        if (!taken.add(pin)) {
            throw new Invalid(field, "Pin " + pin + " has two uses");
        }
    }

    /** @return empty if what is known of the inputs leaves it open: three-valued (Kleene's strong logic; published, from memory) */
    Optional<Boolean> expected(LogicGate gate, List<Optional<Boolean>> inputs) {
        boolean anyLow = inputs.stream().anyMatch(in -> in.isPresent() && !in.get());
        boolean anyHigh = inputs.stream().anyMatch(in -> in.isPresent() && in.get());
        boolean all = inputs.stream().allMatch(Optional::isPresent);
        return switch (gate.function().orElse(function)) {
            case AND -> decided(anyLow, false, all, true);
            case NAND -> decided(anyLow, true, all, false);
            case OR -> decided(anyHigh, true, all, false);
            case NOR -> decided(anyHigh, false, all, true);
            case XOR -> all ? Optional.of(inputs.stream().filter(Optional::get).count() % 2 == 1) : Optional.empty();
            case NOT -> inputs.get(0).map(in -> !in);
            case BUFFER -> inputs.get(0);
        };
    }

    private static Optional<Boolean> decided(boolean byOne, boolean then, boolean all, boolean otherwise) {
        return byOne ? Optional.of(then) : all ? Optional.of(otherwise) : Optional.empty();
    }
}
