package wrenchnotes.server.supplier;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.order.OrderStore;
import wrenchnotes.server.order.SupplierStore;
import wrenchnotes.server.order.TalkStore;

/** Handing an order over at its supplier's address. */
@RestController
@May(Act.PARTS)
class HandOverApi {

    private final TalkStore talks;
    private final OrderStore orders;
    private final SupplierStore suppliers;
    private final SupplierTalk talk;
    private final Journal journal;

    HandOverApi(TalkStore talks, OrderStore orders, SupplierStore suppliers, SupplierTalk talk, Journal journal) {
        this.talks = talks;
        this.orders = orders;
        this.suppliers = suppliers;
        this.talk = talk;
        this.journal = journal;
    }

    /** It goes as soon as the address takes it; where it stands is told with the order. */
    @PostMapping("/api/orders/{order}/handing-over")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void handOver(@PathVariable long order, Pen pen) {
        pen.once("hand over", by -> {
            SupplierStore.Supplier supplier =
                    suppliers.supplier(orders.order(order).supplier());
            if (supplier.address().isEmpty()) {
                throw Refused.because(
                        supplier.name() + " has no address that takes orders: write, print, or give it one.");
            }
            talks.ask(by, order);
            journal.write(
                    by,
                    Journal.Entry.ofShop(
                            "order", order, "Order " + order + " is to go to " + supplier.name(), null, supplier));
        });
        talk.soon();
    }
}
