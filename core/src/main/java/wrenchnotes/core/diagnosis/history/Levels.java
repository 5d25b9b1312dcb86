package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.LevelJobs.Others;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * What the levels say of one unit, from the widest to its own revision, each job counted once: at the narrowest level that it is of. Each level is shrunk to
 * what the wider ones say without it; counted at each of them, a single job would have stood for four.
 */
final class Levels {

    /** How likely a symptom is told of that no fault here explains. */
    private static final double LEAK = 0.02;

    private static final double LEAK_WEIGHT = 20;
    /** What the wider level counts as for how many faults a unit has, in jobs. Ours, no source. */
    private static final double TOGETHER_WEIGHT = 20;

    /** How much oftener than by chance, and how often at all. Ours, no source. */
    private static final double OFTENER = 2;

    private static final int PAIRS = 4;
    private static final int LARGER = 2;

    /** What can be at all has a rate. */
    private static final double LEAST = 1e-4;

    /** A fault that nobody has met, on a model that nobody has seen: what it counts as, in jobs. Ours, no source. */
    private static final double USUALLY_UNMET = 0.1;

    private static final double UNMET_WEIGHT = 2;

    /** @param others jobs of the level that are of none narrower */
    private record At(Level level, Others others, LevelJobs jobs) {}

    private final Where where;
    private final Learning learning;
    private final List<At> levels = new ArrayList<>();

    Levels(Where where, Learning learning) {
        this.where = where;
        this.learning = learning;
    }

    /** From the widest on. */
    void add(Level level, LevelJobs jobs) {
        levels.add(new At(level, level == Level.REVISION ? jobs.whole() : jobs.but(narrower(level, where)), jobs));
    }

    /** Which of the next narrower level a unit is. */
    static long narrower(Level level, Where where) {
        return switch (level) {
            case ALL, SHIPPED -> where.kind().ordinal();
            case KIND -> where.model();
            case MODEL -> where.revision();
            case REVISION -> 0;
        };
    }

    /**
     * @param components of every model; whoever has no such component could not have the fault
     * @param shipped its rate before any job
     */
    Rates.Rated rated(FaultName fault, double shipped, Map<Long, Set<String>> components) {
        double rate = shipped;
        double had = 0;
        double of = 0;
        Rates.Behind behind = new Rates.Behind(Level.SHIPPED, 0, 0);
        for (At at : levels) {
            double weight = learning.weight(at.level());
            int count = at.jobs().of(fault);
            had = at.others().of(fault) + weight * rate;
            if (Learning.ofManyModels(at.level())) {
                List<Long> having = having(fault, at, components);
                of = at.others().jobsOf(having) + weight;
                behind = count == 0 ? behind : new Rates.Behind(at.level(), count, jobsOf(having, at.jobs()));
            } else {
                of = at.others().jobs() + weight;
                behind = count == 0
                        ? behind
                        : new Rates.Behind(at.level(), count, at.jobs().jobs());
            }
            rate = had / of;
        }
        double kept = Math.min(0.98, Math.max(LEAST, rate));
        return new Rates.Rated(fault, kept, kept * of, of, behind);
    }

    private static int jobsOf(List<Long> models, LevelJobs jobs) {
        return models.stream().mapToInt(model -> jobs.byModel().get(model)).sum();
    }

    /** A model whose components nobody has named may have what any other has, and so counts all others. */
    private List<Long> having(FaultName fault, At at, Map<Long, Set<String>> components) {
        boolean unknown = components.getOrDefault(where.model(), Set.of()).isEmpty();
        return at.jobs().byModel().keySet().stream()
                .filter(model -> unknown
                        || model == where.model()
                        || components.getOrDefault(model, Set.of()).contains(fault.component()))
                .toList();
    }

    /** @param untold how likely before any job */
    double strength(FaultName fault, String symptom, double untold) {
        double strength = untold;
        for (At at : levels) {
            strength = (at.others().shown(fault, symptom) + learning.shows() * strength)
                    / (at.others().of(fault) + learning.shows());
        }
        return Math.min(0.98, strength);
    }

    /** Of how many jobs that had the fault a strength is, those lent by common practice counted in. */
    double behindStrength(FaultName fault) {
        return levels.isEmpty()
                ? learning.shows()
                : levels.get(levels.size() - 1).others().of(fault) + learning.shows();
    }

    double leak(String symptom) {
        return Math.min(0.5, shrunk(LEAK, LEAK_WEIGHT, one -> one.leaked(symptom), Others::jobs));
    }

    /**
     * How likely the next unit of this model has a fault that was not found on one so far: as many as were found once, of all jobs (published: Good 1953, on
     * species; from memory), with the usual beside it.
     */
    double unmet() {
        double once = UNMET_WEIGHT * USUALLY_UNMET;
        double of = UNMET_WEIGHT;
        for (At at : levels) {
            if (at.level() == Level.MODEL) {
                once += at.jobs().once();
                of += at.jobs().jobs();
            }
        }
        return once / of;
    }

    /**
     * What came together on this model and was all that was found: three faults or more in {@value #LARGER} jobs, or two in {@value #PAIRS}, and oftener than by
     * chance. The rate is that of the model, its jobs ageing as they do, with none lent by the wider levels.
     */
    List<Rates.Group> groups(Set<FaultName> among) {
        List<Rates.Group> groups = new ArrayList<>();
        for (At at : levels) {
            if (at.level() == Level.MODEL) {
                Others whole = at.jobs().whole();
                at.jobs().together().forEach((faults, jobs) -> {
                    boolean often = jobs >= (faults.size() > 2 ? LARGER : PAIRS)
                            && jobs > OFTENER * expected(faults, at.jobs());
                    if (often && among.containsAll(faults)) {
                        double rate = whole.together(faults) / (whole.jobs() + learning.weight(at.level()));
                        groups.add(new Rates.Group("together " + (groups.size() + 1), faults, Math.max(LEAST, rate)));
                    }
                });
            }
        }
        return groups;
    }

    /** In how many jobs all of them would be found by chance. */
    private double expected(Set<FaultName> faults, LevelJobs jobs) {
        double expected = jobs.jobs();
        for (FaultName fault : faults) {
            expected *= (double) jobs.of(fault) / jobs.jobs();
        }
        return expected;
    }

    /** How many further faults a unit with a fault has, 0 to 1. */
    double extras() {
        return Math.min(
                1, shrunk(Rates.USUAL_EXTRAS, TOGETHER_WEIGHT, Others::further, one -> one.jobs() - one.none()));
    }

    /** How many units that come have nothing wrong with them, 0 to below 1. */
    double nothingWrong() {
        return Math.min(0.9, shrunk(Rates.USUALLY_NOTHING, TOGETHER_WEIGHT, Others::none, Others::jobs));
    }

    /** By all and the kind alone: more than that is seldom told apart. */
    private double shrunk(double usual, double weight, ToDoubleFunction<Others> had, ToDoubleFunction<Others> of) {
        double share = usual;
        for (At at : levels) {
            if (Learning.ofManyModels(at.level())) {
                Others others = at.level() == Level.KIND ? at.jobs().whole() : at.others();
                share = (had.applyAsDouble(others) + weight * share) / (of.applyAsDouble(others) + weight);
            }
        }
        return share;
    }
}
