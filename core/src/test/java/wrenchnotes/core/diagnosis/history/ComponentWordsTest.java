package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.ComponentWords.Called;
import wrenchnotes.core.diagnosis.history.Names.SaidFault;
import wrenchnotes.core.unit.Kind;

/** What models call by several names is one thing to the odds. */
class ComponentWordsTest {

    private static final List<Called> ALL = List.of(
            new Called(1, 1, "Drive belt", List.of("belt", "band")),
            new Called(2, 1, "tray motor", List.of("motor")),
            new Called(3, 1, "disc motor", List.of("motor")),
            new Called(4, 2, "pickup", List.of("laser")),
            new Called(5, 3, "laser", List.of()),
            new Called(6, 4, "laser", List.of("pickup")),
            new Called(7, 5, "motor", List.of()));

    @Test
    void aComponentCountsAsTheWordThatMostUse() {
        assertThat(ComponentWords.of(ALL))
                .as("a shipped word before all others; two of one model are never one")
                .isEqualTo(Map.of(
                        1L,
                        "belt",
                        2L,
                        "tray motor",
                        3L,
                        "disc motor",
                        4L,
                        "laser",
                        5L,
                        "laser",
                        6L,
                        "laser",
                        7L,
                        "motor"));
    }

    @Test
    void wordsForWhatIsWrongMeetToo() {
        Names names = Names.of(
                Map.of(1L, new Where(1, 1, Kind.PLAYER)),
                ALL,
                List.of(new SaidFault(1, 1, "Tar"), new SaidFault(2, 4, "weak"), new SaidFault(3, 5, "weak")),
                Map.of(),
                Vocabulary.of(List.of()),
                Map.of("tar", "slack"));
        assertThat(names.faults())
                .isEqualTo(Map.of(
                        1L,
                        new FaultName("belt", "slack"),
                        2L,
                        new FaultName("laser", "weak"),
                        3L,
                        new FaultName("laser", "weak")));
        assertThat(names.fault(1, new FaultName("band", "tar"))).isEqualTo(new FaultName("belt", "slack"));
        assertThat(names.component(1, "Belt")).isEqualTo("belt");
        assertThat(names.component(1, "front lamp")).as("of no model").isEqualTo("front lamp");
        assertThat(names.components().get(1L)).containsExactly("belt", "disc motor", "tray motor");
    }
}
