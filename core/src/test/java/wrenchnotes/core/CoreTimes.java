package wrenchnotes.core;

import wrenchnotes.core.diagnosis.history.ForetoldTimes;
import wrenchnotes.core.diagnosis.odds.OddsTimes;
import wrenchnotes.core.gauge.GaugeTimes;
import wrenchnotes.core.teardown.plan.PlanTimes;

/** How long the core's heavier computations take: part of {@code make bench}. */
public final class CoreTimes {

    private CoreTimes() {}

    public static void main(String[] args) {
        PlanTimes.main(args);
        OddsTimes.main(args);
        ForetoldTimes.main(args);
        GaugeTimes.main(args);
    }
}
