package wrenchnotes.server.order;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.order.OrderEvent;
import wrenchnotes.core.drawer.order.OrderLine;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.server.drawer.OnTheWay;

/** What is on order, for whoever looks at the drawers. */
@Component
class OpenOrders implements OnTheWay {

    private static final long NOBODY = -1;

    private final OrderStore orders;
    private final HappenedStore happened;
    private final SupplierStore suppliers;

    OpenOrders(OrderStore orders, HappenedStore happened, SupplierStore suppliers) {
        this.orders = orders;
        this.happened = happened;
        this.suppliers = suppliers;
    }

    @Override
    public List<ComingLine> of(long part) {
        List<OrderStore.LineRow> rows = orders.openOf(part);
        if (rows.isEmpty()) {
            return List.of();
        }
        Map<Long, List<OrderEvent>> events =
                happened.events(rows.stream().map(OrderStore.LineRow::id).toList());
        Map<Long, String> names = suppliers.all().stream()
                .collect(Collectors.toMap(SupplierStore.Supplier::id, SupplierStore.Supplier::name));
        List<Takes.Came> came = happened.came();
        return rows.stream()
                .map(row -> {
                    OrderLine line = OrderLine.of(row.count(), events.getOrDefault(row.id(), List.of()));
                    return new ComingLine(
                            row.id(),
                            row.supplier().map(names::get),
                            line.left(),
                            line.standing(),
                            row.supplier().map(supplier -> Takes.of(came, supplier, part)),
                            row.tag());
                })
                .toList();
    }

    @Override
    public Map<Long, ExpectedHere> expected(long job) {
        List<OrderStore.LineRow> rows = orders.ofJob(job).stream()
                .filter(row -> row.hold().isPresent() && row.supplier().isPresent())
                .toList();
        if (rows.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<OrderEvent>> events =
                happened.events(rows.stream().map(OrderStore.LineRow::id).toList());
        List<Takes.Came> came = happened.came();
        Map<Long, ExpectedHere> expected = new HashMap<>();
        for (OrderStore.LineRow row : rows) {
            OrderLine line = OrderLine.of(row.count(), events.getOrDefault(row.id(), List.of()));
            if (line.standing().open()) {
                Takes takes = Takes.of(came, row.supplier().orElseThrow(), row.part());
                Instant since = line.orderedAt().orElse(row.at());
                expected.put(
                        row.hold().orElseThrow(),
                        new ExpectedHere(
                                line.expected(), after(since, takes.half()), after(since, takes.fourFifths())));
            }
        }
        return expected;
    }

    private static Instant after(Instant since, double days) {
        return since.plus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    @Override
    public Map<Long, Integer> ordered() {
        List<OrderStore.LineRow> rows =
                orders.open().stream().filter(row -> row.order().isPresent()).toList();
        Map<Long, List<OrderEvent>> events =
                happened.events(rows.stream().map(OrderStore.LineRow::id).toList());
        Map<Long, Integer> left = new HashMap<>();
        rows.forEach(row -> left.merge(
                row.part(),
                OrderLine.of(row.count(), events.getOrDefault(row.id(), List.of()))
                        .left(),
                Integer::sum));
        return left;
    }

    @Override
    public Takes takes(long part) {
        Optional<Long> last = orders.lastSupplier(part);
        return Takes.of(happened.came(), last.orElse(NOBODY), part);
    }
}
