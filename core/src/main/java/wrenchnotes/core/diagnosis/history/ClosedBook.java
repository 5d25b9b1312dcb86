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
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;

/**
 * All closed jobs in memory, a column an array: about 67 bytes a job, 19 a finding, 4 a word. Jobs are added as they are closed; what is
 * asked is counted from first to last, so that any filter is as quick as none. Learning, patterns, estimates, prices and comebacks read it.
 *
 * <p>Not safe for several threads: whoever holds it lets one add, or many read.
 */
public final class ClosedBook {

    private static final int NONE = -1;
    static final long NEVER = Long.MAX_VALUE;
    private static final Ownership[] OWNERSHIPS = Ownership.values();
    private static final Remedy[] REMEDIES = Remedy.values();
    private static final FindingKind[] KINDS = FindingKind.values();
    private static final Outcome[] OUTCOMES = Outcome.values();
    private final Columns.Longs id = new Columns.Longs();
    private final Columns.Longs checkedIn = new Columns.Longs();
    private final Columns.Longs handedOver = new Columns.Longs();
    private final Columns.Longs benchMillis = new Columns.Longs();
    private final Columns.Longs partsMinor = new Columns.Longs();
    private final Columns.Ints revision = new Columns.Ints();
    private final Columns.Ints unit = new Columns.Ints();
    private final Columns.Bytes ownership = new Columns.Bytes();
    private final Columns.Bytes outcome = new Columns.Bytes();
    private final Columns.Bytes untested = new Columns.Bytes();
    /** Where the findings of a job begin; they end where those of the next do. */
    private final Columns.Ints firstFound = new Columns.Ints();
    /** The same of the words that were said. */
    private final Columns.Ints firstSaid = new Columns.Ints();
    /** The job of the same unit that was added before it. */
    private final Columns.Ints sameUnitBefore = new Columns.Ints();
    /** By unit: its job that was added last. */
    private final Columns.Ints lastOfUnit = new Columns.Ints(NONE);

