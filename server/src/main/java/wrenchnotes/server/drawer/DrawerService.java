package wrenchnotes.server.drawer;

import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Seen;

/** Booking parts in, and naming them. Each method runs in the caller's transaction. */
@Component
public class DrawerService {

    private final DrawerStore drawers;
    private final Rights rights;
    private final Journal journal;

    DrawerService(DrawerStore drawers, Rights rights, Journal journal) {
        this.drawers = drawers;
        this.rights = rights;
        this.journal = journal;
    }

    public DrawerStore.Part add(By by, String drawer, String name, String what, long eachMinor, int count) {
        refuseTwin(drawer, name, -1);
        long id = drawers.add(drawer, name, what, eachMinor);
        if (count > 0) {
            bought(by, drawers.part(id), count, "first count");
        }
        DrawerStore.Part part = drawers.part(id);
        journal.write(by, Journal.Entry.ofShop("part", id, "Part " + name + " in drawer " + drawer, null, part));
        return part;
    }

    DrawerStore.Part change(By by, long id, Seen seen, String drawer, String name, String what, long eachMinor) {
        DrawerStore.Part before = drawers.part(id);
        seen.mustBe(before.version(), before.name(), () -> before);
        refuseTwin(drawer, name, id);
        if (eachMinor != before.eachMinor()) {
            rights.must(by, Act.PRICES);
        }
        drawers.change(id, drawer, name, what, eachMinor);
        DrawerStore.Part after = drawers.part(id);
        journal.write(by, Journal.Entry.ofShop("part", id, "Part " + name + " changed", before, after));
        return after;
    }

    public DrawerStore.Part bookIn(By by, long id, int count, String why) {
        DrawerStore.Part before = drawers.part(id);
        bought(by, before, count, why);
        DrawerStore.Part part = drawers.part(id);
        journal.write(by, Journal.Entry.ofShop("part", id, count + " × " + part.name() + " booked in", before, part));
        return part;
    }

    /** At what one costs where it is bought. */
    private void bought(By by, DrawerStore.Part part, int count, String why) {
        long cost = Math.multiplyExact(part.eachMinor(), count);
        part.stock().bookIn(count, cost);
        drawers.move(
                by,
                new DrawerStore.Movement(
                        DrawerStore.What.of(part.id()), count, PartAccount.SUPPLIER, PartAccount.DRAWER, cost),
                DrawerStore.For.shop(why));
    }

    private void refuseTwin(String drawer, String name, long self) {
        drawers.idOf(drawer, name).filter(id -> id != self).ifPresent(id -> {
            throw new Invalid("name", "Drawer " + drawer + " already has a part called " + name + ": book more in");
        });
    }
}
