package wrenchnotes.server.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.Replaced;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.ground.Seen;

/** What findings say of a unit's things, and what the ledger says: one and the same. Runs in the caller's transaction. */
@Component
public class Agreement {

    private final Benches benches;
    private final BearsStore bears;
    private final PartsOfJob parts;

    Agreement(Benches benches, BearsStore bears, PartsOfJob parts) {
        this.benches = benches;
        this.bears = bears;
        this.parts = parts;
    }

    /** A finding was written: what it says was replaced is replaced in the ledger too, if the old one was said to be back. */
    public void settle(By by, long job) {
        BenchPress press = benches.onRecord(by, job);
        List<Replaced> said = press.beside().ends().replaced();
        if (!press.now().run().agreed().stillTheOld(said).isEmpty()) {
            press.make(new Press.Settle(said));
        }
    }

    /**
     * A finding was struck: what the ledger moved on its word goes back, as far as nobody has touched it since, or has told at the bench which
     * part went in there.
     */
    public void unsettle(By by, long job, long moment) {
        BenchPress press = benches.onRecord(by, job);
        List<String> settled = press.now().run().agreed().settled(moment);
        boolean toldSince = settled.stream().anyMatch(thing -> parts.toldByLedger(job, thing));
        if (!settled.isEmpty() && !toldSince) {
            press.make(new Press.TakeBack(moment));
        }
    }

    /** Says which thing of the notes bears a component. @param thing empty if none of them does */
    BenchState bears(By by, long job, Seen seen, long component, Optional<String> thing) {
        BenchPress press = benches.changeable(by, job, seen);
        Replaced asked = press.beside().ends().replaced().stream()
                .filter(one -> one.component() == component)
                .findFirst()
                .orElseThrow(() -> new Invalid("component", "No finding here says that this component was replaced"));
        Optional<Thing> bearing = thing.map(press.now().run().ledger()::thing);
        bears.say(press.by(), press.now().job().revisionId(), component, bearing.map(Thing::id));
        String name = asked.names().get(0);
        String words = bearing.map(one -> "\"" + one.label() + "\" is the " + name)
                .orElse("No thing of the notes is the " + name);
        press.done("bears", component, words, thing.orElse(null));
        settle(press.by(), job);
        return benches.state(job);
    }
}
