package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Order;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.Toll;
import wrenchnotes.core.unit.Invalid;

class WayInTest {

    /** Following the next step in to the end opens every step, each after all it needs; and out again closes them all. */
    @Property
    void theWayInAndOutRespectsWhatNeedsWhat(@ForAll @IntRange(min = 1, max = 12) int size, @ForAll Random random) {
        Teardown notes = randomNotes(size, random);
        WayIn way = WayIn.closed(notes);
        Set<String> open = new HashSet<>();
        while (way.nextIn().isPresent()) {
            Step step = way.nextIn().get();
            assertThat(open).containsAll(step.needs());
            way = way.in(step.id());
            open.add(step.id());
        }
        assertThat(way.open()).hasSize(size);
        while (way.nextOut().isPresent()) {
            Step step = way.nextOut().get();
            assertThat(notes.dependents(step.id())).noneMatch(inside -> open.contains(inside.id()));
            way = way.out(step.id());
            open.remove(step.id());
        }
        assertThat(way.open()).isEmpty();
    }

    @Test
    void refusalsNameTheStepInTheWay() {
        Teardown notes = Teardown.of(List.of(step("lid"), step("deck", "lid"), step("sled", "deck")));
        WayIn lidOff = WayIn.closed(notes).in("lid");
        assertThatThrownBy(() -> lidOff.in("sled")).hasMessage("\"Take off sled\" needs \"Take off deck\" first.");
        assertThatThrownBy(() -> lidOff.in("deck").out("lid"))
                .hasMessage("\"Take off deck\" must go back in before \"Take off lid\".");
        assertThatThrownBy(() -> lidOff.out("deck")).hasMessage("\"Take off deck\" is not open.");
        assertThatThrownBy(() -> lidOff.in("lid")).hasMessage("\"Take off lid\" is already open.");
    }

    @Test
    void notesWithACircleOrAnUnknownNeedAreNoNotes() {
        assertThatThrownBy(() -> Teardown.of(List.of(step("a", "c"), step("b", "a"), step("c", "b"))))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("Take off a → Take off c → Take off b → Take off a");
        assertThatThrownBy(() -> Teardown.of(List.of(step("a", "nowhere")))).hasMessageContaining("nowhere");
        assertThatThrownBy(() -> Teardown.of(List.of(step("a"), step("a")))).hasMessageContaining("Two steps");
        assertThatThrownBy(() -> step("a", "a")).hasMessageContaining("needs itself");
    }

    static Step step(String id, String... needs) {
        return Step.plain(id, "Take off " + id, Set.of(needs), Side.TOP, "PH1", 1, null, null);
    }

    /** One of two ways to the same end, or a step with an exception on the way back. */
    private static Step step(String id, String insteadOf, Set<String> backAfter, String... needs) {
        return Step.of(id, "Take off " + id, Doing.of(Side.TOP, "PH1", 1))
                .with(new Order(Set.of(needs), insteadOf, backAfter));
    }

    /** A step that cannot be undone. */
    static Step irreversible(String id, List<FastenerGroup> fasteners) {
        return Step.of(id, "Cut " + id, Doing.of(Side.TOP, "knife", 1))
                .with(new Toll(0, false))
                .with(Things.fastened(fasteners));
    }

    @Test
    void aChosenWayEndsWhereItWasToLead() {
        Teardown notes =
                Teardown.of(List.of(step("lid"), step("deck", "lid"), step("fan", "lid"), step("sled", "deck")));
        List<String> route = List.of("lid", "deck");
        WayIn there = WayIn.closed(notes).in("lid").in("deck");
        assertThat(WayIn.closed(notes).in("lid").nextIn(route).orElseThrow().id())
                .isEqualTo("deck");
        assertThat(there.nextIn(route)).isEmpty();
        assertThat(there.nextIn().orElseThrow().id()).isEqualTo("fan");
    }

    @Test
    void aSkippedStepIsInNobodysWayAndNeedNotGoBack() {
        Teardown notes = Teardown.of(List.of(step("lid"), step("deck", "lid"), step("sled", "deck")));
        WayIn skipped = WayIn.closed(notes).in("lid").skip("deck");
        assertThat(skipped.nextIn().orElseThrow().id()).isEqualTo("sled");
        WayIn further = skipped.in("sled");
        assertThat(further.nextOut().orElseThrow().id()).isEqualTo("sled");
        assertThat(further.out("sled").out("lid").open()).isEmpty();
        // Done after all, it is open like any other.
        assertThat(skipped.in("deck").skipped()).isEmpty();
        assertThatThrownBy(() -> WayIn.closed(notes).skip("deck")).hasMessageContaining("needs \"Take off lid\" first");
        assertThatThrownBy(() -> skipped.skip("lid")).hasMessageContaining("nothing to skip");
    }

    @Test
    void oneOfTwoWaysIsEnough() {
        Teardown notes = Teardown.of(List.of(
                step("rivets", "plate", Set.of()),
                step("frame", "plate", Set.of()),
                step("lens", "", Set.of(), "plate")));
        assertThatThrownBy(() -> WayIn.closed(notes).in("lens"))
                .hasMessage("\"Take off lens\" needs \"Take off rivets\" or \"Take off frame\" first.");
        WayIn frameOut = WayIn.closed(notes).in("frame");
        assertThat(frameOut.nextIn().orElseThrow().id()).isEqualTo("lens");
        assertThatThrownBy(() -> frameOut.in("rivets")).hasMessageContaining("does the same");
        assertThatThrownBy(() -> frameOut.in("lens").out("frame")).hasMessageContaining("must go back in before");
        assertThat(frameOut.in("lens").nextIn()).isEmpty();
    }

    @Test
    void theWayBackKnowsItsExceptions() {
        // The supply lead runs below the board: the board opened first, yet goes back last.
        Teardown notes = Teardown.of(
                List.of(step("board", "", Set.of("supply")), step("supply", "", Set.of()), step("fan", "", Set.of())));
        WayIn open = WayIn.closed(notes).in("supply").in("fan").in("board");
        assertThat(open.nextOut().orElseThrow().id()).isEqualTo("fan");
        assertThatThrownBy(() -> open.out("board"))
                .hasMessage("\"Take off supply\" must go back in before \"Take off board\".");
        assertThatThrownBy(() -> Teardown.of(List.of(step("a", "", Set.of()), step("b", "", Set.of("a"), "a"))))
                .hasMessageContaining("on the way back");
    }

    private static Teardown randomNotes(int size, Random random) {
        List<Step> steps = new ArrayList<>();
        for (int at = 0; at < size; at++) {
            List<String> needs = new ArrayList<>();
            for (int earlier = 0; earlier < at; earlier++) {
                if (random.nextInt(3) == 0) {
                    needs.add("s" + earlier);
                }
            }
            steps.add(step("s" + at, needs.toArray(String[]::new)));
        }
        java.util.Collections.shuffle(steps, random);
        return Teardown.of(steps);
    }
}
