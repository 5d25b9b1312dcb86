package wrenchnotes.core.diagnosis.odds;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What can be wrong and what it shows: faults are there or not, independently of each other or beside one main one ({@link OneMain}); a symptom is absent only if its
 * leak and each fault that is there fail to cause it. Noisy-OR with a leak (published: Pearl, Probabilistic Reasoning in
 * Intelligent Systems; the QMR network; from memory).
 *
 * <p>{@code P(symptom absent | faults) = (1 − leak) · Π (1 − strength)} over those of its causes that are there.
 */
public final class FaultModel {

    private static final int MOST = 200;

    /**
     * @param prior how likely it is before anything is known, above 0 and below 1; with one main fault its rate against the others, above 0
     * @param aside whether it has nothing to do with why the unit came: it is there or not by itself, and is never the main fault
     */
    public record ModelFault(String id, double prior, boolean aside) {

        /** One of the unit's own. */
        public ModelFault(String id, double prior) {
            this(id, prior, false);
        }

        public ModelFault {
            id = Checked.text("id", id, 80);
            if (!(prior > 0 && prior <= 1e9)) {
                throw new Invalid("prior", "The prior of " + id + " is " + prior + "; it must be above 0 and below 1");
            }
        }
    }

    /** @param strength how likely the fault alone causes the symptom, 0 to 1 */
    public record ModelCause(String fault, double strength) {
        public ModelCause {
            fault = Checked.text("fault", fault, 80);
            Checked.within("strength", strength, 0.0, 1.0);
        }
    }

    /** @param leak how likely it shows though none of its causes is there, 0 to 1 */
    public record ModelSymptom(String id, double leak, List<ModelCause> causes) {
        public ModelSymptom {
            id = Checked.text("id", id, 80);
            Checked.within("leak", leak, 0.0, 1.0);
            causes = List.copyOf(causes);
        }
    }

    private final List<ModelFault> faults;
    private final Map<String, ModelSymptom> symptoms;
    private final Optional<OneMain> main;

    private FaultModel(List<ModelFault> faults, Map<String, ModelSymptom> symptoms, Optional<OneMain> main) {
        this.faults = faults;
        this.symptoms = symptoms;
        this.main = main;
    }

    /** Of faults that are there or not, independently of each other. */
    public static FaultModel of(List<ModelFault> faults, List<ModelSymptom> symptoms) {
        return of(faults, symptoms, Optional.empty());
    }

    /**
     * @param main how faults come together; empty if independently, and so they do if all are aside
     * @throws Invalid if ids are not unique, a cause names no fault, there are more than 200 of either, or a prior of independent faults is not below
     *     1
     */
    public static FaultModel of(List<ModelFault> faults, List<ModelSymptom> symptoms, Optional<OneMain> main) {
        Checked.within("faults", faults.size(), 1, MOST);
        Checked.within("symptoms", symptoms.size(), 0, MOST);
        Set<String> known = new TreeSet<>();
        for (int at = 0; at < faults.size(); at++) {
            ModelFault fault = faults.get(at);
            if ((main.isEmpty() || fault.aside()) && fault.prior() >= 1) {
                throw new Invalid(
                        "faults[" + at + "].prior",
                        "The prior of " + fault.id() + " is " + fault.prior() + "; it must be above 0 and below 1");
            }
            if (!known.add(faults.get(at).id())) {
                throw new Invalid(
                        "faults[" + at + "].id",
                        "Two faults have the id " + faults.get(at).id());
            }
        }
        Map<String, ModelSymptom> byId = new LinkedHashMap<>();
        for (int at = 0; at < symptoms.size(); at++) {
            ModelSymptom symptom = symptoms.get(at);
            if (byId.put(symptom.id(), symptom) != null) {
                throw new Invalid("symptoms[" + at + "].id", "Two symptoms have the id " + symptom.id());
            }
            Set<String> causes = new TreeSet<>();
            for (ModelCause cause : symptom.causes()) {
                if (!known.contains(cause.fault())) {
                    throw new Invalid(
                            "symptoms[" + at + "].causes",
                            "\"" + symptom.id() + "\" is caused by a fault that is not in the list: " + cause.fault());
                }
                if (!causes.add(cause.fault())) {
                    throw new Invalid(
                            "symptoms[" + at + "].causes",
                            "\"" + symptom.id() + "\" names " + cause.fault() + " twice");
                }
            }
        }
        boolean own = faults.stream().anyMatch(fault -> !fault.aside());
        return new FaultModel(List.copyOf(faults), byId, main.filter(one -> own));
    }

    /** The same with one symptom more, or with another one in place of that with the same id. */
    FaultModel with(ModelSymptom symptom) {
        Map<String, ModelSymptom> more = new LinkedHashMap<>(symptoms);
        more.put(symptom.id(), symptom);
        return new FaultModel(faults, more, main);
    }

    /** Empty if faults are independent. */
    Optional<OneMain> main() {
        return main;
    }

    /** Ids of all symptoms, in the order they were listed. */
    Set<String> listed() {
        return symptoms.keySet();
    }

    public List<ModelFault> faults() {
        return faults;
    }

    /** @throws Invalid if there is no such symptom */
    ModelSymptom symptom(String field, String id) {
        ModelSymptom symptom = symptoms.get(id);
        if (symptom == null) {
            throw new Invalid(field, "There is no symptom " + id + " in the model");
        }
        return symptom;
    }

    /** 1 − strength of each fault for a symptom, in the order of the faults; 1 where a fault does not cause it. */
    double[] spared(ModelSymptom symptom) {
        Map<String, Double> strengths = new HashMap<>();
        symptom.causes().forEach(cause -> strengths.put(cause.fault(), cause.strength()));
        return faults.stream()
                .mapToDouble(fault -> 1 - strengths.getOrDefault(fault.id(), 0.0))
                .toArray();
    }
}
