package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * What the shop's closed jobs say of which faults there are and what they show: counted by revision, model, kind and over all, each job once, at the
 * narrowest level that it shares with the unit in question, and each level shrunk to the wider ones, the widest to {@link CommonPractice}.
 *
 * <p>Rate of a level = (its jobs with the fault + w × rate by the wider ones) / (its jobs + w), w by {@link Learning}; for how likely a fault shows a
 * symptom the same over the jobs that had the fault. The newer a job is, the more it counts.
 *
 * <p>A symptom in a job with several faults is credited to each, and to chance ({@link Credits}), by what was known before it; {@link #again} goes through
 * all of them once more by what is known now. A symptom nobody spoke of counts as not shown: the strength is how likely one is told of it.
 *
 * <p>Not safe for several threads.
 */
public final class History {

    /** A fault that no table has, on a model it was not seen on. */
    static final double UNHEARD_OF = 0.01;
    /** How likely a fault shows a symptom that it was never seen to show. */
    static final double SHOWS_SELDOM = 0.02;
    /**
     * The same while a job is learned from: a fault that is there is a likelier cause than chance until jobs say otherwise. Else the first jobs
     * would give chance half of the credit, and chance, once credited, would go on taking it.
     */
    static final double CREDITED = 0.2;
    /** Of an area the shop knows something, once its words were told so often: then one that was never told speaks through them. */
    static final int KNOWN_AREA = 10;
    /** How much of what a fault shows of an area a new word of that area stands for. Ours, no source. */
    static final double OF_ITS_AREA = 0.3;

    /** In how many units a word is told of before any job, and as how many jobs that counts. Ours, no source. */
    private static final double TOLD_SELDOM = 0.1;

    private static final double LENT = 10;

    private static final int MOST_FAULTS = 40;

    private final Learning learning;
    private final Map<Scope, LevelJobs> scopes = new LinkedHashMap<>();
    private final Map<String, Integer> told = new HashMap<>();

    public History() {
        this(Learning.USUAL);
    }

    public History(Learning learning) {
        this.learning = learning;
    }

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

    /** What was found in a sub-assembly counts there too; over all it is counted with the unit that it sits in. */
    private static final List<Level> INSIDE = List.of(Level.KIND, Level.MODEL, Level.REVISION);

    /** How many jobs of a level were learned from. */
    public int jobs(Level level, Where where) {
        return jobsAt(level, where).map(LevelJobs::jobs).orElse(0);
    }

    /** Jobs must come in the order of time: each is weighed by what was known before it. */
    public void learn(PastJob job) {
        add(job, Credits.of(job, known(job.where())));
    }

    /**
     * All of it learned once more, each job weighed by what is known now: a sweep of expectation maximisation over the closed book.
     *
     * @param jobs those that were learned from, in the same order
     */
    public History again(Iterable<PastJob> jobs) {
        History next = new History(learning);
        jobs.forEach(job -> next.add(job, Credits.of(job, known(job.where()))));
        return next;
    }

    private void add(PastJob job, Credits credits) {
        for (Level level : Learning.NARROWING) {
            at(level, job.where()).add(job, Levels.narrower(level, job.where()), credits);
        }
        job.inside()
                .forEach((where, faults) -> INSIDE.forEach(
                        level -> at(level, where).addInside(where, Levels.narrower(level, where), faults, credits)));
        job.present().forEach(word -> told.merge(word, 1, Integer::sum));
    }

    private Credits.Known known(Where where) {
        Levels levels = levels(where);
        return new Credits.Known() {
            @Override
            public double strength(FaultName fault, String symptom) {
                return levels.strength(fault, symptom, shipped(fault, symptom, where, CREDITED));
            }

            @Override
            public double leak(String symptom) {
                return levels.leak(symptom);
            }
        };
    }

    /** As {@link #rates(Where, Set, Map, Vocabulary)}, with words that have no area. */
    public Rates rates(
            Where where, Set<FaultName> known, Map<Long, Set<String>> components, Collection<String> symptoms) {
        return rates(where, known, components, Vocabulary.of(symptoms));
    }

    /**
     * What is to be expected of a unit before anything is said of it.
     *
     * @param known the faults that the model's own words name
     * @param components of every model, by its id: a fault counts elsewhere only where there is such a component; one of a model that nobody has taken apart
     *     yet may be any that its kind has
     */
    public Rates rates(Where where, Set<FaultName> known, Map<Long, Set<String>> components, Vocabulary vocabulary) {
        Levels levels = levels(where);
        List<Rates.Rated> rated = faults(where, known, components).stream()
                .map(fault -> levels.rated(fault, usualRate(fault, where), components))
                .sorted(Comparator.comparingDouble(Rates.Rated::rate).reversed())
                .limit(MOST_FAULTS)
                .toList();
        Map<String, Map<FaultName, Double>> shows = new LinkedHashMap<>();
        Map<String, Double> leaks = new LinkedHashMap<>();
        for (String symptom : vocabulary.words()) {
            Map<FaultName, Double> by = new LinkedHashMap<>();
            rated.forEach(one -> by.put(
                    one.fault(),
                    levels.strength(one.fault(), symptom, shipped(one.fault(), symptom, where, SHOWS_SELDOM))));
            shows.put(symptom, by);
            leaks.put(symptom, levels.leak(symptom));
        }
        Set<String> fresh = throughTheirArea(shows, vocabulary);
        Map<FaultName, Double> behind = new LinkedHashMap<>();
        rated.forEach(one -> behind.put(one.fault(), levels.behindStrength(one.fault())));
        Map<String, Double> usuallyTold = new LinkedHashMap<>();
        vocabulary
                .words()
                .forEach(word ->
                        usuallyTold.put(word, (toldOf(word) + TOLD_SELDOM * LENT) / (jobs(Level.ALL, where) + LENT)));
        return new Rates(
                rated,
                shows,
                leaks,
                levels.extras(),
                levels.nothingWrong(),
                levels.unmet(),
                usuallyTold,
                levels.groups(behind.keySet()),
                fresh,
                behind);
    }

    private int toldOf(String word) {
        return told.getOrDefault(word, 0);
    }

    private Set<FaultName> faults(Where where, Set<FaultName> known, Map<Long, Set<String>> components) {
        Set<FaultName> faults = new TreeSet<>(known);
        jobsAt(Level.MODEL, where).ifPresent(jobs -> faults.addAll(jobs.faults()));
        Set<String> own = components.getOrDefault(where.model(), Set.of());
        jobsAt(own.isEmpty() ? Level.KIND : Level.ALL, where).ifPresent(jobs -> jobs.faults().stream()
                .filter(fault -> own.isEmpty() || own.contains(fault.component()))
                .forEach(faults::add));
        CommonPractice.of(where.kind()).forEach(usual -> faults.add(usual.fault()));
        return faults;
    }

    /** @return the words that are new to the shop: a fault shows them at least as likely as a part of what it shows of their area */
    private Set<String> throughTheirArea(Map<String, Map<FaultName, Double>> shows, Vocabulary vocabulary) {
        Map<String, Integer> toldOf = new HashMap<>();
        Map<String, Map<FaultName, Double>> ofArea = new HashMap<>();
        vocabulary.areas().forEach((word, area) -> {
            toldOf.merge(area, told.getOrDefault(word, 0), Integer::sum);
            shows.getOrDefault(word, Map.of())
                    .forEach((fault, strength) -> ofArea.computeIfAbsent(area, name -> new HashMap<>())
                            .merge(fault, strength, Math::max));
        });
        Set<String> fresh = new TreeSet<>();
        for (String word : vocabulary.words()) {
            String area = vocabulary.areas().get(word);
            if (toldOf.getOrDefault(area, 0) >= KNOWN_AREA
                    && !told.containsKey(word)
                    && !CommonPractice.speaksOf(word)) {
                fresh.add(word);
                Map<FaultName, Double> known = ofArea.get(area);
                shows.get(word).replaceAll((fault, strength) -> Math.max(strength, OF_ITS_AREA * known.get(fault)));
            }
        }
        return fresh;
    }

    /** Jobs with kept time that are like this unit, each once, by the narrowest thing in common; the latest of each level. */
    public List<LikeJob> work(Where where) {
        Set<PastJob> taken = Collections.newSetFromMap(new IdentityHashMap<>());
        List<LikeJob> like = new ArrayList<>();
        for (int at = Learning.NARROWING.size() - 1; at >= 0; at--) {
            Level level = Learning.NARROWING.get(at);
            jobsAt(level, where).ifPresent(jobs -> jobs.timed().stream()
                    .filter(taken::add)
                    .forEach(job ->
                            like.add(new LikeJob(level, job.faults(), job.work().orElseThrow()))));
        }
        return like;
    }

    private static double usualRate(FaultName fault, Where where) {
        return CommonPractice.of(where.kind(), fault)
                .map(CommonPractice.Usual::rate)
                .orElse(UNHEARD_OF);
    }

    private static double shipped(FaultName fault, String symptom, Where where, double untold) {
        return CommonPractice.of(where.kind(), fault)
                .map(usual -> usual.shows().getOrDefault(symptom, untold))
                .orElse(untold);
    }

    private Levels levels(Where where) {
        Levels levels = new Levels(where, learning);
        Learning.NARROWING.forEach(level -> jobsAt(level, where).ifPresent(jobs -> levels.add(level, jobs)));
        return levels;
    }

    private LevelJobs at(Level level, Where where) {
        return scopes.computeIfAbsent(Scope.of(level, where), scope -> new LevelJobs(learning.growth(level)));
    }

    private Optional<LevelJobs> jobsAt(Level level, Where where) {
        return Optional.ofNullable(scopes.get(Scope.of(level, where)));
    }
}
