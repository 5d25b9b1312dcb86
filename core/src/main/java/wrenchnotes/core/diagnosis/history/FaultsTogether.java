package wrenchnotes.core.diagnosis.history;

import java.util.List;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/** How many faults units came with: none, one, or further ones; each level is shrunk to the wider one, the widest to common practice. */
final class FaultsTogether {

    /** What the wider level counts as, in jobs. Ours, no source. */
    private static final double WEIGHT = 20;

    private int jobs;
    private int none;
    private int further;

    void add(Set<FaultName> faults) {
        jobs++;
        none += faults.isEmpty() ? 1 : 0;
        further += Math.max(0, faults.size() - 1);
    }

    /** How many further faults a unit with a fault has, 0 to 1. @param levels from the widest on */
    static double extras(List<FaultsTogether> levels) {
        double extras = Rates.USUAL_EXTRAS;
        for (FaultsTogether level : levels) {
            extras = (level.further + WEIGHT * extras) / (level.jobs - level.none + WEIGHT);
        }
        return Math.min(1, extras);
    }

    /** How many units that come have nothing wrong with them, 0 to below 1. @param levels from the widest on */
    static double nothingWrong(List<FaultsTogether> levels) {
        double nothing = Rates.USUALLY_NOTHING;
        for (FaultsTogether level : levels) {
            nothing = (level.none + WEIGHT * nothing) / (level.jobs + WEIGHT);
        }
        return Math.min(0.9, nothing);
    }
}
