package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.outcome.Outcome;

/**
 * All closed jobs in memory, a column an array: about 71 bytes a job, 27 a finding, 4 a word. Jobs are added as they are closed; what is
 * asked is counted from first to last, so that any filter is as quick as none. Learning, patterns, estimates, prices and comebacks read it.
 *
 * <p>Not safe for several threads: whoever holds it lets one add, or many read.
 */
public final class ClosedBook {

    private static final Ownership[] OWNERSHIPS = Ownership.values();
    private static final Outcome[] OUTCOMES = Outcome.values();
    private final Columns.Longs id = new Columns.Longs();
    private final Columns.Longs checkedIn = new Columns.Longs();
    private final Columns.Longs handedOver = new Columns.Longs();
    private final Columns.Longs benchMillis = new Columns.Longs();
    private final Columns.Longs partsMinor = new Columns.Longs();
    private final Columns.Ints revision = new Columns.Ints();
    private final Columns.Ints owner = new Columns.Ints();
    private final Columns.Bytes ownership = new Columns.Bytes();
    private final Columns.Bytes outcome = new Columns.Bytes();
    private final Columns.Bytes untested = new Columns.Bytes();
    /** Where the findings of a job begin; they end where those of the next do. */
    private final Columns.Ints firstFound = new Columns.Ints();
    /** The same of the words that were said. */
    private final Columns.Ints firstSaid = new Columns.Ints();

    private final StaysOfUnits units = new StaysOfUnits();
    private final FoundRows found = new FoundRows();
    private final UnitsInside inside = new UnitsInside();

    /** Above 0 if it was there, below if it was asked for and was not. */
    private final Columns.Ints word = new Columns.Ints();

    private final SoldUnits sales = new SoldUnits();

    /** Whether what was learned of it stands: everything that its numbers meant they mean still. */
    public boolean meansTheSame(Names before, Names now) {
        return before.keptBy(now) && inside.sameComponents(before, now);
    }

    /** How many jobs. */
    public int size() {
        return revision.size();
    }

    /** What the columns take, in bytes. */
    public long bytes() {
        return LongStream.of(
                        id.bytes(),
                        checkedIn.bytes(),
                        handedOver.bytes(),
                        benchMillis.bytes(),
                        partsMinor.bytes(),
                        revision.bytes(),
                        owner.bytes(),
                        ownership.bytes(),
                        outcome.bytes(),
                        untested.bytes(),
                        firstFound.bytes(),
                        firstSaid.bytes(),
                        units.bytes(),
                        found.bytes(),
                        inside.bytes(),
                        word.bytes())
                .sum();
    }

    /** Adds a job, once, after all that were closed before it. */
    public void add(ClosedJob job) {
        id.add(job.id());
        checkedIn.add(job.checkedIn());
        handedOver.add(job.handedOver());
        benchMillis.add(job.benchMillis());
        partsMinor.add(job.partsMinor());
        revision.add(job.revision());
        units.add(job.unit());
        owner.add(job.owner());
        ownership.add(job.ownership().ordinal());
        outcome.add(job.outcome().map(Outcome::ordinal).orElse(-1));
        untested.add(job.untested() ? 1 : 0);
        inside.add(job.inside());
        firstFound.add(found.size());
        firstSaid.add(word.size());
        found.add(job.found());
        job.said().forEach(said -> word.add(said.present() ? said.word() : -said.word()));
    }

    /** Adds what a unit fetched, after all that were said before it. */
    public void add(SoldUnit sale) {
        sales.add(sale);
    }

    /**
     * A job as the odds learn from it; empty if it was given up before anybody looked: that teaches nothing of what was wrong.
     *
     * @param at from 0 to {@link #size()}, in the order in which jobs were closed
     */
    public Optional<PastJob> past(int at, Names names) {
        Set<FaultName> faults = new HashSet<>();
        Map<String, Set<FaultName>> went = new HashMap<>();
        Map<String, Set<FaultName>> stayed = new HashMap<>();
        for (int row = firstFound(at); row < endOfFound(at); row++) {
            if (!found.failed(row) && found.kind(row).fault()) {
                FaultName name = names.faults().get((long) found.fault(row));
                faults.add(name);
                found.changed(row, (said, still) -> (still ? stayed : went)
                        .computeIfAbsent(names.words().get(said), symptom -> new HashSet<>())
                        .add(name));
            }
        }
        if (faults.isEmpty() && ended(at).filter(Outcome.NO_FAULT_FOUND::equals).isEmpty()) {
            return Optional.empty();
        }
        Set<String> present = new HashSet<>();
        Set<String> absent = new HashSet<>();
        int end = at + 1 < size() ? firstSaid.get(at + 1) : word.size();
        for (int said = firstSaid.get(at); said < end; said++) {
            (word.get(said) > 0 ? present : absent).add(names.words().get((long) Math.abs(word.get(said))));
        }
        absent.removeAll(present);
        return Optional.of(new PastJob(
                names.revisions().get((long) revision.get(at)),
                faults,
                present,
                absent,
                went,
                stayed,
                inside.faults(at, faults, names),
                benchMillis.get(at) > 0
                        ? Optional.of(new PastJob.Work(benchMillis.get(at) / 60_000.0, partsMinor.get(at)))
                        : Optional.empty()));
    }

