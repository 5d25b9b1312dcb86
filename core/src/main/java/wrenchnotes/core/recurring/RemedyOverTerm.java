package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.pattern.lasts.Survival;
import wrenchnotes.core.recurring.FaultStays.StayAfter;

/**
 * What a remedy costs over the term that the shop stands for it: once now, and another repair with the chance that it is back by then. Which one is chosen stays
 * the bench's.
 *
 * @param done how often it was done and did something
 * @param lasts how likely it is not back at the end of the term, with its band; empty of fewer than {@value FaultCount#TOO_FEW}
 * @param minutes at the bench, in the median; empty if nobody kept the time
 * @param nowMinor what it costs once: parts, and work by the hour, on average
 * @param termMinor what it costs over the term; empty where none has been followed so long
 * @param cheapest whether it costs least over the term, of those of which that can be said; of one alone it is not said
 */
public record RemedyOverTerm(
        Remedy remedy,
        int done,
        Optional<Survival.Band> lasts,
        Optional<Integer> minutes,
        long nowMinor,
        Optional<Long> termMinor,
        boolean cheapest) {

    /**
     * @param termDays above 0
     * @param hourMinor what an hour at the bench costs, in minor units
     * @return the most often done first
     */
    public static List<RemedyOverTerm> of(FaultStays stays, double termDays, long hourMinor) {
        double another = FaultStays.meanCost(stays.stays(), hourMinor);
        Map<Remedy, List<StayAfter>> remedies =
                stays.stays().stream().collect(Collectors.groupingBy(StayAfter::remedy));
        List<RemedyOverTerm> told = new ArrayList<>();
        remedies.forEach((remedy, its) -> told.add(one(remedy, its, termDays, hourMinor, another)));
        told.sort(Comparator.comparingInt((RemedyOverTerm one) -> -one.done()).thenComparing(RemedyOverTerm::remedy));
        List<Long> known =
                told.stream().flatMap(one -> one.termMinor().stream()).sorted().toList();
        return told.stream()
                .map(one -> known.size() > 1
                                && one.termMinor().filter(known.get(0)::equals).isPresent()
                        ? new RemedyOverTerm(
                                one.remedy, one.done, one.lasts, one.minutes, one.nowMinor, one.termMinor, true)
                        : one)
                .toList();
    }

    private static RemedyOverTerm one(
            Remedy remedy, List<StayAfter> its, double termDays, long hourMinor, double another) {
        double now = FaultStays.meanCost(its, hourMinor);
        Optional<Survival.Band> lasts = its.size() < FaultCount.TOO_FEW
                ? Optional.empty()
                : Optional.of(Survival.of(its.stream().map(StayAfter::length).toList())
                        .at(termDays));
        return new RemedyOverTerm(
                remedy,
                its.size(),
                lasts,
                FaultStays.usualMinutes(its),
                Math.round(now),
                lasts.filter(band -> !band.beyond()).map(band -> Math.round(now + (1 - band.survival()) * another)),
                false);
    }
}
