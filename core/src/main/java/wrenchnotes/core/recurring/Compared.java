package wrenchnotes.core.recurring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.recurring.Comparison.Side;
import wrenchnotes.core.recurring.FaultStays.StayAfter;
import wrenchnotes.core.recurring.OpenedJobs.OpenedJob;

/** One fault compared every way that a shop asks: who owns it, which revision, when, what was done, and whose part went in. */
public final class Compared {

    /** Comebacks are compared over as many days from when the unit went out; units that are not out so long yet are left out on both sides. Ours, no source. */
    public static final int OVER_DAYS = 91;

    private Compared() {}

    /**
     * How often it is found. Sides of which there are none are left out.
     *
     * @param revision what the revision is called
     * @param since what is before, and what after, in milliseconds since 1970
     * @param day that moment in words
     */
    public static List<Comparison> found(OpenedJobs opened, String revision, long since, String day) {
        List<OpenedJob> same = opened.jobs().stream().filter(OpenedJob::same).toList();
        List<OpenedJob> others =
                opened.jobs().stream().filter(job -> !job.same()).toList();
        List<Comparison> told = new ArrayList<>();
        found(
                told,
                side("resale units", same, job -> job.ownership() == Ownership.RESALE),
                side("customers’", same, job -> job.ownership() == Ownership.CUSTOMER));
        found(told, side(revision, same, job -> true), side("other revisions", others, job -> true));
        found(
                told,
                side("jobs since " + day, same, job -> job.handedOver() >= since),
                side("those before", same, job -> job.handedOver() < since));
        return told;
    }

    private static void found(List<Comparison> told, Side one, Side other) {
        if (one.outOf() > 0 && other.outOf() > 0) {
            told.add(Comparison.of(one, other, "had it"));
        }
    }

    private static Side side(String name, List<OpenedJob> jobs, Predicate<OpenedJob> which) {
        List<OpenedJob> those = jobs.stream().filter(which).toList();
        return new Side(name, (int) those.stream().filter(OpenedJob::had).count(), those.size());
    }

    /** How often it came back within {@value #OVER_DAYS} days: the two remedies that were done most, and each supplier's parts beside all others. */
    public static List<Comparison> cameBack(FaultStays stays, LongFunction<String> suppliers) {
        List<StayAfter> followed =
                stays.stays().stream().filter(Compared::followed).toList();
        List<Comparison> told = new ArrayList<>();
        Map<Remedy, List<StayAfter>> remedies = followed.stream().collect(Collectors.groupingBy(StayAfter::remedy));
        List<Remedy> most = remedies.keySet().stream()
                .sorted(Comparator.comparingInt(
                                (Remedy remedy) -> -remedies.get(remedy).size())
                        .thenComparing(remedy -> remedy))
                .limit(2)
                .toList();
        if (most.size() == 2) {
            told.add(Comparison.of(
                    side(most.get(1).words(), remedies.get(most.get(1))),
                    side(most.get(0).words(), remedies.get(most.get(0))),
                    "came back"));
        }
        List<StayAfter> parts = followed.stream()
                .filter(stay -> stay.remedy() == Remedy.REPLACED)
                .toList();
        parts.stream()
                .map(StayAfter::supplier)
                .filter(supplier -> supplier != ClosedJob.NOBODY)
                .distinct()
                .sorted()
                .forEach(supplier -> {
                    List<StayAfter> its = parts.stream()
                            .filter(stay -> stay.supplier() == supplier)
                            .toList();
                    List<StayAfter> others = parts.stream()
                            .filter(stay -> stay.supplier() != supplier)
                            .toList();
                    if (!others.isEmpty()) {
                        told.add(Comparison.of(
                                side("parts from " + suppliers.apply(supplier), its),
                                side("all others", others),
                                "came back"));
                    }
                });
        return told;
    }

    static boolean followed(StayAfter stay) {
        return stay.followedToDay() >= OVER_DAYS;
    }

    static boolean soon(StayAfter stay) {
        return stay.length().cameBack() && stay.length().days() <= OVER_DAYS;
    }

    private static Side side(String name, List<StayAfter> stays) {
        return new Side(name, (int) stays.stream().filter(Compared::soon).count(), stays.size());
    }
}
