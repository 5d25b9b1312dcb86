package wrenchnotes.server.shop;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.core.unit.Words;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Seen;

/** Changes the shop's settings and its rack. Each method runs in the caller's transaction. */
@Component
class ShopService {

    private final ShopStore store;
    private final Journal journal;

    ShopService(ShopStore store, Journal journal) {
        this.store = store;
        this.journal = journal;
    }

    void change(By by, Seen seen, ShopSettings said) {
        ShopStore.Versioned before = store.settings();
        seen.mustBe(before.version(), "The shop's settings", () -> before.said());
        if (!said.currency().equals(before.said().currency()) && store.hasSums()) {
            throw Refused.because("The shop keeps sums in " + before.said().currency()
                    + " already: in another currency every one of them would mean something else.");
        }
        store.change(said);
        journal.write(
                by,
                Journal.Entry.ofShop("shop", 1, "Settings: " + differences(before.said(), said), before.said(), said));
    }

    private static String differences(ShopSettings was, ShopSettings is) {
        List<String> lines = new ArrayList<>();
        differ(lines, "name", was.name(), is.name());
        differ(lines, "currency", was.currency(), is.currency());
        differ(lines, "an hour at the bench", was.hourMinor() + "", is.hourMinor() + "");
        differ(lines, "time zone", was.zone(), is.zone());
        differ(lines, "numbers", was.decimal().words(), is.decimal().words());
        if (!was.open().equals(is.open())) {
            lines.add("opening hours");
        }
        differ(lines, "tags", was.tags().words(), is.tags().words());
        if (!was.electrical().equals(is.electrical())) {
            lines.add("electrical check");
        }
        if (!was.terms().equals(is.terms())) {
            lines.add("terms");
        }
        return lines.isEmpty() ? "nothing differs" : String.join("; ", lines);
    }

    private static void differ(List<String> lines, String what, String was, String is) {
        Words.changed(what, was, is).ifPresent(lines::add);
    }

    void addSlot(By by, String said) {
        String name = free(said);
        store.addSlot(name, shelf(name));
        journal.write(by, Journal.Entry.ofShop("slot", 0, "Slot " + name + " added", null, name));
    }

    /** A slot belongs to the shelf that its name begins with: A7 to A. */
    private static String shelf(String name) {
        String letters = name.replaceAll("\\d.*", "").strip();
        return letters.isEmpty() ? name : letters;
    }

    private String free(String said) {
        String name = Checked.text("name", said, 12);
        if (store.slots().stream().anyMatch(slot -> slot.name().equalsIgnoreCase(name))) {
            throw new Invalid("name", "There is a slot " + name + " already");
        }
        return name;
    }

    void renameSlot(By by, String name, String said) {
        slot(name);
        String to = free(said);
        store.renameSlot(name, to, shelf(to));
        journal.write(by, Journal.Entry.ofShop("slot", 0, "Slot " + name + " is called " + to + " now", name, to));
    }

    void removeSlot(By by, String name) {
        slot(name).tag().ifPresent(tag -> {
            throw Refused.because(tag + " stands in " + name + ": put it elsewhere first.");
        });
        store.removeSlot(name);
        journal.write(by, Journal.Entry.ofShop("slot", 0, "Slot " + name + " taken away", name, null));
    }

    private ShopStore.RackSlot slot(String name) {
        return store.slots().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFound("The rack has no slot " + name));
    }
}
