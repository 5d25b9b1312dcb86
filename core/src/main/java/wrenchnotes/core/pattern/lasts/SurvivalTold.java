package wrenchnotes.core.pattern.lasts;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.pattern.lasts.Survival.Band;
import wrenchnotes.core.unit.Checked;

/**
 * How long some remedies last, side by side.
 *
 * @param logRank whether they differ; empty of one remedy
 */
public record SurvivalTold(List<CurveOf> remedies, Optional<LogRank> logRank) {

    private static final int MOST_REMEDIES = 20;
    private static final int MOST_STAYS = 200_000;
    private static final int MOST_DAYS = 100;

    /** @param name 1 to 80 letters @param stays of its units, in any order */
    public record RemedyStays(String name, List<StayLength> stays) {
        public RemedyStays {
            name = Checked.text("name", name, 80);
            stays = List.copyOf(Checked.present("stays", stays));
            Checked.within("stays", stays.size(), 0, MOST_STAYS);
        }
    }

    /** @param remedies 1 to 20 @param at days at which each curve is read, 1 to 100 of them, 0 or more each */
    public record SurvivalAsked(List<RemedyStays> remedies, List<Double> at) {
        public SurvivalAsked {
            remedies = List.copyOf(Checked.present("remedies", remedies));
            Checked.within("remedies", remedies.size(), 1, MOST_REMEDIES);
            at = List.copyOf(Checked.present("at", at));
            Checked.within("at", at.size(), 1, MOST_DAYS);
            at.forEach(day -> Checked.within("at", day, 0, 36_500));
        }
    }

    public record StepTold(double day, int atRisk, int cameBack, double survival, double standardError) {}

    /** @param beyond true if no stay lasted so long, else left out */
    public record SurvivalAt(double day, double survival, double low, double high, Optional<Boolean> beyond) {}

    /** @param medianDay empty if more than half are left @param restrictedMeanDays up to the largest day that was asked for */
    public record CurveOf(
            String name,
            List<StepTold> steps,
            List<SurvivalAt> at,
            Optional<Double> medianDay,
            double restrictedMeanDays) {}

    public static SurvivalTold of(SurvivalAsked asked) {
        double until =
                asked.at().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        List<CurveOf> curves = asked.remedies().stream()
                .map(remedy -> curve(remedy, asked.at(), until))
                .toList();
        Optional<LogRank> differ = asked.remedies().size() == 1
                ? Optional.empty()
                : Optional.of(LogRank.of(
                        asked.remedies().stream().map(RemedyStays::stays).toList()));
        return new SurvivalTold(curves, differ);
    }

    private static CurveOf curve(RemedyStays remedy, List<Double> days, double until) {
        Survival curve = Survival.of(remedy.stays());
        return new CurveOf(
                remedy.name(),
                curve.steps().stream()
                        .map(step -> new StepTold(
                                step.day(), step.atRisk(), step.cameBack(), step.survival(), step.standardError()))
                        .toList(),
                days.stream().map(day -> told(day, curve.at(day))).toList(),
                curve.medianDay().isPresent() ? Optional.of(curve.medianDay().getAsDouble()) : Optional.empty(),
                curve.restrictedMeanDays(until));
    }

    private static SurvivalAt told(double day, Band band) {
        return new SurvivalAt(
                day, band.survival(), band.low(), band.high(), band.beyond() ? Optional.of(true) : Optional.empty());
    }
}
