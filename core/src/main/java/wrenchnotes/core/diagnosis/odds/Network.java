package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Rates;

/**
 * All that is known of a unit, put into one network: what is told, what was seen of components, what remedies proved and how
 * crossed tries went are all symptoms, each with its own strengths; things tried that are no part of the unit are faults beside its own.
 *
 * <p>A shop sees only units that somebody brought in. So a unit has nothing, or one main fault and whatever came with it ({@link OneMain}), by the shop's own
 * figures. Once a fault was found and mended, it takes the main one's place: what is left is judged as what came with it. What somebody tries along
 * with the unit, and what our own work may have disturbed, has nothing to do with why it came.
 *
 * <p>Once something is told, it counts that nobody spoke of the other symptoms, to the power {@value #SILENCE}: strengths are learned as how likely one is told.
 */
public record Network(FaultModel model, Set<String> present, Set<String> absent) {

    /** How likely a disc or lead that somebody tries is itself bad. Ours, no source. */
    private static final double OUTSIDE_BAD = 0.15;

    /**
     * 0 not at all, 1 as much as if it was asked for and denied. Chosen with {@link wrenchnotes.core.diagnosis.history.Learning} on the demo and two made-up shops:
     * Brier there 0.298, 0.336, 0.395 at 0.7; 0.296, 0.336, 0.397 at 0.85; 0.295, 0.336, 0.399 at 1: it decides little. Below 1, since owners do not tell all
     * that they know.
     */
    public static final double SILENCE = 0.7;
    /** A model has so many symptoms at most; the rest of the shop's words say nothing. */
    private static final int MOST_SILENT = 120;

    private static final String OUTSIDE = "outside: ";
    /** Told as none that we know. */
    static final String UNMET = "a fault that nobody has met";

    public static Network of(Rates rates, Known known) {
        return new Building(rates).all(known);
    }

    static boolean isOutside(String id) {
        return id.startsWith(OUTSIDE);
    }

