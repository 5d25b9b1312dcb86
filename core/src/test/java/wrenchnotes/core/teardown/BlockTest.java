package wrenchnotes.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.unit.Invalid;

/** Steps of other notes as a block: their order among themselves stays, their ids do not meet those that are there. */
class BlockTest {

    private static Step step(String id, Set<String> needs, Long... exposes) {
        return Step.plain(
                id,
                "The " + id,
                needs,
                Side.TOP,
                "PH1",
                2,
                List.of(FastenerGroup.seen(
                        id + "-f", id + " screws", java.util.Optional.of(Head.CROSS), java.util.Optional.of(2))),
                Set.of(exposes));
    }

    private static final Teardown DRIVE = Teardown.of(
            new Overview(
                    "drawer out",
                    List.of(),
                    List.of(new Overview.PlannedCheck(Stage.BEFORE_CLOSING, "plays", "", 1)),
                    List.of(new Overview.WatchPoint(7, "belt?")),
                    List.of()),
            List.of(
                    step("lid", Set.of()),
                    step("clamp", Set.of("lid"), 7L),
                    step("lens", Set.of("clamp")),
                    step("sled", Set.of("clamp"), 8L).with(new Order(Set.of("clamp"), "sled way", Set.of("lens")))));

    @Test
    void aBlockComesAfterWhatIsThere() {
        Teardown into = Teardown.of(List.of(step("lid", Set.of()), step("clamp", Set.of("lid"))));
        Teardown taken = Block.taken(into, DRIVE, Set.of("clamp", "lens", "sled"), component -> component + 100);
        assertThat(taken.steps()).extracting(Step::id).containsExactly("lid", "clamp", "clamp-2", "lens", "sled");
        Step clamp = taken.step("clamp-2");
        assertThat(clamp.needs()).as("what it needed stayed behind").containsExactly("clamp");
        assertThat(clamp.exposes()).containsExactly(107L);
        assertThat(clamp.things()).extracting(Thing::id).containsExactly("clamp-f-2");
        Step sled = taken.step("sled");
        assertThat(sled.needs()).containsExactly("clamp-2");
        assertThat(sled.backAfter()).containsExactly("lens");
        assertThat(sled.insteadOf()).isEqualTo("sled way");
        assertThat(taken.overview()).isEqualTo(Overview.NONE);
        assertThat(Block.taken(taken, DRIVE, Set.of("sled"), component -> component)
                        .steps())
                .as("taken once more")
                .extracting(Step::id)
                .endsWith("sled-2");
    }

    @Test
    void emptyNotesStartWithTheWholeAndAnUnknownStepIsRefused() {
        Teardown taken =
                Block.taken(Teardown.empty(), DRIVE, Set.of("lid", "clamp", "lens", "sled"), component -> component);
        assertThat(taken).isEqualTo(DRIVE);
        assertThatThrownBy(() -> Block.taken(Teardown.empty(), DRIVE, Set.of("cover"), component -> component))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("cover");
    }
}
