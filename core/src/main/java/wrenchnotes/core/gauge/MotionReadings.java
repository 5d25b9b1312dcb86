package wrenchnotes.core.gauge;

import static wrenchnotes.core.gauge.LimitGauge.number;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/** What spindle and limit leave in a job's record. */
public final class MotionReadings {

    private MotionReadings() {}

    public static Measurement spindle(SpindleGauge.SpindleAsked asked) {
        SpindleGauge.SpindleFound found = SpindleGauge.of(asked);
        double share = found.limitPercent() / 100;
        Limits limits = new Limits(
                Optional.of(asked.nominalRpm() * (1 - share)), Optional.of(asked.nominalRpm() * (1 + share)));
        double u = asked.nominalRpm() * asked.uncertaintyPercent().orElse(0.0) / 100;
        Reading turns = found.verdict()
                .map(verdict -> Reading.judged("turns at", found.actualRpm(), "rpm", limits, u, verdict))
                .orElseGet(() -> Reading.plain("bars stand at", found.standsAtRpm(), "rpm"));
        return new Measurement(
                List.of(turns),
                found.verdict(),
                found.verdict().isEmpty()
                        ? "Spindle: " + found.bars() + " bars, nothing measured"
                        : "Spindle: " + number(found.actualRpm()) + " rpm for " + number(asked.nominalRpm()) + ", "
                                + number(found.errorPercent()) + " % off");
    }

    public static Measurement limit(LimitGauge.LimitAsked asked) {
        LimitGauge.LimitFound found = LimitGauge.of(asked);
        double u = found.meanUncertainty().orElse(0.0);
        String unit = asked.unit().orElse("");
        Reading mean = asked.limit()
                .map(limit -> Reading.judged(
                        "mean", found.mean(), unit, limit, u, found.verdict().orElseThrow()))
                .orElseGet(() -> Reading.plain("mean", found.mean(), unit));
        return new Measurement(List.of(mean), found.verdict(), "Limit: " + String.join(" ", found.reasons()));
    }
}
