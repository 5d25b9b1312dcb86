package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
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
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.schedule.Pickup;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.unit.Moment;

/** One job from the counter out of the door: at every moment its standing follows from its facts. */
class StatusTest {

    private static final Instant MONDAY = Instant.parse("2026-03-02T09:00:00Z");

    private final List<Check> checks = new ArrayList<>();
    private final List<Hold> holds = new ArrayList<>();
    private Instant now = MONDAY;
    private long written;
    private Optional<Instant> due = Optional.empty();
    private Tally tally = Tally.NONE;
    private int openSteps;
    private Optional<Moment> lastIn = Optional.empty();
    private Optional<Closing> closing = Optional.empty();
    private Overview plan = Overview.NONE;
    private Optional<OutcomeGiven> outcome = Optional.empty();
    private Optional<Instant> handedOver = Optional.empty();

    @Test
    void theStandingFollowsTheWorkFromCheckInToHandover() {
        assertStands(Standing.NOT_STARTED, "Not looked at yet");

        later(30);
        opens(3, new Tally(15, 2, 1, 0, 0));
        assertStands(Standing.OPEN_ON_BENCH, "Open, 3 steps in: 15 fasteners, 2 plugs, 1 loose piece off");
        assertThat(facts().inTheWayOfHandover(now))
                .containsExactly(
                        "The tray is not empty: 15 fasteners, 2 plugs, 1 loose piece.",
                        "3 steps are still open: put them back in.",
                        "Nobody has checked it closed: try it, or say not tested.",
                        "No outcome yet: say how it ended.");

        openSteps = 0;
        tally = new Tally(0, 0, 0, 1, 0);
        assertStands(Standing.TO_CLOSE, "Back together, but 1 thing absent and undecided");
        tally = Tally.NONE;
        assertStands(Standing.TO_CLOSE, "Back together: close it up");

        later(10);
        closing = Optional.of(new Closing(moment(), Optional.empty()));
        assertStands(Standing.TO_CHECK, "Closed: check it before it goes");

        later(10);
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        assertStands(Standing.TO_DECIDE, "Done: say how it ended");

        later(5);
        ends(Outcome.FIXED);
        assertStands(Standing.READY, "Ready to go: fixed");
        assertThat(facts().inTheWayOfHandover(now)).isEmpty();

        handedOver = Optional.of(now);
        assertStands(Standing.HANDED_OVER, "Handed over, fixed");
    }

    @Test
    void aFailedCheckReopensTheWorkAndTheEarlierPassStaysOnRecord() {
        closedAfterWork();
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        ends(Outcome.FIXED);
        later(60);
        check(Stage.AFTER_CLOSING, Verdict.FAILED);
        assertStands(Standing.CHECK_FAILED, "Check after closing failed: plays");
        assertThat(facts().inTheWayOfHandover(now))
                .containsExactly("Failed after closing, and not passed since: plays."
                        + " Check it again, take it as a remark, or say that it is not fixed.");
        assertThat(checks).extracting(Check::verdict).containsExactly(Verdict.PASSED, Verdict.FAILED);

        later(10);
        check(Stage.AFTER_CLOSING, Verdict.NOT_TESTED);
        assertThat(facts().inTheWayOfHandover(now))
                .as("not tested makes no failure good")
                .isNotEmpty();

        later(10);
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        assertStands(Standing.READY, "Ready to go: fixed");
    }

    @Test
    void aUnitThatCouldNotBeFixedMayLeaveWithItsFailureSaidAfterwards() {
        closedAfterWork();
        ends(Outcome.NOT_FIXED);
        later(5);
        check(Stage.AFTER_CLOSING, Verdict.FAILED);
        assertThat(facts().inTheWayOfHandover(now))
                .as("said before the failure")
                .hasSize(1);
        later(5);
        ends(Outcome.NOT_FIXED);
        assertStands(Standing.READY, "Ready to go: not fixed");
        ends(Outcome.PARTLY_FIXED);
        assertThat(facts().inTheWayOfHandover(now))
                .as("says that it works in part")
                .hasSize(1);
    }

    @Test
    void anOutcomeDoesNotOutliveANewOpening() {
        closedAfterWork();
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        ends(Outcome.FIXED);
        later(60);
        opens(1, new Tally(4, 0, 0, 0, 0));
        openSteps = 0;
        tally = Tally.NONE;
        later(5);
        closing = Optional.of(new Closing(moment(), Optional.empty()));
        later(5);
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        assertThat(facts().inTheWayOfHandover(now))
                .containsExactly("The outcome was given before the unit was opened again: say how it ended now.");
    }

    @Test
    void aWaitGoesBeforeAllWorkAndEndsByTheClockOrByWord() {
        opens(2, new Tally(6, 0, 0, 0, 0));
        holds.add(new Hold(
                HoldKind.CURE, "Resin sets", now, Optional.of(now.plus(Duration.ofHours(8))), Optional.empty()));
        assertStands(Standing.WAITING, "Waits: curing. Resin sets (6 fasteners off)");
        assertThat(Status.of(facts(), now).until()).contains(now.plus(Duration.ofHours(8)));
        later(8 * 60);
        assertStands(Standing.OPEN_ON_BENCH, "Open, 2 steps in: 6 fasteners off");
        assertThat(Pickup.of(1, facts(), now).reason()).isEqualTo("Is the witness hard? Resin sets");
        assertThatThrownBy(() -> new Hold(HoldKind.DRY, "board", now, Optional.of(now), Optional.empty()))
                .hasMessageContaining("before it starts");
    }

