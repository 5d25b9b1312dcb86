package wrenchnotes.core.money;

import java.util.List;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What the next sale of a thing fetches. Prices are normal on the logarithm: the mean of a model's log prices is normal about its kind's, a sale about the
 * model's, and what few sales say is shrunk to the kind (published: Efron and Morris 1975, normal means with known variances; predictive: Gelman et al.,
 * Bayesian Data Analysis, section 2.5; both from memory). So one sale gives a wide range, not a point.
 *
 * @param medianMinor half of such sales fetch more; minor units, not rounded, above 0
 * @param meanMinor what is to be expected: choices between ways go by it; at least the median
 * @param lowMinor one in ten fetches less
 * @param highMinor one in ten fetches more
 */
public record NextPrice(double medianMinor, double meanMinor, double lowMinor, double highMinor) {

    /** The middle 80 in 100 of a normal distribution. */
    private static final double TENTH = 1.2816;

    private static final double LARGEST_LOG = 60;

    /**
     * @param salesMinor what the thing fetched so far, in minor units, each 1 or more; may be empty
     * @param kindLogMean natural logarithm of minor units, up to 60 from 0
     * @param kindLogVariance of the means of models about the kind's, above 0, up to 60
     * @param withinVariance of sales about their model's mean, above 0, up to 60
     * @throws Invalid if a figure is outside
     */
    public static NextPrice of(
            List<Double> salesMinor, double kindLogMean, double kindLogVariance, double withinVariance) {
        Checked.within("kindLogMean", kindLogMean, -LARGEST_LOG, LARGEST_LOG);
        above("kindLogVariance", kindLogVariance);
        above("withinVariance", withinVariance);
        return new LogMean(kindLogMean, kindLogVariance)
                .seen(salesMinor, withinVariance)
                .next(withinVariance);
    }

    private static void above(String field, double variance) {
        if (!(variance > 0 && variance <= LARGEST_LOG)) {
            throw new Invalid(field, field + " is " + variance + "; it must be above 0, and 60 at most");
        }
    }

    /** What is known of the mean of log prices: normal about {@code mean}. */
    record LogMean(double mean, double variance) {

        /** After sales that vary about it. */
        LogMean seen(List<Double> salesMinor, double withinVariance) {
            double weight = 1 / variance;
            double sum = mean / variance;
            for (int at = 0; at < salesMinor.size(); at++) {
                double sale = salesMinor.get(at);
                if (!(sale >= 1 && sale <= 1e15)) {
                    throw new Invalid(
                            "salesMinor[" + at + "]", "A sale of " + sale + " minor units: a price is 1 at least");
                }
                weight += 1 / withinVariance;
                sum += Math.log(sale) / withinVariance;
            }
            return new LogMean(sum / weight, 1 / weight);
        }

        /** Of something narrower, whose mean varies about this one. */
        LogMean within(double between) {
            return new LogMean(mean, variance + between);
        }

        NextPrice next(double withinVariance) {
            double all = variance + withinVariance;
            double deviation = TENTH * Math.sqrt(all);
            return new NextPrice(
                    Math.exp(mean), Math.exp(mean + all / 2), Math.exp(mean - deviation), Math.exp(mean + deviation));
        }
    }
}
