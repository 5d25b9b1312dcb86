package wrenchnotes.core.gauge;

import wrenchnotes.core.gauge.LogicGauge.LogicAsked;
import wrenchnotes.core.gauge.LogicGauge.LogicFamily;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;

/** What is read at the pins of one chip, as levels. */
record LogicPins(LogicAsked asked, LogicChip chip, LogicFamily family, double supply) {

    /** Over the supply by less than this is what a meter and a lead make of it. Ours, no source. */
    private static final double OVER_VOLTS = 0.3;

    PinLevel level(int pin, PinRead read) {
        if (read.state().isPresent()) {
            return read.state().get();
        }
        double volts = read.volts().orElseThrow();
        double u = asked.uncertaintyVolts().orElse(0.0);
        boolean output = chip.gates().stream().anyMatch(gate -> gate.output() == pin);
        boolean input = chip.gates().stream().anyMatch(gate -> gate.inputs().contains(pin));
        if (output && volts > mostAtOutput() + OVER_VOLTS + u
                || input && volts > LogicLevels.mostAtInput(family, supply) + OVER_VOLTS + u
                || (output || input) && volts < -OVER_VOLTS - u) {
            return PinLevel.OUTSIDE;
        }
        LogicLevels levels = LogicLevels.of(asked.rule(), family, supply, output);
        if (volts >= levels.high() + u) {
            return PinLevel.HIGH;
        }
        if (volts <= levels.low() - u) {
            return PinLevel.LOW;
        }
        return volts > levels.low() + u && volts < levels.high() - u
                ? PinLevel.BETWEEN
                : u > 0 ? PinLevel.UNSURE : PinLevel.BETWEEN;
    }

    private double mostAtOutput() {
        return chip.openCollector() ? Math.max(supply, chip.openCollectorVolts().orElse(supply)) : supply;
    }
}
