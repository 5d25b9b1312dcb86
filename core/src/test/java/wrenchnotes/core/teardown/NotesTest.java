package wrenchnotes.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.teardown.plan.Access;
import wrenchnotes.core.teardown.plan.Costs;

/** Notes compared, put right in one place and offered to another, and turned into a way in. */
class NotesTest {

    private static final FastenerGroup SCREWS = new FastenerGroup(
            "plate", "at the plate", Head.CROSS, "PH1", ThreadForm.TAPPING, 2.9, 12, Finish.BLACK, 10, "", null);
    private static final FastenerGroup RIVETS = new FastenerGroup(
            "plate", "at the plate", Head.RIVET, "", ThreadForm.NONE, 3, 5, Finish.BLACK, 6, "felt pad", null);

    private static Step step(String id, double minutes, FastenerGroup group, String... needs) {
        return Step.plain(
                id,
                "Take off " + id,
                Set.of(needs),
                Side.TOP,
                "PH1",
                minutes,
                group == null ? null : List.of(group),
                Set.of(1L));
    }

    @Test
    void saysWhatDiffersStepByStep() {
        Teardown a = Teardown.of(List.of(step("foot", 3, SCREWS), step("fan", 1, null, "foot")));
        Teardown b = Teardown.of(List.of(step("foot", 4, RIVETS), step("lid", 2, null)));
        NotesDiff diff = NotesDiff.between(a, b);
        assertThat(diff.steps())
                .extracting(NotesDiff.StepDiff::id, NotesDiff.StepDiff::sort)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("foot", NotesDiff.Sort.CHANGED),
                        org.assertj.core.groups.Tuple.tuple("lid", NotesDiff.Sort.ADDED),
                        org.assertj.core.groups.Tuple.tuple("fan", NotesDiff.Sort.GONE));
        assertThat(diff.steps().get(0).changes())
                .containsExactly(
                        "minutes: 3 → 4",
                        "at the plate: 10 cross PH1, 2.9 × 12 mm, tapping, black"
                                + " → 6 rivet, 3 × 5 mm, black, under the felt pad");
        assertThat(NotesDiff.between(a, a).nothing()).isTrue();
    }

    @Test
    void aFixIsOfferedWhereTheStepIsStillAsItWas() {
        Teardown before = Teardown.of(List.of(step("foot", 3, SCREWS), step("fan", 1, null)));
        Teardown after = Teardown.of(List.of(step("foot", 5, SCREWS), step("fan", 2, null)));
        Teardown other = Teardown.of(List.of(step("foot", 3, SCREWS), step("fan", 9, null)));
        assertThat(SharedFix.offers(before, after, other)).extracting(Step::id).containsExactly("foot");
        Teardown taken = SharedFix.taken(other, after, Set.of("foot"));
        assertThat(taken.step("foot").minutes()).isEqualTo(5);
        assertThat(taken.step("fan").minutes()).isEqualTo(9);
    }

    @Test
    void asksAboutThreadsThatNoStandardKnows() {
        // ISO 261: M2 and M2.5 are coarse threads, M2.2 is none of the preferred ones. ISO 1478: ST2.2 is (from
        // memory).
        assertThat(ThreadQuestion.about(group(ThreadForm.MACHINE, 2.5))).isEmpty();
        assertThat(ThreadQuestion.about(group(ThreadForm.TAPPING, 2.9))).isEmpty();
        assertThat(ThreadQuestion.about(group(ThreadForm.MACHINE, 2.2)).orElseThrow())
                .contains("ISO 261")
                .contains("M2.2")
                .contains("ST2.2");
        assertThat(ThreadQuestion.about(group(ThreadForm.TAPPING, 3.0)).orElseThrow())
                .contains("ISO 1478")
                .contains("ST2.9")
                .contains("M3");
        assertThat(ThreadQuestion.about(RIVETS)).isEmpty();
    }

    private static FastenerGroup group(ThreadForm form, double diameter) {
        return new FastenerGroup("g", "case", Head.CROSS, "PH1", form, diameter, 8, Finish.SILVER, 4, "", null);
    }

    @Test
    void theWayKnowsWhatTheBenchWantsToKnow() {
        Step shell = Step.plain("shell", "Shell off", Set.of(), Side.FRONT, "T15", 4, List.of(SCREWS), Set.of())
                .with(new Caution("The tube holds a charge.", 24));
        Step board = Step.plain("board", "Board out", Set.of("shell"), Side.TOP, "PH1", 5, null, Set.of(7L))
                .with(new Order(Set.of("shell"), "", Set.of("supply")))
                .with(new Things(
                        null,
                        List.of(new Connector("lead", "lead", "", true, "")),
                        List.of(new LoosePiece("ring", "ring", "", 2))));
        Step supply = Step.plain("supply", "Supply out", Set.of("shell"), Side.TOP, "PH1", 2, null, Set.of(8L));
        Teardown notes = Teardown.of(List.of(shell, supply, board));
        Map<String, List<Double>> recorded = Map.of("board", List.of(6.0, 8.0, 10.0, 8.0), "supply", List.of(1.0));
        Access way = Access.to(notes, Set.of(7L, 8L), Costs.USUAL, recorded).time();
        assertThat(way.plan().order()).containsExactly("shell", "supply", "board");
        assertThat(way.back()).as("the board waits for the supply").containsExactly("supply", "board", "shell");
        assertThat(way.tools()).containsExactly("T15", "PH1");
        assertThat(way.fasteners()).containsExactly(Map.entry(Head.CROSS, 10));
        assertThat(way.connectors()).isEqualTo(1);
        assertThat(way.pieces()).isEqualTo(2);
        assertThat(way.cautions()).containsExactly("The tube holds a charge.");
        assertThat(way.waitHours()).isEqualTo(24);
        // Median of the four is 8; the two others stand with 4 and 2 minutes, and pay two thirds of the 1.5 for
        // changes.
        assertThat(way.likely().half()).isCloseTo(4 + 2 + 8 + 1.0, within(1e-9));
        assertThat(way.likely().fourFifths()).isGreaterThan(way.likely().half());
        assertThat(way.likely().recorded()).isEqualTo(1);
    }
}
