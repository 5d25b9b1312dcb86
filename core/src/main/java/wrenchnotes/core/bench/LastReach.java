package wrenchnotes.core.bench;

import java.util.List;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;

/** What can no longer be reached once a step is back in: asked for by name at the last moment. */
public final class LastReach {

    private LastReach() {}

    /**
     * Things still in the tray whose own step is closed already and lies inside this one.
     *
     * @param id a step that is about to go back
     */
    public static List<Thing> before(Teardown notes, WayIn way, Ledger ledger, String id) {
        return notes.dependents(id).stream()
                .filter(inner -> !way.isOpen(inner.id()))
                .flatMap(inner -> stillOff(inner, ledger).stream())
                .toList();
    }

    private static List<Thing> stillOff(Step step, Ledger ledger) {
        return step.things().stream()
                .filter(thing -> ledger.count(thing.id(), Account.TRAY) > 0)
                .toList();
    }
}
