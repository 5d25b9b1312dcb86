package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.FoundRows;
import wrenchnotes.core.pattern.rises.Rising;
import wrenchnotes.core.recurring.FaultStays.StayAfter;

/**
 * A supplier whose parts come back oftener than the others' at the same fault, told over all suppliers and faults at once: Fisher's exact test of comebacks within
 * {@value Compared#OVER_DAYS} days, then the step-up of Benjamini & Hochberg 1995, as for what rises ({@link Rising}).
 *
 * @param q the least error rate at which it is told
 */
public record BadBatch(FaultOn on, long supplier, Comparison comparison, double q) {

    private static final double ERROR_RATE = 0.05;

    private record Tried(FaultOn on, long supplier, List<StayAfter> its, List<StayAfter> others) {}

    /**
     * @param suppliers by number, what each is called
     * @return the surest first
     */
    public static List<BadBatch> of(
            ClosedBook book, Collection<Comeback.AtFault> here, long now, LongFunction<String> suppliers) {
        List<Tried> tried = new ArrayList<>();
        Map<FaultOn, List<StayAfter>> byFault =
                FaultStays.of(book, withSupplier(book)::contains, Narrowed.NOT, here, now).stays().stream()
                        .filter(stay -> stay.remedy() == Remedy.REPLACED)
                        .filter(Compared::followed)
                        .collect(Collectors.groupingBy(StayAfter::on));
        byFault.forEach((on, parts) -> {
            Map<Long, List<StayAfter>> bySupplier = parts.stream().collect(Collectors.groupingBy(StayAfter::supplier));
            bySupplier.forEach((supplier, its) -> {
                if (supplier != ClosedJob.NOBODY
                        && its.size() >= FaultCount.TOO_FEW
                        && parts.size() - its.size() >= FaultCount.TOO_FEW) {
                    tried.add(new Tried(
                            on,
                            supplier,
                            its,
                            parts.stream()
                                    .filter(stay -> stay.supplier() != supplier)
                                    .toList()));
                }
            });
        });
        return told(tried, suppliers);
    }

    private static List<BadBatch> told(List<Tried> tried, LongFunction<String> suppliers) {
        double[] q = Rising.moreOften(
                tried.stream().map(one -> counts(one.its())).toList(),
                tried.stream().map(one -> counts(one.others())).toList());
        List<BadBatch> bad = new ArrayList<>();
        for (int at = 0; at < tried.size(); at++) {
            Tried one = tried.get(at);
            if (q[at] <= ERROR_RATE) {
                int[] its = counts(one.its());
                int[] others = counts(one.others());
                bad.add(new BadBatch(
                        one.on(),
                        one.supplier(),
                        Comparison.of(
                                new Comparison.Side("parts from " + suppliers.apply(one.supplier()), its[0], its[1]),
                                new Comparison.Side("all others", others[0], others[1]),
                                "came back"),
                        q[at]));
            }
        }
        bad.sort(Comparator.comparingDouble(BadBatch::q)
                .thenComparing(one -> one.on().revision())
                .thenComparing(one -> one.on().fault())
                .thenComparing(BadBatch::supplier));
        return List.copyOf(bad);
    }

    /** Came back, of so many. */
    private static int[] counts(List<StayAfter> stays) {
        return new int[] {(int) stays.stream().filter(Compared::soon).count(), stays.size()};
    }

    private static Set<FaultOn> withSupplier(ClosedBook book) {
        FoundRows found = book.found();
        Map<FaultOn, Integer> known = new HashMap<>();
        for (int job = 0; job < book.size(); job++) {
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                if (found.supplier(at) != ClosedJob.NOBODY) {
                    known.merge(new FaultOn(found.on(at), found.fault(at)), 1, Integer::sum);
                }
            }
        }
        Set<FaultOn> enough = new HashSet<>();
        known.forEach((on, parts) -> {
            if (parts >= FaultCount.TOO_FEW) {
                enough.add(on);
            }
        });
        return enough;
    }
}
