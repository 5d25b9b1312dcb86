package wrenchnotes.core.pattern.lasts;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.apache.commons.statistics.distribution.ChiSquaredDistribution;

/**
 * Whether several remedies last differently (Mantel, Cancer Chemotherapy Reports 50, 1966; for more than two as Peto & Peto 1972 write it): at each
 * comeback what each remedy would have had of it if all lasted alike, against what it had.
 *
 * @param chiSquared 0 or more
 * @param degrees of freedom: how many of the remedies can differ from the others
 * @param p how likely so large a difference is if there is none
 */
public record LogRank(double chiSquared, int degrees, double p) {

    private static final double NOTHING = 1e-12;

    /** @param groups the stays of each remedy, two groups or more */
    public static LogRank of(List<List<StayLength>> groups) {
        int most = groups.size() - 1;
        double[] over = new double[most];
        double[][] spread = new double[most][most];
        TreeSet<Double> days = new TreeSet<>();
        groups.forEach(stays -> stays.stream().filter(StayLength::cameBack).forEach(stay -> days.add(stay.days())));
        List<Lasted> lasted = groups.stream().map(Lasted::new).toList();
        for (double day : days) {
            double[] atRisk = new double[groups.size()];
            double[] cameBack = new double[groups.size()];
            double n = 0;
            double d = 0;
            for (int g = 0; g < groups.size(); g++) {
                atRisk[g] = lasted.get(g).atRisk(day);
                cameBack[g] = lasted.get(g).cameBack.getOrDefault(day, 0);
                n += atRisk[g];
                d += cameBack[g];
            }
            double chance = n > 1 ? d * (n - d) / (n - 1) : 0;
            for (int g = 0; g < most; g++) {
                over[g] += cameBack[g] - d * atRisk[g] / n;
                for (int h = 0; h < most; h++) {
                    spread[g][h] += chance * atRisk[g] / n * ((g == h ? 1 : 0) - atRisk[h] / n);
                }
            }
        }
        return solved(over, spread);
    }

    /** A group, gone through from its shortest stay on, so that nothing is counted anew for each day. */
    private static final class Lasted {
        private final double[] days;
        private final Map<Double, Integer> cameBack = new HashMap<>();
        private int over;

        Lasted(List<StayLength> stays) {
            days = stays.stream().mapToDouble(StayLength::days).sorted().toArray();
            stays.stream().filter(StayLength::cameBack).forEach(stay -> cameBack.merge(stay.days(), 1, Integer::sum));
        }

        /** How many lasted until a day or longer; never asked of an earlier day than before. */
        int atRisk(double day) {
            while (over < days.length && days[over] < day) {
                over++;
            }
            return days.length - over;
        }
    }

    /** over′ · spread⁻¹ · over, by elimination; what cannot differ is left out. */
    private static LogRank solved(double[] over, double[][] spread) {
        double chiSquared = 0;
        int degrees = 0;
        for (int pivot = 0; pivot < over.length; pivot++) {
            if (spread[pivot][pivot] <= NOTHING) {
                continue;
            }
            degrees++;
            chiSquared += over[pivot] * over[pivot] / spread[pivot][pivot];
            for (int row = pivot + 1; row < over.length; row++) {
                double share = spread[row][pivot] / spread[pivot][pivot];
                over[row] -= share * over[pivot];
                for (int at = pivot; at < over.length; at++) {
                    spread[row][at] -= share * spread[pivot][at];
                }
            }
        }
        double p = degrees == 0 ? 1 : ChiSquaredDistribution.of(degrees).survivalProbability(chiSquared);
        return new LogRank(chiSquared, degrees, p);
    }
}
