package wrenchnotes.core.recurring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.recurring.StepWorth.StepHistory;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.ThreadForm;

class StepWorthTest {

    private static final Step LID = Step.plain("lid", "Lid off", Set.of(), Side.TOP, "PH1", 2, List.of(), Set.of());
    private static final Teardown NOTES = Teardown.of(List.of(LID));

    private static List<StepWorth> of(List<Double> minutes, List<String> again) {
        return StepWorth.of(
                NOTES, new StepHistory(Map.of("lid", minutes), Map.of("lid", 20), Map.of(), Map.of("lid", again)));
    }

    @Test
    void minutesThatAreWrongAreProposed() {
        List<Double> slow = List.of(4.0, 5.0, 6.0, 4.5, 5.5, 7.0, 3.9, 5.1, 6.2);
        List<StepWorth> told = of(slow, List.of());
        assertThat(told).hasSize(1);
        assertThat(told.get(0).step().doing().minutes()).isEqualTo(5);
        assertThat(told.get(0).why()).isEqualTo("takes 5 min, not 2, by 9 times");
        // Once it is so, nothing more is said.
        assertThat(StepWorth.of(
                        Teardown.of(List.of(told.get(0).step())),
                        new StepHistory(Map.of("lid", slow), Map.of(), Map.of(), Map.of())))
                .isEmpty();
        assertThat(of(slow.subList(0, 7), List.of())).as("too few times").isEmpty();
        assertThat(of(List.of(0.5, 0.6, 9.0, 8.0, 7.5, 0.7, 1.9, 2.2, 8.8), List.of()))
                .as("anything from half a minute to nine: the notes may be right")
                .isEmpty();
    }

    @Test
    void aStepThatIsOftenOpenedAgainSaysSo() {
        List<StepWorth> told = of(List.of(), Collections.nCopies(4, "something was forgotten"));
        assertThat(told.get(0).step().doing().closeUp())
                .isEqualTo("go over it before it closes: opened again 4 times, something was forgotten");
        assertThat(of(List.of(), Collections.nCopies(2, "something was forgotten")))
                .isEmpty();
        Teardown after = Teardown.of(List.of(told.get(0).step()));
        assertThat(StepWorth.of(
                        after,
                        new StepHistory(
                                Map.of(), Map.of(), Map.of(), Map.of("lid", Collections.nCopies(9, "a check failed")))))
                .as("it says so already")
                .isEmpty();
    }

    @Test
    void screwsThatAreOftenMissingAreCounted() {
        FastenerGroup screws = new FastenerGroup(
                "lid", "lid screws", Head.CROSS, "PH1", ThreadForm.TAPPING, 2.9, 12, Finish.BLACK, 4, "", null);
        Teardown notes = Teardown.of(
                List.of(Step.plain("lid", "Lid off", Set.of(), Side.TOP, "PH1", 2, List.of(screws), Set.of())));
        List<StepWorth> told =
                StepWorth.of(notes, new StepHistory(Map.of(), Map.of("lid", 12), Map.of("lid", 7), Map.of()));
        assertThat(told.get(0).step().doing().closeUp()).isEqualTo("count the lid screws not all there in 7 of 12");
        assertThat(StepWorth.of(notes, new StepHistory(Map.of(), Map.of("lid", 12), Map.of("lid", 4), Map.of())))
                .as("four of twelve may be bad luck: between 14 and 61 in a hundred")
                .isEmpty();
    }
}
