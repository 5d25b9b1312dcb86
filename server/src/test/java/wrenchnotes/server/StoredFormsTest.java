package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Order;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Spot;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.StaysAs;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.TestPoint;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.teardown.Toll;
import wrenchnotes.server.ground.Stored;
import wrenchnotes.server.teardown.form.NotesForm;

/**
 * What was once written to a shop is written here as it stands there, letter by letter: today's core must be read from it and
 * written to it, whatever its types and their components are called by now.
 */
class StoredFormsTest {

    private static final String HASH = "a".repeat(64);

    private static final String LID = """
            {"id":"lid","title":"Lid off","how":"Lift.","caution":"Springs.","needs":["feet","seal"],"side":"BOTTOM","tool":"PH1",\
            "minutes":2.5,"fasteners":[{"id":"case","label":"case","head":"CROSS","size":"PH1","thread":"TAPPING",\
            "diameterMm":2.9,"lengthMm":12.0,"finish":"BLACK","count":4,"hides":"felt foot","spots":[{"x":0.1,"y":0.2}]}],\
            "connectors":[{"id":"lead","label":"lead","mark":"red to the rim","keyed":true,"latch":"slide"}],\
            "pieces":[{"id":"washer","label":"washer","hint":"flat","count":2}],"exposes":[7,9],"insteadOf":"cover",\
            "partsMinor":250,"reversible":false,"mustBeTrue":"drawer shut","closeUp":"Hook first.","backAfter":["deck"],\
            "waitHours":24,"photos":[{"hash":"%s","words":"the hook","marks":[{"kind":"CAUTION","at":{"x":0.25,"y":0.5},\
            "words":"spring"}]}]}""".formatted(HASH);

    private static final String OVERVIEW = """
            "before":"drawer out","modes":[{"name":"test","keys":"both","shows":"a dot"}],\
            "checks":[{"stage":"AFTER_CLOSING","what":"plays","load":"tape","times":2}],\
            "watch":[{"component":7,"words":"flat?"}],"lookOver":[{"component":9,"words":"on?"}]}""";

    /** What form 2 has more. */
    private static final String OVERVIEW_2 = OVERVIEW.replace(
            "\"load\":\"tape\",\"times\":2}", "\"load\":\"tape\",\"times\":2,\"id\":\"after-closing-plays-tape\"}");

    private static final Step STEP = new Step(
            "lid",
            "Lid off",
            new Doing("Lift.", Side.BOTTOM, "PH1", 2.5, "drawer shut", "Hook first."),
            new Caution("Springs.", 24),
            new Order(Set.of("seal", "feet"), "cover", Set.of("deck")),
            new Toll(250, false),
            new Things(
                    List.of(new FastenerGroup(
                            "case",
                            "case",
                            Head.CROSS,
                            "PH1",
                            ThreadForm.TAPPING,
                            2.9,
                            12,
                            Finish.BLACK,
                            4,
                            "felt foot",
                            List.of(new Spot(0.1, 0.2)))),
                    List.of(new Connector("lead", "lead", "red to the rim", true, "slide")),
                    List.of(new LoosePiece("washer", "washer", "flat", 2))),
            Set.of(9L, 7L),
            List.of(new Photo(
                    HASH, "the hook", List.of(new Photo.Mark(Photo.MarkKind.CAUTION, new Spot(0.25, 0.5), "spring")))),
            null);

    private static final Overview WHOLE = new Overview(
            "drawer out",
            List.of(new Overview.ServiceMode("test", "both", "a dot")),
            List.of(new Overview.PlannedCheck(Stage.AFTER_CLOSING, "plays", "tape", 2)),
            List.of(new Overview.WatchPoint(7, "flat?")),
            List.of(new Overview.WatchPoint(9, "on?")));

    private static final TestPoint POINT = new TestPoint(
            "TP4",
            TestPoint.PointKind.OTHER,
            7,
            "",
            Optional.empty(),
            Optional.of(0.4),
            Optional.empty(),
            "mV",
            "red at the ring",
            "",
            "lid");
    private static final String POINT_TEXT = """
            "points":[{"name":"TP4","kind":"OTHER","component":7,"least":0.4,"unit":"mV","probes":"red at the ring","step":"lid"}]""";

