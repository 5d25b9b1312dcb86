package wrenchnotes.server.demo;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.server.bench.BenchService.Settled;

/** What does not simply go back: rivets that were cut stay out, what a step uses up is new. */
final class DemoPutBack {

    private DemoPutBack() {}

    static List<Settled> of(DemoTurn turn, String step) {
        Step written = turn.known.teardown().step(step);
        return Stream.concat(cut(written), renewed(turn, written)).toList();
    }

    private static Stream<Settled> cut(Step step) {
        return step.fasteners().stream()
                .filter(group -> !step.reversible()
                        && group.head().filter(Head.RIVET::equals).isPresent())
                .map(group -> new Settled(
                        new PutBack(group.id(), 0, 0, group.asMade(), 0, "plate sits on the screws that are left", ""),
                        Optional.empty()));
    }

    private static Stream<Settled> renewed(DemoTurn turn, Step step) {
        Optional<Long> paste = Optional.of(turn.shop.parts().get("heat paste, dab"));
        return step.off().pieces().stream()
                .filter(LoosePiece::usedUp)
                .map(piece -> new Settled(new PutBack(piece.id(), 0, piece.asMade(), 0, 0, "", ""), paste));
    }
}
