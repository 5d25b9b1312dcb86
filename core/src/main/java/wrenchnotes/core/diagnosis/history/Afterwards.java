package wrenchnotes.core.diagnosis.history;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import wrenchnotes.core.outcome.Outcome;

/** What became of units after their jobs: when they went out, when they came back and with what, and whether they are known to be gone. */
public final class Afterwards {

    /** The day that has not come. */
    public static final long NEVER = Long.MAX_VALUE;

    private final ClosedBook book;
    private final Map<Long, List<Comeback.AtFault>> here;

    /** @param here faults of units that are in the shop now: a comeback counts before it is mended */
    public Afterwards(ClosedBook book, Collection<Comeback.AtFault> here) {
        this.book = book;
        this.here = here.stream().collect(Collectors.groupingBy(Comeback.AtFault::unit));
    }

    /**
     * Each time that a unit came back for the component of a finding, in milliseconds since 1970.
     *
     * @param job that it was found in, from 0 to the size of the book
     * @param found where the finding stands in {@link ClosedBook#found}
     */
    public LongStream comebacks(int job, int found) {
        int component = book.found().component(found);
        LongStream.Builder back = LongStream.builder();
        StaysOfUnits units = book.units();
        for (int stay = units.last(book.unit(job)); stay != StaysOfUnits.NONE; stay = units.before(stay)) {
            if (follows(job, stay) && atFault(stay, component)) {
                back.add(book.checkedIn(stay));
            }
        }
        List<Comeback.AtFault> now = here.get(book.unit(job));
        if (now != null) {
            Comeback.AtFault then = new Comeback.AtFault(book.unit(job), component, book.checkedIn(job), book.id(job));
            now.stream()
                    .filter(later -> Comeback.is(then, later))
                    .mapToLong(Comeback.AtFault::checkedIn)
                    .distinct()
                    .forEach(back::add);
        }
        return back.build();
    }

    /** When a unit first came back for the component of a finding; {@link #NEVER} if it has not. Arguments as of {@link #comebacks}. */
    public long back(int job, int found) {
        int component = book.found().component(found);
        StaysOfUnits units = book.units();
        long first = NEVER;
        for (int stay = units.last(book.unit(job)); stay != StaysOfUnits.NONE; stay = units.before(stay)) {
            if (book.checkedIn(stay) < first && follows(job, stay) && atFault(stay, component)) {
                first = book.checkedIn(stay);
            }
        }
        return here.containsKey(book.unit(job))
                ? Math.min(first, comebacks(job, found).min().orElse(NEVER))
                : first;
    }

    /** Whether it did. Arguments as of {@link #comebacks}. */
    public boolean cameBack(int job, int found) {
        return back(job, found) != NEVER;
    }

    /**
     * When the unit of a job went out into use: when it was sold, if that was after its handover and it had not come back before.
     *
     * @param back when it first came back; {@link #NEVER}
     */
    public long wentOut(int job, long back) {
        long sold = book.soldAt(job);
        return sold != NEVER && sold > book.handedOver(job) && back > sold ? sold : book.handedOver(job);
    }

    /** When the unit of a job came in to be kept for parts in the end; {@link #NEVER} if it is not known to be gone. */
    public long gone(int job) {
        long gone = NEVER;
        StaysOfUnits units = book.units();
        for (int stay = units.last(book.unit(job)); stay != StaysOfUnits.NONE; stay = units.before(stay)) {
            if (follows(job, stay)
                    && book.ended(stay).filter(Outcome.KEPT_FOR_PARTS::equals).isPresent()) {
                gone = Math.min(gone, book.checkedIn(stay));
            }
        }
        return gone;
    }

    private boolean follows(int job, int stay) {
        return stay != job && Comeback.follows(book.checkedIn(job), book.id(job), book.checkedIn(stay), book.id(stay));
    }

    private boolean atFault(int job, int component) {
        for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
            if (book.found().component(at) == component && book.found().kind(at).comesBack()) {
                return true;
            }
        }
        return false;
    }
}
