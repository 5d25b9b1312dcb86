package wrenchnotes.core.diagnosis.advice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Overview.WatchPoint;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;

/** What is looked over, minded and warned of before anybody reaches in. */
class BeforeWorkTest {

    private static final Map<Long, String> COMPONENTS = new LinkedHashMap<>(Map.of(1L, "lid", 2L, "lens"));

    private static final Step TUBE = Step.plain("tube", "Tube", Set.of(), Side.TOP, "", 1, List.of(), Set.of())
            .with(Caution.of("The tube holds a charge."));

    private static Teardown notes(List<WatchPoint> lookOver) {
        return Teardown.of(
                new Overview("", null, null, List.of(new WatchPoint(2, "scratches")), lookOver), List.of(TUBE));
    }

    @Test
    void aUnitThatFellOrGotWetIsLookedOverWhateverItCameFor() {
        Teardown written = notes(List.of(new WatchPoint(1, "corners"), new WatchPoint(9, "gone since")));
        assertThat(BeforeWork.of(written, COMPONENTS, Set.of(), List.of()).lookFirst())
                .isEmpty();
        assertThat(BeforeWork.of(written, COMPONENTS, Set.of(ArrivalMark.SEAL_BROKEN), List.of(Cause.AGE))
                        .lookFirst())
                .isEmpty();
        for (BeforeWork shaken : List.of(
                BeforeWork.of(written, COMPONENTS, Set.of(ArrivalMark.DENTS), List.of()),
                BeforeWork.of(written, COMPONENTS, Set.of(), List.of(Cause.AGE, Cause.FALL)))) {
            assertThat(shaken.lookFirst())
                    .containsExactly(
                            new BeforeWork.LookFirst(1, "lid", "corners"),
                            new BeforeWork.LookFirst(9, "", "gone since"));
        }
        assertThat(BeforeWork.of(notes(List.of()), COMPONENTS, Set.of(ArrivalMark.LIQUID), List.of())
                        .lookFirst())
                .as("while nobody has written a list, everything there is")
                .extracting(BeforeWork.LookFirst::component)
                .containsExactlyElementsOf(COMPONENTS.values());
    }

    @Test
    void whatIsSeenIsWarnedOfFirstAndNothingTwice() {
        BeforeWork wet = BeforeWork.of(
                notes(List.of()), COMPONENTS, Set.of(ArrivalMark.BURNT_SMELL, ArrivalMark.LIQUID), List.of());
        assertThat(wet.cautions())
                .containsExactly(
                        ArrivalMark.LIQUID.caution().orElseThrow(),
                        ArrivalMark.BURNT_SMELL.caution().orElseThrow(),
                        "The tube holds a charge.");
        assertThat(wet.mind()).containsExactly(new BeforeWork.MindPoint("lens", "scratches"));
        Teardown twice = notes(List.of())
                .withSteps(List.of(
                        TUBE,
                        Step.plain("again", "Again", Set.of(), Side.TOP, "", 1, List.of(), Set.of())
                                .with(Caution.of("The tube holds a charge."))));
        assertThat(BeforeWork.of(twice, COMPONENTS, Set.of(), List.of()).cautions())
                .containsExactly("The tube holds a charge.");
    }
}
