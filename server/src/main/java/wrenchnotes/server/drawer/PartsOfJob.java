package wrenchnotes.server.drawer;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.CameFrom;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.drawer.PartTold;
import wrenchnotes.core.drawer.PartTold.Teller;
import wrenchnotes.core.drawer.Recipe;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.job.JobStore;

/**
 * Parts that a job takes. Whoever tells of one, in whatever room, tells it here: what was told already is joined, what is new is
 * moved, and what is taken back goes where it came from. Each method runs in the caller's transaction.
 */
@Component
public class PartsOfJob {

    private final DrawerStore drawers;
    private final MoveStore moves;
    private final ToldStore told;
    private final DonorParts donors;
    private final JobStore jobs;

    PartsOfJob(DrawerStore drawers, MoveStore moves, ToldStore told, DonorParts donors, JobStore jobs) {
        this.drawers = drawers;
        this.moves = moves;
        this.told = told;
        this.donors = donors;
        this.jobs = jobs;
    }

    /** As of {@link ToldStore#usedBefore}. */
    public Map<Long, List<UsedBefore>> usedBefore(Collection<Long> components) {
        return told.usedBefore(components);
    }

    /**
     * Some of a part, as somebody says it.
     *
     * @param count 1 to 99
     * @param costMinor what they cost together; of a drawer's part the drawer knows, of a donor's the donor
     * @param donor the unit that it is taken out of, if that is known
     */
    public record Fitted(
            MoveStore.What what,
            CameFrom cameFrom,
            int count,
            Optional<Long> costMinor,
            Optional<Recipe> recipe,
            Optional<DonorParts.FromDonor> donor) {

        public Fitted {
            Checked.present("cameFrom", cameFrom);
            Checked.within("count", count, 1, 99);
            if (donor.isPresent() && cameFrom != CameFrom.DONOR) {
                throw new Invalid(
                        "donor", "Only what is from a donor has one: leave it out, or say that it is from one");
            }
            what = new MoveStore.What(what.part(), Checked.optionalText("words", what.words(), 120));
            if (what.part().isPresent() != what.words().isEmpty()) {
                throw new Invalid("words", "Say which part it is: one of a drawer, or in words what it is");
            }
            if (cameFrom == CameFrom.DRAWER && what.part().isEmpty()) {
                throw new Invalid("partId", "Say which part of a drawer it is");
            }
            if (costMinor.filter(cost -> cost < 0).isPresent()) {
                throw new Invalid("costMinor", "A part cannot cost less than nothing: give 0 or more");
            }
        }

        public static Fitted fromDrawer(long part, int count) {
            return new Fitted(
                    MoveStore.What.of(part),
                    CameFrom.DRAWER,
                    count,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }
    }

    /**
     * Where it was told.
     *
     * @param press of the ledger: the moment of the press
     * @param component that it is for, if anybody knows
     */
    public record Place(
            Teller teller,
            Optional<Long> finding,
            Optional<Long> press,
            Optional<String> thing,
            Optional<Long> component) {

        public static Place finding(long finding, long component) {
            return new Place(
                    Teller.FINDING, Optional.of(finding), Optional.empty(), Optional.empty(), Optional.of(component));
        }

        public static Place ledger(By by, String thing, Optional<Long> component) {
            return new Place(
                    Teller.LEDGER, Optional.empty(), Optional.of(by.moment().number()), Optional.of(thing), component);
        }

        public static Place used() {
            return new Place(Teller.USE, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

    /**
     * Parts of a job went somewhere.
     *
     * @throws wrenchnotes.core.unit.Refused if the drawer has fewer than are needed beyond what was told already
     */
    public void tell(By by, long job, Fitted fitted, Place place, String why) {
        MoveStore.What what = fitted.what();
        what.part().ifPresent(drawers::part);
        int before = needed(job, what, fitted.cameFrom(), fitted.donor(), place.teller());
        told.add(by, job, fitted, place);
        int more = needed(job, what, fitted.cameFrom(), fitted.donor(), place.teller()) - before;
        if (more == 0) {
            return;
        }
        PartAccount to = place.teller() == Teller.USE ? PartAccount.JOB : PartAccount.UNIT;
        MoveStore.For reason = new MoveStore.For(Optional.of(job), place.finding(), place.thing(), why);
        int aside = fromShelf(by, job, fitted, more, to, reason);
        if (more > aside) {
            long value = cost(fitted, more - aside);
            moves.move(
                    by,
                    new MoveStore.Movement(what, more - aside, fitted.cameFrom().account(), to, value, fitted.donor()),
                    reason);
            fitted.donor().ifPresent(from -> donors.moved(by, from, true, whose(job)));
        }
    }

    private String whose(long job) {
        return "for " + jobs.job(job).tag();
    }

    /** What is set aside for the job goes first. @return how many that were */
    private int fromShelf(By by, long job, Fitted fitted, int more, PartAccount to, MoveStore.For reason) {
        if (fitted.cameFrom() != CameFrom.DRAWER) {
            return 0;
        }
        Stock lies = moves.held(fitted.what(), "set aside", PartAccount.SHELF, job);
        int taken = Math.min(more, lies.count());
        if (taken > 0) {
            moves.move(
                    by,
                    new MoveStore.Movement(fitted.what(), taken, PartAccount.SHELF, to, lies.costOf(taken)),
                    reason);
        }
        return taken;
    }

    /**
     * What a job took of one part.
     *
     * @param partId empty if it is of no drawer
     * @param costMinor what they cost together, in minor units
     * @param marks what is said of them for good: "second-hand"
     * @param told who tells of them, in words
     * @param used what was used beside findings, by number, and so can be put back
     */
    public record JobPart(
            Optional<Long> partId,
            String name,
            int count,
            long costMinor,
            List<String> marks,
            List<String> told,
            List<Long> used) {}

    /** Everything that a job took, in the order in which it was first taken; what it cost is the sum. */
    public List<JobPart> ofJob(long job) {
        List<ToldStore.ToldRow> rows = told.ofJob(job);
        return told.held(job).stream()
                .map(held -> {
                    List<ToldStore.ToldRow> its = rows.stream()
                            .filter(row -> row.what().equals(held.what()))
                            .toList();
                    return new JobPart(
                            held.what().part(),
                            held.name(),
                            held.count(),
                            held.valueMinor(),
                            Stream.concat(
                                            its.stream()
                                                    .map(row -> row.cameFrom().mark()),
                                            Stream.of(held.temporary() ? "for a test only" : ""))
                                    .filter(mark -> !mark.isEmpty())
                                    .distinct()
                                    .toList(),
                            its.stream()
                                    .map(ToldStore.ToldRow::teller)
                                    .distinct()
                                    .toList(),
                            its.stream()
                                    .filter(row -> row.told().teller() == Teller.USE)
                                    .map(ToldStore.ToldRow::id)
                                    .toList());
                })
                .toList();
    }

    /** Whether the ledger tells of a part at a thing of this job. */
    public boolean toldByLedger(long job, String thing) {
        return told.ofJob(job).stream()
                .anyMatch(row -> row.told().teller() == Teller.LEDGER
                        && row.thing().filter(thing::equals).isPresent());
    }

    /** The drawer's part that went in last at a thing of a revision's notes, and stands. */
    public Optional<Long> lastAt(long revision, String thing) {
        return told.lastAt(revision, thing);
    }

    private long cost(Fitted fitted, int more) {
        if (fitted.donor().isPresent()) {
            return donors.takes(fitted.donor().get()).valueMinor();
        }
        if (fitted.cameFrom() == CameFrom.DRAWER) {
            Stock lies = drawers.part(fitted.what().part().orElseThrow()).stock();
            lies.take(more);
            return lies.costOf(more);
        }
        long all = fitted.costMinor().orElseGet(() -> fitted.what()
                .part()
                .map(part -> drawers.part(part).eachMinor() * fitted.count())
                .orElse(0L));
        return new Stock("all", fitted.count(), all).costOf(more);
    }

    private int needed(
            long job, MoveStore.What what, CameFrom from, Optional<DonorParts.FromDonor> donor, Teller teller) {
        return PartTold.needed(told.ofJob(job).stream()
                .filter(row -> row.sameAs(what, from, donor))
                .map(ToldStore.ToldRow::told)
                .filter(one -> (one.teller() == Teller.USE) == (teller == Teller.USE))
                .toList());
    }

    /** A finding is struck: what it alone told of goes back where it came from. */
    public void findingBack(By by, long job, long finding, String why) {
        back(by, job, row -> row.finding().filter(id -> id == finding).isPresent(), why);
    }

    /** An entry of the ledger is taken back: what it alone told of goes back where it came from. @param press its moment */
    public void pressBack(By by, long job, long press, String thing, String why) {
        back(
                by,
                job,
                row -> row.press().filter(moment -> moment == press).isPresent()
                        && row.thing().filter(thing::equals).isPresent(),
                why);
    }

    /** What was used beside findings is put back. */
    void useBack(By by, long job, long id, String why) {
        back(by, job, row -> row.id() == id, why);
    }

    private void back(By by, long job, Predicate<ToldStore.ToldRow> which, String why) {
        for (ToldStore.ToldRow row : told.ofJob(job).stream().filter(which).toList()) {
            Teller teller = row.told().teller();
            int before = needed(job, row.what(), row.cameFrom(), row.donor(), teller);
            told.back(by, List.of(row.id()));
            int less = before - needed(job, row.what(), row.cameFrom(), row.donor(), teller);
            if (less > 0) {
                back(by, job, row, less, why);
            }
        }
    }

    private void back(By by, long job, ToldStore.ToldRow row, int less, String why) {
        Stock used = moves.held(row.what(), row.name(), PartAccount.JOB, job);
        boolean fromUse = row.told().teller() == Teller.USE && used.count() >= less;
        PartAccount from = fromUse ? PartAccount.JOB : PartAccount.UNIT;
        Stock held = fromUse ? used : moves.held(row.what(), row.name(), PartAccount.UNIT, job);
        moves.move(
                by,
                new MoveStore.Movement(
                        row.what(), less, from, row.cameFrom().account(), held.costOf(less), row.donor()),
                new MoveStore.For(Optional.of(job), row.finding(), row.thing(), why));
        row.donor().ifPresent(donor -> donors.moved(by, donor, false, whose(job)));
    }
}
