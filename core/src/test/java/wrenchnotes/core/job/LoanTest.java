package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/** A rubber band for the belt until the belt comes: common practice, no source. */
class LoanTest {

    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
    private static final Hold PART = new Hold(HoldKind.PART, "belt", NOON, Optional.empty(), Optional.empty());
    private static final Optional<Closing> FOR_NOW =
            Optional.of(new Closing(new Moment(5, NOON), Optional.of("band for the belt")));
    private static final Check FAILED =
            new Check(Stage.AFTER_CLOSING, Verdict.FAILED, "plays", true, "", 1, "", new Moment(6, NOON));

    private static JobFacts facts(
            int openSteps, Optional<Closing> closing, List<Check> checks, List<Hold> holds, Optional<Loan> lent) {
        return new JobFacts(
                NOON,
                Optional.empty(),
                holds,
                new Tally(0, 0, 0, 0, 1),
                openSteps,
                Optional.of(new Moment(4, NOON)),
                closing,
                Overview.NONE,
                0,
                new CheckRecord(checks),
                Optional.empty(),
                0,
                MainsWork.NONE,
                List.of(),
                lent,
                Optional.empty());
    }

    @Test
    void goesOutClosedAndTriedWithItsPartStillWaitedFor() {
        assertThat(facts(2, Optional.empty(), List.of(), List.of(PART), Optional.empty())
                        .inTheWayOfLending(true, NOON))
                .containsExactly("It is open: close it, or close it for now.");
        assertThat(facts(0, FOR_NOW, List.of(), List.of(PART), Optional.empty()).inTheWayOfLending(true, NOON))
                .containsExactly("Nobody has checked it closed: try it, or say not tested.");
        JobFacts tried = facts(0, FOR_NOW, List.of(FAILED), List.of(PART), Optional.empty());
        assertThat(tried.inTheWayOfLending(true, NOON)).isEmpty();
        assertThat(tried.inTheWayOfLending(false, NOON)).as("the shop's own").hasSize(1);
        assertThat(tried.saidOnPaper()).containsExactly("Does not work: plays");
        Hold cures = new Hold(HoldKind.CURE, "resin", NOON, Optional.of(NOON.plusSeconds(60)), Optional.empty());
        assertThat(facts(0, FOR_NOW, List.of(FAILED), List.of(PART, cures), Optional.empty())
                        .inTheWayOfLending(true, NOON))
                .hasSize(1);
    }

    @Test
    void saysWhereItIsAndWhatItIsNotFor() {
        Instant friday = NOON.plus(Duration.ofDays(4));
        Loan loan = new Loan(NOON, "long tapes", Optional.of(friday), Optional.empty());
        JobFacts out = facts(0, FOR_NOW, List.of(FAILED), List.of(PART), Optional.of(loan));
        assertThat(Status.of(out, NOON))
                .isEqualTo(new Status(
                        Standing.ON_LOAN, "On loan with its owner. Not for: long tapes", Optional.of(friday)));
        assertThat(out.inTheWayOfHandover(NOON)).contains("It is on loan: say first that it came back.");
        assertThatThrownBy(() -> new Loan(NOON, " ", Optional.empty(), Optional.empty()))
                .hasMessageContaining("notFor");
        assertThatThrownBy(() -> new Loan(NOON, "x", Optional.of(NOON), Optional.empty()))
                .isInstanceOf(Invalid.class);
    }
}