    private final Columns.Ints foundOn = new Columns.Ints();
    private final Columns.Ints fault = new Columns.Ints();
    private final Columns.Ints component = new Columns.Ints();
    private final Columns.Bytes remedy = new Columns.Bytes();
    private final Columns.Bytes failed = new Columns.Bytes();
    private final Columns.Bytes kind = new Columns.Bytes();
    private final RemedyChanges changes = new RemedyChanges();
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
        long jobs = id.bytes() + checkedIn.bytes() + handedOver.bytes() + benchMillis.bytes() + partsMinor.bytes();
        long places = firstFound.bytes() + firstSaid.bytes() + sameUnitBefore.bytes() + lastOfUnit.bytes();
        long findings = foundOn.bytes()
                + fault.bytes()
                + component.bytes()
                + remedy.bytes()
                + failed.bytes()
                + kind.bytes()
                + changes.bytes();
        return jobs
                + revision.bytes()
                + unit.bytes()
                + ownership.bytes()
                + outcome.bytes()
                + inside.bytes()
                + untested.bytes()
                + places
                + findings
                + word.bytes();
    }

    /** Adds a job, once, after all that were closed before it. */
    public void add(ClosedJob job) {
        int at = size();
        id.add(job.id());
        checkedIn.add(job.checkedIn());
        handedOver.add(job.handedOver());
        benchMillis.add(job.benchMillis());
        partsMinor.add(job.partsMinor());
        revision.add(job.revision());
        unit.add(job.unit());
        ownership.add(job.ownership().ordinal());
        outcome.add(job.outcome().map(Outcome::ordinal).orElse(NONE));
        untested.add(job.untested() ? 1 : 0);
        inside.add(job.inside());
        firstFound.add(fault.size());
        firstSaid.add(word.size());
        sameUnitBefore.add(lastOfUnit.get(unit.get(at)));
        lastOfUnit.set(unit.get(at), job.unit() == ClosedJob.NO_UNIT ? NONE : at);
        for (ClosedJob.FoundFault found : job.found()) {
            foundOn.add(found.revision());
            fault.add(found.fault());
            component.add(found.component());
            remedy.add(found.remedy().ordinal());
            failed.add(found.failed() ? 1 : 0);
            kind.add(found.kind().ordinal());
            changes.add(found.changed());
        }
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
        for (int found = firstFound.get(at); found < endOfFound(at); found++) {
            if (!failed(found) && kind(found).fault()) {
                FaultName name = names.faults().get((long) fault.get(found));
                faults.add(name);
                changes.of(found, (said, still) -> (still ? stayed : went)
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

    Optional<Outcome> ended(int at) {
        return outcome.get(at) == NONE ? Optional.empty() : Optional.of(OUTCOMES[outcome.get(at)]);
    }

    /**
     * Whether a unit could be mended and stayed so: a comeback takes it back, and one that was given up after work at the bench could not be. Empty if
     * nobody tried, neither to mend it nor whether it was. @param at as of {@link #past}
     */
    Optional<Boolean> mended(int at) {
        if (untested.get(at) > 0) {
            return Optional.empty();
        }
        return ended(at)
                .flatMap(word -> word.mended(benchMillis.get(at) > 0))
                .map(mended -> mended
                        && IntStream.range(firstFound.get(at), endOfFound(at))
                                .noneMatch(found -> kind(found).fault() && cameBack(at, found, Map.of())));
    }

    long revision(int at) {
        return revision.get(at);
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
        for (int job = lastOfUnit.get(Math.toIntExact(ofUnit)); job != NONE; job = sameUnitBefore.get(job)) {
            for (int at = firstFound.get(job); at < endOfFound(job); at++) {
                earlier.add(new EarlierFault(id.get(job), fault.get(at), remedy(at), handedOver.get(job)));
            }
        }
        earlier.sort(Comparator.comparingLong(EarlierFault::handedOver).reversed());
        return earlier;
    }

    int firstFound(int at) {
        return firstFound.get(at);
    }

    int endOfFound(int at) {
        return at + 1 < size() ? firstFound.get(at + 1) : fault.size();
    }

    /** @param found from {@link #firstFound} to before {@link #endOfFound} of its job */
    int fault(int found) {
        return fault.get(found);
    }

    int foundOn(int found) {
        return foundOn.get(found);
    }

    FindingKind kind(int found) {
        return KINDS[kind.get(found)];
    }

    Remedy remedy(int found) {
        return REMEDIES[remedy.get(found)];
    }

    boolean failed(int found) {
        return failed.get(found) > 0;
    }

    Ownership ownership(int at) {
        return OWNERSHIPS[ownership.get(at)];
    }

    long handedOver(int at) {
        return handedOver.get(at);
    }

    /** @param at of the job that it was found in @param here by unit, faults of units that are in the shop now */
    boolean cameBack(int job, int at, Map<Long, List<Comeback.AtFault>> here) {
        return backAt(job, at, here) != NEVER;
    }

    /** When a unit came back for the component of a finding, for the first time; {@link #NEVER} if it has not. Arguments as of {@link #cameBack}. */
    long backAt(int job, int at, Map<Long, List<Comeback.AtFault>> here) {
        Comeback.AtFault now = new Comeback.AtFault(unit.get(job), component.get(at), checkedIn.get(job), id.get(job));
        long first = NEVER;
        for (int stay = lastOfUnit.get(unit.get(job)); stay != NONE; stay = sameUnitBefore.get(stay)) {
            if (stay != job
                    && Comeback.follows(checkedIn.get(job), id.get(job), checkedIn.get(stay), id.get(stay))
                    && has(stay, component.get(at))) {
                first = Math.min(first, checkedIn.get(stay));
            }
        }
        for (Comeback.AtFault later : here.getOrDefault(now.unit(), List.of())) {
            if (Comeback.is(now, later)) {
                first = Math.min(first, later.checkedIn());
            }
        }
        return first;
    }

    private boolean has(int job, int wanted) {
        for (int at = firstFound.get(job); at < endOfFound(job); at++) {
            if (component.get(at) == wanted && kind(at).comesBack()) {
                return true;
            }
        }
        return false;
    }
}
