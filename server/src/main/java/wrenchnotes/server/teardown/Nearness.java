package wrenchnotes.server.teardown;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.teardown.plan.Reach;

/** How many minutes away each component is, from what is open. Runs in the caller's transaction. */
@Component
public class Nearness {

    private static final int KEPT = 200;

    private final NotesStore notes;
    private final ModelStore models;
    /** Saved notes never change, so neither does the way into a closed unit. */
    private final Map<Long, Map<Long, Double>> closed = new ConcurrentHashMap<>();

    Nearness(NotesStore notes, ModelStore models) {
        this.notes = notes;
        this.models = models;
    }

    /**
     * @param openedWith notes the unit was opened with; empty for the newest
     * @param open steps that are open
     * @return by name of component in lower case; what the notes do not reach is left out
     */
    public Map<String, Double> minutes(long revision, Optional<Long> openedWith, Set<String> open) {
        NotesStore.Version version = openedWith.map(notes::version).orElseGet(() -> notes.newest(revision));
        Map<Long, Double> byId =
                open.isEmpty() ? closed(version) : Reach.minutes(version.teardown(), open, Costs.USUAL);
        Map<String, Double> byName = new HashMap<>();
        models.components(models.revision(revision).modelId()).forEach(component -> {
            Double minutes = byId.get(component.id());
            if (minutes != null) {
                byName.put(component.name().toLowerCase(Locale.ROOT), minutes);
            }
        });
        return byName;
    }

    private Map<Long, Double> closed(NotesStore.Version version) {
        if (closed.size() > KEPT) {
            closed.clear();
        }
        return version.id() == 0
                ? Map.of()
                : closed.computeIfAbsent(version.id(), id -> Reach.minutes(version.teardown(), Set.of(), Costs.USUAL));
    }
}