    @Test
    void theRackPutsBrokenPromisesFirstThenWhatIsBegunThenWhatIsDue() {
        Pickup fresh = Pickup.of(1, facts(), now);
        due = Optional.of(now.plus(Duration.ofDays(2)));
        Pickup dueSoon = Pickup.of(2, facts(), now);
        due = Optional.of(now.minus(Duration.ofDays(2)));
        Pickup overdue = Pickup.of(3, facts(), now);
        due = Optional.empty();
        opens(1, new Tally(4, 0, 0, 0, 0));
        Pickup begun = Pickup.of(4, facts(), now);
        holds.add(new Hold(HoldKind.PART, "belt", now, Optional.empty(), Optional.empty()));
        Pickup waiting = Pickup.of(5, facts(), now);
        List<Pickup> order = new ArrayList<>(List.of(waiting, fresh, begun, dueSoon, overdue));
        order.sort(Pickup.NEXT_FIRST);
        assertThat(order).extracting(Pickup::job).containsExactly(3L, 4L, 2L, 1L, 5L);
        assertThat(order).extracting(Pickup::canBeWorkedOn).containsExactly(true, true, true, true, false);
        assertThat(overdue.reason()).isEqualTo("Promised 2 days ago");
    }

    private void closedAfterWork() {
        opens(1, new Tally(4, 0, 0, 0, 0));
        later(20);
        openSteps = 0;
        tally = Tally.NONE;
        closing = Optional.of(new Closing(moment(), Optional.empty()));
        later(5);
    }

    private void opens(int steps, Tally off) {
        openSteps = steps;
        tally = off;
        lastIn = Optional.of(moment());
    }

    private void check(Stage stage, Verdict verdict) {
        checks.add(new Check(stage, verdict, "plays", true, "", verdict == Verdict.NOT_TESTED ? 0 : 1, "", moment()));
    }

    @Test
    void closedForNowIsFlaggedUntilItIsClosedForGood() {
        opens(0, Tally.NONE);
        later(20);
        check(Stage.BEFORE_CLOSING, Verdict.PASSED);
        later(5);
        closing = Optional.of(new Closing(moment(), Optional.of("the owner needs it until the belt comes")));
        tally = new Tally(0, 0, 0, 0, 1);
        assertStands(
                Standing.CLOSED_FOR_NOW, "Closed for now, 1 thing left out: the owner needs it until the belt comes");
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        ends(Outcome.FIXED);
        assertThat(facts().inTheWayOfHandover(now))
                .containsExactly("It is closed for now only (the owner needs it until the belt comes): "
                        + "open it and put right what is left out.");
        holds.add(new Hold(HoldKind.PART, "drawer belt", now, Optional.empty(), Optional.empty()));
        assertStands(
                Standing.WAITING,
                "Waits: for a part. drawer belt. Closed for now, 1 thing left out: the owner needs it until the belt comes");
    }

    @Test
    void whatThePlanSaysIsTriedAsOftenAsItSays() {
        plan = new Overview(
                "",
                null,
                List.of(new Overview.PlannedCheck(Stage.AFTER_CLOSING, "Plays both sides", "", 2)),
                null,
                null);
        opens(0, Tally.NONE);
        later(20);
        closing = Optional.of(new Closing(moment(), Optional.empty()));
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        ends(Outcome.FIXED);
        assertThat(facts().inTheWayOfHandover(now))
                .containsExactly("Not checked after closing yet: \"Plays both sides\", twice.");
        checks.add(new Check(Stage.AFTER_CLOSING, Verdict.PASSED, "plays both sides", true, "", 1, "", moment()));
        assertThat(facts().inTheWayOfHandover(now))
                .containsExactly("\"Plays both sides\" was tried once; the plan says twice.");
        checks.add(new Check(Stage.AFTER_CLOSING, Verdict.PASSED, "plays both sides", true, "", 2, "", moment()));
        assertThat(facts().inTheWayOfHandover(now)).isEmpty();
    }

    private void ends(Outcome how) {
        outcome = Optional.of(new OutcomeGiven(how, "noise stays", moment()));
    }

    private Moment moment() {
        return new Moment(++written, now);
    }

    @Test
    void aPassStandsThoughTheClockWasSetBackSinceTheFailure() {
        closedAfterWork();
        check(Stage.AFTER_CLOSING, Verdict.FAILED);
        ends(Outcome.FIXED);
        later(-3 * 24 * 60);
        check(Stage.AFTER_CLOSING, Verdict.PASSED);
        ends(Outcome.FIXED);
        assertThat(facts().inTheWayOfHandover(now)).isEmpty();
        assertThat(facts().checks().standingFailures()).isEmpty();
        opens(1, new Tally(4, 0, 0, 0, 0));
        openSteps = 0;
        assertStands(Standing.TO_CLOSE, "Back together, but 4 fasteners still off");
    }

    private void later(int minutes) {
        now = now.plus(Duration.ofMinutes(minutes));
    }

    private JobFacts facts() {
        return new JobFacts(
                MONDAY,
                due,
                holds,
                tally,
                openSteps,
                lastIn,
                closing,
                plan,
                0,
                new CheckRecord(checks),
                outcome,
                0,
                MainsWork.NONE,
                List.of(),
                Optional.empty(),
                handedOver);
    }

    private void assertStands(Standing standing, String words) {
        Status status = Status.of(facts(), now);
        assertThat(status.standing()).isEqualTo(standing);
        assertThat(status.words()).isEqualTo(words);
    }
}
