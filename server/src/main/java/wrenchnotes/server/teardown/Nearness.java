package wrenchnotes.server.teardown;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.teardown.plan.Reach;

/** How many minutes away each component is, from what is open. Runs in the caller's transaction. */
@Component
public class Nearness {

    private static final int KEPT = 200;

    private final NotesStore notes;
    private final ModelStore models;
    /** Saved notes never change, so neither does the way into a closed unit. */
    private final Map<Long, Map<Long, Reach.WayIn>> closed = new ConcurrentHashMap<>();

    Nearness(NotesStore notes, ModelStore models) {
        this.notes = notes;
        this.models = models;
    }

    /**
     * @param openedWith notes the unit was opened with; empty for the newest
     * @param open steps that are open
     * @return by name of component in lower case; what the notes do not reach is left out
     */
    public Map<String, Reach.WayIn> ways(long revision, Optional<Long> openedWith, Set<String> open) {
        Map<String, Reach.WayIn> byName = new HashMap<>();
        places(revision, openedWith, open)
                .forEach(place -> byName.put(place.name().toLowerCase(Locale.ROOT), place.way()));
        return byName;
    }

    /** A component that the notes lead to. @param breaks the steps on the way that cannot be undone, by their titles */
    public record Place(long component, String name, Reach.WayIn way, List<String> breaks) {}

    /** As {@link #ways}, by the names of the components. */
    public List<Place> places(long revision, Optional<Long> openedWith, Set<String> open) {
        NotesStore.Version version = openedWith.map(notes::version).orElseGet(() -> notes.newest(revision));
        Map<Long, Reach.WayIn> byId =
                open.isEmpty() ? closed(version) : Reach.ways(version.teardown(), open, Costs.USUAL);
        return models.components(models.revision(revision).modelId()).stream()
                .filter(component -> byId.containsKey(component.id()))
                .map(component -> {
                    Reach.WayIn way = byId.get(component.id());
                    List<String> breaks = version.teardown().steps().stream()
                            .filter(step -> way.steps().contains(step.id()) && !step.reversible())
                            .map(Step::title)
                            .toList();
                    return new Place(component.id(), component.name(), way, breaks);
                })
                .toList();
    }

    private Map<Long, Reach.WayIn> closed(NotesStore.Version version) {
        if (closed.size() > KEPT) {
            closed.clear();
        }
        return version.id() == 0
                ? Map.of()
                : closed.computeIfAbsent(version.id(), id -> Reach.ways(version.teardown(), Set.of(), Costs.USUAL));
    }
}
