package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.unit.Kind;

/**
 * Shops that another process than the model of the odds makes. A unit comes for the worst of what it has; its owner says what hurts most, one word out of
 * those that this fault is complained of by, and goes on about the rest as talkative as he is; what is hidden behind the worst is mostly not spoken of.
 * Nothing of it is a noisy-OR, and words exclude each other. Invented data.
 */
public final class ForetoldShops {

    private static final int WORDS = 24;
    private static final Kind[] KINDS = {Kind.PLAYER, Kind.COMPUTER, Kind.CONSOLE};

    /** @param words the shop's */
    public record Shop(String name, List<PastJob> jobs, Map<Long, Set<String>> components, List<String> words) {}

    /**
     * @param models how many
     * @param jobs how many
     * @param changing whether what usually breaks is another half-way
     * @param together how many of a hundred units had a fall or a spill, which breaks three things at once
     */
    private record Plan(String name, int models, int jobs, boolean changing, int together) {}

    /** On these two the settings were chosen. */
    static final List<Shop> TUNED = List.of(
            made(new Plan("few models, many jobs", 3, 600, false, 0), 11),
            made(new Plan("mix changing half-way", 5, 600, true, 0), 12));

    /** And on these they are judged. */
    static final List<Shop> JUDGED = List.of(
            made(new Plan("many models, few jobs", 40, 400, false, 0), 113),
            made(new Plan("faults that come together", 6, 600, false, 25), 114));

    private static final class Model {
        private final List<FaultName> faults = new ArrayList<>();
        private final List<Double> wear = new ArrayList<>();
        private List<Integer> falls = List.of();
    }

    private ForetoldShops() {}

    private static Shop made(Plan plan, int seed) {
        Random random = new Random(seed);
        List<String> words = new ArrayList<>();
        for (int n = 0; n < WORDS; n++) {
            words.add("complaint " + n);
        }
        Map<FaultName, List<String>> complaints = new HashMap<>();
        List<Model> models = new ArrayList<>();
        Map<Long, Set<String>> components = new HashMap<>();
        for (int m = 0; m < plan.models(); m++) {
            Model model = new Model();
            Set<String> its = new HashSet<>();
            for (int n = 0; n < 12; n++) {
                FaultName fault = new FaultName("component " + random.nextInt(30), "wrong " + random.nextInt(2));
                if (!model.faults.contains(fault)) {
                    model.faults.add(fault);
                    its.add(fault.component());
                    complaints.computeIfAbsent(fault, name -> someOf(words, random));
                }
            }
            model.falls = List.of(0, 1, 2);
            worn(model, random);
            models.add(model);
            components.put((long) m, its);
        }
        List<PastJob> jobs = new ArrayList<>();
        for (int n = 0; n < plan.jobs(); n++) {
            if (plan.changing() && n == plan.jobs() / 2) {
                models.forEach(model -> worn(model, random));
            }
            int m = random.nextInt(plan.models());
            Where where = new Where(m, m, KINDS[m % KINDS.length]);
            jobs.add(job(where, models.get(m), plan.together(), complaints, words, random));
        }
        return new Shop(plan.name(), jobs, components, words);
    }

    private static List<String> someOf(List<String> words, Random random) {
        return random.ints(0, WORDS).distinct().limit(3).mapToObj(words::get).toList();
    }

    /** A few break often and most seldom. */
    private static void worn(Model model, Random random) {
        model.wear.clear();
        model.faults.forEach(fault -> model.wear.add(Math.exp(1.3 * random.nextGaussian())));
    }

    private static PastJob job(
            Where where,
            Model model,
            int together,
            Map<FaultName, List<String>> complaints,
            List<String> words,
            Random random) {
        List<FaultName> found = new ArrayList<>();
        if (random.nextInt(100) >= 4) {
            if (random.nextInt(100) < together) {
                model.falls.forEach(at -> found.add(model.faults.get(at)));
            } else {
                found.add(model.faults.get(drawn(model.wear, random)));
                if (random.nextInt(100) < 9) {
                    FaultName more = model.faults.get(drawn(model.wear, random));
                    if (!found.contains(more)) {
                        found.add(more);
                    }
                }
            }
        }
        Set<String> present = new HashSet<>();
        double talkative = random.nextDouble() * 0.5;
        for (int at = 0; at < found.size(); at++) {
            if (at == 0 || random.nextInt(100) < 40) {
                List<String> said = complaints.get(found.get(at));
                double which = random.nextDouble();
                present.add(said.get(which < 0.62 ? 0 : which < 0.86 ? 1 : 2));
                said.stream().filter(word -> random.nextDouble() < talkative).forEach(present::add);
            }
        }
        if (random.nextInt(100) < 6 || found.isEmpty()) {
            present.add(words.get(random.nextInt(WORDS)));
        }
        Set<String> absent = new HashSet<>();
        for (int n = 0; n < 2; n++) {
            String asked = words.get(random.nextInt(WORDS));
            if (random.nextInt(100) < 30 && !present.contains(asked)) {
                absent.add(asked);
            }
        }
        return new PastJob(where, Set.copyOf(found), present, absent, Optional.empty());
    }

    private static int drawn(List<Double> weights, Random random) {
        double left = random.nextDouble()
                * weights.stream().mapToDouble(Double::doubleValue).sum();
        int at = 0;
        while (at < weights.size() - 1 && left >= weights.get(at)) {
            left -= weights.get(at++);
        }
        return at;
    }
}
