package wrenchnotes.core.diagnosis.odds;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.unit.Checked;

/**
 * What is known of the unit as it stands now, after whatever was done to it.
 *
 * @param present symptoms that are there now
 * @param absent symptoms that were asked for or tried and are not there now
 * @param looks components that were seen good or bad; of several looks of a kind at a component the last counts, since looking again by the
 *     same means tells little that is new
 * @param done what was done about faults, oldest first
 * @param tries grids of crossed tries
 */
public record Known(
        Set<String> present, Set<String> absent, List<Look> looks, List<Done> done, List<CrossedTries> tries) {

    /** @param component its name, in any case */
    public record Look(String component, boolean good, Means by) {
        public Look {
            component = Checked.text("component", component, 80).toLowerCase(Locale.ROOT);
            Checked.present("by", by);
        }
    }

    /**
     * @param failed it changed nothing
     * @param came symptoms that came with it: they point at what was done
     */
    public record Done(FaultName fault, Remedy remedy, boolean failed, Set<String> came) {

        public Done {
            came = Set.copyOf(came);
        }

        public Done(FaultName fault, Remedy remedy, boolean failed) {
            this(fault, remedy, failed, Set.of());
        }
    }

    public Known {
        present = Set.copyOf(present);
        absent = Set.copyOf(absent);
        Map<List<Object>, Look> latest = new LinkedHashMap<>();
        looks.forEach(look -> {
            latest.remove(List.<Object>of(look.component(), look.by()));
            latest.put(List.of(look.component(), look.by()), look);
        });
        looks = List.copyOf(latest.values());
        done = List.copyOf(done);
        tries = List.copyOf(tries);
    }

    /** The same, with every component and fault called what it counts as in the odds. */
    public Known called(UnaryOperator<String> component, UnaryOperator<FaultName> fault) {
        return new Known(
                present,
                absent,
                looks.stream()
                        .map(look -> new Look(component.apply(look.component()), look.good(), look.by()))
                        .toList(),
                done.stream()
                        .map(one -> new Done(fault.apply(one.fault()), one.remedy(), one.failed(), one.came()))
                        .toList(),
                tries.stream().map(grid -> grid.called(component)).toList());
    }

    /** At the counter: only what the owner says. */
    public static Known told(Set<String> present, Set<String> absent) {
        return new Known(present, absent, List.of(), List.of(), List.of());
    }
}
