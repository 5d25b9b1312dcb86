package wrenchnotes.core.recurring;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.Warranty;
import wrenchnotes.core.money.WarrantyRisk;
import wrenchnotes.core.pattern.lasts.StayLength;
import wrenchnotes.core.pattern.lasts.Survival;
import wrenchnotes.core.recurring.FaultStays.StayAfter;

/**
 * What the warranties that run at a moment may still cost ({@link WarrantyRisk}), by what was known by then. Each repair that is out has the curve of what
 * was done to its fault, and costs what the jobs of that fault cost on average, if a comeback comes: parts, and work at the shop's price of an hour. Of a
 * fault with fewer than five such stays the curve is that of the remedy on all faults looked at, and so is the cost.
 *
 * @param days of the term
 * @param units repairs whose warranty runs
 * @param eachMinor what a comeback costs on average of all faults looked at, in minor units
 * @param reserveMinor what is expected in all @param deviationMinor its standard deviation
 */
public record WarrantyNow(int days, int units, long eachMinor, long reserveMinor, long deviationMinor) {

    /** A remedy on a fault; on all of them, if there is none. */
    private record Treated(Optional<FaultOn> on, Remedy remedy) {}

    /** @param at in milliseconds since 1970 @param hourMinor what an hour at the bench costs, in minor units */
    public static WarrantyNow of(List<StayAfter> all, long at, long hourMinor) {
        int days = (int) Warranty.LENGTH.toDays();
        List<StayAfter> stays =
                all.stream().flatMap(stay -> stay.asOf(at).stream()).toList();
        Map<Treated, List<StayAfter>> ofFault = by(stays, stay -> new Treated(Optional.of(stay.on()), stay.remedy()));
        Map<Treated, List<StayAfter>> ofAll = by(stays, stay -> new Treated(Optional.empty(), stay.remedy()));
        double each = FaultStays.meanCost(stays, hourMinor);
        Map<FaultOn, Double> costs = new HashMap<>();
        by(stays, StayAfter::on)
                .forEach((on, its) -> costs.put(on, tells(its) ? FaultStays.meanCost(its, hourMinor) : each));
        Map<Treated, Survival> curves = new HashMap<>();
        List<WarrantyRisk.Out> out = stays.stream()
                .filter(stay -> stay.out() && stay.length().days() < days)
                .map(stay -> {
                    Treated its = new Treated(Optional.of(stay.on()), stay.remedy());
                    Treated read = tells(ofFault.get(its)) ? its : new Treated(Optional.empty(), stay.remedy());
                    return new WarrantyRisk.Out(
                            curves.computeIfAbsent(
                                    read, one -> curve((one.on().isPresent() ? ofFault : ofAll).get(one))),
                            stay.length().days(),
                            costs.get(stay.on()));
                })
                .toList();
        WarrantyRisk.Reserve reserve = WarrantyRisk.reserve(days, out);
        return new WarrantyNow(
                days,
                out.size(),
                Math.round(each),
                Math.round(reserve.reserveMinor()),
                Math.round(reserve.deviationMinor()));
    }

    private static <K> Map<K, List<StayAfter>> by(List<StayAfter> stays, Function<StayAfter, K> by) {
        return stays.stream().collect(Collectors.groupingBy(by));
    }

    private static boolean tells(List<StayAfter> stays) {
        return stays.size() >= FaultCount.TOO_FEW;
    }

    private static Survival curve(List<StayAfter> stays) {
        List<StayLength> lengths = stays.stream().map(StayAfter::length).toList();
        return Survival.of(lengths);
    }
}
