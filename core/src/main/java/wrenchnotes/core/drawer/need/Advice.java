package wrenchnotes.core.drawer.need;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;

/**
 * When to order a part again, from the shop's own use of it. Nothing is said until a dozen movements stand behind it; somebody's own least number
 * goes before what is computed; and what is no longer made is not ordered again and again.
 *
 * @param reorder what is computed
 * @param at the level to order at: somebody's own, or the computed one
 * @param own whether it is somebody's own
 * @param order how many to order now; 0 if there are enough
 * @param why one line
 */
public record Advice(Reorder reorder, int at, boolean own, long order, String why) {

    /** So many movements must stand behind a part. */
    private static final int DOZEN = 12;
    /** What an order costs in postage and time, and keeping a part for a year, in shares of its cost. Common practice, no source. */
    private static final long ORDER_MINOR = 500;

    private static final double HOLDING = 0.2;

    /** Some of a part that were used at a moment; those that came back count below 0. */
    public record Used(Instant at, int count) {}

    /**
     * @param used since the part is in the drawer, in any order
     * @param since its first movement of any sort
     * @param there in the drawer and on order, 0 or more
     * @param takes how long an order of it takes
     * @param eachMinor what one costs, 0 or more
     * @param pack how many come together, 1 or more
     * @param least somebody's own word on the level to order at
     * @return empty if less than a dozen movements stand behind it
     */
    public static Optional<Advice> of(
            List<Used> used,
            Instant since,
            Instant now,
            int there,
            Takes takes,
            long eachMinor,
            int pack,
            Optional<Integer> least) {
        Checked.within("pack", pack, 1, 1_000_000);
        if (used.size() < DOZEN) {
            return Optional.empty();
        }
        Reorder reorder = Reorder.of(new Reorder.ReorderAsked(
                Optional.empty(),
                Optional.of(months(used, since, now)),
                takes.weeks(),
                Optional.of(takes.weeksDeviation()),
                Optional.empty(),
                ORDER_MINOR,
                HOLDING,
                Math.max(1, eachMinor),
                Optional.of(pack)));
        int at = least.orElse(reorder.reorderAt());
        long order = there <= at ? reorder.orderQuantity() : 0;
        return Optional.of(new Advice(reorder, at, least.isPresent(), order, why(reorder, takes, least)));
    }

    private static String why(Reorder reorder, Takes takes, Optional<Integer> least) {
        String use = Figures.rounded(reorder.forecastPerWeek(), 1) + " a week, " + Figures.rounded(takes.weeks(), 1)
                + " weeks to come: ";
        return use
                + least.map(own -> "somebody said " + own + "; computed " + reorder.reorderAt())
                        .orElseGet(() -> "lasts in " + Math.round(100 * reorder.serviceReached()) + " of 100");
    }

    /** Months counted back from now, so that the last one is whole; the oldest first. What came back more than was used is nothing used. */
    static List<Double> months(List<Used> used, Instant since, Instant now) {
        double month = Demand.WEEKS_A_MONTH * Duration.ofDays(7).toMillis();
        int months = (int) Math.max(1, Math.ceil(Duration.between(since, now).toMillis() / month));
        double[] of = new double[Math.min(months, 600)];
        for (Used one : used) {
            int back = (int) (Duration.between(one.at(), now).toMillis() / month);
            if (back >= 0 && back < of.length) {
                of[of.length - 1 - back] += one.count();
            }
        }
        return Arrays.stream(of).map(count -> Math.max(0, count)).boxed().toList();
    }
}
