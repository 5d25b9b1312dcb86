package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.finder.FinderIndex;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.photo.PhotoStore;
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
    private final FinderIndex finder;
    private final Journal journal;

    CheckInService(
            CheckInStore store,
            LotStore lots,
            PhotoStore photos,
            JobStore jobs,
            ArrivalStore arrivals,
            ModelStore models,
            NotesStore notes,
            FinderIndex finder,
            Journal journal) {
        this.store = store;
        this.lots = lots;
        this.photos = photos;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.models = models;
        this.notes = notes;
        this.finder = finder;
        this.journal = journal;
    }

    /**
     * A unit at the counter.
     *
     * @param unit the unit if it was found again
     * @param owner the owner if known; else a new one with this name
     */
    public record Coming(
            Optional<Long> unit,
            String serial,
            long revision,
            Ownership ownership,
            Optional<Long> owner,
            String ownerName,
            String ownerContact,
            Optional<Long> lot,
            Optional<Long> paidMinor,
            Optional<String> slot,
            Optional<Instant> due,
            Arrival arrival) {}

    public record TakenIn(long jobId, String tag) {}

    public TakenIn takeIn(By by, Coming coming) {
        ModelStore.Revision revision = revision(coming.revision());
        String serial = Checked.optionalText("serial", coming.serial(), 60);
        CheckInStore.Unit unit = coming.unit().isPresent()
                ? knownUnit(coming.unit().get(), serial, revision)
                : store.unit(store.addUnit(by, store.nextTag(), serial, revision.id()));
        mustBeFree(coming.slot(), -1);
        Optional<Long> owner = owner(coming);
        mustBeOfALot(coming);
        mustBeKept(coming.arrival());
        Arrival arrival = coming.arrival();
        List<ArrivalStore.MissingThing> missing = missing(revision.id(), arrival);
        long job = store.addJob(
                by,
                new CheckInStore.NewJob(
                        unit.id(),
                        revision.id(),
                        coming.ownership(),
                        owner,
                        coming.lot(),
                        coming.paidMinor(),
                        coming.slot(),
                        coming.due(),
                        arrival.complaint(),
                        arrival.condition()));
        arrivals.write(job, arrival, missing);
        finder.renew(job);
        JobStore.Job taken = jobs.job(job);
        String words = "Taken in: " + taken.model() + " " + taken.revision()
                + taken.owner().map(who -> ", " + Journal.owner(who.id())).orElse(", resale");
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
        if (unit.openJob().isPresent()) {
            throw Refused.because(unit.tag() + " is in the shop already. Open its job instead.");
        }
        store.correctUnit(id, serial.isEmpty() ? unit.serial() : serial, revision.id());
        return unit;
    }

    private Optional<Long> owner(Coming coming) {
        if (coming.owner().isPresent()) {
            if (!store.hasOwner(coming.owner().get())) {
                throw new Invalid(
                        "ownerId", "There is no owner " + coming.owner().get());
            }
            return coming.owner();
        }
        String name = Checked.optionalText("ownerName", coming.ownerName(), 120);
        if (name.isEmpty()) {
            if (coming.ownership() == Ownership.CUSTOMER) {
                throw new Invalid("ownerName", "Say whose it is, or mark it as resale");
            }
            return Optional.empty();
        }
        return Optional.of(store.addOwner(name, Checked.optionalText("ownerContact", coming.ownerContact(), 120)));
    }

    private void mustBeOfALot(Coming coming) {
        coming.lot().ifPresent(lot -> {
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
                    if (said.count() > thing.count()) {
                        throw new Invalid(
                                "missing",
                                said.count() + " × " + thing.label() + " missing, but there are only " + thing.count());
                    }
                    return new ArrivalStore.MissingThing(said.thing(), thing.label(), said.count());
                })
                .toList();
    }

    /** What can be corrected of an arrival while the unit is here. */
    public record Correction(
            String serial, long revision, Optional<String> slot, Optional<Instant> due, Arrival arrival) {}

    /** @return the job as corrected */
    public JobStore.Job correct(By who, long id, Seen seen, Correction correction) {
        JobStore.Job before = jobs.job(id);
        By by = before.entered(who);
        seen.mustBe(before.version(), before.tag(), () -> before);
        mustBeFree(correction.slot(), id);
        mustBeKept(correction.arrival());
        ModelStore.Revision revision = revision(correction.revision());
        if (revision.id() != before.revisionId() && store.hasEntries(id)) {
            throw Refused.because("It is opened with the notes of revision " + before.revision()
                    + ": the revision cannot change while its ledger runs.");
        }
        Arrival arrival = correction.arrival();
        Arrival was = arrival(before);
        store.correctUnit(before.unitId(), Checked.optionalText("serial", correction.serial(), 60), revision.id());
        store.correctJob(
                id,
                new CheckInStore.NewJob(
                        before.unitId(),
                        revision.id(),
                        before.ownership(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        correction.slot(),
                        correction.due(),
                        arrival.complaint(),
                        arrival.condition()));
        arrivals.write(id, arrival, missing(revision.id(), arrival));
        finder.renew(id);
        JobStore.Job after = jobs.job(id);
        ArrivalLine.Corrected words = ArrivalLine.corrected(before, after, was, arrival);
        journal.write(
                by,
                new Journal.Entry(
                        id,
                        "job",
                        id,
                        words.ours(),
                        words.owners(),
                        ArrivalLine.of(before, was),
                        ArrivalLine.of(after, arrival)));
        return after;
    }

    private Arrival arrival(JobStore.Job job) {
        List<Arrival.Missing> missing = arrivals.missing(job.id()).stream()
                .map(thing -> new Arrival.Missing(thing.thing(), thing.count()))
                .toList();
        return new Arrival(
                job.complaint(),
                arrivals.symptoms(job.id()),
                arrivals.marks(job.id()),
                job.condition(),
                missing,
                arrivals.belongings(job.id()).stream()
                        .map(ArrivalStore.Belonging::name)
                        .toList(),
                arrivals.photos(job.id()),
                arrivals.places(job.id()));
    }

    /** The tag the next new unit will get, unless somebody else is quicker. */
    Tag nextTag() {
        return store.nextTag();
    }
}
