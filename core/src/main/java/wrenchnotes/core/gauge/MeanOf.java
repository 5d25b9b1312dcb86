package wrenchnotes.core.gauge;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.descriptive.DoubleStatistics;
import org.apache.commons.statistics.descriptive.Statistic;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * The mean of some readings, and what it leaves open.
 *
 * @param count 1 and up
 * @param spread highest less lowest
 * @param deviation sample standard deviation; empty for one reading
 */
record MeanOf(int count, double mean, double spread, Optional<Double> deviation) {

    private static final double SURE = 0.975;
    private static final double NORMAL = NormalDistribution.of(0, 1).inverseCumulativeProbability(SURE);

    static MeanOf of(List<Double> readings) {
        DoubleStatistics statistics = DoubleStatistics.of(
                EnumSet.of(Statistic.MEAN, Statistic.MIN, Statistic.MAX, Statistic.STANDARD_DEVIATION),
                readings.stream().mapToDouble(Double::doubleValue).toArray());
        return new MeanOf(
                readings.size(),
                statistics.getAsDouble(Statistic.MEAN),
                statistics.getAsDouble(Statistic.MAX) - statistics.getAsDouble(Statistic.MIN),
                readings.size() > 1
                        ? Optional.of(statistics.getAsDouble(Statistic.STANDARD_DEVIATION))
                        : Optional.empty());
    }

    /**
     * Of the mean, at 95 %: the scatter by Student's t with n − 1 degrees of freedom, joined with the instrument's by the root of the
     * squares, with the degrees of freedom of Welch and Satterthwaite (published: GUM, JCGM 100; from memory).
     *
     * @param instrument what it leaves open at 95 %, 0 or more
     */
    double uncertainty(double instrument) {
        double scatter = deviation.orElse(0.0) / Math.sqrt(count);
        if (scatter == 0) {
            return instrument;
        }
        double own = instrument / NORMAL;
        double joined = Math.hypot(scatter, own);
        double degrees = Math.pow(joined / scatter, 4) * (count - 1);
        return joined * TDistribution.of(degrees).inverseCumulativeProbability(SURE);
    }
}
