package wrenchnotes.core.outcome;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
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
}
