package wrenchnotes.server.donor;

import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.drawer.DonorParts;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;

/** What is done with units that are kept for parts. Each method runs in the caller's transaction. */
@Component
public class DonorService {

    private final Donors donors;
    private final DonorStore store;
    private final DrawerStore drawers;
    private final DrawerService bookings;
    private final Journal journal;

    DonorService(Donors donors, DonorStore store, DrawerStore drawers, DrawerService bookings, Journal journal) {
        this.donors = donors;
        this.store = store;
        this.drawers = drawers;
        this.bookings = bookings;
        this.journal = journal;
    }

    /** The units that are kept, the last kept first. */
    public List<Donors.DonorRegister> all() {
        return donors.all();
    }

    /** @param gone nothing of it is left */
    public void say(By by, long unit, String place, boolean gone) {
        DonorStore.Donor donor = donors.donor(unit);
        String where = gone ? donor.place() : Checked.text("place", place, 60);
        store.say(by, unit, where, gone);
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "donor",
                        unit,
                        donor.tag() + (gone ? ": nothing is left to take out of it" : " stands: " + where),
                        donor,
                        where));
    }

    public void intoDrawer(By by, long unit, long component, long part) {
        DonorParts.FromDonor from = new DonorParts.FromDonor(unit, component);
        DonorParts.TakenOut taken = donors.takes(from);
        DrawerStore.Part one;
        try {
            one = drawers.part(part);
        } catch (NotFound e) {
            throw new Invalid("partId", e.getMessage());
        }
        bookings.fromDonor(by, part, from, taken);
        donors.moved(by, from, true, "into drawer " + one.drawer());
    }
}
