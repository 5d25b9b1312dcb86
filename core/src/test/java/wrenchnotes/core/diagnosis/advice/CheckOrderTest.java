package wrenchnotes.core.diagnosis.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.advice.CheckOrder.Single;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.diagnosis.odds.Weighed;

/** Probability over cost (published: Mitten 1960; from memory), held against every order there is. */
class CheckOrderTest {

    private static List<Single> drawn(Random random, int count) {
        List<Single> checks = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            checks.add(new Single("c" + n, 0.02 + 0.4 * random.nextDouble(), 1 + 20 * random.nextDouble()));
        }
        return checks;
    }

    private static double leastOf(List<Single> left, List<Single> done) {
        if (left.isEmpty()) {
            return CheckOrder.expectedMinutes(done);
        }
        double least = Double.MAX_VALUE;
        for (Single next : left) {
            List<Single> rest = new ArrayList<>(left);
            rest.remove(next);
            List<Single> order = new ArrayList<>(done);
            order.add(next);
            least = Math.min(least, leastOf(rest, order));
        }
        return least;
    }

    @Property(tries = 100)
    void no_order_costs_less_than_by_probability_over_cost(@ForAll @IntRange(max = 99999) int seed) {
        List<Single> checks = drawn(new Random(seed), 6);
        assertThat(CheckOrder.expectedMinutes(CheckOrder.of(checks)))
                .isCloseTo(leastOf(checks, List.of()), within(1e-9));
    }

    /** Going by information for each minute must not cost much more than the best, where the best is known. */
    @Property(tries = 50)
    void going_by_what_tells_most_a_minute_costs_little_more_than_the_best_order(
            @ForAll @IntRange(max = 99999) int seed) {
        List<Single> checks = drawn(new Random(seed), 6);
        List<Rates.Rated> faults = checks.stream()
                .map(check -> new Rates.Rated(
                        new FaultName(check.id(), "bad"),
                        check.probability(),
                        check.probability() * 50,
                        50,
                        new Rates.Behind(Level.MODEL, 1, 50)))
                .toList();
        Rates rates = new Rates(faults, Map.of(), Map.of());
        Map<String, Double> way = new HashMap<>();
        checks.forEach(check -> way.put(check.id(), check.minutes()));
        List<Single> order = new ArrayList<>();
        List<Known.Look> looked = new ArrayList<>();
        Set<String> out = new java.util.HashSet<>();
        while (order.size() < checks.size()) {
            List<NextCheck> best = NextCheck.best(
                    Weighed.of(rates, new Known(Set.of(), Set.of(), looked, List.of(), List.of())),
                    new Ways(way, Map.of(), 1),
                    1,
                    out);
            String next = best.isEmpty()
                    ? checks.stream()
                            .map(Single::id)
                            .filter(id -> !out.contains(id))
                            .findFirst()
                            .orElseThrow()
                    : best.get(0).what();
            out.add(next);
            looked.add(new Known.Look(next, true, Means.MEASURED));
            order.add(checks.stream()
                    .filter(check -> check.id().equals(next))
                    .findFirst()
                    .orElseThrow());
        }
        assertThat(CheckOrder.expectedMinutes(order) / CheckOrder.expectedMinutes(CheckOrder.of(checks)))
                .isBetween(1 - 1e-9, 1.25);
    }
}
