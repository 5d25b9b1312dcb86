package wrenchnotes.core.pattern.lasts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * How often a unit has come back on average after so many days, however often it did: the mean cumulative function (Nelson, Recurrent Events Data
 * Analysis, 2003; Journal of Quality Technology 20, 1988). A unit counts on the day that it is followed to.
 *
 * @param steps one for each day on which any came back, the earliest first
 */
public record MeanComebacks(List<MeanStep> steps) {

    private static final int MOST_UNITS = 200_000;
    private static final double MOST_DAYS = 36_500;

    /** @param atRisk units that are followed to that day at least @param mean comebacks a unit up to that day */
    public record MeanStep(double day, int atRisk, double mean) {}

    /** @param comebackDays since handover, above 0, in any order @param followedToDay today, or when it was known to be gone; none came back later */
    public record UnitFollowed(List<Double> comebackDays, Double followedToDay) {
        public UnitFollowed {
            comebackDays = List.copyOf(Checked.present("comebackDays", comebackDays));
            Checked.within("followedToDay", Checked.present("followedToDay", followedToDay), 0, MOST_DAYS);
            for (double day : comebackDays) {
                if (!(day > 0 && day <= followedToDay)) {
                    throw new Invalid(
                            "comebackDays",
                            "A comeback on day " + day + " is not between 0 and " + followedToDay
                                    + ", to which the unit is followed");
                }
            }
        }
    }

    public record ComebacksAsked(List<UnitFollowed> units) {
        public ComebacksAsked {
            units = List.copyOf(Checked.present("units", units));
            Checked.within("units", units.size(), 1, MOST_UNITS);
        }
    }

    public static MeanComebacks of(List<UnitFollowed> units) {
        TreeMap<Double, Integer> cameBack = new TreeMap<>();
        units.forEach(unit -> unit.comebackDays().forEach(day -> cameBack.merge(day, 1, Integer::sum)));
        double[] followed =
                units.stream().mapToDouble(UnitFollowed::followedToDay).sorted().toArray();
        List<MeanStep> steps = new ArrayList<>();
        double mean = 0;
        int gone = 0;
        for (Map.Entry<Double, Integer> day : cameBack.entrySet()) {
            while (gone < followed.length && followed[gone] < day.getKey()) {
                gone++;
            }
            int atRisk = followed.length - gone;
            mean += (double) day.getValue() / atRisk;
            steps.add(new MeanStep(day.getKey(), atRisk, mean));
        }
        return new MeanComebacks(List.copyOf(steps));
    }
}
