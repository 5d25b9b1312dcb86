package wrenchnotes.core.diagnosis.odds;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Rates;

/**
 * What a unit is likely to have, by the shop's rates and what is known of it now.
 *
 * @param faults likeliest first
 * @param sets the likeliest sets of faults, of two or more
 * @param somethingElse how likely none of the faults here is there; empty if too much is said for it to be summed
 * @param leftOut no probability is farther off than this @param trusted whether that is little enough to go by, see {@link Odds}
 * @param outside of the things tried with the unit that are no part of it, how likely each is bad
 */
public record Diagnosis(
        List<Likely> faults,
        List<Together> sets,
        OptionalDouble somethingElse,
        double leftOut,
        boolean trusted,
        List<Outside> outside) {

    /**
     * @param low where the probability lies in a tenth of all cases or below, rates and strengths being no better known than by the jobs behind them
     * @param high in a tenth or above
     */
    public record Likely(FaultName fault, double probability, double low, double high, Rates.Behind behind) {}

    public record Together(List<FaultName> faults, double probability) {}

    public record Outside(String name, double probability) {}

    /** As {@link Weighed#of(Rates, Known)} has it. */
    public static Diagnosis of(Rates history, Known known) {
        return of(Weighed.of(history, known));
    }

    public static Diagnosis of(Weighed weighed) {
        Rates rates = weighed.rates();
        Odds odds = weighed.odds();
        Drawn.Range[] ranges = Drawn.ranges(weighed);
        double[] byFault = weighed.each()
                .of(odds.faults().stream()
                        .mapToDouble(Odds.FaultOdds::probability)
                        .toArray());
        Map<String, Rates.Rated> byWords = rates.byWords();
        List<Likely> faults = IntStream.range(0, byFault.length)
                .mapToObj(at -> likely(rates.faults().get(at), byFault[at], ranges[at]))
                .sorted(Comparator.comparingDouble(Likely::probability).reversed())
                .toList();
        List<Together> sets = odds.sets().stream()
                .map(set -> new Together(
                        set.faults().stream()
                                .flatMap(id -> named(id, byWords, rates))
                                .distinct()
                                .toList(),
                        set.probability()))
                .filter(set -> set.faults().size() > 1)
                .toList();
        List<Outside> outside = odds.faults().stream()
                .filter(fault -> Network.isOutside(fault.id()))
                .map(fault -> new Outside(Network.outsideName(fault.id()), fault.probability()))
                .sorted(Comparator.comparingDouble(Outside::probability).reversed())
                .toList();
        return new Diagnosis(
                faults,
                sets,
                odds.trusted()
                        ? OptionalDouble.of(weighed.sets().noneOf(Network.ids(rates, fault -> true)))
                        : OptionalDouble.empty(),
                odds.leftOut(),
                odds.trusted(),
                outside);
    }

    private static Stream<FaultName> named(String id, Map<String, Rates.Rated> byWords, Rates rates) {
        return Stream.concat(
                Stream.ofNullable(byWords.get(id)).map(Rates.Rated::fault),
                rates.groups().stream()
                        .filter(group -> group.id().equals(id))
                        .flatMap(group -> group.faults().stream()));
    }

    private static Likely likely(Rates.Rated rated, double probability, Drawn.Range range) {
        return new Likely(
                rated.fault(),
                probability,
                Math.min(probability, range.low()),
                Math.max(probability, range.high()),
                rated.behind());
    }
}
