package wrenchnotes.core.drawer.order;

import java.util.List;
import wrenchnotes.core.unit.Checked;

/**
 * How many days an order takes: half of them come within, and four in five. The logarithm of the days is taken to be normal; what a part takes from
 * a supplier is drawn towards what all parts take from it, and that towards what all suppliers take, as far as there are few orders behind it (an
 * empirical estimate after Efron and Morris, Journal of the American Statistical Association 70, 1975, from memory; the weights are ours).
 *
 * @param half days, above 0
 * @param fourFifths days, at least half
 * @param orders how many orders of that part from that supplier stand behind it
 * @param ofSupplier how many of that supplier
 */
public record Takes(double half, double fourFifths, int orders, int ofSupplier) {

    /** What orders take before the shop has any: half within a week, four in five within ten days. Common practice, no source. */
    private static final double USUAL_LOG = Math.log(7);

    private static final double USUAL_DEVIATION = 0.5;
    /** A level above counts as so many orders. */
    private static final double WEIGHT = 3;
    /** Of the standard normal: four fifths lie below. */
    private static final double FOUR_FIFTHS = 0.8416212335729143;

    private static final double LEAST_DAYS = 0.25;

    /** An order that came. @param days from the order to the last of it */
    public record Came(long supplier, long part, double days) {
        public Came {
            Checked.within("days", days, 0, 3650);
        }

        private double log() {
            return Math.log(Math.max(LEAST_DAYS, days));
        }
    }

    public static Takes of(List<Came> came, long supplier, long part) {
        List<Came> from =
                came.stream().filter(one -> one.supplier() == supplier).toList();
        List<Came> same = from.stream().filter(one -> one.part() == part).toList();
        double all = mean(came, USUAL_LOG);
        double ofSupplier = mean(from, all);
        double here = mean(same, ofSupplier);
        double spread = deviation(from, ofSupplier);
        // What is not known of the middle widens what is promised of it.
        double wide = spread * Math.sqrt(1 + 1 / (same.size() + WEIGHT));
        return new Takes(Math.exp(here), Math.exp(here + FOUR_FIFTHS * wide), same.size(), from.size());
    }

    private static double mean(List<Came> of, double above) {
        double sum = of.stream().mapToDouble(Came::log).sum();
        return (sum + WEIGHT * above) / (of.size() + WEIGHT);
    }

    private static double deviation(List<Came> of, double mean) {
        double squares =
                of.stream().mapToDouble(one -> Math.pow(one.log() - mean, 2)).sum();
        return Math.sqrt((squares + WEIGHT * USUAL_DEVIATION * USUAL_DEVIATION) / (of.size() + WEIGHT));
    }

    /** The mean and the deviation in weeks, as reordering asks for them: those of the lognormal with these quantiles. */
    public double weeks() {
        double deviation = Math.log(fourFifths / half) / FOUR_FIFTHS;
        return half * Math.exp(deviation * deviation / 2) / 7;
    }

    public double weeksDeviation() {
        double deviation = Math.log(fourFifths / half) / FOUR_FIFTHS;
        return weeks() * Math.sqrt(Math.expm1(deviation * deviation));
    }
}
