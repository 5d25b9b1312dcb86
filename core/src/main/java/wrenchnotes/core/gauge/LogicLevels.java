package wrenchnotes.core.gauge;

import wrenchnotes.core.gauge.LogicGauge.LogicFamily;
import wrenchnotes.core.gauge.LogicGauge.LogicRule;

/**
 * Which volts a family takes for low and high at its inputs, and must make at its outputs, by its supply. Published in the manufacturers' logic
 * data books; from memory:
 *
 * <ul>
 *   <li>TTL and LS, 4.5 to 5.5 V: input up to 0.8, from 2.0; output TTL 0.4 and 2.4, LS 0.5 and 2.7.
 *   <li>HC, 2 to 6 V: input 0.3 and 0.7 of the supply; output at 4.5 V and 4 mA 0.33 and 3.84, in proportion to the supply. HCT, 4.5 to 5.5 V:
 *       inputs as TTL, outputs as HC.
 *   <li>AC, 2 to 6 V, and ACT: inputs as HC and HCT; output at 4.5 V and 24 mA 0.36 and 3.86.
 *   <li>AHC and VHC, 2 to 5.5 V: inputs as HC, and they bear 5.5 V; output at 4.5 V and 8 mA 0.36 and 3.94.
 *   <li>LVC, 1.65 to 3.6 V: input from 2.7 V up 0.8 and 2.0, below 0.3 and 0.7 of the supply; inputs bear 5.5 V; output 0.55 V and 0.8 V below
 *       the supply at 24 mA.
 *   <li>CMOS 4000, 3 to 18 V: input 0.3 and 0.7 of the supply; output 0.4 V from either rail at its rated current, 0.05 V unloaded.
 * </ul>
 *
 * <p>Bench rule (common practice, for 5 V and families with TTL inputs): above about 2.5 V high, at most 0.5 V low.
 */
record LogicLevels(double low, double high) {

    private static final LogicLevels TTL_INPUT = new LogicLevels(0.8, 2.0);
    private static final LogicLevels BENCH = new LogicLevels(0.5, 2.5);
    private static final double TOLERANT = 5.5;

    static LogicLevels of(LogicRule rule, LogicFamily family, double supply, boolean output) {
        if (rule == LogicRule.BENCH && likeTtl(family)) {
            return BENCH;
        }
        return output ? output(family, supply) : input(family, supply);
    }

    /** Whether the bench rule holds for it: the others need more for a high. */
    static boolean likeTtl(LogicFamily family) {
        return switch (family) {
            case TTL, LS, HCT, ACT -> true;
            case HC, AC, AHC, LVC, CMOS -> false;
        };
    }

    private static LogicLevels input(LogicFamily family, double supply) {
        boolean ttl = likeTtl(family) || family == LogicFamily.LVC && supply >= 2.7;
        return ttl ? TTL_INPUT : new LogicLevels(0.3 * supply, 0.7 * supply);
    }

    private static LogicLevels output(LogicFamily family, double supply) {
        return switch (family) {
            case TTL -> new LogicLevels(0.4, 2.4);
            case LS -> new LogicLevels(0.5, 2.7);
            case HC, HCT -> at(supply, 0.33, 3.84);
            case AC, ACT -> at(supply, 0.36, 3.86);
            case AHC -> at(supply, 0.36, 3.94);
            case LVC -> new LogicLevels(0.55, supply - 0.8);
            case CMOS -> new LogicLevels(0.4, supply - 0.4);
        };
    }

    /** @param low at 4.5 V @param high at 4.5 V */
    private static LogicLevels at(double supply, double low, double high) {
        return new LogicLevels(low * supply / 4.5, high * supply / 4.5);
    }

    static double leastSupply(LogicFamily family) {
        return switch (family) {
            case TTL, LS, HCT, ACT -> 4.5;
            case HC, AC, AHC -> 2;
            case LVC -> 1.65;
            case CMOS -> 3;
        };
    }

    static double mostSupply(LogicFamily family) {
        return switch (family) {
            case TTL, LS, HCT, ACT, AHC -> 5.5;
            case HC, AC -> 6;
            case LVC -> 3.6;
            case CMOS -> 18;
        };
    }

    /** What an input bears, volts. */
    static double mostAtInput(LogicFamily family, double supply) {
        return family == LogicFamily.LVC || family == LogicFamily.AHC ? Math.max(TOLERANT, supply) : supply;
    }
}
