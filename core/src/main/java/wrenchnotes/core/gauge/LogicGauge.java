package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wrenchnotes.core.gauge.LogicChip.LogicGate;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Whether each gate of a logic chip does what its inputs ask. Levels at 5 V, published in the manufacturers' logic data books (from
 * memory): TTL and LS input high from 2.0 V, low up to 0.8 V; LS output high from 2.7, low up to 0.5; TTL output high from 2.4, low up to
 * 0.4; HC 0.7 and 0.3 of the supply (3.15 and 1.35 V at 4.5 V); HCT inputs as TTL; CMOS 4000 0.7 and 0.3 of the supply. Bench rule
 * (common practice): above about 2.5 V high, at most 0.5 V low, between neither.
 *
 * <p>A pin between the levels or noisy may be held so from outside the chip: such a gate is never condemned, only said to be open. An
 * open-collector output that should be high and is not may just lack its resistor.
 */
public final class LogicGauge {

    public enum LogicRule implements Spoken {
        DATASHEET,
        BENCH
    }

    public enum LogicFamily implements Spoken {
        TTL,
        LS,
        HC,
        HCT,
        CMOS
    }

    public enum PinLevel implements Spoken {
        HIGH,
        LOW,
        BETWEEN,
        NOISY,
        UNKNOWN
    }

    public enum ChipVerdict implements Spoken {
        GOOD,
        SUSPECT,
        CAN_NOT_SAY
    }

    /** @param volts measured @param state seen on a scope or a probe instead; one of the two */
    public record PinRead(Optional<Double> volts, Optional<PinLevel> state) {
        public PinRead {
            volts.ifPresent(value -> Checked.within("volts", value, -60, 60));
            if (volts.isEmpty() && state.isEmpty()) {
                throw new Invalid("pins", "Say the volts of a pin or its state");
            }
        }
    }

    /**
     * @param family by the letters of the chip if left out: 74LS is LS, none is TTL
     * @param supply volts, 2 to 18; 5 if left out
     * @param pins by number; those not measured are left out
     * @param uncertaintyVolts of the meter; none if left out. A pin that is nearer to a level than this counts as between.
     */
    public record LogicAsked(
            String chip,
            LogicRule rule,
            Optional<LogicFamily> family,
            Optional<Double> supply,
            Map<Integer, PinRead> pins,
            Optional<Double> uncertaintyVolts) {
        public LogicAsked {
            Checked.present("rule", rule);
            supply.ifPresent(value -> Checked.within("supply", value, 2, 18));
            Checked.present("pins", pins);
            pins.keySet().forEach(pin -> Checked.within("pins", pin, 1, LogicChip.MOST_PINS));
            uncertaintyVolts.ifPresent(value -> Checked.within("uncertaintyVolts", value, 0.0, 1.0));
            pins = Map.copyOf(pins);
        }
    }

    public record GateRead(LogicGate gate, PinLevel expected, PinLevel found, Judgement verdict, String why) {}

    /** @param levels of the pins that were read, by number */
    public record LogicFound(
            LogicChip chip,
            LogicFamily family,
            Map<Integer, PinLevel> levels,
            List<GateRead> gates,
            ChipVerdict verdict,
            List<String> reasons) {}

    private record Thresholds(double low, double high) {}

    private LogicGauge() {}

    /** @param added chips beyond those that ship with the application */
    public static LogicFound of(LogicAsked asked, List<LogicChip> added) {
        LogicChip chip = LogicChips.find(asked.chip(), added);
        asked.pins().keySet().forEach(pin -> Checked.within("pins", pin, 1, chip.pins()));
        LogicFamily family = asked.family().orElseGet(() -> familyOf(asked.chip()));
        double supply = asked.supply().orElse(5.0);
        List<String> reasons = new ArrayList<>();
        reasons.add(assumed(asked.rule(), family, supply));
        boolean powered = powered(chip, asked.pins(), supply, reasons);
        Map<Integer, PinLevel> levels = new TreeMap<>();
        asked.pins().forEach((pin, read) -> {
            boolean output = chip.gates().stream().anyMatch(gate -> gate.output() == pin);
            levels.put(
                    pin,
                    level(
                            read,
                            thresholds(asked.rule(), family, supply, output),
                            asked.uncertaintyVolts().orElse(0.0)));
        });
        List<GateRead> gates = chip.gates().stream()
                .map(gate -> judged(chip, gate, levels, powered))
                .toList();
        ChipVerdict verdict = verdict(gates, powered, reasons);
        return new LogicFound(chip, family, Map.copyOf(levels), gates, verdict, List.copyOf(reasons));
    }

    private static String assumed(LogicRule rule, LogicFamily family, double supply) {
        return rule == LogicRule.BENCH
                ? "Levels by the bench rule: high from 2.5 V, low up to 0.5 V."
                : "Levels as the data sheets of " + family + " have them, at " + LimitGauge.number(supply) + " V.";
    }

    private static LogicFamily familyOf(String designation) {
        return switch (LogicChips.familyOf(designation)) {
            case "" -> LogicFamily.TTL;
            case "HC", "AC", "AHC" -> LogicFamily.HC;
            case "HCT", "ACT", "AHCT" -> LogicFamily.HCT;
            case "C" -> LogicFamily.CMOS;
            default -> LogicFamily.LS;
        };
    }