    @Test
    void notesAreReadFromEveryFormThatWasEverWritten() {
        Step feet = Step.of("feet", "Feet off", Doing.of(Side.BOTTOM, "", 1));
        Step seal = Step.of("seal", "Seal off", Doing.of(Side.BOTTOM, "", 1));
        Step deck = Step.of("deck", "Deck out", Doing.of(Side.TOP, "", 1));
        String others = """
                {"id":"feet","title":"Feet off","side":"BOTTOM","minutes":1},\
                {"id":"seal","title":"Seal off","side":"BOTTOM","minutes":1.0,"needs":[],"reversible":true,"partsMinor":0},\
                {"id":"deck","title":"Deck out","side":"TOP","minutes":1,"how":"","photos":[]}""";
        Teardown notes = Teardown.of(WHOLE, List.of(feet, seal, deck, STEP));
        assertThat(NotesForm.teardown("{" + OVERVIEW, "[" + others + "," + LID + "]"))
                .as("form 0, without a number")
                .isEqualTo(notes);
        assertThat(NotesForm.teardown("{\"form\":1," + OVERVIEW, "{\"form\":1,\"steps\":[" + others + "," + LID + "]}"))
                .as("form 1")
                .isEqualTo(notes);
        assertThat(NotesForm.teardown(
                        "{\"form\":2," + OVERVIEW_2, "{\"form\":2,\"steps\":[" + others + "," + LID + "]}"))
                .as("form 2")
                .isEqualTo(notes);
        assertThat(NotesForm.teardown(
                        "{\"form\":3," + OVERVIEW_2, "{\"form\":3,\"steps\":[" + others + "," + LID + "]}"))
                .as("form 3, without test points")
                .isEqualTo(notes);
        assertThat(NotesForm.teardown(
                        "{\"form\":4," + OVERVIEW_2, "{\"form\":4,\"steps\":[" + others + "," + LID + "]}"))
                .as("form 4, all of it known")
                .isEqualTo(notes);
        assertThat(NotesForm.teardown("{}", "[]")).isEqualTo(Teardown.empty());
        assertThat(NotesForm.proposal(LID)).isEqualTo(STEP);
        assertThat(NotesForm.proposal("{\"form\":1,\"step\":" + LID + "}")).isEqualTo(STEP);
    }

    @Test
    void notesAreWrittenAsFormFiveLetterByLetter() {
        assertThat(NotesForm.steps(List.of(STEP))).isEqualTo("{\"form\":5,\"steps\":[" + LID + "]}");
        Step stays = STEP.leaving(List.of(new Staying("post", "post", StaysAs.ADJUSTED, "line across")));
        String more = LID.substring(0, LID.length() - 1)
                + ",\"stays\":[{\"id\":\"post\",\"label\":\"post\",\"as\":\"ADJUSTED\",\"words\":\"line across\"}]}";
        assertThat(NotesForm.proposal(stays)).isEqualTo("{\"form\":5,\"step\":" + more + "}");
        assertThat(NotesForm.proposal("{\"form\":5,\"step\":" + more + "}")).isEqualTo(stays);
        assertThat(NotesForm.overview(WHOLE)).isEqualTo("{\"form\":5," + OVERVIEW_2);
        assertThat(NotesForm.proposal(STEP)).isEqualTo("{\"form\":5,\"step\":" + LID + "}");
        Step trim = Step.of("trim", "Trim", Doing.of(Side.TOP, "", 1)).with(new Caution("Live pins.", 0, true, true));
        assertThat(NotesForm.proposal(NotesForm.proposal(trim))).isEqualTo(trim);
        Step sealed = trim.with(new Things(null, null, List.of(new LoosePiece("seal", "seal", "", 1, true))));
        assertThat(NotesForm.proposal(sealed)).contains("\"count\":1,\"usedUp\":true}");
        assertThat(NotesForm.proposal(NotesForm.proposal(sealed))).isEqualTo(sealed);
        Step seen = trim.with(new Things(
                List.of(FastenerGroup.seen("s", "case", Optional.empty(), Optional.empty())),
                List.of(new Connector("c", "fan", "", true, "flip up", 3)),
                List.of(new LoosePiece("p", "felt", "", Optional.empty(), false))));
        assertThat(NotesForm.proposal(seen))
                .contains("[{\"id\":\"s\",\"label\":\"case\"}]")
                .contains("\"latch\":\"flip up\",\"count\":3}");
        assertThat(NotesForm.proposal(NotesForm.proposal(seen)))
                .as("what is not known is left out")
                .isEqualTo(seen);
        Overview plan = new Overview(
                "",
                null,
                List.of(new Overview.PlannedCheck(
                        "eye",
                        Stage.OPEN,
                        "eye sees",
                        "",
                        1,
                        new Overview.Terms(false, true, "dim light", "lid", "live pins", true))),
                null,
                null);
        assertThat(NotesForm.overview(NotesForm.overview(plan))).isEqualTo(plan);
        Overview measured = new Overview("", null, null, null, null, List.of(POINT));
        assertThat(NotesForm.overview(measured)).contains(POINT_TEXT);
        assertThat(NotesForm.overview(NotesForm.overview(measured))).isEqualTo(measured);
    }

    @Test
    void whatANewerVersionWroteIsRefusedInASentence() {
        assertThatThrownBy(() -> NotesForm.teardown("{}", "{\"form\":7,\"leaves\":[]}"))
                .isInstanceOf(Stored.UnknownForm.class)
                .hasMessageContaining("form 7")
                .hasMessageContaining("newer");
        assertThatThrownBy(() -> NotesForm.proposal("{\"form\":6}")).isInstanceOf(Stored.UnknownForm.class);
    }
}
