package wrenchnotes.server.drawer;

import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Seen;

/** Taking parts, booking them in, naming them. Each method runs in the caller's transaction. */
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

    /** What was taken, and what it cost the shop. */
    public record Taken(DrawerStore.Part part, int count, long costMinor) {

        public String words() {
            return count + " × " + part.name() + " from drawer " + part.drawer();
        }
    }

    /** Takes parts for a job; refused if the drawer has fewer. */
    public Taken take(By by, long partId, int count, long job, String why) {
        DrawerStore.Part part = drawers.part(partId);
        Stock stock = drawers.stock(part);
        Stock after = stock.take(count);
        drawers.setCount(by, after, new DrawerStore.Change(partId, -count, why, job, null));
        return new Taken(part, count, stock.costOf(count));
    }

    /** Puts back what a struck entry had taken. */
    public void putBack(By by, long partId, int count, long job, String why) {
        Stock after = drawers.stock(drawers.part(partId)).bookIn(count);
        drawers.setCount(by, after, new DrawerStore.Change(partId, count, why, job, null));
    }

    public DrawerStore.Part add(By by, String drawer, String name, String what, long eachMinor, int count) {
        refuseTwin(drawer, name, -1);
        long id = drawers.add(drawer, name, what, eachMinor);
        if (count > 0) {
            Stock after = drawers.stock(drawers.part(id)).bookIn(count);
            drawers.setCount(by, after, new DrawerStore.Change(id, count, "first count", null, null));
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
        Stock after = drawers.stock(before).bookIn(count);
        drawers.setCount(by, after, new DrawerStore.Change(id, count, why, null, null));
        DrawerStore.Part part = drawers.part(id);
        journal.write(by, Journal.Entry.ofShop("part", id, count + " × " + part.name() + " booked in", before, part));
        return part;
    }

    private void refuseTwin(String drawer, String name, long self) {
        drawers.idOf(drawer, name).filter(id -> id != self).ifPresent(id -> {
            throw new Invalid("name", "Drawer " + drawer + " already has a part called " + name + ": book more in");
        });
    }
}
