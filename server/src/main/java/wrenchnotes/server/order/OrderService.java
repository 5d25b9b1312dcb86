package wrenchnotes.server.order;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.order.Freight;
import wrenchnotes.core.drawer.order.OrderEvent;
import wrenchnotes.core.drawer.order.OrderEvent.OrderHappening;
import wrenchnotes.core.drawer.order.OrderLine;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.drawer.ShelfOfJob;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.job.HoldService;
import wrenchnotes.server.job.JobStore;

/** What is wanted, ordered and comes. Each method runs in the caller's transaction. */
@Component
public class OrderService {

    private final OrderStore orders;
    private final HappenedStore happened;
    private final SupplierStore suppliers;
    private final DrawerStore drawers;
    private final DrawerService bookings;
    private final ShelfOfJob shelf;
    private final HoldService holds;
    private final JobStore jobs;
    private final Rights rights;
    private final Journal journal;

    OrderService(
            OrderStore orders,
            HappenedStore happened,
            SupplierStore suppliers,
            DrawerStore drawers,
            DrawerService bookings,
            ShelfOfJob shelf,
            HoldService holds,
            JobStore jobs,
            Rights rights,
            Journal journal) {
        this.orders = orders;
        this.happened = happened;
        this.suppliers = suppliers;
        this.drawers = drawers;
        this.bookings = bookings;
        this.shelf = shelf;
        this.holds = holds;
        this.jobs = jobs;
        this.rights = rights;
        this.journal = journal;
    }

    /**
     * What somebody wants.
     *
     * @param job that waits for it
     * @param component what it is for there
     * @param finding of that job that it is for
     * @param proposed whether the shop's own figures proposed it
     */
    public record Wanted(
            long part,
            int count,
            Optional<Long> job,
            Optional<Long> component,
            Optional<Long> finding,
            boolean proposed,
            String why) {

        public static Wanted forTheDrawer(long part, int count, String why) {
            return new Wanted(part, count, Optional.empty(), Optional.empty(), Optional.empty(), false, why);
        }
    }

    /** A job that wants a part waits for it, unless it is there: then it is set aside at once. @return the line */
    public long want(By by, Wanted wanted) {
        DrawerStore.Part part = part(wanted.part());
        int count = Checked.within("count", wanted.count(), 1, 9_999);
        String why = Checked.text("why", wanted.why(), 200);
        wanted.job().ifPresent(job -> jobs.job(job).mustBeOpen());
        wanted.component().filter(component -> !orders.isComponent(component)).ifPresent(component -> {
            throw new Invalid("componentId", "There is no component " + component + ": name one that is, or none");
        });
        wanted.finding()
                .filter(finding -> !orders.isOfJob(finding, wanted.job()))
                .ifPresent(finding -> {
                    throw new Invalid("findingId", "That finding is not of this job: name one that is, or none");
                });
        long line = orders.wanted(by, wanted, part.eachMinor());
        journal.write(by, entry(wanted.job(), line, "Wanted: " + count + " × " + part.name() + ", " + why));
        serve(by, part.id());
        wanted.job().filter(job -> orders.line(line).served() < count).ifPresent(job -> {
            String words = count + " × " + part.name();
            orders.waits(
                    line,
                    holds.set(by, job, HoldKind.PART, words, Optional.empty()).id());
        });
        return line;
    }

    private DrawerStore.Part part(long id) {
        try {
            return drawers.part(id);
        } catch (NotFound e) {
            throw new Invalid("partId", e.getMessage());
        }
    }

    /** Lines that are wanted go to one supplier together. @return the order */
    public long order(By by, long supplier, Collection<Long> lines, String words) {
        SupplierStore.Supplier from = suppliers.supplier(supplier);
        if (lines.isEmpty()) {
            throw new Invalid("lines", "Say what is ordered: pick at least one line");
        }
        List<OrderStore.LineRow> rows = new ArrayList<>();
        for (long line : lines) {
            rows.add(orders.line(line));
        }
        long order = orders.order(by, supplier, Checked.optionalText("words", words, 200));
        orders.gather(order, lines);
        for (OrderStore.LineRow row : rows) {
            happen(
                    by,
                    row,
                    new OrderEvent(OrderHappening.ORDERED, row.count(), Optional.empty(), by.at()),
                    from.name());
            journal.write(
                    by,
                    entry(
                            row.job(),
                            row.id(),
                            "Ordered from " + from.name() + ": " + row.count() + " × " + row.name()));
        }
        return order;
    }

    /** Something that the supplier says, or that is done with what came, but not that some came and are right: {@link #came}. */
    public void happened(By by, long line, OrderHappening what, int count, Optional<LocalDate> day, String words) {
        if (what == OrderHappening.CAME || what == OrderHappening.ORDERED) {
            throw new Invalid("what", "Book in what came, and order what is wanted, by their own doors");
        }
        OrderStore.LineRow row = orders.line(line);
        happen(by, row, new OrderEvent(what, count, day, by.at()), Checked.optionalText("words", words, 200));
        journal.write(
                by,
                entry(
                        row.job(),
                        line,
                        sentence(what) + ": " + count + " × " + row.name() + (words.isBlank() ? "" : ", " + words)));
    }

