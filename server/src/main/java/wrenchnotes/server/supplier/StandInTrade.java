package wrenchnotes.server.supplier;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/** How the supplier that is simulated deals: what it answers to an order follows from how many of its days ago that came, and from nothing else. */
final class StandInTrade {

    private static final double CONFIRMS = 0.1;

    private StandInTrade() {}

    /**
     * What it sells.
     *
     * @param stock how many it has; of more it says that it cannot
     */
    record CatalogueLine(String number, String name, String what, long eachMinor, int stock, int pack) {}

    /**
     * How it behaves.
     *
     * @param days until it sends, 0 to 60
     * @param inParts whether it sends half of what is more than one, and the rest as many days later
     * @param wrongEvery of so many lines it sends something else in the last one's stead; 0: never, to 100
     * @param silent whether it takes orders and never answers
     */
    record TradeManner(double days, boolean inParts, int wrongEvery, boolean silent) {

        static final TradeManner USUAL = new TradeManner(2, false, 0, false);

        TradeManner {
            Checked.within("days", days, 0, 60);
            Checked.within("wrongEvery", wrongEvery, 0, 100);
        }
    }

    private record Due(
            double after, long line, SupplierAnswer.Says what, int count, Optional<String> number, String words) {}

    /**
     * @param elapsed days since the order came
     * @param today of the shop: what is confirmed is expected so many real days from it
     * @return all answers so far, the oldest first
     */
    static List<SupplierAnswer> answers(
            OrderPlaced order,
            Map<String, CatalogueLine> catalogue,
            TradeManner manner,
            double elapsed,
            LocalDate today) {
        List<Due> due = new ArrayList<>();
        for (int n = 0; n < order.lines().size(); n++) {
            OrderPlaced.PlacedLine line = order.lines().get(n);
            Optional<CatalogueLine> sold = Optional.ofNullable(catalogue.get(key(line.number())))
                    .or(() -> Optional.ofNullable(catalogue.get(key(line.name()))));
            if (sold.filter(one -> one.stock() >= line.count()).isEmpty()) {
                String why = sold.isEmpty()
                        ? "not in our catalogue"
                        : "we have " + sold.get().stock();
                due.add(new Due(
                        CONFIRMS, line.line(), SupplierAnswer.Says.CANNOT, line.count(), Optional.empty(), why));
                continue;
            }
            boolean wrong = manner.wrongEvery() > 0 && (n + 1) % manner.wrongEvery() == 0;
            Optional<String> number = wrong ? Optional.of(sold.get().number() + "-B") : Optional.empty();
            int first = manner.inParts() && line.count() > 1 ? line.count() / 2 : line.count();
            due.add(new Due(CONFIRMS, line.line(), SupplierAnswer.Says.CONFIRMED, line.count(), Optional.empty(), ""));
            due.add(new Due(manner.days(), line.line(), SupplierAnswer.Says.SENT, first, number, ""));
            if (first < line.count()) {
                due.add(new Due(
                        2 * manner.days(),
                        line.line(),
                        SupplierAnswer.Says.SENT,
                        line.count() - first,
                        Optional.empty(),
                        "the rest"));
            }
        }
        due.sort(Comparator.comparingDouble(Due::after));
        List<SupplierAnswer> answers = new ArrayList<>();
        for (Due one : due) {
            if (one.after() <= elapsed) {
                answers.add(new SupplierAnswer(
                        answers.size() + 1L,
                        one.line(),
                        one.what(),
                        one.count(),
                        one.what() == SupplierAnswer.Says.CONFIRMED
                                ? Optional.of(today.plusDays((long) Math.ceil(manner.days())))
                                : Optional.empty(),
                        one.number(),
                        Optional.of(one.words()).filter(words -> !words.isEmpty())));
            }
        }
        return answers;
    }

    static String key(String said) {
        return said.strip().toLowerCase(Locale.ROOT);
    }
}
