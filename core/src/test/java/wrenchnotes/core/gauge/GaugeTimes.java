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

    private static final int TIMES = 400;

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
        print("chain, 40 stages", 20, () -> ChainGauge.of(new ChainGauge.ChainAsked(stages)));
        print(
                "logic",
                1,
                () -> LogicGauge.of(new LogicGauge.LogicAsked(
                        "74LS00",
                        LogicGauge.LogicRule.DATASHEET,
                        Optional.empty(),
                        Optional.empty(),
                        Map.of(
                                1,
                                new PinRead(Optional.of(0.2), Optional.empty()),
                                3,
                                new PinRead(Optional.empty(), Optional.of(PinLevel.HIGH))))));
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
    }

    private static void print(String name, double aimMillis, Runnable gauge) {
        double[] millis = new double[TIMES];
        for (int n = -TIMES; n < TIMES; n++) {
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
