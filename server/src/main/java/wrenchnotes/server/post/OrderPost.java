package wrenchnotes.server.post;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.order.OrderStore;
import wrenchnotes.server.order.SupplierStore;
import wrenchnotes.server.paper.DrawerPapers;
import wrenchnotes.server.shop.TheShop;

/** An order as paper and as a letter. Runs in the caller's transaction. */
@Component
class OrderPost {

    private final OrderStore orders;
    private final SupplierStore suppliers;
    private final DrawerPapers papers;
    private final Outbox outbox;
    private final TheShop shop;
    private final Journal journal;

    OrderPost(
            OrderStore orders,
            SupplierStore suppliers,
            DrawerPapers papers,
            Outbox outbox,
            TheShop shop,
            Journal journal) {
        this.orders = orders;
        this.suppliers = suppliers;
        this.papers = papers;
        this.outbox = outbox;
        this.shop = shop;
        this.journal = journal;
    }

    byte[] paper(long id) {
        OrderStore.OrderRow order = orders.order(id);
        return papers.order(said(order, suppliers.supplier(order.supplier())));
    }

    private DrawerPapers.OrderOnPaper said(OrderStore.OrderRow order, SupplierStore.Supplier supplier) {
        return new DrawerPapers.OrderOnPaper(
                order.id(),
                order.at(),
                supplier.name(),
                supplier.number(),
                order.words(),
                lines(order.id()).stream()
                        .map(row -> new DrawerPapers.OrderPaperLine(
                                row.count(), row.number(), row.name(), shop.inMoney(row.eachMinor())))
                        .toList());
    }

    private List<OrderStore.LineRow> lines(long order) {
        return orders.ofOrders(List.of(order));
    }

    /** @return the letter's number */
    long letter(By by, long id) {
        OrderStore.OrderRow order = orders.order(id);
        SupplierStore.Supplier supplier = suppliers.supplier(order.supplier());
        if (supplier.mail().isEmpty()) {
            throw Refused.because(
                    "Nobody knows where to write to " + supplier.name() + ": give it an address for mail.");
        }
        String what = lines(id).stream()
                .map(row -> row.count() + " × " + (row.number().isEmpty() ? "" : row.number() + ", ") + row.name())
                .collect(Collectors.joining("\n"));
        String text = "We order:\n\n" + what + "\n\n"
                + (supplier.number().isEmpty() ? "" : "Our number with you: " + supplier.number() + "\n")
                + "Our order: " + id + "\n\n" + shop.now().name() + "\n";
        long letter = outbox.write(
                by,
                supplier.mail(),
                "Order " + id + " of " + shop.now().name(),
                text,
                Optional.of(new Outbox.Enclosed(
                        "order-" + id + ".pdf", "application/pdf", papers.order(said(order, supplier)))),
                Optional.of(id));
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "order", id, "Order " + id + " written to " + supplier.name(), null, supplier.mail()));
        return letter;
    }
}