    private static String sentence(OrderHappening what) {
        return switch (what) {
            case ORDERED -> "Ordered";
            case CONFIRMED -> "The supplier has the order";
            case SENT -> "On its way";
            case CAME -> "Came";
            case WRONG -> "Came, and is something else";
            case SENT_BACK -> "Sent back";
            case GIVEN_UP -> "Not waited for any more";
        };
    }

    /** So many of one line came, and are right. */
    public record CameHere(long line, int count) {}

    /** What came goes into its drawers, at its price and its share of the carriage; who waits for it is told. */
    public void came(By by, long order, List<CameHere> lines, long freightMinor) {
        if (lines.isEmpty()) {
            throw new Invalid("lines", "Say what came");
        }
        Checked.within("freightMinor", freightMinor, 0, 1e10);
        List<OrderStore.LineRow> rows = new ArrayList<>();
        List<Long> values = new ArrayList<>();
        for (CameHere one : lines) {
            OrderStore.LineRow row = orders.line(one.line());
            if (!row.order().equals(Optional.of(order))) {
                throw new Invalid("lines", row.name() + " is not on this order");
            }
            rows.add(row);
            values.add(Math.multiplyExact(row.eachMinor(), one.count()));
        }
        OrderStore.OrderRow of = orders.order(order);
        String from = suppliers.supplier(of.supplier()).name();
        List<Long> shares = Freight.shared(freightMinor, values);
        for (int at = 0; at < rows.size(); at++) {
            OrderStore.LineRow row = rows.get(at);
            int count = lines.get(at).count();
            happen(by, row, new OrderEvent(OrderHappening.CAME, count, Optional.empty(), by.at()), "");
            bookings.bookIn(
                    by, row.part(), count, values.get(at) + shares.get(at), Optional.of(of.supplier()), "from " + from);
        }
        if (freightMinor > 0) {
            orders.freight(order, of.freightMinor() + freightMinor);
        }
    }

    private void happen(By by, OrderStore.LineRow row, OrderEvent event, String words) {
        List<OrderEvent> before = happened.events(List.of(row.id())).getOrDefault(row.id(), List.of());
        OrderLine.of(row.count(), before).mustTake(event);
        List<OrderEvent> after = new ArrayList<>(before);
        after.add(event);
        happened.event(
                by,
                row.id(),
                event,
                words,
                OrderLine.of(row.count(), after).standing().open());
    }

    @EventListener
    void bookedIn(DrawerService.InItsDrawer booked) {
        serve(booked.by(), booked.part());
    }

    /** What lies in the drawer is set aside for the jobs that wait for it, the one that asked first before the others; whose wait is over is rung. */
    private void serve(By by, long part) {
        for (OrderStore.LineRow row : orders.waiting(part)) {
            DrawerStore.Part now = drawers.part(part);
            int some = Math.min(now.count(), row.count() - row.served());
            if (some == 0) {
                return;
            }
            long job = row.job().orElseThrow();
            shelf.aside(by, job, part, some);
            orders.served(row.id(), some);
            if (row.served() + some == row.count()) {
                String where = "drawer " + now.drawer()
                        + (now.care().place().isEmpty() ? "" : ", " + now.care().place());
                row.hold()
                        .ifPresent(hold -> holds.came(
                                by,
                                hold,
                                "It is here: " + row.count() + " × " + now.name() + ", set aside from " + where));
                if (row.order().isEmpty()) {
                    happen(
                            by,
                            row,
                            new OrderEvent(OrderHappening.GIVEN_UP, row.count(), Optional.empty(), by.at()),
                            "there without an order");
                }
            }
        }
    }

    /** A wanted line that nobody orders. */
    void notWanted(By by, long line) {
        OrderStore.LineRow row = orders.line(line);
        if (row.order().isPresent()) {
            throw Refused.because("It is ordered: say that it is not waited for any more");
        }
        happen(by, row, new OrderEvent(OrderHappening.GIVEN_UP, row.count(), Optional.empty(), by.at()), "not wanted");
        journal.write(by, entry(row.job(), line, "Not wanted after all: " + row.count() + " × " + row.name()));
    }

    public long supplier(By by, Optional<Long> id, SupplierStore.SupplierSaid said) {
        if (suppliers.has(said.name().strip(), id.orElse(-1L))) {
            throw new Invalid("name", "There is a supplier of that name: change that one");
        }
        String before = id.map(one -> suppliers.supplier(one).address()).orElse("");
        if (!said.address().equals(before)) {
            rights.must(by, Act.SETTINGS);
        }
        long made = id.orElseGet(() -> suppliers.add(said));
        id.ifPresent(one -> suppliers.change(one, said));
        journal.write(
                by,
                Journal.Entry.ofShop("supplier", made, "Supplier " + said.name().strip(), null, said));
        return made;
    }

    private static Journal.Entry entry(Optional<Long> job, long line, String words) {
        return job.map(one -> Journal.Entry.ofJob(one, "order", line, words, Map.of()))
                .orElseGet(() -> Journal.Entry.ofShop("order", line, words, null, Map.of()));
    }
}
