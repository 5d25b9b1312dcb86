package wrenchnotes.core.money;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.history.LikeSale;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Words;

/**
 * Whether a unit is worth mending before money is spent on it: expected price less selling cost × chance of success, and what a failed mend still leaves ×
 * the chance of that, − parts − hours, against the other ways (common practice, no source). All of it expected values, means and not medians: what is
 * spent and fetched over many units is a sum. What was paid for it is gone whichever way is taken: it counts in the
 * margin, not in the choice.
 *
 * @param price what it will fetch mended; empty if neither the shop's sales nor a person says
 * @param ways each way and what it leaves in minor units, best first; empty without a price
 * @param margin of the best way, with what was paid taken off
 * @param reasons a sentence each
 */
public record Worth(Optional<Price> price, List<Way> ways, Optional<Long> margin, List<String> reasons) {

    /** Common practice, no source: what dealers and sale rooms keep; what the unmended fetch of the mended; what its good parts are worth. */
    static final double SELLING_COST = 0.10;

    static final double AS_IS = 0.30;
    static final double FOR_PARTS = 0.15;

    private static final int ENOUGH_SALES = 3;

    public record Way(Triage way, long leavesMinor) {}

    /**
     * @param said what a person expects it to fetch; overrides the sales
     * @param success how likely it can be mended, 0 to 1
     * @param paid for it; empty if nobody said
     */
    public static Worth of(
            List<LikeSale> sales, Optional<Long> said, double success, Estimate estimate, Optional<Long> paid) {
        Checked.within("success", success, 0.0, 1.0);
        Optional<Price> price = said.map(Price::said).or(() -> Price.of(sales, true));
        if (price.isEmpty()) {
            return new Worth(
                    price,
                    List.of(),
                    Optional.empty(),
                    List.of("No sales found of its like, which says something too: say what it may fetch."));
        }
        double fetches = price.get().expected();
        Optional<Price> unmended = Price.of(sales, false).filter(one -> one.sales() >= ENOUGH_SALES);
        double asIs = unmended.map(one -> (double) one.expected()).orElse(fetches * AS_IS) * (1 - SELLING_COST);
        double forParts = fetches * FOR_PARTS;
        double failed = Math.max(0, Math.max(asIs, forParts));
        double mended = success * fetches * (1 - SELLING_COST) + (1 - success) * failed - estimate.expectedMinor();
        List<Way> ways = Stream.of(
                        new Way(Triage.MEND, Math.round(mended)),
                        new Way(Triage.SELL_AS_IS, Math.round(asIs)),
                        new Way(Triage.KEEP_FOR_PARTS, Math.round(forParts)),
                        new Way(Triage.SCRAP, 0))
                .sorted(Comparator.comparingLong(Way::leavesMinor).reversed())
                .toList();
        List<String> reasons = new ArrayList<>();
        reasons.add(
                price.get().sales() > 0
                        ? "The price is from " + Words.count(price.get().sales(), "sale", "sales") + " "
                                + of(price.get().level()) + "."
                        : "The price is what you said.");
        reasons.add(
                Math.round(success * 100)
                        + " in 100 like it were mended and stayed so; a failed try costs the hours, and leaves what it fetches as it is.");
        reasons.add(
                unmended.isPresent()
                        ? "As it is: from " + unmended.get().sales() + " sales with the fault told."
                        : "As it is, about three tenths of the mended price: common practice, no sales here yet.");
        return new Worth(price, ways, paid.map(minor -> ways.get(0).leavesMinor() - minor), List.copyOf(reasons));
    }

    private static String of(Level level) {
        return switch (level) {
            case REVISION -> "of this revision";
            case MODEL -> "of this model";
            default -> "of this kind only";
        };
    }
}
