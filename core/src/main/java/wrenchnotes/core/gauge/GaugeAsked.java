package wrenchnotes.core.gauge;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/** One use of one gauge: exactly one of these. */
public record GaugeAsked(
        Optional<BeltGauge.BeltAsked> belt,
        Optional<GearGauge.GearAsked> gear,
        Optional<ThreadGauge.ThreadAsked> thread,
        Optional<RailsGauge.RailsAsked> rails,
        Optional<LogicGauge.LogicAsked> logic,
        Optional<ChainGauge.ChainAsked> chain,
        Optional<SpindleGauge.SpindleAsked> spindle,
        Optional<BleedGauge.BleedAsked> bleed,
        Optional<CapacitorGauge.CapacitorAsked> capacitor,
        Optional<LimitGauge.LimitAsked> limit) {

    public enum GaugeKind implements Spoken {
        BELT,
        GEAR,
        THREAD,
        RAILS,
        LOGIC,
        CHAIN,
        SPINDLE,
        BLEED,
        CAPACITOR,
        LIMIT;

        /** Whether a unit is read by it under power. */
        public boolean powered() {
            return switch (this) {
                case RAILS, LOGIC, CHAIN, SPINDLE, LIMIT -> true;
                case BELT, GEAR, THREAD, BLEED, CAPACITOR -> false;
            };
        }
    }

    /** One of the ten, if it is what was asked. */
    private record Use(GaugeKind kind, Optional<Function<List<LogicChip>, Measurement>> measured) {

        static <T> Use of(GaugeKind kind, Optional<T> asked, Function<T, Measurement> gauge) {
            return new Use(kind, asked.map(one -> chips -> gauge.apply(one)));
        }
    }

    public GaugeAsked {
        long said = Stream.of(belt, gear, thread, rails, logic, chain, spindle, bleed, capacitor, limit)
                .filter(Optional::isPresent)
                .count();
        if (said != 1) {
            throw new Invalid("asked", "Say what one gauge was asked: " + said + " are there");
        }
    }

    public GaugeKind kind() {
        return use().kind();
    }

    /** @param chips beyond those that ship with the application */
    public Measurement measured(List<LogicChip> chips) {
        return use().measured().orElseThrow().apply(chips);
    }

    private Use use() {
        return Stream.of(
                        Use.of(GaugeKind.BELT, belt, LengthReadings::belt),
                        Use.of(GaugeKind.GEAR, gear, LengthReadings::gear),
                        Use.of(GaugeKind.THREAD, thread, LengthReadings::thread),
                        Use.of(GaugeKind.RAILS, rails, ElectricReadings::rails),
                        new Use(GaugeKind.LOGIC, logic.map(asked -> chips -> ElectricReadings.logic(asked, chips))),
                        Use.of(GaugeKind.CHAIN, chain, ElectricReadings::chain),
                        Use.of(GaugeKind.SPINDLE, spindle, MotionReadings::spindle),
                        Use.of(GaugeKind.BLEED, bleed, ElectricReadings::bleed),
                        Use.of(GaugeKind.CAPACITOR, capacitor, ElectricReadings::capacitor),
                        Use.of(GaugeKind.LIMIT, limit, MotionReadings::limit))
                .filter(one -> one.measured().isPresent())
                .findFirst()
                .orElseThrow();
    }
}
