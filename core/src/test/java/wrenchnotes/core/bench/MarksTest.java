package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.StaysAs;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Tool;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/**
 * What is adjusted is marked before it is moved and said to stand there again before it is covered: common practice, no source. What is
 * merely loosened, stuck or left alone asks for nothing.
 */
class MarksTest {

    private static final Teardown NOTES = Teardown.of(List.of(
            RunTest.step("lid", Set.of(), 2),
            RunTest.step("head", Set.of("lid"), 1)
                    .leaving(List.of(
                            new Staying("height", "height screw", StaysAs.ADJUSTED, "line across post and plate"),
                            new Staying("clamp", "clamp", StaysAs.LOOSENED, ""),
                            new Staying("trim", "trimmer", StaysAs.LEAVE_ALONE, "sets the speed")))));

    private Run run = Run.replayed(NOTES, RunLog.NONE);
    private Instant now = Instant.parse("2026-03-02T09:00:00Z");
    private long written;

    private void press(Press press) {
        now = now.plusSeconds(60);
        run = run.press(press, new By(1, "ada", new Moment(++written, now))).next();
    }

    private Press out(String step) {
        return new Press.StepOut(step, List.of(), Map.of(), OpenEnds.NONE, new CheckRecord(List.of()));
    }

    private Optional<SayFirst> asked() {
        Step head = NOTES.step("head");
        return run.sayFirst(head, now);
    }

    @Test
    void aMarkIsAskedForBeforeItIsMovedAndAgainOnTheWayBack() {
        press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, Optional.empty()));
        press(Press.StepIn.asTheNotesSay("lid"));
        assertThat(asked()).map(SayFirst::what).hasValue(SayFirst.What.MARK);
        assertThatThrownBy(() -> press(Press.StepIn.asTheNotesSay("head")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Mark first where \"height screw\" stands");
        assertThatThrownBy(() -> press(new Press.Marking("head", "height", "", Optional.empty())))
                .as("a mark is words or a picture")
                .isInstanceOf(Invalid.class);
        assertThatThrownBy(() -> press(new Press.Marking("head", "clamp", "line", Optional.empty())))
                .isInstanceOf(Invalid.class);
        press(new Press.Marking("head", "height", "two threads showing", Optional.empty()));
        assertThat(asked()).isEmpty();
        press(Press.StepIn.asTheNotesSay("head"));

        SayFirst back = asked().orElseThrow();
        assertThat(back.what()).isEqualTo(SayFirst.What.STANDS_AGAIN);
        assertThat(back.adjusted().flatMap(SayFirst.Adjusted::mark).map(PlaceMark::words))
                .hasValue("two threads showing");
        assertThatThrownBy(() -> press(out("head")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("stands where it stood: two threads showing");
        press(new Press.Marking("head", "height", "", Optional.empty()));
        press(out("head"));
        assertThat(run.way().open()).containsExactly("lid");
        assertThat(asked())
                .as("who moves it once more marks it once more")
                .map(SayFirst::what)
                .hasValue(SayFirst.What.MARK);
    }

    @Test
    void whatIsLeftAloneHasAReasonAndAToolOfANameIsToldApart() {
        assertThatThrownBy(() -> new Staying("a", "back panel", StaysAs.LEAVE_ALONE, " "))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("back panel");
        assertThat(Tool.listed("PH1 magnetic long,  side cutter; LONG"))
                .extracting(Tool::called)
                .containsExactly("PH1 long magnetic", "side cutter", "LONG");
        assertThat(Tool.listed("")).isEmpty();
    }
}
