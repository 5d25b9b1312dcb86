package wrenchnotes.server.teardown;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;

/** Changing what a component is called, and what it is inside. Runs in the caller's transaction. */
@Component
public class ComponentService {

    private final ModelStore models;
    private final Journal journal;

    ComponentService(ModelStore models, Journal journal) {
        this.models = models;
        this.journal = journal;
    }

    /**
     * @param aliases other names that people call it by; none may be the name of another component of the model
     * @param inside the model that it is; a model is never inside itself, not even by a detour
     */
    public ModelStore.ModelComponent change(
            By by, long id, Seen seen, String name, List<String> aliases, Optional<Long> inside) {
        ModelStore.ModelComponent before = models.component(id);
        seen.mustBe(before.version(), before.name(), () -> before);
        long model = models.modelOfComponent(id);
        refuseTaken(model, id, "name", name);
        aliases.forEach(alias -> refuseTaken(model, id, "aliases", alias));
        inside.ifPresent(other -> refuseInsideItself(model, models.model(other)));
        models.changeComponent(id, name, aliases, inside);
        ModelStore.ModelComponent after = models.component(id);
        journal.write(by, Journal.Entry.ofShop("component", id, "Component now " + name, before, after));
        return after;
    }

    private void refuseTaken(long model, long self, String field, String called) {
        models.component(model, called).filter(other -> other.id() != self).ifPresent(other -> {
            throw new Invalid(field, "\"" + called + "\" is what the " + other.name() + " is called already");
        });
    }

    private void refuseInsideItself(long model, ModelStore.Model inside) {
        Set<Long> seen = new HashSet<>();
        if (holds(inside.id(), model, seen)) {
            throw new Invalid("inside", "The " + inside.title() + " holds this model itself: nothing is inside itself");
        }
    }

    private boolean holds(long model, long searched, Set<Long> seen) {
        return model == searched
                || seen.add(model)
                        && models.components(model).stream()
                                .flatMap(component -> component.inside().stream())
                                .anyMatch(inner -> holds(inner, searched, seen));
    }
}
