package wrenchnotes.server.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.bench.Replaced;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.bench.TakenOff;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.Assembled;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.teardown.ProposalService;

/** Work on an opened unit: steps in and out, and moves of the ledger. Each method runs in the caller's transaction. */
@Component
public class BenchService {

    private final Benches benches;
    private final Inside inside;
    private final DrawerStore drawers;
    private final PartsOfJob parts;
    private final ProposalService proposals;
    private final KnownHere knownHere;
    private final DraftService draft;
    private final EntryService entries;
    private final Rights rights;

    BenchService(
            Benches benches,
            Inside inside,
            DrawerStore drawers,
            PartsOfJob parts,
            ProposalService proposals,
            KnownHere knownHere,
            DraftService draft,
            EntryService entries,
            Rights rights) {
        this.benches = benches;
        this.inside = inside;
        this.drawers = drawers;
        this.parts = parts;
        this.proposals = proposals;
        this.knownHere = knownHere;
        this.draft = draft;
        this.entries = entries;
        this.rights = rights;
    }

    /** What a unit that is closed for now, or on loan, still lacks: in words for its owner. */
    public List<String> unfinished(long job) {
        return view(job).stand().unfinished();
    }

    /** The steps whose things lie on the mat: of the way that was chosen and what is open; of all of the notes if none was. */
    public List<Step> onTheMat(long job) {
        Run run = benches.state(job).run();
        List<String> route = run.route();
        return run.notes().steps().stream()
                .filter(step -> route.isEmpty()
                        || route.contains(step.id())
                        || run.way().open().contains(step.id()))
                .toList();
    }

    /** The bench as it is now. */
    BenchView view(long job) {
        return benches.view(benches.state(job));
    }

    BenchView view(BenchState state) {
        return benches.view(state);
    }

    /** One step in. */
    public BenchState stepIn(By by, long job, Seen seen, Press.StepIn said) {
        BenchPress press = benches.changeable(by, job, seen);
        BenchState after =
                press.make(said.by(rights.may(by, Act.OVERRULE), press.beside().checks()));
        knownHere.proposeCounts(
                press, said.found().stream().map(TakenOff::thing).toList());
        return after;
    }

    /** A unit that came half apart, as it lies. @param lying how many of a thing lie there, of those that somebody counted */
    public BenchState foundOpen(By by, long job, Seen seen, Set<String> steps, Map<String, Integer> lying) {
        BenchPress press = benches.changeable(by, job, seen);
        BenchState after = press.make(new Press.FoundOpen(steps, lying));
        knownHere.proposeCounts(press, List.copyOf(lying.keySet()));
        return after;
    }

    /**
     * What became of a thing on the way out.
     *
     * @param part the part taken from a drawer for what is replaced; empty if it came from elsewhere
     */
    public record Settled(PutBack putBack, Optional<Long> part) {}

    /** One step out. What is not said goes back from the tray. Refused while something under it is still off. */
    public BenchState stepOut(By by, long job, Seen seen, String stepId, List<Settled> said) {
        BenchPress press = benches.changeable(by, job, seen);
        Step step = press.now().run().notes().step(stepId);
        Map<String, String> parts = new LinkedHashMap<>();
        for (Settled one : said) {
            PutBack put = one.putBack();
            if (one.part().isPresent() && put.replaced() > 0) {
                parts.put(put.thing(), words(one.part().get(), put.replaced()));
            }
        }
        List<PutBack> settled = said.stream().map(Settled::putBack).toList();
        settled.stream()
                .filter(put -> !put.instead().isEmpty() && put.replaced() > 0)
                .forEach(put -> {
                    proposeInstead(press, step, put);
                    alteredFrom(press, put);
                });
        BenchState after = press.make(new Press.StepOut(
                stepId, settled, parts, press.beside().ends(), press.beside().checks()));
        said.stream().filter(one -> one.putBack().replaced() > 0).forEach(one -> one.part()
                .ifPresent(part -> tell(
                        press, part, one.putBack().replaced(), one.putBack().thing())));
        return after;
    }

    private String words(long part, int count) {
        DrawerStore.Part one = drawers.part(part);
        return count + " × " + one.name() + " from drawer " + one.drawer();
    }

    /** The part that a thing was replaced with: a finding may have told of it already. */
    private void tell(BenchPress press, long part, int count, String id) {
        Thing thing = press.now().run().ledger().thing(id);
        Optional<Long> component = press.beside().replaced().stream()
                .filter(one -> one.borneBy(thing))
                .map(Replaced::component)
                .findFirst();
        parts.tell(
                press.by(),
                press.job(),
                PartsOfJob.Fitted.fromDrawer(part, count),
                PartsOfJob.Place.ledger(press.by(), id, component),
                "in place of " + thing.label());
    }

    /** What went back as something else is worth a line in the notes, if whoever knows the model thinks so too. */
    private void proposeInstead(BenchPress press, Step step, PutBack put) {
        Assembled.Written written = Assembled.written(step.id());
        long revision = press.now().revisionOf(written);
        Step now = benches.writtenNow(revision, written.id());
        String label = press.now().run().ledger().thing(put.thing()).label();
        String words = "In place of " + put.replaced() + " × " + label + ": " + put.instead();
        if (now != null && !now.closeUp().contains(words) && now.closeUp().length() + words.length() < 490) {
            String closeUp = now.closeUp().isEmpty() ? words + "." : now.closeUp() + " " + words + ".";
            proposals.propose(press.by(), revision, Optional.of(press.job()), now.closingUp(closeUp), words);
        }
    }

    /** What went back as something else stays with the unit: its next stay opens with it. */
    private void alteredFrom(BenchPress press, PutBack put) {
        String label = press.now().run().ledger().thing(put.thing()).label();
        entries.say(press.by(), press.job(), new JobEntry.Altered(label, put.instead(), Optional.of(put.thing())));
    }

    /** Takes back the last step, in or out, or a move by hand after it, by opposite entries. */
    public BenchState stepBack(By by, long job, Seen seen) {
        BenchPress press = benches.changeable(by, job, seen);
        Optional<StepEntry> last = press.now().run().lastStep();
        press.make(new Press.StepBack());
        return draft.tookBack(press, last);
    }

    /**
     * One move of the ledger by hand: found again, lost, broken, put back, replaced, left out.
     *
     * @param part the part taken from a drawer when something is replaced; empty if it came from elsewhere
     */
    public BenchState move(By by, long job, Seen seen, Move move, Optional<Long> part) {
        BenchPress press = benches.changeable(by, job, seen);
        Optional<Long> fitted = part.filter(id -> move.to() == Account.REPLACED);
        BenchState after = press.make(new Press.MoveByHand(
                move, fitted.map(id -> words(id, move.count())).orElse("")));
        fitted.ifPresent(id -> tell(press, id, move.count(), move.thing()));
        if (move.to() == Account.BEYOND_NOTES) {
            knownHere.proposeCounts(press, List.of(move.thing()));
        }
        return after;
    }

    /** Says which variant of its model a component is, once it can be seen. */
    public BenchState fit(By by, long job, Seen seen, long component, long revision) {
        BenchPress press = benches.running(by, job, seen);
        String words = inside.fit(press, component, revision);
        return press.done("fitted", component, words, revision);
    }
}
