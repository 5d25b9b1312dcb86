package wrenchnotes.server.gauge;

import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.gauge.LogicChip;
import wrenchnotes.core.gauge.LogicChip.LogicFunction;
import wrenchnotes.core.gauge.LogicChip.LogicGate;
import wrenchnotes.server.ground.Stored;

/** A chip as it stands in the database, form 2. Never changed: docs/decisions/0013-the-store.md */
record ChipForm(
        Integer form,
        String number,
        String function,
        boolean openCollector,
        Double openCollectorVolts,
        int pins,
        int ground,
        int supply,
        List<GateForm> gates) {

    private static final int NUMBER = 2;

    record GateForm(List<Integer> inputs, int output, String function) {}

    static String text(LogicChip chip) {
        return Stored.text(new ChipForm(
                NUMBER,
                chip.number(),
                chip.function().name(),
                chip.openCollector(),
                chip.openCollectorVolts().orElse(null),
                chip.pins(),
                chip.ground(),
                chip.supply(),
                chip.gates().stream()
                        .map(gate -> new GateForm(
                                gate.inputs(),
                                gate.output(),
                                gate.function().map(Enum::name).orElse(null)))
                        .toList()));
    }

    /** Reads what was ever written: form 0 had no number, and was otherwise as form 1; form 2 added what an output bears, and gates that do
     * something else than the others of their chip. */
    static LogicChip chip(String text) {
        JsonNode tree = Stored.tree(text);
        if (Stored.number(tree) > NUMBER) {
            throw Stored.unknown("A chip", tree);
        }
        ChipForm is = Stored.read(tree, ChipForm.class);
        return new LogicChip(
                is.number(),
                LogicFunction.valueOf(is.function()),
                is.openCollector(),
                Optional.ofNullable(is.openCollectorVolts()),
                is.pins(),
                is.ground(),
                is.supply(),
                is.gates().stream()
                        .map(gate -> new LogicGate(
                                gate.inputs(),
                                gate.output(),
                                Optional.ofNullable(gate.function()).map(LogicFunction::valueOf)))
                        .toList());
    }
}
