package wrenchnotes.server.shop;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.shop.FirstThing;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;

/** What a lead sets for the whole shop. */
@RestController
@RequestMapping("/api/shop")
@May(Act.SETTINGS)
class ShopApi {

    private final ShopStore store;
    private final ShopService service;
    private final TheShop shop;
    private final Snapshot snapshot;

    ShopApi(ShopStore store, ShopService service, TheShop shop, Snapshot snapshot) {
        this.store = store;
        this.service = service;
        this.shop = shop;
        this.snapshot = snapshot;
    }

    /**
     * @param version to be sent back in If-Match
     * @param currencyIsFixed whether sums are kept already that would mean something else in another
     */
    public record ShopView(
            ShopSettings settings, long version, boolean currencyIsFixed, List<ShopStore.RackSlot> slots) {}

    public record SlotSaid(@NotBlank @Size(max = 12) String name) {}

    @GetMapping
    ShopView shop() {
        return snapshot.read(() -> {
            ShopStore.Versioned now = store.settings();
            return new ShopView(now.said(), now.version(), store.hasSums(), store.slots());
        });
    }

    public record FirstThingView(FirstThing thing, String words, boolean done) {}

    /** What a new shop has to do in its first hour; empty once all of it was done. */
    public record FirstHour(List<FirstThingView> things) {}

    @GetMapping("/first-hour")
    FirstHour firstHour() {
        Set<FirstThing> done = snapshot.read(store::begun);
        return new FirstHour(
                done.size() == FirstThing.values().length
                        ? List.of()
                        : Arrays.stream(FirstThing.values())
                                .map(thing -> new FirstThingView(thing, thing.words(), done.contains(thing)))
                                .toList());
    }

    @PutMapping
    ShopView change(Seen seen, @Valid @NotNull @RequestBody ShopSettings said, Pen pen) {
        return written(said, pen, by -> service.change(by, seen, said));
    }

    @PostMapping("/slots")
    ShopView addSlot(@Valid @RequestBody SlotSaid said, Pen pen) {
        return written(said, pen, by -> service.addSlot(by, said.name()));
    }

    @PutMapping("/slots/{slot}")
    ShopView renameSlot(@PathVariable String slot, @Valid @RequestBody SlotSaid said, Pen pen) {
        return written(said, pen, by -> service.renameSlot(by, slot, said.name()));
    }

    @DeleteMapping("/slots/{slot}")
    ShopView removeSlot(@PathVariable String slot, Pen pen) {
        return written(slot, pen, by -> service.removeSlot(by, slot));
    }

    /** What everybody goes by is read again once it is safely written. */
    private ShopView written(Object said, Pen pen, Consumer<By> change) {
        pen.once(said, change);
        shop.renew();
        return shop();
    }
}
