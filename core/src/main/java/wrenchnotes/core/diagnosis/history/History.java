package wrenchnotes.core.diagnosis.history;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * What the shop's closed jobs say of which faults there are and what they show: counted by revision, model, kind and over all, and
 * each level shrunk to the next wider one, the widest to {@link CommonPractice}.
 *
 * <p>Rate of a level = (jobs with the fault + {@value #RATE_WEIGHT} × rate of the wider level) / (jobs + {@value #RATE_WEIGHT}):
 * the wider level counts as much as {@value #RATE_WEIGHT} jobs. Six, because after half a dozen of one model a bench trusts what
 * it has seen itself (common practice); the demo shop's Brier score hardly moves between 3 and 12. For how likely a fault shows a
 * symptom it is {@value #SHOWS_WEIGHT}, since only the jobs that had the fault count.
 *
 * <p>A symptom in a job with several faults is credited to each, and to chance, in proportion of how likely each caused it by what was
 * known before: one step of EM for noisy-OR for each job as it comes (expectation maximisation: published, Dempster, Laird
 * and Rubin 1977; from memory). A symptom nobody spoke of counts as not shown: the strength is how likely one is told of it.
 *
 * <p>Not safe for several threads.
 */
public final class History {

    static final double RATE_WEIGHT = 6;
    static final double SHOWS_WEIGHT = 3;
    static final double LEAK_WEIGHT = 20;
    /** A fault that no table has, on a model it was not seen on. */
    static final double UNHEARD_OF = 0.01;
    /** How likely a fault shows a symptom that it was never seen to show. */
    static final double SHOWS_SELDOM = 0.02;
    /**
     * The same while a job is learned from: a fault that is there is a likelier cause than chance until jobs say otherwise. Else the first jobs
     * would give chance half of the credit, and chance, once credited, would go on taking it.
     */
    static final double CREDITED = 0.2;
    /** How likely a symptom is told of that no fault here explains. */
    static final double LEAK = 0.02;

    /** Common practice, no source. */
    static final double USUALLY_MENDED = 0.8;

    private static final int MOST_FAULTS = 40;
    private static final int KEPT = 200;

    private final Map<Scope, Counts> scopes = new LinkedHashMap<>();

    private record Scope(Level level, long id) {

        static Scope of(Level level, Where where) {
            return switch (level) {
                case REVISION -> new Scope(level, where.revision());
                case MODEL -> new Scope(level, where.model());
                case KIND -> new Scope(level, where.kind().ordinal());
                case ALL, SHIPPED -> new Scope(Level.ALL, 0);
            };
        }
    }

    /** From the widest to the most specific. */
    private static final List<Level> NARROWING = List.of(Level.ALL, Level.KIND, Level.MODEL, Level.REVISION);

    /** What was found in a sub-assembly counts there too; over all it is counted with the unit that it sits in. */
    private static final List<Level> INSIDE = List.of(Level.KIND, Level.MODEL, Level.REVISION);

    /** How many jobs of a level were learned from. */
    public int jobs(Level level, Where where) {
        return counts(level, where).map(counts -> counts.jobs).orElse(0);
    }

    /** Jobs must come in the order of time: each is weighed by what was known before it. */
    public void learn(PastJob job) {
        List<Counts> levels = NARROWING.stream()
                .map(level -> scopes.computeIfAbsent(Scope.of(level, job.where()), scope -> new Counts()))
                .toList();
        Map<String, Map<FaultName, Double>> credits = new LinkedHashMap<>();
        Map<String, Double> leaked = new LinkedHashMap<>();
        for (String symptom : job.present()) {
            // What went with a remedy was there because of what it mended, not by chance.
            double leak = job.went().containsKey(symptom) ? 0 : leak(symptom, job.where());
            double away = 1 - leak;
            Map<FaultName, Double> by = new LinkedHashMap<>();
            for (FaultName fault : job.mayHaveShown(symptom)) {
                double strength = strength(fault, symptom, job.where(), CREDITED);
                by.put(fault, strength);
                away *= 1 - strength;
            }
            double shown = Math.max(1e-9, 1 - away);
            by.replaceAll((fault, strength) -> strength / shown);
            credits.put(symptom, by);
            leaked.put(symptom, leak / shown);
        }
        levels.forEach(counts -> counts.add(job, credits, leaked));
        job.inside()
                .forEach((where, faults) ->
                        INSIDE.forEach(level -> scopes.computeIfAbsent(Scope.of(level, where), scope -> new Counts())
                                .addInside(where, faults, credits)));
    }

    /**
     * What is to be expected of a unit before anything is said of it.
     *
     * @param known the faults that the model's own words name
     * @param components of every model, by its id: a fault counts elsewhere only where there is such a component
     * @param symptoms the shop's words
     */
    public Rates rates(
            Where where, Set<FaultName> known, Map<Long, Set<String>> components, Collection<String> symptoms) {
        Set<FaultName> faults = new TreeSet<>(known);
        counts(Level.MODEL, where).ifPresent(counts -> faults.addAll(counts.faults.keySet()));
        Set<String> own = components.getOrDefault(where.model(), Set.of());
        counts(Level.ALL, where).ifPresent(counts -> counts.faults.keySet().stream()
                .filter(fault -> own.contains(fault.component()))
                .forEach(faults::add));
        CommonPractice.of(where.kind()).forEach(usual -> faults.add(usual.fault()));
        List<Rates.Rated> rated = faults.stream()
                .map(fault -> rated(fault, where, components))
                .sorted(Comparator.comparingDouble(Rates.Rated::rate).reversed())
                .limit(MOST_FAULTS)
                .toList();
        Map<String, Map<FaultName, Double>> shows = new LinkedHashMap<>();
        Map<String, Double> leaks = new LinkedHashMap<>();
        for (String symptom : symptoms) {
            Map<FaultName, Double> by = new LinkedHashMap<>();
            rated.forEach(one -> by.put(one.fault(), strength(one.fault(), symptom, where, SHOWS_SELDOM)));
            shows.put(symptom, by);
            leaks.put(symptom, leak(symptom, where));
        }
        List<FaultsTogether> together = Stream.of(Level.ALL, Level.KIND)
                .flatMap(level -> counts(level, where).stream().map(counts -> counts.together))
                .toList();
        return new Rates(rated, shows, leaks, FaultsTogether.extras(together), FaultsTogether.nothingWrong(together));
    }

    /** Jobs with kept time that are like this unit, each once, by the narrowest thing in common; the latest {@value #KEPT} of each level. */
    public List<LikeJob> work(Where where) {
        Set<PastJob> told = Collections.newSetFromMap(new IdentityHashMap<>());
        List<LikeJob> like = new ArrayList<>();
        for (int at = NARROWING.size() - 1; at >= 0; at--) {
            Level level = NARROWING.get(at);
            counts(level, where).ifPresent(counts -> counts.timed.stream()
                    .filter(told::add)
                    .forEach(job ->
                            like.add(new LikeJob(level, job.faults(), job.work().orElseThrow()))));
        }
        return like;
    }

    /** How likely a unit like this can be mended, shrunk as the rates are; 0 to 1. */
    public double success(Where where) {
        double success = USUALLY_MENDED;
        for (Level level : NARROWING) {
            double wider = success;
            success = counts(level, where)
                    .map(counts -> (counts.worked + RATE_WEIGHT * wider) / (counts.ended + RATE_WEIGHT))
                    .orElse(wider);
        }
        return success;
    }

    private Rates.Rated rated(FaultName fault, Where where, Map<Long, Set<String>> components) {
        double rate = CommonPractice.of(where.kind()).stream()
                .filter(usual -> usual.fault().equals(fault))
                .mapToDouble(CommonPractice.Usual::rate)
                .findFirst()
                .orElse(UNHEARD_OF);
        Rates.Behind behind = new Rates.Behind(Level.SHIPPED, 0, 0);
        double had = 0;
        double of = 0;
        double wider = rate;
        for (Level level : NARROWING) {
            int count = counts(level, where).map(counts -> counts.of(fault)).orElse(0);
            int outOf = jobsThatCouldHaveIt(fault, level, where, components);
            wider = rate;
            had = count;
            of = outOf;
            rate = (count + RATE_WEIGHT * wider) / (outOf + RATE_WEIGHT);
            if (count > 0) {
                behind = new Rates.Behind(level, count, outOf);
            }
        }
        double kept = Math.min(0.98, Math.max(1e-4, rate));
        return new Rates.Rated(fault, kept, had + RATE_WEIGHT * wider, of + RATE_WEIGHT, behind);
    }

    private int jobsThatCouldHaveIt(FaultName fault, Level level, Where where, Map<Long, Set<String>> components) {
        if (level == Level.REVISION || level == Level.MODEL) {
            return counts(level, where).map(counts -> counts.jobs).orElse(0);
        }
        return counts(level, where)
                .map(counts -> counts.byModel.entrySet().stream()
                        .filter(entry -> entry.getKey() == where.model()
                                || components
                                        .getOrDefault(entry.getKey(), Set.of())
                                        .contains(fault.component()))
                        .mapToInt(Map.Entry::getValue)
                        .sum())
                .orElse(0);
    }

    private double strength(FaultName fault, String symptom, Where where, double untold) {
        double strength = CommonPractice.of(where.kind()).stream()
                .filter(usual -> usual.fault().equals(fault))
                .map(usual -> usual.shows().getOrDefault(symptom, untold))
                .findFirst()
                .orElse(untold);
        for (Level level : NARROWING) {
            double wider = strength;
            strength = counts(level, where)
                    .map(counts ->
                            (counts.shown(fault, symptom) + SHOWS_WEIGHT * wider) / (counts.of(fault) + SHOWS_WEIGHT))
                    .orElse(wider);
        }
        return Math.min(0.98, strength);
    }

    private double leak(String symptom, Where where) {
        double leak = LEAK;
        for (Level level : List.of(Level.ALL, Level.KIND)) {
            double wider = leak;
            leak = counts(level, where)
                    .map(counts -> (counts.leaked.getOrDefault(symptom, 0.0) + LEAK_WEIGHT * wider)
                            / (counts.jobs + LEAK_WEIGHT))
                    .orElse(wider);
        }
        return Math.min(0.5, leak);
    }

    private Optional<Counts> counts(Level level, Where where) {
        return Optional.ofNullable(scopes.get(Scope.of(level, where)));
    }

    /** The jobs of one level. */
    private static final class Counts {

        private int jobs;
        private int ended;
        private int worked;
        private final FaultsTogether together = new FaultsTogether();
        private final Deque<PastJob> timed = new ArrayDeque<>();
        private final Map<Long, Integer> byModel = new LinkedHashMap<>();
        private final Map<FaultName, Integer> faults = new LinkedHashMap<>();
        private final Map<FaultName, Map<String, Double>> shown = new LinkedHashMap<>();
        private final Map<String, Double> leaked = new LinkedHashMap<>();

        void add(PastJob job, Map<String, Map<FaultName, Double>> credits, Map<String, Double> leaks) {
            jobs++;
            together.add(job.faults());
            ended += job.worked().isPresent() ? 1 : 0;
            worked += job.worked().orElse(false) ? 1 : 0;
            if (job.work().isPresent()) {
                timed.addLast(job);
                if (timed.size() > KEPT) {
                    timed.removeFirst();
                }
            }
            byModel.merge(job.where().model(), 1, Integer::sum);
            found(job.faults(), credits);
            leaks.forEach((symptom, credit) -> leaked.merge(symptom, credit, Double::sum));
        }

        /** What unit it sat in, what that was worth and how it ended says nothing of the sub-assembly. */
        void addInside(Where where, Set<FaultName> its, Map<String, Map<FaultName, Double>> credits) {
            jobs++;
            byModel.merge(where.model(), 1, Integer::sum);
            found(its, credits);
        }

        private void found(Set<FaultName> its, Map<String, Map<FaultName, Double>> credits) {
            its.forEach(fault -> faults.merge(fault, 1, Integer::sum));
            credits.forEach((symptom, by) -> by.forEach((fault, credit) -> {
                if (its.contains(fault)) {
                    shown.computeIfAbsent(fault, name -> new LinkedHashMap<>()).merge(symptom, credit, Double::sum);
                }
            }));
        }

        int of(FaultName fault) {
            return faults.getOrDefault(fault, 0);
        }

        double shown(FaultName fault, String symptom) {
            return shown.getOrDefault(fault, Map.of()).getOrDefault(symptom, 0.0);
        }
    }
}
