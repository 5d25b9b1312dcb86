package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.apache.commons.statistics.descriptive.Median;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Afterwards;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.FoundRows;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.pattern.lasts.MeanComebacks.UnitFollowed;
import wrenchnotes.core.pattern.lasts.StayLength;

/**
 * How long units lasted after each remedy: from handover, or from the sale if the shop sold them later, to the check-in of the first later stay that has a
 * fault of the same component; or until today, or until the unit was known to be gone. A remedy that changed nothing is none, and one that left things
 * as they are is none either. A unit that was never given out again, since it was kept for parts, has no stay; nor has one of which nobody knows which it
 * was, for nobody could tell that it came back.
 *
 * @param stays in the order in which jobs were closed
 * @param failed how often each remedy changed nothing
 */
public record FaultStays(List<StayAfter> stays, Map<Remedy, Integer> failed) {

    private static final double DAY = 86_400_000;
    private static final double HOUR = 3_600_000;
    private static final double MINUTE = 60_000;
    /** One that is back within the hour stayed away all the same. */
    private static final double LEAST_DAYS = 1 / 24.0;

    /**
     * One unit after one remedy.
     *
     * @param on what was remedied
     * @param supplier whose part went in; {@link ClosedJob#NOBODY}
     * @param from in milliseconds since 1970
     * @param partsMinor what the parts of its job cost
     * @param benchMillis what its job took; 0 if nobody kept the time
     * @param often after how many days, each time that it came back
     * @param out whether it is out there still: not back, and not known to be gone
     * @param followedToDay today, or when it was known to be gone
     */
    public record StayAfter(
            long job,
            FaultOn on,
            Remedy remedy,
            long supplier,
            Ownership ownership,
            long from,
            StayLength length,
            long partsMinor,
            long benchMillis,
            List<Double> often,
            double followedToDay,
            boolean out) {

        public UnitFollowed followed() {
            return new UnitFollowed(often, followedToDay);
        }

        /** As it stood at an earlier moment, in milliseconds since 1970; empty if it had not begun. */
        Optional<StayAfter> asOf(long at) {
            if (from >= at) {
                return Optional.empty();
            }
            double age = days(from, at);
            boolean lastedStill = age < length.days();
            return Optional.of(new StayAfter(
                    job,
                    on,
                    remedy,
                    supplier,
                    ownership,
                    from,
                    lastedStill ? new StayLength(age, false) : length,
                    partsMinor,
                    benchMillis,
                    often.stream().filter(day -> day <= age).toList(),
                    Math.min(followedToDay, age),
                    lastedStill || out));
        }

        /** What its job cost, in minor units: parts, and work at the shop's price of an hour. */
        public double costMinor(long hourMinor) {
            return partsMinor + benchMillis / HOUR * hourMinor;
        }
    }

    /**
     * @param which faults are looked at
     * @param narrowed which jobs, and what was done there
     * @param here faults of units that are in the shop now: a comeback counts before it is mended
     * @param now in milliseconds since 1970
     */
    public static FaultStays of(
            ClosedBook book, Predicate<FaultOn> which, Narrowed narrowed, Collection<Comeback.AtFault> here, long now) {
        Afterwards afterwards = new Afterwards(book, here);
        FoundRows found = book.found();
        List<StayAfter> stays = new ArrayList<>();
        Map<Remedy, Integer> failed = new EnumMap<>(Remedy.class);
        for (int job = 0; job < book.size(); job++) {
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                FaultOn on = new FaultOn(found.on(at), found.fault(at));
                if (!which.test(on)
                        || !found.kind(at).fault()
                        || found.remedy(at) == Remedy.LEFT_AS_IT_IS
                        || !narrowed.job(book, job)
                        || !narrowed.done(found, at)) {
                    continue;
                }
                if (found.failed(at)) {
                    failed.merge(found.remedy(at), 1, Integer::sum);
                } else if (wentOut(book, job)) {
                    stays.add(stay(book, job, at, on, afterwards, now));
                }
            }
        }
        return new FaultStays(List.copyOf(stays), failed);
    }

    private static boolean wentOut(ClosedBook book, int job) {
        return book.unit(job) != ClosedJob.NO_UNIT
                && book.ended(job).filter(Outcome.KEPT_FOR_PARTS::equals).isEmpty();
    }

    private static StayAfter stay(ClosedBook book, int job, int at, FaultOn on, Afterwards afterwards, long now) {
        long back = afterwards.back(job, at);
        long from = afterwards.wentOut(job, back);
        long followed = Math.min(now, afterwards.gone(job));
        List<Double> often = back == Afterwards.NEVER
                ? List.of()
                : afterwards
                        .comebacks(job, at)
                        .sorted()
                        .mapToObj(time -> days(from, time))
                        .toList();
        double last = often.isEmpty() ? 0 : often.get(often.size() - 1);
        return new StayAfter(
                book.id(job),
                on,
                book.found().remedy(at),
                book.found().supplier(at),
                book.ownership(job),
                from,
                new StayLength(days(from, Math.min(back, followed)), back <= followed),
                book.partsMinor(job),
                book.benchMillis(job),
                often,
                Math.max(last, days(from, followed)),
                back == Afterwards.NEVER && followed == now);
    }

    private static double days(long from, long until) {
        return Math.max(LEAST_DAYS, (until - from) / DAY);
    }

    /** What the jobs of some stays cost on average, in minor units; 0 of none. */
    static double meanCost(List<StayAfter> stays, long hourMinor) {
        return stays.stream()
                .mapToDouble(stay -> stay.costMinor(hourMinor))
                .average()
                .orElse(0);
    }

    /** How many minutes their jobs took at the bench, in the median; empty if nobody kept the time. */
    static Optional<Integer> usualMinutes(List<StayAfter> stays) {
        double[] minutes = stays.stream()
                .filter(stay -> stay.benchMillis() > 0)
                .mapToDouble(stay -> stay.benchMillis() / MINUTE)
                .toArray();
        return minutes.length == 0
                ? Optional.empty()
                : Optional.of((int) Math.round(Median.withDefaults().evaluate(minutes)));
    }

    /** How long they lasted, by whatever tells them apart. */
    public <K> Map<K, List<StayLength>> lengths(Function<StayAfter, K> by) {
        return stays.stream()
                .collect(Collectors.groupingBy(by, Collectors.mapping(StayAfter::length, Collectors.toList())));
    }
}
