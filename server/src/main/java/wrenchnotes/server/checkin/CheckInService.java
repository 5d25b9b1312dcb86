package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalDiff;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.checkin.ContactWay;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** Takes a unit in, and corrects what was said of it. Each method runs in the caller's transaction. */
@Component
public class CheckInService {

    private final CheckInStore store;
    private final LotStore lots;
    private final PhotoStore photos;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final ModelStore models;
    private final NotesStore notes;
    private final TheShop shop;
    private final Journal journal;

    CheckInService(
            CheckInStore store,
            LotStore lots,
            PhotoStore photos,
            JobStore jobs,
            ArrivalStore arrivals,
            ModelStore models,
            NotesStore notes,
            TheShop shop,
            Journal journal) {
        this.store = store;
        this.lots = lots;
        this.photos = photos;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.models = models;
        this.notes = notes;
        this.shop = shop;
        this.journal = journal;
    }

    public record TakenIn(long jobId, String tag) {}

    public TakenIn takeIn(By by, CheckInSaid coming) {
        ModelStore.Revision revision = revision(coming.revisionId());
        String serial = Checked.optionalText("serial", coming.serial(), 60);
        CheckInStore.Unit unit = coming.unitId().isPresent()
                ? knownUnit(coming.unitId().get(), serial, revision)
                : store.unit(store.addUnit(by, store.nextTag(), serial, revision.id()));
        mustBeFree(coming.slot(), -1);
        Optional<Long> owner = owner(coming);
        mustBeOfALot(coming);
        mustBeKept(coming.arrival());
        ArrivalMark.mustAgree(coming.arrival().marks());
        Arrival arrival = coming.arrival();
        List<ArrivalStore.MissingThing> missing = missing(revision.id(), arrival);
        long job = store.addJob(by, unit.id(), owner, coming.due().map(shop.now()::endOf), coming);
        arrivals.write(job, arrival, missing);
        Job taken = jobs.job(job);
        String words = "Taken in: " + taken.unit().named()
                + taken.brought()
                        .owner()
                        .map(who -> ", " + Journal.owner(who.id()))
                        .orElse(", resale");
        journal.write(by, Journal.Entry.ofJob(job, "job", job, words, ArrivalLine.of(taken, arrival)));
        return new TakenIn(job, unit.tag());
    }

    TakenIn takenIn(long job) {
        return new TakenIn(job, jobs.job(job).tag());
    }

    private ModelStore.Revision revision(long id) {
        try {
            return models.revision(id);
        } catch (NotFound e) {
            throw new Invalid("revisionId", e.getMessage() + ": pick one of the model's revisions");
        }
    }

    private CheckInStore.Unit knownUnit(long id, String serial, ModelStore.Revision revision) {
        CheckInStore.Unit unit = store.unit(id);
        unit.openJob().map(jobs::job).ifPresent(open -> {
            throw Refused.because(unit.tag()
                    + (open.onLoan().isPresent()
                            ? " is on loan, its job open: say there that it came back."
                            : " is in the shop already. Open its job instead."));
        });
        store.correctUnit(id, serial.isEmpty() ? unit.serial() : serial, revision.id());
        return unit;
    }

    private Optional<Long> owner(CheckInSaid coming) {
        if (coming.ownerId().isPresent()) {
            if (!store.hasOwner(coming.ownerId().get())) {
                throw new Invalid(
                        "ownerId", "There is no owner " + coming.ownerId().get());
            }
            return coming.ownerId();
        }
        String name = Checked.optionalText("ownerName", coming.ownerName(), 120);
        if (name.isEmpty()) {
            if (coming.ownership() == Ownership.CUSTOMER) {
                throw new Invalid("ownerName", "Say whose it is, or mark it as resale");
            }
            return Optional.empty();
        }
        return Optional.of(store.addOwner(name, ContactWay.kept(coming.ownerContact())));
    }

    /** Other ways to reach an owner, in the place of those that were known. */
    void reach(By by, long owner, String contact) {
        if (!store.hasOwner(owner)) {
            throw new NotFound("There is no owner " + owner);
        }
        store.reach(owner, ContactWay.kept(contact));
        journal.write(
                by, Journal.Entry.ofShop("owner", owner, "Other ways to reach {owner:" + owner + "}", null, owner));
    }

    private void mustBeOfALot(CheckInSaid coming) {
        coming.lotId().ifPresent(lot -> {
            if (coming.ownership() != Ownership.RESALE) {
                throw new Invalid("lotId", "Only a unit to be sold comes in a lot");
            }
            if (!lots.has(lot)) {
                throw new Invalid("lotId", "There is no lot " + lot);
            }
        });
    }

