package wrenchnotes.core.drawer.need;

/**
 * How many of a part are used while an order is on its way: Poisson if it always takes as long, negative binomial if that varies (Hadley and
 * Whitin, Analysis of Inventory Systems, 1963; from memory). Its mean is λL, its variance λL + λ²σ².
 *
 * Apache Commons Statistics has a negative binomial of whole sizes only; ours may be any, so both are summed here in one way.
 *
 * @param mean 0 or more
 * @param variance at least the mean
 */
public record LeadDemand(double mean, double variance) {

    /** Below this the excess is nothing but rounding. */
    private static final double NOTHING = 1e-12;

    /**
     * @param leadWeeks L, above 0
     * @param deviation σ, in weeks, 0 or more
     */
    public static LeadDemand of(Demand demand, double leadWeeks, double deviation) {
        double mean = demand.perWeek() * leadWeeks;
        return new LeadDemand(mean, mean + Math.pow(demand.perWeek() * deviation, 2));
    }

    /** @param reached how likely no more are asked for @param expectedShort how many more are asked for on average: E(D − level)⁺ */
    public record Level(int at, double reached, double expectedShort) {}

    /**
     * The least number that is enough with a probability.
     *
     * @param service above 0, below 1
     */
    public Level least(double service) {
        double excess = variance - mean;
        boolean poisson = excess <= NOTHING * mean;
        double sizes = poisson ? Double.POSITIVE_INFINITY : mean * mean / excess;
        double above = poisson ? 0 : excess / variance;
        // In logarithms: of a thousand asked for, nothing at all is asked for less often than a double can tell.
        double log = poisson ? -mean : sizes * Math.log1p(-above);
        int at = 0;
        double probability = Math.exp(log);
        double reached = probability;
        // Of those short there are as many as the mean, less what each one there takes away: Σ P(D > k) for k below the
        // level.
        double saved = 0;
        while (reached < service) {
            saved += 1 - reached;
            log += poisson ? Math.log(mean / (at + 1)) : Math.log(above * (sizes + at) / (at + 1));
            at++;
            reached += Math.exp(log);
        }
        return new Level(at, Math.min(1, reached), Math.max(0, mean - saved));
    }
}
