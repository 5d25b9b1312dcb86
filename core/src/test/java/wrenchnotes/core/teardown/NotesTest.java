package wrenchnotes.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.Stage;
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

    /** Everything that notes can say of a step and of the whole, changed, added and taken away: a line each, in plain words. */
    @Test
    void saysEverythingThatDiffers() {
        Photo front = new Photo("a".repeat(64), "front", List.of());
        Step was = new Step(
                "lid",
                "Lid",
                new Doing("lift", Side.TOP, "PH1", 3, "unplugged", "push down"),
                Caution.NONE,
                new Order(Set.of("foot"), "", Set.of()),
                Toll.NONE,
                new Things(
                        List.of(SCREWS),
                        List.of(new Connector("fan", "fan lead", "CN3", true, "")),
                        List.of(new LoosePiece("ring", "ring", "", 2))),
                Set.of(1L),
                List.of(),
                List.of(new Staying("trim", "trimmer", StaysAs.LEAVE_ALONE, "sets the speed")));
        Step is = new Step(
                "lid",
                "Cover",
                new Doing("slide", Side.BACK, "PH2", 3.5, "cold", "slide back"),
                new Caution("Sharp edge.", 2),
                new Order(Set.of(), "way", Set.of("foot")),
                new Toll(250, false),
                new Things(
                        null,
                        List.of(new Connector("fan", "fan lead", "CN3", true, "lift")),
                        List.of(new LoosePiece("pad", "pad", "felt", 1))),
                Set.of(1L, 4L),
                List.of(front),
                List.of(new Staying("clamp", "clamp", StaysAs.LOOSENED, "")));
        Step foot = step("foot", 1, null);
        NotesDiff.StepDiff lid =
                NotesDiff.between(Teardown.of(List.of(foot, was)), Teardown.of(List.of(is, foot))).steps().stream()
                        .filter(step -> step.id().equals("lid"))
                        .findFirst()
                        .orElseThrow();
        assertThat(lid.changes())
                .containsExactly(
                        "title: Lid → Cover",
                        "how: lift → slide",
                        "caution: nothing → Sharp edge.",
                        "needs first: Take off foot → nothing",
                        "side: top up → back up",
                        "tool: PH1 → PH2",
                        "minutes: 3 → 3.5",
                        "fan lead: plug CN3 → plug CN3, latch: lift",
                        "pad: added, 1 loose felt",
                        "at the plate: gone, was " + SCREWS.words(),
                        "ring: gone, was 2 loose",
                        "exposes: component 1 → component 1, component 4",
                        "instead of: nothing → way",
                        "parts it costs: 0 → 250",
                        "can be undone: yes → no",
                        "must be so first: unplugged → cold",
                        "on the way back: push down → slide back",
                        "goes back after: nothing → Take off foot",
                        "hours left off: 0 → 2",
                        "stays added: clamp: loosened",
                        "stays gone: trimmer: leave alone, sets the speed",
                        "photos: 0 with 0 marks → 1 with 0 marks");
        NotesDiff turned = NotesDiff.between(
                Teardown.of(List.of(foot, step("fan", 1, null))), Teardown.of(List.of(step("fan", 1, null), foot)));
        assertThat(turned.orderChanged()).isTrue();
        assertThat(turned.nothing()).isFalse();
        assertThat(turned.steps()).isEmpty();
        Overview before = new Overview(
                "drawer out",
                List.of(new Overview.ServiceMode("test", "hold A", "")),
                List.of(new Overview.PlannedCheck(Stage.BEFORE_CLOSING, "plays", "", 1)),
                List.of(new Overview.WatchPoint(1, "ruler over the lid")),
                List.of());
        Overview after = new Overview(
                "unplugged",
                List.of(new Overview.ServiceMode("test", "hold B", "a tone")),
                List.of(new Overview.PlannedCheck(Stage.BEFORE_CLOSING, "plays", "a long disc", 3)),
                List.of(),
                List.of(new Overview.WatchPoint(1, "corners")));
        NotesDiff whole = NotesDiff.between(Teardown.of(before, List.of()), Teardown.of(after, List.of()));
        assertThat(whole.nothing()).isFalse();
        String stage = Stage.BEFORE_CLOSING.words();
        assertThat(whole.whole())
                .containsExactly(
                        "before step one: drawer out → unplugged",
                        "service mode added: test: hold B, shows a tone",
                        "service mode gone: test: hold A",
                        "check added: plays, " + stage + ", with a long disc, 3 times",
                        "check gone: plays, " + stage,
                        "watch point gone: ruler over the lid",
                        "look after a fall added: corners");
        assertThat(Teardown.of(before, List.of()))
                .isEqualTo(Teardown.of(before, List.of()))
                .hasSameHashCodeAs(Teardown.of(before, List.of()))
                .isNotEqualTo(Teardown.of(after, List.of()))
                .isNotEqualTo(Teardown.of(before, List.of(foot)));
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
        // A step that only one of them has, one that was not touched, and one that leans on a step the other has not.
        Teardown strange = Teardown.of(List.of(step("foot", 3, SCREWS)));
        Teardown grown =
                Teardown.of(List.of(step("bar", 1, null), step("foot", 3, SCREWS, "bar"), step("fan", 1, null)));
        assertThat(SharedFix.offers(before, grown, strange)).isEmpty();
        assertThat(SharedFix.offers(before, before, before)).isEmpty();
        Teardown late = Teardown.of(List.of(
                step("bar", 1, null),
                step("foot", 3, SCREWS).with(new Order(null, "", Set.of("bar"))),
                step("fan", 1, null)));
        assertThat(SharedFix.offers(before, late, strange)).isEmpty();
        Teardown barred = Teardown.of(List.of(step("bar", 9, null), step("foot", 3, SCREWS)));
        assertThat(SharedFix.offers(before, grown, barred)).extracting(Step::id).containsExactly("foot");
    }

    private static TestPoint point(String name, TestPoint.PointKind kind, String from, Double right) {
        Optional<Double> volts = Optional.ofNullable(right);
        boolean rail = kind.rail();
        return new TestPoint(
                name,
                kind,
                7,
                from,
                rail ? volts : Optional.empty(),
                rail ? Optional.empty() : volts,
                Optional.empty(),
                "",
                "red at C4",
                "",
                "");
    }

    private static Overview measured(TestPoint... points) {
        return new Overview("", null, null, null, null, List.of(points));
    }

    @Test
    void testPointsHoldTogetherAndAChangeOfWhatIsRightIsTold() {
        TestPoint raw = point("raw", TestPoint.PointKind.RAW, "", null);
        TestPoint five = point("5 V", TestPoint.PointKind.REGULATED, "raw", 5.0);
        TestPoint eye = point("eye", TestPoint.PointKind.OTHER, "", 0.9);
        assertThat(measured(five, raw, eye).points())
                .extracting(TestPoint::words)
                .containsExactly("5 V, regulated, 5 V: red at C4", "raw, raw: red at C4", "eye, from 0.9 V: red at C4");
        assertThatThrownBy(() -> measured(five)).hasMessageContaining("which is no rail of these notes");
        assertThatThrownBy(() -> measured(eye, point("5 V", TestPoint.PointKind.REGULATED, "eye", 5.0)))
                .hasMessageContaining("no rail");
        assertThatThrownBy(() -> measured(raw, raw)).hasMessageContaining("Two test points are called \"raw\"");
        assertThatThrownBy(() -> point("eye", TestPoint.PointKind.OTHER, "", null))
                .hasMessageContaining("is good");
        assertThatThrownBy(() -> point("0 V", TestPoint.PointKind.RAW, "", 0.0)).hasMessageContaining("points.nominal");
        NotesDiff diff = NotesDiff.between(
                Teardown.of(measured(eye), List.of()),
                Teardown.of(measured(point("eye", TestPoint.PointKind.OTHER, "", 1.1)), List.of()));
        assertThat(diff.whole())
                .containsExactly(
                        "test point added: eye, from 1.1 V: red at C4", "test point gone: eye, from 0.9 V: red at C4");
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

    private static FastenerGroup held(String id, Head head) {
        return new FastenerGroup(id, "round the edge", head, "", ThreadForm.NONE, 3, 5, Finish.BLACK, 4, "", null);
    }

    @Test
    void theWayKnowsWhatTheBenchWantsToKnow() {
        List<FastenerGroup> round = List.of(held("felt", Head.FELT_FOOT), held("clip", Head.CLIP), SCREWS);
        Step shell = Step.plain("shell", "Shell off", Set.of(), Side.FRONT, "T15", 4, round, Set.of())
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
        // Measured: another order at each start of the program.
        assertThat(way.fasteners())
                .containsExactly(Map.entry(Head.CROSS, 10), Map.entry(Head.CLIP, 4), Map.entry(Head.FELT_FOOT, 4));
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
