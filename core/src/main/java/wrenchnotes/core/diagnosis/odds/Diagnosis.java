package wrenchnotes.core.diagnosis.odds;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
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
     * @param low where the probability would lie with the rate of this fault at its lower tenth, all else the same
     * @param high the same at its upper tenth
     */
    public record Likely(FaultName fault, double probability, double low, double high, Rates.Behind behind) {}

    public record Together(List<FaultName> faults, double probability) {}

    public record Outside(String name, double probability) {}

    /** @param history what closed jobs say; what they do not know and the bench speaks of is joined, see {@link Suspects} */
    public static Diagnosis of(Rates history, Known known) {
        Rates rates = Suspects.beside(history, known);
        Network weighed = Network.of(rates, known);
        Odds odds = Odds.of(weighed.model(), weighed.present(), weighed.absent(), Network.SILENCE);
        Map<String, Rates.Rated> byWords = rates.byWords();
        List<Likely> faults = odds.faults().stream()
                .filter(fault -> byWords.containsKey(fault.id()))
                .map(fault -> likely(byWords.get(fault.id()), fault.probability()))
                .sorted(Comparator.comparingDouble(Likely::probability).reversed())
                .toList();
        List<Together> sets = odds.sets().stream()
                .map(set -> new Together(
                        set.faults().stream()
                                .filter(byWords::containsKey)
                                .map(id -> byWords.get(id).fault())
                                .toList(),
                        set.probability()))
                .filter(set -> set.faults().size() > 1)
                .toList();
        List<Outside> outside = odds.faults().stream()
                .filter(fault -> !byWords.containsKey(fault.id()))
                .map(fault -> new Outside(Network.outsideName(fault.id()), fault.probability()))
                .sorted(Comparator.comparingDouble(Outside::probability).reversed())
                .toList();
        return new Diagnosis(faults, sets, weighed.noneOf(byWords.keySet()), odds.leftOut(), odds.trusted(), outside);
    }

    /**
     * With all other rates held, the posterior odds of a fault go nearly as its rate, as main fault and as what came with one: so the bounds of the
     * rate give bounds of the posterior without weighing anything anew.
     */
    private static Likely likely(Rates.Rated rated, double probability) {
        return new Likely(
                rated.fault(),
                probability,
                moved(probability, rated.rate(), rated.low()),
                moved(probability, rated.rate(), rated.high()),
                rated.behind());
    }

    private static double moved(double posterior, double from, double to) {
        double odds = posterior / Math.max(1e-12, 1 - posterior) * to / from;
        return odds / (1 + odds);
    }
}
