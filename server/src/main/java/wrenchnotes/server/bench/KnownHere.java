package wrenchnotes.server.bench;

import java.util.Collection;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.ProposalService;

/**
 * What somebody counts and measures of what the notes leave open, or have otherwise: into the ledger where it is a count, and proposed for the notes. Runs in
 * the caller's transaction.
 */
@Component
class KnownHere {

    private final Benches benches;
    private final ProposalService proposals;

    KnownHere(Benches benches, ProposalService proposals) {
        this.benches = benches;
        this.proposals = proposals;
    }

    /**
     * @param lying how many of it lie on the mat; empty if nobody counted now
     * @param measured what was seen and measured, if it is a fastener
     */
    record Said(String thing, Optional<Integer> lying, Optional<FastenerGroup> measured) {

        boolean measures() {
            return measured.filter(group -> group.notKnown().size() < FastenerGroup.Known.values().length)
                    .isPresent();
        }
    }

    BenchState say(By by, long job, Seen sight, Said said) {
        BenchPress press = benches.changeable(by, job, sight);
        Ledger ledger = press.now().run().ledger();
        Thing before = ledger.thing(said.thing());
        // As many as are known to lie there, said beside what was measured, is no count.
        boolean asKnown = said.measures()
                && ledger.isCounted(said.thing())
                && said.lying()
                        .filter(n -> n == ledger.count(said.thing(), Account.TRAY))
                        .isPresent();
        Optional<Integer> counted = said.lying().filter(n -> !asKnown);
        String words = counted.map(lying ->
                        press.keep(new Press.Counted(said.thing(), lying)).words())
                .orElse("Measured: " + before.label());
        boolean proposed = propose(press, said.thing(), said.measured());
        if (counted.isEmpty() && !proposed) {
            throw new Invalid("thing", before.label() + ": the notes know that already. Say what was not known.");
        }
        return press.done("ledger", 0, words, said);
    }

    /** What turned out to be more, or fewer, than the notes say is proposed for them. */
    void proposeCounts(BenchPress press, Collection<String> things) {
        things.forEach(thing -> propose(press, thing, Optional.empty()));
    }

    /** @return whether the notes differ */
    private boolean propose(BenchPress press, String thing, Optional<FastenerGroup> measured) {
        Step step = press.now().run().notes().stepOf(thing);
        Assembled.Written written = Assembled.written(step.id());
        long revision = press.now().revisionOf(written);
        Step now = benches.writtenNow(revision, written.id());
        String id = Assembled.written(thing).id();
        Optional<Thing> known = Optional.ofNullable(now).stream()
                .flatMap(one -> one.things().stream())
                .filter(one -> one.id().equals(id))
                .findFirst();
        if (known.isEmpty()) {
            return false;
        }
        Thing asFound = filled(known.get(), measured);
        Ledger ledger = press.now().run().ledger();
        boolean counted = ledger.isCounted(thing)
                && ledger.made(thing) > 0
                && (ledger.made(thing) != ledger.thing(thing).asMade()
                        || !ledger.thing(thing).hasCount());
        asFound = counted ? asFound.counting(ledger.made(thing)) : asFound;
        if (asFound.equals(known.get())) {
            return false;
        }
        proposals.proposeMore(press.by(), revision, press.job(), written.id(), asFound);
        return true;
    }

    private static Thing filled(Thing known, Optional<FastenerGroup> measured) {
        return known instanceof FastenerGroup group && measured.isPresent() ? group.filledBy(measured.get()) : known;
    }
}
