package wrenchnotes.core.pattern.lasts;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wrenchnotes.core.unit.Checked;

/**
 * The product-limit estimate of how many units have not come back after so many days (Kaplan & Meier, Journal of the American Statistical Association
 * 53, 1958), with Greenwood's standard error and intervals on the log(−log) scale, which stay within 0 and 1 (Kalbfleisch & Prentice, The
 * Statistical Analysis of Failure Time Data). Comebacks stand before censorings of the same day.
 *
 * @param steps one for each day on which any came back, the earliest first
 * @param longest the longest stay, in days; 0 if there are none
 */
public record Survival(List<CurveStep> steps, double longest) {

    /** Of the standard normal: nineteen times in twenty. */
    private static final double Z = 1.959963984540054;

    /** Products of fractions miss a half by the last bits. */
    private static final double LAST_BITS = 1e-12;

    public Survival {
        steps = List.copyOf(steps);
    }

    /**
     * @param atRisk how many had lasted until that day
     * @param cameBack how many of them came back on it
     * @param survival share that has not come back after it, 0 to 1
     * @param standardError Greenwood's; 0 where the survival is 0
     * @param hazards Greenwood's sum up to that day, without end where the survival is 0
     */
    public record CurveStep(
            double day, int atRisk, int cameBack, double survival, double standardError, double hazards) {}

    /**
     * @param low and high between which the truth lies nineteen times in twenty; the survival itself where it is 1 or 0
     * @param beyond whether no stay lasted so long: the last value is carried
     */
    public record Band(double survival, double low, double high, boolean beyond) {}

    public static Survival of(List<StayLength> stays) {
        List<StayLength> sorted = stays.stream()
                .sorted(Comparator.comparingDouble(StayLength::days).thenComparing(stay -> !stay.cameBack()))
                .toList();
        List<CurveStep> steps = new ArrayList<>();
        double survival = 1;
        double hazards = 0;
        for (int at = 0; at < sorted.size(); ) {
            double day = sorted.get(at).days();
            int atRisk = sorted.size() - at;
            int cameBack = 0;
            for (; at < sorted.size() && sorted.get(at).days() == day; at++) {
                cameBack += sorted.get(at).cameBack() ? 1 : 0;
            }
            if (cameBack > 0) {
                survival *= 1 - (double) cameBack / atRisk;
                hazards += cameBack / (atRisk * (double) (atRisk - cameBack));
                double error = survival == 0 ? 0 : survival * Math.sqrt(hazards);
                steps.add(new CurveStep(day, atRisk, cameBack, survival, error, hazards));
            }
        }
        return new Survival(
                steps, sorted.isEmpty() ? 0 : sorted.get(sorted.size() - 1).days());
    }

    /** @param day 0 or more */
    public Band at(double day) {
        Checked.within("at", day, 0, Double.MAX_VALUE);
        Optional<CurveStep> last = lastBy(day);
        double survival = last.map(CurveStep::survival).orElse(1.0);
        boolean beyond = day > longest;
        if (survival == 0 || survival == 1) {
            return new Band(survival, survival, survival, beyond);
        }
        double spread = Z * Math.sqrt(last.orElseThrow().hazards()) / Math.abs(Math.log(survival));
        return new Band(survival, Math.pow(survival, Math.exp(spread)), Math.pow(survival, Math.exp(-spread)), beyond);
    }

    /** The last step on or before a day, by halving: curves are read at each of their own steps. */
    private Optional<CurveStep> lastBy(double day) {
        int from = 0;
        int until = steps.size();
        while (from < until) {
            int middle = (from + until) / 2;
            if (steps.get(middle).day() <= day) {
                from = middle + 1;
            } else {
                until = middle;
            }
        }
        return from == 0 ? Optional.empty() : Optional.of(steps.get(from - 1));
    }

    /** The share that has not come back after so many days, the last value carried beyond the longest stay. */
    public double after(double day) {
        return at(day).survival();
    }

    /** The first day after which no more than half are left; empty if it is not reached. */
    public OptionalDouble medianDay() {
        return steps.stream()
                .filter(step -> step.survival() <= 0.5 + LAST_BITS)
                .mapToDouble(CurveStep::day)
                .findFirst();
    }

    /** How many of the first so many days a unit lasts on average: the area under the curve. @param until days, 0 or more */
    public double restrictedMeanDays(double until) {
        double area = 0;
        double from = 0;
        double survival = 1;
        for (CurveStep step : steps) {
            if (step.day() >= until) {
                break;
            }
            area += survival * (step.day() - from);
            from = step.day();
            survival = step.survival();
        }
        return area + survival * (until - from);
    }
}
