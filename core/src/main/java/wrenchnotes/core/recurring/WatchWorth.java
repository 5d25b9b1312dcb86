package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.history.Afterwards;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.FoundRows;
import wrenchnotes.core.unit.Checked;

/**
 * What is worth looking at on every unit of a revision. A fault would have been missed by whoever mends only what a unit came for if it was found after another
 * one, or if the unit was back with its component: these are the events. A look is one at each job of the revision. The definition is ours; no source.
 *
 * @param component that is looked at
 * @param jobs of the revision
 * @param missMinor what a miss costs: another stay, as the jobs with this fault took it
 */
public record WatchWorth(FaultOn on, long component, int jobs, double missMinor, WatchGain gain) {

    /** How long a look takes, in minutes. Ours, no source. */
    public static final double LOOK_MINUTES = 2;
    /** Where nobody kept the time, a stay takes so many minutes. Ours, no source. */
    private static final double USUAL_MINUTES = 30;

    private static final double MINUTE = 60_000;
    private static final double HOUR_MINUTES = 60;
    private static final double MONTH = 365.25 / 12 * 86_400_000;

    private static final class Counted {
        private final FaultOn on;
        private final long component;
        private int events;
        private int times;
        private double minor;

        Counted(FaultOn on, long component) {
            this.on = on;
            this.component = component;
        }
    }

    /**
     * @param from jobs handed over then or later, in milliseconds since 1970
     * @param now until then
     * @param hourMinor what an hour at the bench costs, in minor units
     * @return those that earn it, the greatest gain first; one for each component of a revision
     */
    public static List<WatchWorth> of(
            ClosedBook book, long from, long now, Collection<Comeback.AtFault> here, long hourMinor) {
        Checked.within("from", from, Long.MIN_VALUE, now - 1.0);
        Counted[] counted = new Counted[book.found().sorts()];
        Map<Long, Integer> jobs = new HashMap<>();
        Afterwards afterwards = new Afterwards(book, here);
        FoundRows found = book.found();
        for (int job = 0; job < book.size(); job++) {
            if (book.handedOver(job) < from || book.handedOver(job) >= now) {
                continue;
            }
            for (long revision : OpenedJobs.opened(book, job)) {
                jobs.merge(revision, 1, Integer::sum);
            }
            int first = book.firstFound(job);
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                if (!found.kind(at).fault() || found.failed(at)) {
                    continue;
                }
                boolean beside = beside(found, first, at);
                int sort = found.sort(at);
                counted[sort] = counted[sort] == null
                        ? new Counted(new FaultOn(found.onOf(sort), found.faultOf(sort)), found.component(at))
                        : counted[sort];
                Counted one = counted[sort];
                one.times++;
                one.minor += minutes(book, job) / HOUR_MINUTES * hourMinor + book.partsMinor(job);
                one.events += beside || afterwards.cameBack(job, at) ? 1 : 0;
            }
        }
        return earned(counted, jobs, (now - from) / MONTH, hourMinor);
    }

    /** Whether another component was at fault there before it, and this one not yet. */
    private static boolean beside(FoundRows found, int first, int at) {
        boolean other = false;
        for (int before = first; before < at; before++) {
            if (found.kind(before).fault() && !found.failed(before)) {
                if (found.component(before) == found.component(at)) {
                    return false;
                }
                other = true;
            }
        }
        return other;
    }

    private static double minutes(ClosedBook book, int job) {
        return book.benchMillis(job) > 0 ? book.benchMillis(job) / MINUTE : USUAL_MINUTES;
    }

    private static List<WatchWorth> earned(Counted[] counted, Map<Long, Integer> jobs, double months, long hourMinor) {
        List<WatchWorth> all = new ArrayList<>();
        for (Counted one : counted) {
            if (one == null || one.events < WatchGain.LEAST_EVENTS) {
                continue;
            }
            int its = jobs.get(one.on.revision());
            double miss = one.minor / one.times;
            WatchGain gain = WatchGain.of(one.events, months, its / months, miss, lookMinor(hourMinor));
            if (gain.earned()) {
                all.add(new WatchWorth(one.on, one.component, its, miss, gain));
            }
        }
        all.sort(Comparator.comparingDouble((WatchWorth one) -> -one.gain().monthMinor())
                .thenComparing(one -> one.on().revision())
                .thenComparing(one -> one.on().fault()));
        Set<String> told = new HashSet<>();
        return all.stream()
                .filter(one -> told.add(one.on().revision() + " " + one.component()))
                .toList();
    }

    /** What a look costs, in minor units. */
    public static double lookMinor(long hourMinor) {
        return LOOK_MINUTES / HOUR_MINUTES * hourMinor;
    }
}
