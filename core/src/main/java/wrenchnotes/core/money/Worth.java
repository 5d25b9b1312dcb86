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
 * Whether a unit is worth mending before money is spent on it: expected price × chance of success − parts − hours − selling cost,
 * against the other ways (common practice, no source). What was paid for it is gone whichever way is taken: it counts in the
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
    private static final double MODEL_COUNTS = 0.5;
    private static final double KIND_COUNTS = 0.1;

    /**
     * @param low one in ten fetched less
     * @param high one in ten fetched more
     * @param sales how many sales of the narrowest level stand behind it; 0 if a person said it
     */
    public record Price(long low, long likely, long high, int sales, Level level) {}

    public record Way(Triage way, long leavesMinor) {}

    /**
     * @param said what a person expects it to fetch; overrides the sales
     * @param success how likely it can be mended, 0 to 1
     * @param paid for it; empty if nobody said
     */
    public static Worth of(
            List<LikeSale> sales, Optional<Long> said, double success, Estimate estimate, Optional<Long> paid) {
        Checked.within("success", success, 0.0, 1.0);
        Optional<Price> price = said.map(minor -> new Price(minor, minor, minor, 0, Level.SHIPPED))
                .or(() -> price(sales, true));
        if (price.isEmpty()) {
            return new Worth(
                    price,
                    List.of(),
                    Optional.empty(),
                    List.of("No sales found of its like, which says something too: say what it may fetch."));
        }
        long likely = price.get().likely();
        long kept = Math.round(likely * (1 - SELLING_COST));
        Optional<Price> unmended = price(sales, false).filter(one -> one.sales() >= ENOUGH_SALES);
        long asIs = Math.round(unmended.map(Price::likely).orElse(Math.round(likely * AS_IS)) * (1 - SELLING_COST));
        List<Way> ways = Stream.of(
                        new Way(Triage.MEND, Math.round(kept * success) - estimate.halfMinor()),
                        new Way(Triage.SELL_AS_IS, asIs),
                        new Way(Triage.KEEP_FOR_PARTS, Math.round(likely * FOR_PARTS)),
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
                Math.round(success * 100) + " in 100 like it were mended; a failed try costs the hours all the same.");
        reasons.add(
                unmended.isPresent()
                        ? "As it is: from " + unmended.get().sales() + " sales with the fault told."
                        : "As it is, about three tenths of the mended price: common practice, no sales here yet.");
        return new Worth(price, ways, paid.map(minor -> ways.get(0).leavesMinor() - minor), List.copyOf(reasons));
    }

    private static Optional<Price> price(List<LikeSale> all, boolean worked) {
        List<LikeSale> sales =
                all.stream().filter(sale -> sale.worked() == worked).toList();
        Optional<Level> level = Stream.of(Level.REVISION, Level.MODEL, Level.KIND)
                .filter(one -> sales.stream().anyMatch(sale -> sale.level() == one))
                .findFirst();
        return level.map(narrowest -> {
            LikelyWithin fetched = new LikelyWithin(sales.stream()
                    .filter(sale -> sale.level() != Level.ALL)
                    .map(sale -> new LikelyWithin.Weighted(sale.minor(), counts(sale.level())))
                    .toList());
            return new Price(
                    Math.round(fetched.quantile(0.1)),
                    Math.round(fetched.quantile(0.5)),
                    Math.round(fetched.quantile(0.9)),
                    (int) sales.stream()
                            .filter(sale -> sale.level() == narrowest)
                            .count(),
                    narrowest);
        });
    }

    private static double counts(Level level) {
        return switch (level) {
            case REVISION -> 1;
            case MODEL -> MODEL_COUNTS;
            default -> KIND_COUNTS;
        };
    }

    private static String of(Level level) {
        return switch (level) {
            case REVISION -> "of this revision";
            case MODEL -> "of this model";
            default -> "of this kind only";
        };
    }
}
