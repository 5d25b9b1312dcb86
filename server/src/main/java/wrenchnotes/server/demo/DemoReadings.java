package wrenchnotes.server.demo;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import wrenchnotes.core.gauge.GaugeAsked;
import wrenchnotes.core.gauge.LogicGauge;
import wrenchnotes.core.gauge.LogicGauge.PinRead;
import wrenchnotes.core.gauge.RailsGauge;
import wrenchnotes.core.gauge.RailsGauge.Rail;
import wrenchnotes.core.gauge.RailsGauge.RailKind;
import wrenchnotes.server.gauge.Measured;
import wrenchnotes.server.gauge.MeasurementService;

/** What is measured on a sick unit of the demo shop, and on a good one from the shelf. The stand-in for a meter reads the same. */
@Component
class DemoReadings {

    private static final String METER = "bench meter";

    private record Made(String name, String from, RailKind kind, double nominal, double sick, double good) {}

    private static final List<Made> SUPPLY = List.of(
            new Made("18 V~", "", RailKind.SECONDARY_AC, 18, 18.9, 18.7),
            new Made("25 V raw", "18 V~", RailKind.UNREGULATED, 25, 14.6, 24.8),
            new Made("15 V", "25 V raw", RailKind.REGULATED, 15, 11.8, 15.04),
            new Made("8 V~", "", RailKind.SECONDARY_AC, 8, 8.35, 8.31),
            new Made("10 V raw", "8 V~", RailKind.UNREGULATED, 10, 10.3, 10.2),
            new Made("5 V", "10 V raw", RailKind.REGULATED, 5, 5.03, 5.01));

    private static final Map<Integer, Double> SICK_CHIP = new TreeMap<>(
            Map.of(14, 5.03, 7, 0.0, 1, 3.41, 2, 0.18, 3, 3.52, 4, 3.38, 5, 0.21, 6, 0.31, 9, 0.19, 10, 0.22));

    private final MeasurementService measurements;

    DemoReadings(MeasurementService measurements) {
        this.measurements = measurements;
    }

    void take(DemoTurn turn) {
        turn.later(9);
        save(turn, rails(true), typedRails(true), "supply board", "before", false);
        turn.later(6);
        save(turn, rails(false), typedRails(false), "supply board", "before", true);
        turn.later(7);
        Map<Integer, PinRead> pins = new HashMap<>();
        Map<String, String> typed = new HashMap<>();
        SICK_CHIP.forEach((pin, volts) -> {
            pins.put(pin, new PinRead(Optional.of(volts), Optional.empty()));
            typed.put("" + pin, "" + volts);
        });
        LogicGauge.LogicAsked logic = new LogicGauge.LogicAsked(
                "74LS32", LogicGauge.LogicRule.BENCH, Optional.empty(), Optional.empty(), pins, Optional.empty());
        save(
                turn,
                asked(Optional.empty(), Optional.of(logic)),
                Map.of("chip", "74LS32", "pins", typed),
                "U7",
                "before",
                false);
    }

    private void save(
            DemoTurn turn, GaugeAsked asked, Map<String, Object> typed, String place, String stage, boolean goodUnit) {
        measurements.save(turn.by(turn.bencher), turn.job(), new Measured(asked, typed, place, stage, goodUnit, METER));
    }

    private static GaugeAsked asked(Optional<RailsGauge.RailsAsked> rails, Optional<LogicGauge.LogicAsked> logic) {
        return new GaugeAsked(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                rails,
                logic,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static GaugeAsked rails(boolean sick) {
        List<Rail> rails = SUPPLY.stream()
                .map(made -> Rail.of(
                        made.name(),
                        Optional.of(made.from()).filter(from -> !from.isEmpty()),
                        made.kind(),
                        made.nominal(),
                        Optional.of(sick ? made.sick() : made.good())))
                .toList();
        return asked(
                Optional.of(new RailsGauge.RailsAsked(RailsGauge.Mains.of(230, 233), rails, Optional.empty())),
                Optional.empty());
    }

    /** As the screen keeps it. */
    private static Map<String, Object> typedRails(boolean sick) {
        List<Map<String, String>> lines = SUPPLY.stream()
                .map(made -> {
                    Map<String, String> line = new LinkedHashMap<>();
                    line.put("name", made.name());
                    line.put("from", made.from());
                    line.put("kind", made.kind().name());
                    line.put("nominal", "" + made.nominal());
                    line.put("measured", "" + (sick ? made.sick() : made.good()));
                    return line;
                })
                .toList();
        return Map.of("nominal", "230", "mains", "233", "sure", "", "lines", lines);
    }
}
