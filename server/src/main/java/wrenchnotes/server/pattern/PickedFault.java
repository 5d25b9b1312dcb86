package wrenchnotes.server.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.FaultStays;
import wrenchnotes.core.pattern.lasts.LogRank;
import wrenchnotes.core.pattern.lasts.StayLength;
import wrenchnotes.core.pattern.lasts.Survival;

/**
 * One fault looked at: how long each remedy lasts.
 *
 * @param remedies the most often done first
 * @param longestDays the longest stay of all
 * @param differ whether the remedies last differently as far as anybody can tell, by the log-rank test; empty if that cannot be asked of them
 */
public record PickedFault(List<RemedyLasts> remedies, double longestDays, Optional<Boolean> differ) {

    private static final double ERROR_RATE = 0.05;

    /** From handover on, after a quarter, half a year and a year: where curves are read. */
    private static final List<Double> READ_AT = List.of(0.0, 90.0, 183.0, 365.0);

    private static final int TOO_FEW = 5;

    /** @param low and high of it, nineteen times in twenty */
    public record CurvePoint(double day, double survival, double low, double high) {}

    /** @param atRisk how many have lasted so long @param point of the curve there; empty where fewer than five did */
    public record ReadAt(double day, int atRisk, Optional<CurvePoint> point) {}

    /**
     * @param done how often it was done and did something
     * @param failed how often it changed nothing
     * @param cameBack how many of those that were done came back for that component
     * @param points where the curve steps, the earliest first
     * @param censored days up to which units have lasted that did not come back
     */
    public record RemedyLasts(
            Remedy remedy,
            int done,
            int failed,
            int cameBack,
            List<CurvePoint> points,
            List<Double> censored,
            List<ReadAt> readAt,
            Optional<Double> medianDay) {}

    static PickedFault of(FaultStays stays) {
        List<RemedyLasts> remedies = new ArrayList<>();
        for (Remedy remedy : Remedy.values()) {
            List<StayLength> its = stays.stays().getOrDefault(remedy, List.of());
            int failed = stays.failed().getOrDefault(remedy, 0);
            if (!its.isEmpty() || failed > 0) {
                remedies.add(lasts(remedy, its, failed));
            }
        }
        remedies.sort(Comparator.comparingInt(one -> -one.done()));
        List<List<StayLength>> groups = stays.stays().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(Map.Entry::getValue)
                .toList();
        double longest = groups.stream()
                .flatMap(List::stream)
                .mapToDouble(StayLength::days)
                .max()
                .orElse(0);
        return new PickedFault(remedies, longest, differ(groups));
    }

    private static Optional<Boolean> differ(List<List<StayLength>> groups) {
        if (groups.size() < 2) {
            return Optional.empty();
        }
        LogRank told = LogRank.of(groups);
        return told.degrees() == 0 ? Optional.empty() : Optional.of(told.p() < ERROR_RATE);
    }

    private static RemedyLasts lasts(Remedy remedy, List<StayLength> stays, int failed) {
        Survival curve = Survival.of(stays);
        List<ReadAt> read = READ_AT.stream()
                .map(day -> {
                    int atRisk = (int)
                            stays.stream().filter(stay -> stay.days() >= day).count();
                    return new ReadAt(
                            day, atRisk, atRisk < TOO_FEW ? Optional.empty() : Optional.of(point(curve, day)));
                })
                .toList();
        return new RemedyLasts(
                remedy,
                stays.size(),
                failed,
                (int) stays.stream().filter(StayLength::cameBack).count(),
                curve.steps().stream().map(step -> point(curve, step.day())).toList(),
                stays.stream()
                        .filter(stay -> !stay.cameBack())
                        .map(StayLength::days)
                        .sorted()
                        .toList(),
                read,
                curve.medianDay().isPresent() ? Optional.of(curve.medianDay().getAsDouble()) : Optional.empty());
    }

    private static CurvePoint point(Survival curve, double day) {
        Survival.Band band = curve.at(day);
        return new CurvePoint(day, band.survival(), band.low(), band.high());
    }
}
