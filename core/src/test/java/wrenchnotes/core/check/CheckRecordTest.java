package wrenchnotes.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
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

    private static Check check(long moment, String what, String load, Verdict verdict, Optional<String> asRemark) {
        return new Check(
                Stage.AFTER_CLOSING,
                verdict,
                Optional.empty(),
                what,
                true,
                true,
                load,
                verdict == Verdict.NOT_TESTED ? 0 : 1,
                "",
                asRemark,
                new Moment(moment, Instant.EPOCH));
    }

    private static Check check(long moment, String what, String load, Verdict verdict) {
        return check(moment, what, load, verdict, Optional.empty());
    }

    private static Check came(long moment, String what, Verdict verdict) {
        int times = verdict == Verdict.NOT_TESTED ? 0 : 1;
        return new Check(Stage.ARRIVAL, verdict, what, true, "", times, "", new Moment(moment, Instant.EPOCH));
    }

    @Test
    void whatWentAndWhatStayedIsReadOffTheSameCheckLater() {
        CheckRecord record = new CheckRecord(List.of(
                came(1, "plays", Verdict.FAILED),
                came(1, "ejects", Verdict.FAILED),
                came(1, "lamp lights", Verdict.PASSED),
                came(1, "records", Verdict.PASSED),
                came(1, "rewinds", Verdict.FAILED),
                came(1, "keys answer", Verdict.NOT_TESTED),
                check(2, "Plays", "", Verdict.FAILED),
                check(3, "plays", "", Verdict.PASSED),
                check(3, "ejects", "", Verdict.FAILED),
                check(3, "lamp lights", "", Verdict.FAILED),
                check(3, "records", "", Verdict.PASSED),
                check(3, "rewinds", "with a long tape", Verdict.PASSED),
                check(3, "keys answer", "", Verdict.PASSED)));
        assertThat(record.sinceArrival())
                .containsExactly(
                        "plays: failed as it came, passes now",
                        "ejects: failed as it came, and still does",
                        "lamp lights: passed as it came, FAILS NOW");
    }

    /** Measured: "disc is read" failed, "lamp lights" passed, and the unit went out as fixed. */
    @Test
    void aFailureStandsUntilTheSameCheckWithTheSameLoadPasses() {
        Check failed = check(4, "Disc is read", "scratched", Verdict.FAILED);
        assertThat(standing(failed)).containsExactly(failed);
        assertThat(standing(failed, check(6, "lamp lights", "", Verdict.PASSED)))
                .containsExactly(failed);
        assertThat(standing(failed, check(6, "disc is read", "new", Verdict.PASSED)))
                .as("with another load it stands beside")
                .containsExactly(failed);
        assertThat(standing(failed, check(6, "disc is read", "scratched", Verdict.NOT_TESTED)))
                .as("not tested makes nothing good")
                .containsExactly(failed);
        assertThat(standing(failed, check(6, "disc is read", "Scratched", Verdict.PASSED)))
                .isEmpty();
        Check again = check(8, "disc is read", "scratched", Verdict.FAILED);
        assertThat(standing(failed, check(6, "disc is read", "scratched", Verdict.PASSED), again))
                .as("worked, then failed")
                .containsExactly(again);
        assertThat(standing(failed, again)).as("once, as it failed last").containsExactly(again);
        assertThat(standing(check(1, Stage.ARRIVAL, Verdict.FAILED)))
                .as("so it came")
                .isEmpty();
    }

    @Test
    void aFailureTakenAsARemarkStandsNoMoreAndIsSaid() {
        Check left = check(4, "disc is read", "scratched", Verdict.FAILED, Optional.of("owner has one such disc"));
        assertThat(standing(left)).isEmpty();
        assertThat(new CheckRecord(List.of(left)).remarks()).containsExactly(left);
        assertThat(new CheckRecord(List.of(left, check(6, "disc is read", "scratched", Verdict.PASSED))).remarks())
                .isEmpty();
    }

    @Test
    void whatIsNotTestedIsSaidUntilSomebodyTriesIt() {
        Check not = check(4, "disc is read", "", Verdict.NOT_TESTED);
        assertThat(new CheckRecord(List.of(not)).notTested()).containsExactly(not);
        assertThat(new CheckRecord(List.of(not)).goesUntested()).isTrue();
        CheckRecord tried = new CheckRecord(List.of(not, check(6, "disc is read", "", Verdict.PASSED)));
        assertThat(tried.notTested()).isEmpty();
        assertThat(tried.goesUntested()).isFalse();
        assertThat(new CheckRecord(List.of(not, check(6, "lamp lights", "", Verdict.PASSED))).goesUntested())
                .as("somebody tried something")
                .isFalse();
        assertThat(new CheckRecord(List.of()).goesUntested())
                .as("nobody said so")
                .isFalse();
    }

    private static List<Check> standing(Check... checks) {
        return new CheckRecord(List.of(checks)).standingFailures();
    }

    /** What a planned check is called may change from version to version: its id does not. */
    @Test
    void aPlannedCheckIsToldByItsId() {
        Check failed = planned("reads-disc", "Disc is read", Verdict.FAILED, 4);
        assertThat(standing(failed, planned("reads-disc", "Reads a disc", Verdict.PASSED, 6)))
                .isEmpty();
        assertThat(standing(failed, planned("spins", "Spins", Verdict.PASSED, 6)))
                .hasSize(1);
    }

    private static Check planned(String id, String what, Verdict verdict, long moment) {
        return new Check(
                Stage.AFTER_CLOSING,
                verdict,
                Optional.of(id),
                what,
                true,
                true,
                "",
                1,
                "",
                Optional.empty(),
                new Moment(moment, Instant.EPOCH));
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
