package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.pattern.lasts.StayLength;

/**
 * How long units lasted after each remedy of one fault: from handover to the check-in of the first later stay that has a fault of the same component, or
 * until today. A remedy that changed nothing is none, and one that left things as they are is none either: they do not count as done. A unit
 * that was never given out again, since it was kept for parts, has no stay.
 *
 * @param stays by remedy
 * @param failed how often each changed nothing
 */
public record FaultStays(Map<Remedy, List<StayLength>> stays, Map<Remedy, Integer> failed) {

    private static final double DAY = 86_400_000;
    /** One that is back within the hour stayed away all the same. */
    private static final double LEAST_DAYS = 1 / 24.0;

    /**
     * @param open faults of units that are in the shop now: a comeback counts before it is mended
     * @param now in milliseconds since 1970
     */
    public static FaultStays of(
            ClosedBook book, long revision, long fault, Collection<Comeback.AtFault> open, long now) {
        Map<Long, List<Comeback.AtFault>> here = open.stream().collect(Collectors.groupingBy(Comeback.AtFault::unit));
        Map<Remedy, List<StayLength>> stays = new EnumMap<>(Remedy.class);
        Map<Remedy, Integer> failed = new EnumMap<>(Remedy.class);
        for (int job = 0; job < book.size(); job++) {
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                Remedy remedy = book.remedy(at);
                if (book.foundOn(at) != revision
                        || book.fault(at) != fault
                        || !book.kind(at).fault()
                        || remedy == Remedy.LEFT_AS_IT_IS) {
                    continue;
                }
                if (book.failed(at)) {
                    failed.merge(remedy, 1, Integer::sum);
                } else if (book.ended(job)
                        .filter(Outcome.KEPT_FOR_PARTS::equals)
                        .isEmpty()) {
                    stays.computeIfAbsent(remedy, none -> new ArrayList<>()).add(stay(book, job, at, here, now));
                }
            }
        }
        return new FaultStays(stays, failed);
    }

    private static StayLength stay(ClosedBook book, int job, int at, Map<Long, List<Comeback.AtFault>> here, long now) {
        long from = book.handedOver(job);
        long back = book.backAt(job, at, here);
        long until = back == ClosedBook.NEVER ? now : back;
        return new StayLength(Math.max(LEAST_DAYS, (until - from) / DAY), back != ClosedBook.NEVER);
    }
}