    private void mustBeKept(Arrival arrival) {
        for (Arrival.ArrivalPhoto photo : arrival.photos()) {
            if (!photos.has(photo.hash())) {
                throw new Invalid("photos", "This photo was not kept: take it again");
            }
        }
    }

    private void mustBeFree(Optional<String> slot, long exceptJob) {
        slot.ifPresent(name -> {
            if (!store.hasSlot(name)) {
                throw new Invalid("slot", "The rack has no slot " + name);
            }
            store.inSlot(name, exceptJob).ifPresent(tag -> {
                throw new Invalid("slot", "Slot " + name + " holds " + tag + ": pick another");
            });
        });
    }

    private List<ArrivalStore.MissingThing> missing(long revision, Arrival arrival) {
        Map<String, Thing> things = notes.newest(revision).teardown().things().stream()
                .collect(Collectors.toMap(Thing::id, Function.identity()));
        return arrival.missing().stream()
                .map(said -> {
                    Thing thing = things.get(said.thing());
                    if (thing == null) {
                        throw new Invalid("missing", "The notes of this revision have no " + said.thing());
                    }
                    if (thing.hasCount() && said.count() > thing.asMade()) {
                        throw new Invalid(
                                "missing",
                                said.count() + " × " + thing.label() + " missing, but there are only "
                                        + thing.asMade());
                    }
                    return new ArrivalStore.MissingThing(said.thing(), thing.label(), said.count());
                })
                .toList();
    }

    /** @return the job as corrected */
    public Job correct(By who, long id, Seen seen, CorrectionSaid correction) {
        Job before = jobs.job(id);
        By by = before.told(who);
        seen.mustBe(before.version(), before.tag(), () -> before);
        mustBeFree(correction.slot(), id);
        mustBeKept(correction.arrival());
        ArrivalMark.mustAgree(correction.arrival().marks());
        ModelStore.Revision revision = revision(correction.revisionId());
        if (revision.id() != before.revisionId() && store.hasEntries(id)) {
            throw Refused.because("It is opened with the notes of revision "
                    + before.unit().revision() + ": the revision cannot change while its ledger runs.");
        }
        Arrival arrival = correction.arrival();
        Arrival was = arrival(before);
        store.correctUnit(before.unitId(), Checked.optionalText("serial", correction.serial(), 60), revision.id());
        store.correctJob(id, due(before, correction), correction);
        arrivals.write(id, arrival, missing(revision.id(), arrival));
        Job after = jobs.job(id);
        Map<String, String> labels = new HashMap<>();
        notes.newest(before.revisionId()).teardown().things().forEach(thing -> labels.put(thing.id(), thing.label()));
        notes.newest(revision.id()).teardown().things().forEach(thing -> labels.put(thing.id(), thing.label()));
        ArrivalDiff diff = ArrivalDiff.between(told(before, was), told(after, arrival), labels);
        journal.write(
                by,
                new Journal.Entry(
                        id,
                        "job",
                        id,
                        ("Corrected. " + diff.sentences()).strip(),
                        diff.ownersSentences(),
                        ArrivalLine.of(before, was),
                        ArrivalLine.of(after, arrival)));
        return after;
    }

    /** A promise that was not touched stands to the minute. */
    private Optional<Instant> due(Job before, CorrectionSaid said) {
        return said.due().equals(before.brought().dueAt().map(shop.now()::day))
                ? before.brought().dueAt()
                : said.due().map(shop.now()::endOf);
    }

    private ArrivalDiff.Told told(Job job, Arrival arrival) {
        return new ArrivalDiff.Told(
                job.unit().serial(),
                job.unit().revision(),
                job.brought().slot(),
                job.brought().dueAt().map(shop.now()::day),
                arrival);
    }

    private Arrival arrival(Job job) {
        List<Arrival.Missing> missing = arrivals.missing(job.id()).stream()
                .map(thing -> new Arrival.Missing(thing.thing(), thing.count()))
                .toList();
        return new Arrival(
                job.brought().complaint(),
                arrivals.symptoms(job.id()),
                arrivals.marks(job.id()),
                job.brought().condition(),
                missing,
                arrivals.cameWith(job.id()),
                arrivals.photos(job.id()),
                arrivals.places(job.id()),
                arrivals.cameWithout(job.id()));
    }

    /** The tag the next new unit will get, unless somebody else is quicker. */
    Tag nextTag() {
        return store.nextTag();
    }
}
