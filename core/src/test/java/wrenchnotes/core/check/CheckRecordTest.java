package wrenchnotes.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.unit.Moment;

/** Which of several checks counts. */
class CheckRecordTest {

    private static Check check(long moment, Stage stage, Verdict verdict) {
        int times = verdict == Verdict.NOT_TESTED ? 0 : 1;
        return new Check(
                stage, verdict, "plays", true, "", times, "", new Moment(moment, Instant.ofEpochSecond(1000 - moment)));
    }

    /** They stand in the order of their moments, whatever the clock said and however they came. */
    @Test
    void theLastOfAStageIsToldByTheMoment() {
        Check arrival = check(1, Stage.ARRIVAL, Verdict.FAILED);
        Check first = check(3, Stage.BEFORE_CLOSING, Verdict.FAILED);
        Check then = check(5, Stage.BEFORE_CLOSING, Verdict.PASSED);
        Check closed = check(8, Stage.AFTER_CLOSING, Verdict.PASSED);
        CheckRecord record = new CheckRecord(List.of(closed, then, arrival, first));

        assertThat(record.checks()).containsExactly(arrival, first, then, closed);
        assertThat(record.last(Stage.BEFORE_CLOSING)).contains(then);
        assertThat(record.last(Stage.ARRIVAL)).contains(arrival);
        assertThat(record.since(first.at()).checks()).containsExactly(first, then, closed);
        assertThat(record.since(closed.at()).last(Stage.BEFORE_CLOSING)).isEmpty();
    }

    @Test
    void aFailureOfTheWorkStandsUntilSomethingIsTriedAfterIt() {
        Check failed = check(4, Stage.AFTER_CLOSING, Verdict.FAILED);
        assertThat(new CheckRecord(List.of(failed)).standingFailure()).contains(failed);
        assertThat(new CheckRecord(List.of(failed, check(6, Stage.AFTER_CLOSING, Verdict.NOT_TESTED)))
                        .standingFailure())
                .as("not tested makes nothing good")
                .contains(failed);
        assertThat(new CheckRecord(List.of(failed, check(6, Stage.ARRIVAL, Verdict.PASSED))).standingFailure())
                .contains(failed);
        assertThat(new CheckRecord(List.of(failed, check(6, Stage.AFTER_CLOSING, Verdict.PASSED))).standingFailure())
                .isEmpty();
        assertThat(new CheckRecord(List.of(check(1, Stage.ARRIVAL, Verdict.FAILED))).standingFailure())
                .isEmpty();
    }

    @Test
    void aCheckThatSaysTwoThingsIsRefused() {
        Moment now = new Moment(1, Instant.EPOCH);
        assertThatThrownBy(() -> new Check(Stage.ARRIVAL, Verdict.NOT_TESTED, "plays", true, "", 2, "", now))
                .hasMessageContaining("Not tested, yet tried 2 times");
        assertThatThrownBy(() -> new Check(Stage.ARRIVAL, Verdict.PASSED, "plays", true, "", 0, "", now))
                .hasMessageContaining("at least once");
    }
}