    private static boolean powered(LogicChip chip, Map<Integer, PinRead> pins, double supply, List<String> reasons) {
        Optional<Double> plus = Optional.ofNullable(pins.get(chip.supply())).flatMap(PinRead::volts);
        Optional<Double> ground = Optional.ofNullable(pins.get(chip.ground())).flatMap(PinRead::volts);
        if (plus.isPresent() && Math.abs(plus.get() - supply) > supply * 0.1) {
            reasons.add("Pin " + chip.supply() + " has " + LimitGauge.number(plus.get()) + " V, not "
                    + LimitGauge.number(supply) + " V: see to its supply first.");
            return false;
        }
        if (ground.isPresent() && Math.abs(ground.get()) > 0.3) {
            reasons.add("Pin " + chip.ground() + " has " + LimitGauge.number(ground.get())
                    + " V: its ground is not connected.");
            return false;
        }
        return true;
    }

    private static Thresholds thresholds(LogicRule rule, LogicFamily family, double supply, boolean output) {
        if (rule == LogicRule.BENCH) {
            return new Thresholds(0.5, 2.5);
        }
        return switch (family) {
            case TTL -> output ? new Thresholds(0.4, 2.4) : new Thresholds(0.8, 2.0);
            case LS -> output ? new Thresholds(0.5, 2.7) : new Thresholds(0.8, 2.0);
            case HCT -> output ? new Thresholds(0.1 * supply, 0.8 * supply) : new Thresholds(0.8, 2.0);
            case HC, CMOS -> new Thresholds(0.3 * supply, 0.7 * supply);
        };
    }

    private static PinLevel level(PinRead read, Thresholds limits, double u) {
        if (read.state().isPresent()) {
            return read.state().get();
        }
        double volts = read.volts().orElseThrow();
        return volts >= limits.high() + u ? PinLevel.HIGH : volts <= limits.low() - u ? PinLevel.LOW : PinLevel.BETWEEN;
    }

    private static GateRead judged(LogicChip chip, LogicGate gate, Map<Integer, PinLevel> levels, boolean powered) {
        List<Optional<Boolean>> inputs = gate.inputs().stream()
                .map(pin -> known(levels.getOrDefault(pin, PinLevel.UNKNOWN)))
                .toList();
        Optional<Boolean> wanted = chip.expected(inputs);
        PinLevel expected =
                wanted.map(high -> high ? PinLevel.HIGH : PinLevel.LOW).orElse(PinLevel.UNKNOWN);
        PinLevel found = levels.getOrDefault(gate.output(), PinLevel.UNKNOWN);
        if (!powered) {
            return new GateRead(gate, expected, found, Judgement.CAN_NOT_SAY, "The chip has no proper supply.");
        }
        if (found == PinLevel.UNKNOWN) {
            return open(gate, expected, found, "Pin " + gate.output() + " was not read.");
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
        if (found == PinLevel.BETWEEN || found == PinLevel.NOISY) {
            return open(
                    gate,
                    expected,
                    found,
                    "Pin " + gate.output() + " is " + (found == PinLevel.NOISY ? "noisy" : "between the levels")
                            + ": something outside may hold it so. Lift the pin or take the chip out, and look again.");
        }
        if (chip.openCollector() && expected == PinLevel.HIGH) {
            return open(
                    gate,
                    expected,
                    found,
                    "An open-collector output only pulls down: its high comes from a resistor elsewhere. Look at that first.");
        }
        return new GateRead(
                gate,
                expected,
                found,
                Judgement.BAD,
                "Pin " + gate.output() + " should be " + expected.words() + " and is "
                        + found.words()
                        + ". A part in a tester confirms both the old one and the new one.");
    }

    private static GateRead open(LogicGate gate, PinLevel expected, PinLevel found, String why) {
        return new GateRead(gate, expected, found, Judgement.CAN_NOT_SAY, why);
    }

    private static Optional<Boolean> known(PinLevel level) {
        return switch (level) {
            case HIGH -> Optional.of(true);
            case LOW -> Optional.of(false);
            case BETWEEN, NOISY, UNKNOWN -> Optional.empty();
        };
    }

    private static ChipVerdict verdict(List<GateRead> gates, boolean powered, List<String> reasons) {
        if (!powered) {
            return ChipVerdict.CAN_NOT_SAY;
        }
        long bad =
                gates.stream().filter(gate -> gate.verdict() == Judgement.BAD).count();
        long open = gates.stream()
                .filter(gate -> gate.verdict() == Judgement.CAN_NOT_SAY)
                .count();
        if (bad > 0) {
            reasons.add(bad + (bad == 1 ? " gate does" : " gates do") + " not do what the inputs ask.");
            return ChipVerdict.SUSPECT;
        }
        if (open > 0) {
            reasons.add(open + (open == 1 ? " gate is" : " gates are") + " open still.");
            return ChipVerdict.CAN_NOT_SAY;
        }
        reasons.add("Every gate does what its inputs ask, as it stands now.");
        return ChipVerdict.GOOD;
    }
}
