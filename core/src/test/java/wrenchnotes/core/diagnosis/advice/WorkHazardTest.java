package wrenchnotes.core.diagnosis.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.DUST;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.ELECTROLYTE;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.FIBREGLASS;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.GLASS;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.HOT_AIR;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.LASER;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.MAINS_SIDE;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.RESIN;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.RUBBER_CONDITIONER;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.SOLDERING;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.SOLVENT;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.SPRING;
import static wrenchnotes.core.diagnosis.advice.WorkHazard.TAR;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.Remedy;

/** Each row of the table is shown for what people write: the hazards are common practice, no source. */
class WorkHazardTest {

    private static final Map<WorkHazard, String> SHOWN_FOR = Map.ofEntries(
            Map.entry(SOLVENT, "wiped with isopropyl alcohol"),
            Map.entry(RUBBER_CONDITIONER, "boiled and conditioned"),
            Map.entry(RESIN, "epoxy, mixed on a card"),
            Map.entry(SOLDERING, "soldering iron"),
            Map.entry(HOT_AIR, "hot-air station"),
            Map.entry(SPRING, "unhook the door spring"),
            Map.entry(TAR, "turned to tar"),
            Map.entry(ELECTROLYTE, "capacitor leaks"),
            Map.entry(DUST, "full of dust"),
            Map.entry(GLASS, "cracked screen"),
            Map.entry(FIBREGLASS, "fibreglass pen"),
            Map.entry(LASER, "lens dirty"),
            Map.entry(MAINS_SIDE, "inlet filter"));

    @Test
    void eachRowIsShownForItsWords() {
        assertThat(SHOWN_FOR).containsOnlyKeys(WorkHazard.values());
        SHOWN_FOR.forEach((hazard, words) ->
                assertThat(WorkHazard.of(Optional.empty(), words)).as(words).contains(hazard));
    }

    @Test
    void theyHangOnWhatIsDoneToo() {
        assertThat(WorkHazard.of(Optional.of(Remedy.RESOLDERED), "joint")).containsExactly(SOLDERING);
        assertThat(WorkHazard.of(Optional.of(Remedy.REVIVED), "drive belt")).containsExactly(RUBBER_CONDITIONER);
        assertThat(WorkHazard.of(Optional.of(Remedy.CLEANED), "lens")).containsExactly(SOLVENT, LASER);
        assertThat(WorkHazard.of(Optional.of(Remedy.ADJUSTED), "PH1", "Lid off"))
                .isEqualTo(List.of());
        assertThat(WorkHazard.of(Optional.empty(), "fibreglass pen"))
                .as("no broken glass")
                .containsExactly(FIBREGLASS);
    }

    /** A screen says when to measure and who may: never that something is safe. */
    @Test
    void noneSaysThatSomethingIsSafe() {
        assertThat(WorkHazard.values())
                .allSatisfy(one -> assertThat(one.caution()).doesNotContainIgnoringCase("safe"));
    }
}