    /** All of them that teach anything, in the order in which they were closed. */
    public Iterable<PastJob> all(Names names) {
        return () -> IntStream.range(0, size())
                .mapToObj(at -> past(at, names))
                .flatMap(Optional::stream)
                .iterator();
    }

    public Optional<Outcome> ended(int at) {
        return outcome.get(at) < 0 ? Optional.empty() : Optional.of(OUTCOMES[outcome.get(at)]);
    }

    /**
     * Whether a unit could be mended and stayed so: a comeback takes it back, and one that was given up after work at the bench could not be. Empty if
     * nobody tried, neither to mend it nor whether it was. @param at as of {@link #past}
     */
    Optional<Boolean> mended(int at) {
        if (untested.get(at) > 0) {
            return Optional.empty();
        }
        Afterwards afterwards = new Afterwards(this, List.of());
        return ended(at)
                .flatMap(word -> word.mended(benchMillis.get(at) > 0))
                .map(mended -> mended
                        && IntStream.range(firstFound(at), endOfFound(at))
                                .noneMatch(row -> found.kind(row).fault() && afterwards.cameBack(at, row)));
    }

    public long revision(int at) {
        return revision.get(at);
    }

    /** Revisions of sub-assemblies that were seen in it. @param at as of {@link #past} */
    public int[] inside(int at) {
        return inside.of(at);
    }

    /** The number of a job; below 0 of one that the shop brought with it. @param at as of {@link #past} */
    public long id(int at) {
        return id.get(at);
    }

    /** {@link ClosedJob#NO_UNIT} if nobody knows which. @param at as of {@link #past} */
    public long unit(int at) {
        return units.unit(at);
    }

    /** {@link ClosedJob#NOBODY} of the shop's own. @param at as of {@link #past} */
    public long owner(int at) {
        return owner.get(at);
    }

    /** Spent at the bench, in milliseconds; 0 if nobody kept the time. @param at as of {@link #past} */
    public long benchMillis(int at) {
        return benchMillis.get(at);
    }

    /** What the parts of a job cost, in minor units. @param at as of {@link #past} */
    public long partsMinor(int at) {
        return partsMinor.get(at);
    }

    /** What units like one fetched: the latest sales of its kind, each unit's last, the latest first. */
    public List<LikeSale> sales(Where where, Names names) {
        return sales.like(where, names);
    }

    /** Of a unit, the last handed over first. */
    public List<EarlierFault> earlier(long ofUnit) {
        List<EarlierFault> earlier = new ArrayList<>();
        for (int job = units.last(ofUnit); job != StaysOfUnits.NONE; job = units.before(job)) {
            for (int at = firstFound(job); at < endOfFound(job); at++) {
                earlier.add(new EarlierFault(id.get(job), found.fault(at), found.remedy(at), handedOver.get(job)));
            }
        }
        earlier.sort(Comparator.comparingLong(EarlierFault::handedOver).reversed());
        return earlier;
    }

    /** Where the findings of a job begin in {@link #found}; they end before {@link #endOfFound}. @param at as of {@link #past} */
    public int firstFound(int at) {
        return firstFound.get(at);
    }

    public int endOfFound(int at) {
        return at + 1 < size() ? firstFound.get(at + 1) : found.size();
    }

    /** What was found in all of them, job by job. */
    public FoundRows found() {
        return found;
    }

    public Ownership ownership(int at) {
        return OWNERSHIPS[ownership.get(at)];
    }

    /** In milliseconds since 1970. @param at as of {@link #past} */
    public long handedOver(int at) {
        return handedOver.get(at);
    }

    long checkedIn(int at) {
        return checkedIn.get(at);
    }

    /** {@link Afterwards#NEVER} if nobody said so. */
    long soldAt(int at) {
        return sales.at(id.get(at));
    }

    StaysOfUnits units() {
        return units;
    }
}
