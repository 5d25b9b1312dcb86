package wrenchnotes.core.gauge;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wrenchnotes.core.gauge.LogicChip.LogicGate;
import wrenchnotes.core.gauge.LogicGauge.GateRead;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;

/**
 * Whether the gates of a chip do what their inputs ask.
 *
 * @param powered whether its supply is what it must be: without it no gate can be judged
 */
record LogicGates(LogicChip chip, boolean powered) {

    /** As it stands, and as it stands once the unit was asked for something: the worse of the two. */
    GateRead judged(LogicGate gate, Map<Integer, PinLevel> levels, Map<Integer, PinLevel> then) {
        GateRead first = judged(gate, levels);
        if (then.keySet().stream()
                .noneMatch(pin -> pin == gate.output() || gate.inputs().contains(pin))) {
            return first;
        }
        Map<Integer, PinLevel> later = new TreeMap<>(levels);
        later.putAll(then);
        GateRead second = judged(gate, later);
        return Judgement.worst(List.of(first.verdict(), second.verdict())) == first.verdict()
                ? first
                : new GateRead(
                        gate, second.expected(), second.found(), second.verdict(), "When it changes: " + second.why());
    }

    private GateRead judged(LogicGate gate, Map<Integer, PinLevel> levels) {
        List<PinLevel> ins = gate.inputs().stream()
                .map(pin -> levels.getOrDefault(pin, PinLevel.UNKNOWN))
                .toList();
        Optional<Boolean> wanted =
                chip.expected(gate, ins.stream().map(LogicGates::known).toList());
        PinLevel expected =
                wanted.map(high -> high ? PinLevel.HIGH : PinLevel.LOW).orElse(PinLevel.UNKNOWN);
        PinLevel found = levels.getOrDefault(gate.output(), PinLevel.UNKNOWN);
        String pin = "Pin " + gate.output();
        if (!powered) {
            return open(gate, expected, found, "The chip has no proper supply.");
        }
        if (found == PinLevel.OUTSIDE) {
            return bad(
                    gate,
                    expected,
                    found,
                    pin + " is outside its supply: something drives it there, and may have hurt it.");
        }
        if (ins.contains(PinLevel.OUTSIDE)) {
            return open(gate, expected, found, "An input is outside the supply: see what drives it there first.");
        }
        if (found == PinLevel.UNKNOWN) {
            return open(gate, expected, found, pin + " was not read.");
        }
        if (wanted.isEmpty()) {
            return open(
                    gate,
                    expected,
                    found,
                    "Its inputs leave it open: read the others, or they are between the levels.");
        }
        if (found == expected) {
            return new GateRead(gate, expected, found, Judgement.GOOD, "As its inputs ask.");
        }
        if (found == PinLevel.UNSURE) {
            return open(gate, expected, found, pin + " is nearer to a level than the meter can tell.");
        }
        if (chip.openCollector() && expected == PinLevel.HIGH) {
            return open(
                    gate,
                    expected,
                    found,
                    "An open-collector output only pulls down: its high comes from a resistor elsewhere. Look at that first.");
        }
        String is = found == PinLevel.BETWEEN ? "between the levels" : found.words();
        return bad(
                gate,
                expected,
                found,
                pin + " should be " + expected.words() + " and is " + is
                        + ". It may be held from outside: lift it or take it out, and look again.");
    }

    private static GateRead open(LogicGate gate, PinLevel expected, PinLevel found, String why) {
        return new GateRead(gate, expected, found, Judgement.CAN_NOT_SAY, why);
    }

    private static GateRead bad(LogicGate gate, PinLevel expected, PinLevel found, String why) {
        return new GateRead(gate, expected, found, Judgement.BAD, why);
    }

    private static Optional<Boolean> known(PinLevel level) {
        return switch (level) {
            case HIGH -> Optional.of(true);
            case LOW -> Optional.of(false);
            case BETWEEN, NOISY, UNSURE, OUTSIDE, UNKNOWN -> Optional.empty();
        };
    }
}
