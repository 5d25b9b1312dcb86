package wrenchnotes.server.demo;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.bench.RunService;

/** What a bench of the demo shop says before its hands go in. */
final class DemoSafety {

    private final RunService runs;
    private final DemoTurn turn;
    private final Set<String> heeded = new TreeSet<>();
    private final Set<String> marked = new TreeSet<>();
    private boolean live;

    DemoSafety(RunService runs, DemoTurn turn) {
        this.runs = runs;
        this.turn = turn;
    }

    /** A run begins off and unplugged. */
    void begun() {
        live = false;
    }

    /** What was discharged is charged again: each caution is heeded anew. */
    void isLive(boolean powered) {
        if (powered && !live) {
            heeded.clear();
            live = true;
        }
    }

    /**
     * Off and unplugged, every caution over a step heeded, and what it moves marked, or back on its mark.
     *
     * @param way the steps that are open, or will be
     */
    void before(String step, List<String> way) {
        if (live) {
            runs.switchTo(turn.by(turn.bencher), turn.job(), turn.seen(), Power.UNPLUGGED, "");
            live = false;
        }
        for (Step over : covering(turn.known.teardown().step(step), way)) {
            if (!over.danger().equals(Caution.NONE) && heeded.add(over.id())) {
                runs.heed(turn.by(turn.bencher), turn.job(), turn.seen(), over.id());
            }
        }
        for (Staying stays : turn.known.teardown().step(step).adjusted()) {
            String words = marked.add(stays.id()) ? stays.words() : "";
            Press.Marking marking = new Press.Marking(step, stays.id(), words, Optional.empty());
            runs.mark(turn.by(turn.bencher), turn.job(), turn.seen(), marking);
        }
    }

    /** A step and what it needs: in the demo nothing is passed over. */
    private Set<Step> covering(Step step, List<String> way) {
        Teardown notes = turn.known.teardown();
        Set<Step> covering = new LinkedHashSet<>();
        step.needs().stream()
                .flatMap(need -> notes.has(need) ? Stream.of(notes.step(need)) : notes.members(need).stream())
                .filter(need -> way.contains(need.id()))
                .forEach(need -> covering.addAll(covering(need, way)));
        covering.add(step);
        return covering;
    }
}
