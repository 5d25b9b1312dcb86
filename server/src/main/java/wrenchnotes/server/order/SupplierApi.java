package wrenchnotes.server.order;

import jakarta.validation.Valid;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;

/** Who sells parts. Where a supplier is spoken to by the program itself is for a lead to say. */
@RestController
@May(Act.PARTS)
class SupplierApi {

    private final OrderService service;
    private final SupplierStore suppliers;

    SupplierApi(OrderService service, SupplierStore suppliers) {
        this.service = service;
        this.suppliers = suppliers;
    }

    @PostMapping("/api/suppliers")
    @ResponseStatus(HttpStatus.CREATED)
    SupplierStore.Supplier addSupplier(@Valid @RequestBody SupplierStore.SupplierSaid said, Pen pen) {
        return pen.once(
                said,
                by -> suppliers.supplier(service.supplier(by, Optional.empty(), said)),
                SupplierStore.Supplier::id,
                suppliers::supplier);
    }

    @PutMapping("/api/suppliers/{supplier}")
    SupplierStore.Supplier changeSupplier(
            @PathVariable long supplier, Seen seen, @Valid @RequestBody SupplierStore.SupplierSaid said, Pen pen) {
        return pen.once(
                said,
                by -> {
                    SupplierStore.Supplier before = suppliers.supplier(supplier);
                    seen.mustBe(before.version(), before.name(), () -> before);
                    service.supplier(by, Optional.of(supplier), said);
                    return suppliers.supplier(supplier);
                },
                SupplierStore.Supplier::id,
                suppliers::supplier);
    }
}
