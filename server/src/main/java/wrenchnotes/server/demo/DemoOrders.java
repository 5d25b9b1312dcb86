package wrenchnotes.server.demo;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.order.OrderEvent.OrderHappening;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.drawer.ShelfOfJob;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.order.OrderService;
import wrenchnotes.server.order.OrderStore;
import wrenchnotes.server.order.SupplierStore.SupplierSaid;

/** Two suppliers of the demo shop, what came from them in the last year, and three orders that are on their way. */
@Component
class DemoOrders {

    /** Days that orders took from each of the two, one after another. */
    private static final int[][] TOOK = {{4, 6, 5, 9, 4, 7}, {11, 9, 20, 14, 12, 10}};

    /** The post comes then, and orders go. */
    private static final LocalTime MORNING = LocalTime.of(10, 20);

    private final OrderService orders;
    private final OrderStore stored;
    private final ShelfOfJob shelf;
    private final JobStore jobs;

    DemoOrders(OrderService orders, OrderStore stored, ShelfOfJob shelf, JobStore jobs) {
        this.orders = orders;
        this.stored = stored;
        this.shelf = shelf;
        this.jobs = jobs;
    }

    record Suppliers(long belts, long electric) {}

    /** Before the first of them went in: belts that cost half, and do not last. */
    Suppliers begin(Instant now, SignedIn lead, Map<String, Long> parts, AtomicLong moments) {
        Dealings dealings = new Dealings(now, lead, parts, moments);
        long belts = dealings.supplier(
                "Ringholm belts and tyres", "orders@ringholm.example", "SQ-114", "http://127.0.0.1:9482");
        long electric = dealings.supplier("Ostervik components", "desk@ostervik.example", "40217", "folder:stand-in");
        dealings.came(electric, DemoTrouble.CHEAP_BELT, 10, DemoTrouble.BELTS_CAME + 7, 7);
        return new Suppliers(belts, electric);
    }

    void play(Suppliers suppliers, Instant now, SignedIn lead, Map<String, Long> parts, AtomicLong moments) {
        Dealings dealings = new Dealings(now, lead, parts, moments);
        long belts = suppliers.belts();
        long electric = suppliers.electric();
        List<String> rubber = List.of(
                "belt 36 × 1.2 square",
                "belt 42 × 1.2 square",
                "belt 46 × 1.2 square",
                "belt 58 × 1.2 square",
                "pinch roller 10 × 2 × 8",
                "belt 70 × 4 × 0.6 flat");
        List<String> small = List.of(
                "electrolytic 47 µF 25 V",
                "electrolytic 100 µF 16 V",
                "fuse T1A 5 × 20",
                "chip 74LS04",
                "resistor 4k7",
                "electrolytic 1000 µF 35 V");
        for (int n = 0; n < TOOK[0].length; n++) {
            dealings.came(belts, rubber.get(n), 5, 330 - 45 * n, TOOK[0][n]);
            dealings.came(electric, small.get(n), 10, 310 - 45 * n, TOOK[1][n]);
        }
        dealings.open(belts, 3, Map.of("belt 104 × 1.2 square", 4, "belt 76 × 1.2 square", 6), OrderHappening.SENT);
        long half = dealings.open(electric, 9, Map.of("electrolytic 22 µF 35 V", 20), OrderHappening.CONFIRMED);
        dealings.someCame(half, 8, 2);
        dealings.open(electric, 1, Map.of("chip 7406", 3), OrderHappening.ORDERED);
        jobs.open().stream()
                .findFirst()
                .ifPresent(job -> shelf.aside(dealings.by(1), job.id(), parts.get("belt 82 × 1.2 square"), 1));
    }

    /** The lead's dealings with suppliers, some days ago each. */
    private final class Dealings {
        private final Instant now;
        private final SignedIn lead;
        private final Map<String, Long> parts;
        private final AtomicLong moments;

        Dealings(Instant now, SignedIn lead, Map<String, Long> parts, AtomicLong moments) {
            this.now = now;
            this.lead = lead;
            this.parts = parts;
            this.moments = moments;
        }

        By by(int daysAgo) {
            return new By(
                    lead.id(),
                    lead.name(),
                    new Moment(
                            moments.incrementAndGet(),
                            now.atZone(ZoneId.systemDefault())
                                    .toLocalDate()
                                    .minusDays(daysAgo)
                                    .atTime(MORNING)
                                    .atZone(ZoneId.systemDefault())
                                    .toInstant()));
        }

        long supplier(String name, String mail, String number, String address) {
            return orders.supplier(by(400), Optional.empty(), new SupplierSaid(name, mail, number, address));
        }

        private long order(long supplier, Map<String, Integer> what, int daysAgo) {
            List<Long> lines = what.entrySet().stream()
                    .sorted(Map.Entry.comparingByKey())
                    .map(one -> orders.want(
                            by(daysAgo),
                            OrderService.Wanted.forTheDrawer(parts.get(one.getKey()), one.getValue(), "runs out")))
                    .toList();
            return orders.order(by(daysAgo), supplier, lines, "");
        }

        private Collection<OrderStore.LineRow> lines(long order) {
            return stored.ofOrders(List.of(order));
        }

        void came(long supplier, String part, int count, int daysAgo, int took) {
            long order = order(supplier, Map.of(part, count), daysAgo);
            orders.came(
                    by(daysAgo - took),
                    order,
                    lines(order).stream()
                            .map(line -> new OrderService.CameHere(line.id(), line.count()))
                            .toList(),
                    190);
        }

        long open(long supplier, int daysAgo, Map<String, Integer> what, OrderHappening until) {
            long order = order(supplier, what, daysAgo);
            if (until != OrderHappening.ORDERED) {
                lines(order)
                        .forEach(line ->
                                orders.happened(by(daysAgo - 1), line.id(), until, line.count(), Optional.empty(), ""));
            }
            return order;
        }

        void someCame(long order, int count, int daysAgo) {
            long line = lines(order).iterator().next().id();
            orders.came(by(daysAgo), order, List.of(new OrderService.CameHere(line, count)), 0);
        }
    }
}
