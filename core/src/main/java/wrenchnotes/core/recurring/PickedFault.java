package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.statistics.descriptive.Median;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.pattern.lasts.LogRank;
import wrenchnotes.core.pattern.lasts.MeanComebacks;
import wrenchnotes.core.pattern.lasts.StayLength;
import wrenchnotes.core.pattern.lasts.Survival;
import wrenchnotes.core.recurring.FaultStays.StayAfter;

/**
 * One fault looked at: how long each remedy lasts, and how that compares.
 *
 * @param remedies the most often done first
 * @param longestDays the longest stay of all
 * @param differ whether the remedies last differently as far as anybody can tell, by the log-rank test; empty if that cannot be asked of them
 * @param often how often a unit has been back on average after half a year and after a year; only what five units at least were followed to
 * @param warranty what the warranties that run may still cost
 * @param found how often it is found, compared
 * @param cameBack how often it came back, compared
 */
public record PickedFault(
        List<RemedyLasts> remedies,
        double longestDays,
        Optional<Boolean> differ,
        List<BackOnAverage> often,
        WarrantyNow warranty,
        List<Comparison> found,
        List<Comparison> cameBack) {

    private static final double ERROR_RATE = 0.05;

    /** From handover on, after a quarter, half a year and a year: where curves are read. */
    private static final List<Double> READ_AT = List.of(0.0, 90.0, 183.0, 365.0);

    /** More marks nobody sees apart. */
    private static final int MOST_MARKS = 200;

    /** @param low and high of it, nineteen times in twenty */
    public record CurvePoint(double day, double survival, double low, double high) {}

    /** @param atRisk how many have lasted so long @param point of the curve there; empty where fewer than five did */
    public record ReadAt(double day, int atRisk, Optional<CurvePoint> point) {}

    /** Where a curve stands: a unit that came back then, or has lasted so far. @param job that it was mended in */
    public record StayMark(long job, double day, boolean cameBack) {}

    public record BackOnAverage(double day, int followed, double times) {}

    /**
     * @param done how often it was done and did something
     * @param failed how often it changed nothing
     * @param cameBack how many of those that were done came back for that component
     * @param minutes at the bench of the jobs that it was done in, in the median; empty if nobody kept the time
     * @param partsMinor of these jobs, in the median
     * @param points where the curve steps, the earliest first
     * @param marks each unit, the newest jobs first; at most 200
     */
    public record RemedyLasts(
            Remedy remedy,
            int done,
            int failed,
            int cameBack,
            Optional<Integer> minutes,
            long partsMinor,
            List<CurvePoint> points,
            List<StayMark> marks,
            List<ReadAt> readAt,
            Optional<Double> medianDay) {}

    /** @param hourMinor what an hour at the bench costs, in minor units @param now in milliseconds since 1970 */
    public static PickedFault of(
            FaultStays stays, List<Comparison> found, List<Comparison> cameBack, long hourMinor, long now) {
        List<RemedyLasts> remedies = new ArrayList<>();
        for (Remedy remedy : Remedy.values()) {
            List<StayAfter> its = stays.stays().stream()
                    .filter(stay -> stay.remedy() == remedy)
                    .toList();
            int failed = stays.failed().getOrDefault(remedy, 0);
            if (!its.isEmpty() || failed > 0) {
                remedies.add(lasts(remedy, its, failed));
            }
        }
        remedies.sort(Comparator.comparingInt(one -> -one.done()));
        Map<Remedy, List<StayLength>> lengths = stays.lengths(StayAfter::remedy);
        double longest = stays.stays().stream()
                .mapToDouble(stay -> stay.length().days())
                .max()
                .orElse(0);
        return new PickedFault(
                remedies,
                longest,
                differ(lengths),
                often(stays),
                WarrantyNow.of(stays.stays(), now, hourMinor),
                found,
                cameBack);
    }

    private static Optional<Boolean> differ(Map<Remedy, List<StayLength>> lengths) {
        if (lengths.size() < 2) {
            return Optional.empty();
        }
        LogRank told = LogRank.of(lengths.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(Map.Entry::getValue)
                .toList());
        return told.degrees() == 0 ? Optional.empty() : Optional.of(told.p() < ERROR_RATE);
    }

    private static List<BackOnAverage> often(FaultStays stays) {
        List<MeanComebacks.UnitFollowed> units =
                stays.stays().stream().map(StayAfter::followed).toList();
        MeanComebacks mean = MeanComebacks.of(units);
        return READ_AT.stream()
                .filter(day -> day > 100)
                .map(day -> new BackOnAverage(
                        day,
                        (int) units.stream()
                                .filter(unit -> unit.followedToDay() >= day)
                                .count(),
                        mean.steps().stream()
                                .filter(step -> step.day() <= day)
                                .mapToDouble(MeanComebacks.MeanStep::mean)
                                .max()
                                .orElse(0)))
                .filter(one -> one.followed() >= FaultCount.TOO_FEW)
                .toList();
    }

    private static RemedyLasts lasts(Remedy remedy, List<StayAfter> its, int failed) {
        List<StayLength> stays = its.stream().map(StayAfter::length).toList();
        Survival curve = Survival.of(stays);
        List<ReadAt> read = READ_AT.stream()
                .map(day -> {
                    int atRisk = (int)
                            stays.stream().filter(stay -> stay.days() >= day).count();
                    return new ReadAt(
                            day,
                            atRisk,
                            atRisk < FaultCount.TOO_FEW ? Optional.empty() : Optional.of(point(curve, day)));
                })
                .toList();
        return new RemedyLasts(
                remedy,
                stays.size(),
                failed,
                (int) stays.stream().filter(StayLength::cameBack).count(),
                FaultStays.usualMinutes(its),
                its.isEmpty()
                        ? 0
                        : Math.round(Median.withDefaults()
                                .evaluate(its.stream()
                                        .mapToDouble(StayAfter::partsMinor)
                                        .toArray())),
                curve.steps().stream().map(step -> point(curve, step.day())).toList(),
                its.stream()
                        .sorted(Comparator.comparingLong(StayAfter::from).reversed())
                        .limit(MOST_MARKS)
                        .map(stay -> new StayMark(
                                stay.job(), stay.length().days(), stay.length().cameBack()))
                        .toList(),
                read,
                curve.medianDay().isPresent() ? Optional.of(curve.medianDay().getAsDouble()) : Optional.empty());
    }

    private static CurvePoint point(Survival curve, double day) {
        Survival.Band band = curve.at(day);
        return new CurvePoint(day, band.survival(), band.low(), band.high());
    }
}
