package wrenchnotes.core.money;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.statistics.descriptive.Variance;
import wrenchnotes.core.diagnosis.history.LikeSale;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * What a unit will fetch, by the shop's own sales, from the kind to the model to the revision ({@link NextPrice}).
 *
 * @param low one in ten fetches less
 * @param likely half fetch more
 * @param expected the mean, by which ways are weighed
 * @param high one in ten fetches more
 * @param sales how many sales of the narrowest level stand behind it; 0 if a person said it
 */
public record Price(long low, long likely, long expected, long high, int sales, Level level) {

    /** Variances of log prices: sales of one revision vary by a fifth, revisions of a model by a tenth, models of a kind by three tenths. Ours, no source. */
    private static final double SALES = 0.04;

    private static final double REVISIONS = 0.01;
    private static final double MODELS = 0.09;
    /** Before any sale a price may be anything. */
    private static final double ANYTHING = 9;
    /** From so many sales of other models on, how much models vary is taken from them. */
    private static final int ENOUGH = 8;

    /** What a person says, who knows. */
    static Price said(long minor) {
        return new Price(minor, minor, minor, minor, 0, Level.SHIPPED);
    }

    /** @param worked whether of units that work, or of those whose fault was told; empty if none of its kind was sold so */
    static Optional<Price> of(List<LikeSale> all, boolean worked) {
        List<LikeSale> sales = all.stream()
                .filter(sale -> sale.worked() == worked && sale.level() != Level.ALL && sale.minor() >= 1)
                .toList();
        Optional<Level> narrowest = Stream.of(Level.REVISION, Level.MODEL, Level.KIND)
                .filter(one -> sales.stream().anyMatch(sale -> sale.level() == one))
                .findFirst();
        return narrowest.map(level -> {
            NextPrice next = next(sales);
            return new Price(
                    Math.round(next.lowMinor()),
                    Math.round(next.medianMinor()),
                    Math.round(next.meanMinor()),
                    Math.round(next.highMinor()),
                    of(sales, level).size(),
                    level);
        });
    }

    private static NextPrice next(List<LikeSale> sales) {
        List<Double> kind = of(sales, Level.KIND);
        double models = kind.size() < ENOUGH ? MODELS : Math.max(REVISIONS, variance(kind) - SALES);
        double any = sales.stream()
                .mapToDouble(sale -> Math.log(sale.minor()))
                .average()
                .orElseThrow();
        return new NextPrice.LogMean(any, ANYTHING)
                .seen(kind, models + REVISIONS + SALES)
                .within(models)
                .seen(of(sales, Level.MODEL), REVISIONS + SALES)
                .within(REVISIONS)
                .seen(of(sales, Level.REVISION), SALES)
                .next(SALES);
    }

    private static List<Double> of(List<LikeSale> sales, Level level) {
        return sales.stream()
                .filter(sale -> sale.level() == level)
                .map(sale -> (double) sale.minor())
                .toList();
    }

    private static double variance(List<Double> prices) {
        return Variance.of(prices.stream().mapToDouble(Math::log).toArray()).getAsDouble();
    }
}