    /** Ids of all that stands for such a fault of the rates: itself, and each group that it came in. */
    static Set<String> ids(Rates rates, Predicate<FaultName> which) {
        return Stream.concat(
                        rates.faults().stream()
                                .map(Rates.Rated::fault)
                                .filter(which)
                                .map(FaultName::words),
                        rates.groups().stream()
                                .filter(group -> group.faults().stream().anyMatch(which))
                                .map(Rates.Group::id))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    static String outsideName(String id) {
        return id.substring(OUTSIDE.length());
    }

    Evidence evidence() {
        return Evidence.of(model, present, absent, SILENCE);
    }

    /** How much nobody's silence on a symptom counted. */
    public double silentOn(String symptom) {
        boolean silent = !present.isEmpty()
                && model.listed().contains(symptom)
                && !present.contains(symptom)
                && !absent.contains(symptom);
        return silent ? SILENCE : 0;
    }

    /** What a look at a component would show, if it were taken. */
    public static Optional<FaultModel.ModelSymptom> look(String id, String component, Means by, Rates rates) {
        List<FaultModel.ModelCause> causes = ids(
                        rates, fault -> fault.component().equals(component))
                .stream()
                .map(cause -> new FaultModel.ModelCause(cause, by.finds()))
                .toList();
        return causes.isEmpty()
                ? Optional.empty()
                : Optional.of(new FaultModel.ModelSymptom(id, by.falseAlarm(), causes));
    }

    /** What a word of the shop says in these rates; they must speak of it. */
    public static FaultModel.ModelSymptom symptom(Rates rates, String word) {
        List<FaultModel.ModelCause> causes = new ArrayList<>();
        rates.shows()
                .get(word)
                .forEach((fault, strength) -> causes.add(new FaultModel.ModelCause(fault.words(), strength)));
        rates.groups()
                .forEach(group -> causes.add(new FaultModel.ModelCause(
                        group.id(), any(group, rates.shows().get(word)))));
        if (rates.unmet() > 0) {
            causes.add(new FaultModel.ModelCause(UNMET, rates.told().get(word)));
        }
        return new FaultModel.ModelSymptom(word, rates.leaks().get(word), causes);
    }

    private static double any(Rates.Group group, Map<FaultName, Double> strengths) {
        double away = 1;
        for (FaultName fault : group.faults()) {
            away *= 1 - strengths.getOrDefault(fault, 0.0);
        }
        return 1 - away;
    }

    private static final class Building {

        private final Rates rates;
        private final List<FaultModel.ModelSymptom> symptoms = new ArrayList<>();
        private final Set<String> present = new LinkedHashSet<>();
        private final Set<String> absent = new LinkedHashSet<>();
        private final Map<String, FaultModel.ModelFault> outside = new TreeMap<>();

        Building(Rates rates) {
            this.rates = rates;
        }

        Network all(Known known) {
            known.present().stream().filter(rates::speaksOf).forEach(word -> add(symptom(rates, word), true));
            known.absent().stream().filter(rates::speaksOf).forEach(word -> add(symptom(rates, word), false));
            known.looks().forEach(this::look);
            known.done().forEach(this::done);
            known.tries().forEach(this::tries);
            if (!known.present().isEmpty()) {
                rates.shows().keySet().stream()
                        .filter(word -> !present.contains(word) && !absent.contains(word))
                        .filter(word -> !rates.fresh().contains(word))
                        .sorted()
                        .limit(MOST_SILENT)
                        .forEach(word -> symptoms.add(symptom(rates, word)));
            }
            boolean mended = !known.done().stream().allMatch(Known.Done::failed);
            List<FaultModel.ModelFault> faults = new ArrayList<>();
            rates.faults().forEach(rated -> faults.add(mended ? beside(rated) : own(rated)));
            unmet(mended).ifPresent(faults::add);
            rates.groups().forEach(group -> faults.add(new FaultModel.ModelFault(group.id(), group.rate())));
            faults.addAll(outside.values());
            Optional<OneMain> main =
                    mended ? Optional.empty() : Optional.of(new OneMain(rates.extrasAlone(), rates.nothingWrong()));
            return new Network(FaultModel.of(faults, symptoms, main), present, absent);
        }

        private FaultModel.ModelFault own(Rates.Rated rated) {
            return new FaultModel.ModelFault(rated.fault().words(), rates.alone(rated), Suspects.isOurs(rated.fault()));
        }

        /** What may be wrong beside all that was ever found: it shows what units show. */
        private Optional<FaultModel.ModelFault> unmet(boolean mended) {
            double rate = rates.unmet()
                    * (mended
                            ? rates.extras()
                            : rates.faults().stream()
                                    .mapToDouble(Rates.Rated::rate)
                                    .sum());
            return rate > 0 ? Optional.of(new FaultModel.ModelFault(UNMET, Math.min(0.99, rate))) : Optional.empty();
        }

        /** What came with a main fault that was mended. */
        private FaultModel.ModelFault beside(Rates.Rated rated) {
            double all = rates.faults().stream()
                    .filter(one -> !Suspects.isOurs(one.fault()))
                    .mapToDouble(Rates.Rated::rate)
                    .sum();
            double chance = Suspects.isOurs(rated.fault()) ? rated.rate() : rates.extras() * rated.rate() / all;
            return new FaultModel.ModelFault(rated.fault().words(), Math.min(0.99, Math.max(1e-9, chance)));
        }

        private void add(FaultModel.ModelSymptom symptom, boolean there) {
            symptoms.add(symptom);
            (there ? present : absent).add(symptom.id());
        }

        private void look(Known.Look look) {
            Network.look(next("look"), look.component(), look.by(), rates).ifPresent(seen -> add(seen, !look.good()));
        }

        /** A new part is a good one, as sure as a swap; another remedy that helped is as sure as a reading; one that did not says nothing. */
        private void done(Known.Done done) {
            boolean known =
                    rates.faults().stream().anyMatch(rated -> rated.fault().equals(done.fault()));
            if (!known || done.remedy() == Remedy.LEFT_AS_IT_IS) {
                return;
            }
            if (done.remedy() == Remedy.REPLACED || !done.failed()) {
                Means by = done.remedy() == Remedy.REPLACED ? Means.SWAPPED : Means.MEASURED;
                add(
                        new FaultModel.ModelSymptom(
                                next("done"),
                                by.falseAlarm(),
                                List.of(new FaultModel.ModelCause(done.fault().words(), by.finds()))),
                        false);
            }
        }

        private void tries(CrossedTries grid) {
            for (CrossedTries.Try one : grid.tries()) {
                Map<String, FaultModel.ModelCause> causes = new TreeMap<>();
                blamed(grid.down().get(one.down()), causes);
                blamed(grid.across().get(one.across()), causes);
                if (grid.nothingWorks()) {
                    outside(CrossedTries.SHARED, causes);
                }
                add(
                        new FaultModel.ModelSymptom(next("try"), CrossedTries.BY_CHANCE, List.copyOf(causes.values())),
                        !one.good());
            }
        }

        private void blamed(CrossedTries.Tried tried, Map<String, FaultModel.ModelCause> causes) {
            Set<String> own = ids(
                    rates,
                    fault -> tried.whole()
                            || tried.component()
                                    .filter(fault.component()::equalsIgnoreCase)
                                    .isPresent());
            if (tried.whole() && rates.unmet() > 0) {
                own.add(UNMET);
            }
            if (own.isEmpty()) {
                outside(tried.name(), causes);
            }
            own.forEach(id -> causes.put(id, new FaultModel.ModelCause(id, CrossedTries.SPOILS)));
        }

        private void outside(String name, Map<String, FaultModel.ModelCause> causes) {
            String id = OUTSIDE + name;
            outside.putIfAbsent(id, new FaultModel.ModelFault(id, OUTSIDE_BAD, true));
            causes.put(id, new FaultModel.ModelCause(id, CrossedTries.SPOILS));
        }

        private String next(String what) {
            return what + " " + (symptoms.size() + 1);
        }
    }
}
