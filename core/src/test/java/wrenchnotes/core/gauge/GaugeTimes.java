package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.gauge.ChainGauge.ChainStage;
import wrenchnotes.core.gauge.ChainGauge.Signal;
import wrenchnotes.core.gauge.LogicGauge.PinLevel;
import wrenchnotes.core.gauge.LogicGauge.PinRead;

/** How long the gauges take: part of {@code make bench}. */
public final class GaugeTimes {

    private static final int TIMES = 2000;
    /** A shop's server has been up for hours: what is asked for is not the first call. */
    private static final int WARM = 8000;

    private GaugeTimes() {}

    public static void main(String[] args) {
        List<ChainStage> stages = new ArrayList<>();
        for (int n = 0; n < 40; n++) {
            stages.add(new ChainStage(
                    "s" + n,
                    n == 0 ? Signal.GOOD : Signal.UNKNOWN,
                    n == 39 ? Signal.BAD : Signal.UNKNOWN,
                    Optional.of(1.0 + n % 5),
                    Optional.of(1.0 + n % 3)));
        }
        print("chain, 40 stages", 1, () -> ChainGauge.of(new ChainGauge.ChainAsked(stages)));
        print(
                "logic",
                1,
                () -> LogicGauge.of(
                        new LogicGauge.LogicAsked(
                                "74LS00",
                                LogicGauge.LogicRule.DATASHEET,
                                Optional.empty(),
                                Optional.empty(),
                                Map.of(
                                        1,
                                        new PinRead(Optional.of(0.2), Optional.empty()),
                                        3,
                                        new PinRead(Optional.empty(), Optional.of(PinLevel.HIGH))),
                                Optional.empty()),
                        List.of()));
        print(
                "bleed",
                1,
                () -> BleedGauge.of(new BleedGauge.BleedAsked(470, 10_000, 325, Optional.empty(), Optional.empty())));
        print(
                "belt",
                1,
                () -> BeltGauge.of(
                        new BeltGauge.BeltAsked(
                                Optional.empty(),
                                Optional.of(new BeltGauge.BeltPath(6, 18, 25, false)),
                                Optional.empty()),
                        List.of()));
        print(
                "gear",
                1,
                () -> GearGauge.of(new GearGauge.GearAsked(
                        20,
                        11,
                        Optional.of(new GearGauge.GearWheel(40, 21)),
                        Optional.of(15.0),
                        Optional.of(2.0),
                        Optional.of(2.05),
                        false)));
        print(
                "thread",
                1,
                () -> ThreadGauge.of(new ThreadGauge.ThreadAsked(
                        2.9,
                        Optional.of(new ThreadGauge.ThreadsCounted(10, 11, Optional.empty())),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())));
        print(
                "rails",
                1,
                () -> RailsGauge.of(new RailsGauge.RailsAsked(
                        RailsGauge.Mains.of(230, 236),
                        List.of(
                                rail("9 V~", Optional.empty(), RailsGauge.RailKind.SECONDARY_AC, 9, 3),
                                rail("raw", Optional.of("9 V~"), RailsGauge.RailKind.UNREGULATED, 11, 2.9),
                                rail("5 V", Optional.of("raw"), RailsGauge.RailKind.REGULATED, 5, 1.4)),
                        Optional.empty())));
        print(
                "spindle",
                1,
                () -> SpindleGauge.of(new SpindleGauge.SpindleAsked(
                        300,
                        Optional.empty(),
                        100,
                        Optional.of(0.4),
                        Optional.of(SpindleGauge.Drift.FORWARD),
                        Optional.empty(),
                        Optional.empty())));
        CapacitorGauge.Capacitor filter =
                CapacitorGauge.Capacitor.of(0.1, 275, CapacitorGauge.CapacitorKind.SAFETY_X, Optional.of("X2"));
        print("capacitor", 1, () -> CapacitorGauge.of(new CapacitorGauge.CapacitorAsked(filter, Optional.of(filter))));
        print(
                "limit",
                1,
                () -> LimitGauge.of(new LimitGauge.LimitAsked(
                        List.of(79.2, 78.8),
                        Optional.of(new LimitGauge.Limits(Optional.empty(), Optional.of(80.0))),
                        Optional.of(0.5),
                        Optional.empty())));
    }

    private static RailsGauge.Rail rail(
            String name, Optional<String> from, RailsGauge.RailKind kind, double nominal, double measured) {
        return RailsGauge.Rail.of(name, from, kind, nominal, Optional.of(measured));
    }

    private static void print(String name, double aimMillis, Runnable gauge) {
        double[] millis = new double[TIMES];
        for (int n = -WARM; n < TIMES; n++) {
            long begin = System.nanoTime();
            gauge.run();
            if (n >= 0) {
                millis[n] = (System.nanoTime() - begin) / 1e6;
            }
        }
        Arrays.sort(millis);
        System.out.printf(
                "gauge, %s: median %.3f ms, 99 in 100 %.3f ms, aim %.0f ms%n",
                name, millis[TIMES / 2], millis[TIMES * 99 / 100], aimMillis);
    }
}
