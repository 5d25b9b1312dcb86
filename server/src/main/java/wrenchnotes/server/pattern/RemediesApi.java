package wrenchnotes.server.pattern;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.job.Warranty;
import wrenchnotes.core.recurring.FaultOn;
import wrenchnotes.core.recurring.FaultStays;
import wrenchnotes.core.recurring.Narrowed;
import wrenchnotes.core.recurring.RemedyOverTerm;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.teardown.ModelStore;

/** At the finding: what each remedy costs over the term that the shop stands for it. */
@RestController
class RemediesApi {

    private final PatternStore store;
    private final ModelStore models;
    private final Book book;
    private final TheShop shop;
    private final Snapshot snapshot;
    private final Clock clock;

    RemediesApi(PatternStore store, ModelStore models, Book book, TheShop shop, Snapshot snapshot, Clock clock) {
        this.store = store;
        this.models = models;
        this.book = book;
        this.shop = shop;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param termDays that the shop stands for a repair @param remedies the most often done first; empty where it was never mended */
    public record RemediesTold(int termDays, List<RemedyOverTerm> remedies) {}

    /**
     * On all revisions of the component's model; on all models that had the fault, if this one never did.
     *
     * @param component its number
     * @param wrong what is wrong with it
     */
    @GetMapping("/api/patterns/remedies")
    RemediesTold remedies(@RequestParam long component, @RequestParam String wrong) {
        Checked.text("wrong", wrong, 80);
        return snapshot.read(() -> {
            String called = models.component(component).name();
            long model = models.modelOfComponent(component);
            FaultName said = new FaultName(called, wrong.strip().toLowerCase(Locale.ROOT));
            List<Comeback.AtFault> here = store.openFaults();
            long now = clock.instant().toEpochMilli();
            FaultStays stays = book.read((closed, names) -> {
                FaultName fault = names.fault(model, said);
                FaultStays ofModel = FaultStays.of(
                        closed, one -> same(one, fault, names) && onModel(one, model, names), Narrowed.NOT, here, now);
                return ofModel.stays().isEmpty()
                        ? FaultStays.of(closed, one -> same(one, fault, names), Narrowed.NOT, here, now)
                        : ofModel;
            });
            int term = (int) Warranty.LENGTH.toDays();
            return new RemediesTold(
                    term, RemedyOverTerm.of(stays, term, shop.now().hourMinor()));
        });
    }

    private static boolean same(FaultOn one, FaultName fault, Names names) {
        return fault.equals(names.faults().get(one.fault()));
    }

    private static boolean onModel(FaultOn one, long model, Names names) {
        return names.revisions().get(one.revision()).model() == model;
    }
}
