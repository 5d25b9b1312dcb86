package wrenchnotes.server.drawer;

import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;

/** Counts a drawer through. Each method runs in the caller's transaction. */
@Component
class StockTakeService {

    private final StockTakeStore takes;
    private final DrawerStore drawers;
    private final DrawerService service;
    private final Journal journal;

    StockTakeService(StockTakeStore takes, DrawerStore drawers, DrawerService service, Journal journal) {
        this.takes = takes;
        this.drawers = drawers;
        this.service = service;
        this.journal = journal;
    }

    /** @return the one that is open, if one is */
    long begin(By by, String drawer) {
        if (drawers.inDrawers(List.of(drawer)).isEmpty()) {
            throw new Invalid("drawer", "There is nothing in a drawer " + drawer + ": name one that has parts");
        }
        return takes.open(drawer).map(StockTakeStore.Take::id).orElseGet(() -> takes.begin(by, drawer));
    }

    void count(By by, long take, long part, int count) {
        StockTakeStore.Take open = mustBeOpen(take);
        DrawerStore.Part one = drawers.part(part);
        if (!one.drawer().equals(open.drawer())) {
            throw new Invalid(
                    "partId",
                    one.name() + " belongs in drawer " + one.drawer() + ", not in " + open.drawer()
                            + ": put it back there");
        }
        takes.count(by, take, part, count, one.count());
    }

    /** What was taken and booked in since a part was counted is not counted away: only the difference of that moment is taken over. */
    void end(By by, long take, boolean takeOver) {
        StockTakeStore.Take open = mustBeOpen(take);
        List<StockTakeStore.Counted> counted = takes.counted(take);
        int differences = 0;
        if (takeOver) {
            for (StockTakeStore.Counted one : counted) {
                int differs = one.counted() - one.booked();
                if (differs != 0) {
                    service.found(by, drawers.part(one.part()), differs, "stock-take of drawer " + open.drawer());
                    differences++;
                }
            }
        }
        takes.end(by, take, takeOver);
        String words = "Stock-take of drawer " + open.drawer() + ": " + counted.size() + " counted, "
                + (takeOver ? differences + " put right" : "thrown away");
        journal.write(by, Journal.Entry.ofShop("part", take, words, null, counted));
    }

    private StockTakeStore.Take mustBeOpen(long take) {
        StockTakeStore.Take one = takes.take(take);
        if (one.taken().isPresent()) {
            throw Refused.because("This stock-take of drawer " + one.drawer() + " is over: begin another");
        }
        return one;
    }
}
