package wrenchnotes.core.outcome;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.unit.Moment;

class OutcomeGivenTest {

    private static final Moment NOW = new Moment(1, Instant.EPOCH);

    @Test
    void aRemarkIsSaidWhereTheOutcomePromisesOne() {
        assertThatThrownBy(() -> new OutcomeGiven(Outcome.FIXED_WITH_REMARK, " ", NOW))
                .hasMessageContaining("remark");
        assertThat(new OutcomeGiven(Outcome.FIXED, "", NOW).remark()).isEmpty();
    }

    @Test
    void fixedSaysAWordOnWhatIsStillThere() {
        OutcomeGiven fixed = new OutcomeGiven(Outcome.FIXED, "", NOW);
        assertThat(fixed.sayingOf(List.of())).isSameAs(fixed);
        assertThatThrownBy(() -> fixed.sayingOf(List.of("squeals", "hums")))
                .hasMessageContaining("squeals, hums")
                .hasMessageContaining("a word on each");
        assertThat(new OutcomeGiven(Outcome.FIXED, "squeals when cold, as told", NOW).sayingOf(List.of("squeals")))
                .isNotNull();
        assertThat(new OutcomeGiven(Outcome.NOT_FIXED, "", NOW).sayingOf(List.of("squeals")))
                .isNotNull();
    }
}
