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
 * Whether each gate of a logic chip does what its inputs ask, by the levels of its family ({@link LogicLevels}).
 *
 * <p>A gate whose inputs are clear and whose output is not where it must be is bad at that pin, though something outside may hold it there: that is
 * found by lifting it. What the meter leaves open stays open, and so does an open-collector output that should be high: it may just lack its
 * resistor. Nothing outside the supply is good, but for what is made to bear it. The chip is good only if its supply and ground were
 * read too.
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
        AC,
        ACT,
        /** AHC and VHC. */
        AHC,
        LVC,
        CMOS
    }

    public enum PinLevel implements Spoken {
        HIGH,
        LOW,
        BETWEEN,
        NOISY,
        /** Nearer to a level than the meter can tell. */
        UNSURE,
        /** Above the supply or below ground, by more than its kind bears. */
        OUTSIDE,
        UNKNOWN
    }

    public enum ChipVerdict implements Spoken {
        GOOD,
        SUSPECT,
        CAN_NOT_SAY
    }

    /**
     * @param volts measured, −60 to 60 @param state seen on a scope or a probe instead; one of the two
     * @param then what it goes to when the unit is asked for something; empty if it stays
     */
    public record PinRead(Optional<Double> volts, Optional<PinLevel> state, Optional<PinLevel> then) {
        public PinRead(Optional<Double> volts, Optional<PinLevel> state) {
            this(volts, state, Optional.empty());
        }

        public PinRead {
            volts.ifPresent(value -> Checked.within("volts", value, -60, 60));
            if (volts.isEmpty() && state.isEmpty()) {
                throw new Invalid("pins", "Say the volts of a pin or its state");
            }
        }
    }

    /**
     * @param family by the letters of the chip if left out: 74LS is LS, none is TTL; of a bare number it is not known
     * @param supply volts, 1.5 to 18; 5 if left out
     * @param pins by number; those not measured are left out
     * @param uncertaintyVolts of the meter; none if left out. A pin that is nearer to a level than this is not sure.
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
            supply.ifPresent(value -> Checked.within("supply", value, 1.5, 18));
            Checked.present("pins", pins);
            pins.keySet().forEach(pin -> Checked.within("pins", pin, 1, LogicChip.MOST_PINS));
            uncertaintyVolts.ifPresent(value -> Checked.within("uncertaintyVolts", value, 0.0, 1.0));
            pins = Map.copyOf(pins);
        }
    }

    public record GateRead(LogicGate gate, PinLevel expected, PinLevel found, Judgement verdict, String why) {}

    /** @param levels of the pins that were read, by number @param then of those that change, what they go to */
    public record LogicFound(
            LogicChip chip,
            LogicFamily family,
            Map<Integer, PinLevel> levels,
            Map<Integer, PinLevel> then,
            List<GateRead> gates,
            ChipVerdict verdict,
            List<String> reasons) {}

    private final LogicAsked asked;
    private final LogicChip chip;
    private final LogicFamily family;
    private final double supply;
    private final List<String> reasons = new ArrayList<>();
    /** What is still to be said before the chip can be called good. */
    private final List<String> missing = new ArrayList<>();

    private LogicGauge(LogicAsked asked, LogicChip chip) {
        this.asked = asked;
        this.chip = chip;
        this.family = asked.family().orElseGet(() -> familyOf(asked.chip()));
        this.supply = asked.supply().orElse(5.0);
    }

    /** @param added chips beyond those that ship with the application */
    public static LogicFound of(LogicAsked asked, List<LogicChip> added) {
        LogicChip chip = LogicChips.find(asked.chip(), added);
        asked.pins().keySet().forEach(pin -> Checked.within("pins", pin, 1, chip.pins()));
        return new LogicGauge(asked, chip).found();
    }

    private LogicFound found() {
        reasons.add(assumed());
        boolean powered = powered();
        askForWhatIsMissing();
        LogicPins pins = new LogicPins(asked, chip, family, supply);
        Map<Integer, PinLevel> levels = new TreeMap<>();
        asked.pins().forEach((pin, read) -> levels.put(pin, pins.level(pin, read)));
        Map<Integer, PinLevel> then = new TreeMap<>();
        asked.pins().forEach((pin, read) -> read.then().ifPresent(level -> then.put(pin, level)));
        List<GateRead> gates = chip.gates().stream()
                .map(gate -> new LogicGates(chip, powered).judged(gate, levels, then))
                .toList();
        ChipVerdict verdict = verdict(gates, powered);
        return new LogicFound(chip, family, Map.copyOf(levels), Map.copyOf(then), gates, verdict, List.copyOf(reasons));
    }

    private String assumed() {
        return asked.rule() == LogicRule.BENCH && LogicLevels.likeTtl(family)
                ? "Levels by the bench rule: high from 2.5 V, low up to 0.5 V."
                : "Levels as the data sheets of " + family + " have them, at " + LimitGauge.number(supply) + " V.";
    }

    private static LogicFamily familyOf(String designation) {
        return switch (LogicChips.familyOf(designation)) {
            case "" -> LogicFamily.TTL;
            case "HC" -> LogicFamily.HC;
            case "AC" -> LogicFamily.AC;
            case "AHC", "VHC" -> LogicFamily.AHC;
            case "LVC" -> LogicFamily.LVC;
            case "HCT", "AHCT", "VHCT" -> LogicFamily.HCT;
            case "ACT" -> LogicFamily.ACT;
            case "C" -> LogicFamily.CMOS;
            default -> LogicFamily.LS;
        };
    }

    private Optional<Double> volts(int pin) {
        return Optional.ofNullable(asked.pins().get(pin)).flatMap(PinRead::volts);
    }

    private boolean powered() {
        boolean ttlOnly = asked.rule() == LogicRule.BENCH && LogicLevels.likeTtl(family);
        if (supply < LogicLevels.leastSupply(family) || supply > LogicLevels.mostSupply(family)) {
            reasons.add("Is it really " + family + "? That family runs from "
                    + LimitGauge.number(LogicLevels.leastSupply(family)) + " to "
                    + LimitGauge.number(LogicLevels.mostSupply(family)) + " V"
                    + (ttlOnly ? ", and the bench rule is for 5 V." : "."));
            return false;
        }
        Optional<Double> plus = volts(chip.supply());
        Optional<Double> ground = volts(chip.ground());
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

    private void askForWhatIsMissing() {
        if (volts(chip.supply()).isEmpty() || volts(chip.ground()).isEmpty()) {
            missing.add("Measure pin " + chip.supply() + " (supply) and pin " + chip.ground() + " (ground) too.");
        }
        if (asked.family().isEmpty() && !LogicChips.saysFamily(asked.chip())) {
            missing.add("Say its family, as printed between 74 and the number.");
        }
    }

    private ChipVerdict verdict(List<GateRead> gates, boolean powered) {
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
        reasons.addAll(missing);
        return missing.isEmpty() ? ChipVerdict.GOOD : ChipVerdict.CAN_NOT_SAY;
    }
}
