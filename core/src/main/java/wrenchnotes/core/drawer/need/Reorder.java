package wrenchnotes.core.drawer.need;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * When to order a part and how many. Order when what is there and what is ordered are together at or below {@code reorderAt}: the least level
 * that the demand until it comes stays within with the service asked for. The quantity is that of Harris ("How many parts to make at once",
 * Factory, 1913; from memory): √(2 · demand a year · cost of an order / (share a year · cost of one)), rounded up to packs.
 *
 * @param expectedShort how many are asked for on average that are not there, each time that one waits for an order
 * @param orderQuantity a multiple of the pack; 0 if there is no demand
 */
public record Reorder(
        double forecastPerWeek,
        LeadDemand leadDemand,
        int reorderAt,
        double serviceReached,
        double expectedShort,
        long orderQuantity) {

    private static final double WEEKS_A_YEAR = 52;
    private static final double USUAL_SERVICE = 0.95;
    private static final double MOST_WEEKS = 520;

    /**
     * Exactly one of the first two.
     *
     * @param perWeek how many are used a week, 0 to 1000
     * @param perMonth how many were used in each month, the oldest first
     * @param leadWeeks how long an order takes, above 0, at most 520
     * @param leadWeeksDeviation its standard deviation, 0 to 520; 0 if left out
     * @param service how likely what is there lasts until the order comes, 0.5 to 0.999; 0.95 if left out
     * @param orderCostMinor what an order costs beside its parts, 0 or more
     * @param holdingShare of its cost that keeping a part for a year costs, above 0, at most 10
     * @param eachMinor what one costs, 1 or more
     * @param pack how many come together, 1 or more; 1 if left out
     */
    public record ReorderAsked(
            Optional<Double> perWeek,
            Optional<List<Double>> perMonth,
            Double leadWeeks,
            Optional<Double> leadWeeksDeviation,
            Optional<Double> service,
            Long orderCostMinor,
            Double holdingShare,
            Long eachMinor,
            Optional<Integer> pack) {

        public ReorderAsked {
            perWeek = said(perWeek);
            perMonth = said(perMonth);
            leadWeeksDeviation = said(leadWeeksDeviation);
            service = said(service);
            pack = said(pack);
            if (perWeek.isPresent() == perMonth.isPresent()) {
                throw new Invalid("perWeek", "Give perWeek or perMonth: exactly one of the two");
            }
            above("leadWeeks", leadWeeks, MOST_WEEKS);
            leadWeeksDeviation.ifPresent(weeks -> Checked.within("leadWeeksDeviation", weeks, 0, MOST_WEEKS));
            service.ifPresent(share -> Checked.within("service", share, 0.5, 0.999));
            Checked.within("orderCostMinor", Checked.present("orderCostMinor", orderCostMinor), 0, 1e12);
            above("holdingShare", holdingShare, 10);
            Checked.within("eachMinor", Checked.present("eachMinor", eachMinor), 1, 1e12);
            pack.ifPresent(count -> Checked.within("pack", count, 1, 1_000_000));
        }

        private static <T> Optional<T> said(Optional<T> value) {
            return value == null ? Optional.empty() : value;
        }

        private static void above(String field, Double value, double most) {
            if (!(Checked.present(field, value) > 0 && value <= most)) {
                throw new Invalid(field, field + " is " + value + "; it must be above 0 and at most " + most);
            }
        }
    }

    public static Reorder of(ReorderAsked asked) {
        Demand demand = asked.perWeek()
                .map(Demand::new)
                .orElseGet(() -> Demand.ofMonths(asked.perMonth().orElseThrow()));
        LeadDemand lead = LeadDemand.of(
                demand, asked.leadWeeks(), asked.leadWeeksDeviation().orElse(0.0));
        if (demand.perWeek() == 0) {
            return new Reorder(0, lead, 0, 1, 0, 0);
        }
        LeadDemand.Level level = lead.least(asked.service().orElse(USUAL_SERVICE));
        return new Reorder(
                demand.perWeek(), lead, level.at(), level.reached(), level.expectedShort(), quantity(demand, asked));
    }

    private static long quantity(Demand demand, ReorderAsked asked) {
        long pack = asked.pack().orElse(1);
        double best = Math.sqrt(2
                * demand.perWeek()
                * WEEKS_A_YEAR
                * asked.orderCostMinor()
                / (asked.holdingShare() * asked.eachMinor()));
        return pack * Math.max(1, (long) Math.ceil(best / pack - 1e-9));
    }
}
