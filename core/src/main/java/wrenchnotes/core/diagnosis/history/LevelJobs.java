package wrenchnotes.core.diagnosis.history;

import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * The jobs of one level, the older the less they count: all of them, and those of each next narrower one apart, so that what is lent to a narrower level
 * can leave out what that has seen itself.
 */
final class LevelJobs {

    private static final int KEPT = 200;
    private static final double TOO_LARGE = 1e12;

    private final double growth;
    /** What the newest job weighs. */
    private double worth = 1;

    private final Tally all = new Tally();
    private final Map<Long, Tally> within = new LinkedHashMap<>();
    private final Map<FaultName, Integer> found = new LinkedHashMap<>();
    private final Map<Set<FaultName>, Integer> together = new LinkedHashMap<>();
    private final Map<Long, Integer> byModel = new LinkedHashMap<>();
    private final Deque<PastJob> timed = new ArrayDeque<>();
    private int jobs;

    LevelJobs(double growth) {
        this.growth = growth;
    }

    /** @param narrower which of the next narrower level it is */
    void add(PastJob job, long narrower, Credits credits) {
        next(job.where(), job.faults());
        all.add(job, credits, worth);
        within(narrower).add(job, credits, worth);
        if (job.work().isPresent()) {
            timed.addLast(job);
            if (timed.size() > KEPT) {
                timed.removeFirst();
            }
        }
    }

    void addInside(Where where, long narrower, Set<FaultName> its, Credits credits) {
        next(where, its);
        all.found(where, its, credits, worth);
        within(narrower).found(where, its, credits, worth);
    }

    private void next(Where where, Set<FaultName> its) {
        jobs++;
        byModel.merge(where.model(), 1, Integer::sum);
        its.forEach(fault -> found.merge(fault, 1, Integer::sum));
        if (its.size() > 1) {
            together.merge(its, 1, Integer::sum);
        }
        worth *= growth;
        if (worth > TOO_LARGE) {
            all.scale(1 / worth);
            within.values().forEach(one -> one.scale(1 / worth));
            worth = 1;
        }
    }

    private Tally within(long narrower) {
        return within.computeIfAbsent(narrower, id -> new Tally());
    }

    /** All but those of one of the next narrower level, as jobs of today. */
    Others but(long narrower) {
        return new Others(all, within.getOrDefault(narrower, new Tally()), worth);
    }

    /** All of them, as jobs of today. */
    Others whole() {
        return new Others(all, new Tally(), worth);
    }

    /** How many, however old. */
    int jobs() {
        return jobs;
    }

    int of(FaultName fault) {
        return found.getOrDefault(fault, 0);
    }

    /** Sets of two faults or more that were all that was found in a job, with how many jobs. */
    Map<Set<FaultName>, Integer> together() {
        return together;
    }

    /** How many faults were found once. */
    int once() {
        return (int) found.values().stream().filter(times -> times == 1).count();
    }

    Map<Long, Integer> byModel() {
        return byModel;
    }

    Set<FaultName> faults() {
        return found.keySet();
    }

    /** The latest with kept time, oldest first. */
    Collection<PastJob> timed() {
        return List.copyOf(timed);
    }

    /** @param but what of them is left out */
    record Others(Tally all, Tally but, double worth) {

        double jobs() {
            return (all.jobs() - but.jobs()) / worth;
        }

        double jobsOf(Collection<Long> models) {
            double sum = 0;
            for (long model : models) {
                sum += all.byModel().getOrDefault(model, 0.0) - but.byModel().getOrDefault(model, 0.0);
            }
            return Math.max(0, sum / worth);
        }

        double of(FaultName fault) {
            return positive(all.of(fault) - but.of(fault));
        }

        double shown(FaultName fault, String symptom) {
            return positive(all.shown(fault, symptom) - but.shown(fault, symptom));
        }

        double together(Set<FaultName> faults) {
            return positive(all.together(faults) - but.together(faults));
        }

        double leaked(String symptom) {
            return positive(all.leaked(symptom) - but.leaked(symptom));
        }

        double none() {
            return positive(all.none() - but.none());
        }

        double further() {
            return positive(all.further() - but.further());
        }

        /** What is left of a difference of equals may lie a hair below. */
        private double positive(double difference) {
            return Math.max(0, difference / worth);
        }
    }
}
