package wrenchnotes.server.drawer;

import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.photo.PhotoStore;

/** Booking parts in, and naming them. Each method runs in the caller's transaction. */
@Component
public class DrawerService {

    private final DrawerStore drawers;
    private final MoveStore moves;
    private final PhotoStore photos;
    private final Rights rights;
    private final Journal journal;
    private final ApplicationEventPublisher events;

    DrawerService(
            DrawerStore drawers,
            MoveStore moves,
            PhotoStore photos,
            Rights rights,
            Journal journal,
            ApplicationEventPublisher events) {
        this.photos = photos;
        this.events = events;
        this.drawers = drawers;
        this.moves = moves;
        this.rights = rights;
        this.journal = journal;
    }

    /** A part of which no more is said than its label. */
    public DrawerStore.Part add(By by, String drawer, String name, String what, long eachMinor, int count) {
        PartSaid said = new PartSaid(drawer, name, what, eachMinor, Optional.empty(), PartCare.NONE);
        return add(by, said, count);
    }

    DrawerStore.Part add(By by, PartSaid said, int count) {
        refuseTwin(said.drawer(), said.name(), -1);
        mustBeKept(said.care());
        long id = drawers.add(said);
        if (count > 0) {
            bought(
                    by,
                    drawers.part(id),
                    count,
                    Math.multiplyExact(said.eachMinor(), count),
                    Optional.empty(),
                    "first count");
        }
        DrawerStore.Part part = drawers.part(id);
        journal.write(
                by,
                Journal.Entry.ofShop("part", id, "Part " + said.name() + " in drawer " + said.drawer(), null, part));
        return part;
    }

    DrawerStore.Part change(By by, long id, Seen seen, PartSaid said) {
        DrawerStore.Part before = drawers.part(id);
        seen.mustBe(before.version(), before.name(), () -> before);
        refuseTwin(said.drawer(), said.name(), id);
        mustBeKept(said.care());
        if (said.eachMinor() != before.eachMinor()) {
            rights.must(by, Act.PRICES);
        }
        drawers.change(id, said);
        DrawerStore.Part after = drawers.part(id);
        journal.write(by, Journal.Entry.ofShop("part", id, "Part " + said.name() + " changed", before, after));
        return after;
    }

    private void mustBeKept(PartCare care) {
        care.photo().filter(hash -> !photos.has(hash)).ifPresent(hash -> {
            throw new Invalid("care.photo", "There is no such picture: take it again");
        });
    }

    /** The drawer was counted: the difference is a movement like any other, and is told with its reason. */
    DrawerStore.Part counted(By by, long id, int count, String why) {
        DrawerStore.Part before = drawers.part(id);
        found(by, before, count - before.count(), why);
        DrawerStore.Part after = drawers.part(id);
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "part",
                        id,
                        before.name() + ": counted " + count + ", the book said " + before.count() + ": " + why,
                        before,
                        after));
        return after;
    }

    /** @param more how many more there are than the book says; fewer if below 0 */
    void found(By by, DrawerStore.Part part, int more, String why) {
        if (more == 0) {
            return;
        }
        PartAccount from = more > 0 ? PartAccount.LOST_COUNT : PartAccount.DRAWER;
        PartAccount to = more > 0 ? PartAccount.DRAWER : PartAccount.LOST_COUNT;
        int count = Math.abs(more);
        long value;
        if (more > 0) {
            value = Math.multiplyExact(part.eachMinor(), count);
            part.stock().bookIn(count, value);
        } else {
            part.stock().take(count);
            value = part.stock().costOf(count);
        }
        moves.move(
                by,
                new MoveStore.Movement(MoveStore.What.of(part.id()), count, from, to, value),
                MoveStore.For.shop(why));
    }

    /** Some of a part lie in their drawer now: whoever waits for them is told within the same transaction. */
    public record InItsDrawer(By by, long part) {}

    public DrawerStore.Part bookIn(By by, long id, int count, String why) {
        return bookIn(by, id, count, Math.multiplyExact(drawers.part(id).eachMinor(), count), Optional.empty(), why);
    }

    /** @param costMinor what they cost together, carriage and all @param supplier whose they are, if that is known */
    public DrawerStore.Part bookIn(By by, long id, int count, long costMinor, Optional<Long> supplier, String why) {
        DrawerStore.Part before = drawers.part(id);
        bought(by, before, count, costMinor, supplier, why);
        events.publishEvent(new InItsDrawer(by, id));
        DrawerStore.Part part = drawers.part(id);
        journal.write(by, Journal.Entry.ofShop("part", id, count + " × " + part.name() + " booked in", before, part));
        return part;
    }

    /** Out of a unit that is kept for parts, into a drawer: it carries its share of what was paid for the unit. */
    public DrawerStore.Part fromDonor(By by, long id, DonorParts.FromDonor donor, DonorParts.TakenOut taken) {
        DrawerStore.Part before = drawers.part(id);
        before.stock().bookIn(1, taken.valueMinor());
        moves.move(
                by,
                new MoveStore.Movement(
                        MoveStore.What.of(id),
                        1,
                        PartAccount.DONOR,
                        PartAccount.DRAWER,
                        taken.valueMinor(),
                        Optional.of(donor)),
                MoveStore.For.shop(taken.words()));
        events.publishEvent(new InItsDrawer(by, id));
        DrawerStore.Part part = drawers.part(id);
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "part",
                        id,
                        part.name() + ": " + taken.words() + ", into drawer " + part.drawer(),
                        before,
                        part));
        return part;
    }

    private void bought(By by, DrawerStore.Part part, int count, long cost, Optional<Long> supplier, String why) {
        part.stock().bookIn(count, cost);
        moves.move(
                by,
                new MoveStore.Movement(
                        MoveStore.What.of(part.id()),
                        count,
                        PartAccount.SUPPLIER,
                        PartAccount.DRAWER,
                        cost,
                        Optional.empty(),
                        supplier),
                MoveStore.For.shop(why));
    }

    private void refuseTwin(String drawer, String name, long self) {
        drawers.idOf(drawer, name).filter(id -> id != self).ifPresent(id -> {
            throw new Invalid("name", "Drawer " + drawer + " already has a part called " + name + ": book more in");
        });
    }
}
