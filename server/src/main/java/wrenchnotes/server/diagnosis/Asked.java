package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.Ways;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.teardown.plan.Reach;

/**
 * What is asked of a unit.
 *
 * @param ways by component: to get at it from what is open
 * @param askMinutes what it takes to ask for a symptom, or to try it
 * @param said a person's word, by fault
 * @param unit empty if it was never here before
 */
record Asked(
        Where where,
        Known known,
        Map<String, Reach.WayIn> ways,
        double askMinutes,
        Map<FaultName, EvidenceStore.OverruledRow> said,
        Optional<Long> unit,
        Instant now) {

    /** The same, with everything called what it counts as. */
    Asked called(Names names) {
        long model = where.model();
        Map<String, Reach.WayIn> to = new HashMap<>();
        ways.forEach((component, way) -> to.merge(
                names.component(model, component),
                way,
                (one, other) -> one.minutes() <= other.minutes() ? one : other));
        Map<FaultName, EvidenceStore.OverruledRow> words = new HashMap<>();
        said.forEach((fault, row) -> words.put(names.fault(model, fault), row));
        return new Asked(
                where,
                known.called(name -> names.component(model, name), fault -> names.fault(model, fault)),
                to,
                askMinutes,
                words,
                unit,
                now);
    }

    /** Common practice for a component that no notes lead to: half an hour of finding out. */
    private static final double UNKNOWN_WAY = 30;

    /** As the next check is chosen by. */
    Ways asWays() {
        Map<String, Double> minutes = new HashMap<>();
        Map<String, Set<String>> passes = new HashMap<>();
        ways.forEach((component, way) -> {
            minutes.put(component, way.minutes());
            passes.put(
                    component,
                    ways.entrySet().stream()
                            .filter(other -> !other.getKey().equals(component) && way.passes(other.getValue()))
                            .map(Map.Entry::getKey)
                            .collect(Collectors.toSet()));
        });
        return new Ways(minutes, passes, UNKNOWN_WAY);
    }

    /** Faults that were dealt with on this stay. */
    Set<FaultName> done() {
        return known.done().stream()
                .filter(one -> !one.failed() || one.remedy() == Remedy.REPLACED)
                .map(Known.Done::fault)
                .collect(Collectors.toSet());
    }
}
