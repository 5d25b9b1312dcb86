package wrenchnotes.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Direction;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Order;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.teardown.Drafts;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/**
 * Notes that are written by taking a unit apart: where the notes end, whatever comes off next becomes their next step, with
 * the time it took. Runs in the caller's transaction.
 */
@Component
class DraftService {

    private static final double LEAST_MINUTES = 0.5;
    private static final double MOST_MINUTES = 60;

    private final Benches benches;
    private final RunStore runs;
    private final NotesStore notes;
    private final ModelService models;
    private final ModelStore store;
    private final NewerNotes newer;

    DraftService(
            Benches benches, RunStore runs, NotesStore notes, ModelService models, ModelStore store, NewerNotes newer) {
        this.benches = benches;
        this.runs = runs;
        this.notes = notes;
        this.models = models;
        this.store = store;
        this.newer = newer;
    }

    /** Some fasteners, as far as they were looked at and counted. */
    record Screws(Optional<Head> head, Optional<Integer> count) {}

    /**
     * @param screws by head
     * @param plugs their names
     * @param pieces names of loose pieces, one of each
     */
    record Off(
            String title,
            Side side,
            String tool,
            List<Screws> screws,
            List<String> plugs,
            List<String> pieces,
            Besides besides) {}

    /**
     * What else is known of the step; each may be empty.
     *
     * @param exposes names of components that can be reached now, known or new
     * @param photos hashes of pictures that are kept
     */
    record Besides(String caution, String closeUp, List<String> exposes, List<String> photos) {}

    BenchState cameOff(By by, long job, Seen seen, Off off) {
        BenchPress press = benches.running(by, job, seen);
        BenchState state = press.now();
        if (state.run().way().nextIn().isPresent()) {
            throw Refused.because("The notes know what comes next: do that step, or say that the notes are wrong.");
        }
        NotesStore.Version newest = notes.newest(state.job().revisionId());
        if (state.opened() && newest.id() != state.notes().id()) {
            throw Refused.because(
                    "The notes were changed since this unit was opened: go on by the newer ones first, or propose the step under Models.");
        }
        List<Step> steps = new ArrayList<>(newest.teardown().steps());
        Step step = step(off, newest.teardown(), minutes(job, state, press.by().at()))
                .exposing(components(press, off.besides().exposes()));
        steps.add(step);
        NotesStore.Version saved = models.saveNotes(
                press.by(),
                state.job().revisionId(),
                new Seen(newest.number()),
                newest.teardown().withSteps(steps),
                asItCameOff(state));
        if (!state.opened()) {
            // Saving made every sight of a bench without notes of its own an older one, this one too.
            press.is(press.now().pressed(press.by()));
        }
        benches.goBy(press, saved);
        if (!step.caution().isEmpty()) {
            // Whoever has just written the caution knows it.
            press.keep(new Press.Heed(step.id()));
        }
        return press.make(Press.StepIn.asTheNotesSay(step.id()));
    }

    private Set<Long> components(BenchPress press, List<String> names) {
        long model = store.revision(press.now().job().revisionId()).modelId();
        return names.stream()
                .map(name -> models.addComponent(press.by(), model, name).id())
                .collect(Collectors.toSet());
    }

    /** A step that came of taking something off, and was taken back at once, leaves no ghost in the notes. */
    BenchState tookBack(BenchPress press, Optional<StepEntry> undone) {
        BenchState state = press.now();
        NotesStore.Version notesNow = notes.newest(state.job().revisionId());
        List<Step> steps = new ArrayList<>(notesNow.teardown().steps());
        boolean ghost = notesNow.id() == state.notes().id()
                && notesNow.why().equals(asItCameOff(state))
                && undone.filter(entry -> entry.direction() == Direction.IN
                                && entry.step()
                                        .equals(steps.get(steps.size() - 1).id())
                                && !state.run().way().isOpen(entry.step()))
                        .isPresent();
        if (!ghost) {
            return state;
        }
        steps.remove(steps.size() - 1);
        NotesStore.Version without = models.saveNotes(
                press.by(),
                state.job().revisionId(),
                new Seen(notesNow.number()),
                notesNow.teardown().withSteps(steps),
                "taken back, " + state.job().tag());
        newer.goOn(press, without, Map.of(), Map.of());
        return press.unsaid();
    }

    private static String asItCameOff(BenchState state) {
        return Drafts.asItCameOff(state.job().tag());
    }

    /** Since the last step or the beginning of the run, whichever is later, pauses left out. */
    private double minutes(long job, BenchState state, Instant now) {
        Instant begun = state.run().underWay().orElseThrow().started().at();
        List<StepEntry> steps = state.run().log().steps();
        Instant since =
                steps.isEmpty() ? begun : steps.get(steps.size() - 1).moment().at();
        Instant from = since.isBefore(begun) ? begun : since;
        Duration worked = Duration.between(from, now).minus(runs.paused(job, from));
        double minutes = Math.round(worked.toSeconds() / 30.0) / 2.0;
        return Math.max(LEAST_MINUTES, Math.min(MOST_MINUTES, minutes));
    }

    private static Step step(Off off, Teardown before, double minutes) {
        int n = before.steps().size() + 1;
        while (before.has("off" + n)) {
            n++;
        }
        String id = "off" + n;
        List<FastenerGroup> fasteners = new ArrayList<>();
        for (Screws screws : off.screws()) {
            fasteners.add(FastenerGroup.seen(id + "-f" + fasteners.size(), off.title(), screws.head(), screws.count()));
        }
        List<Connector> plugs = new ArrayList<>();
        off.plugs().forEach(name -> plugs.add(new Connector(id + "-c" + plugs.size(), name, "", false, "")));
        List<LoosePiece> pieces = new ArrayList<>();
        off.pieces().forEach(name -> pieces.add(new LoosePiece(id + "-p" + pieces.size(), name, "", 1)));
        Set<String> needs = before.steps().isEmpty()
                ? Set.of()
                : Set.of(before.steps().get(before.steps().size() - 1).id());
        Besides besides = off.besides();
        return Step.of(id, off.title(), new Doing("", off.side(), off.tool(), minutes, "", besides.closeUp()))
                .with(Caution.of(besides.caution()))
                .showing(besides.photos().stream()
                        .map(hash -> new Photo(hash, "", List.of()))
                        .toList())
                .with(Order.after(needs))
                .with(new Things(fasteners, plugs, pieces));
    }
}
