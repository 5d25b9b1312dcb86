package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/** What a press gives: the next run, what to keep, and what to tell. */
class RunTest {

    private static final Instant MORNING = Instant.parse("2026-03-02T09:00:00Z");

    private static final Teardown NOTES = Teardown.of(
            Overview.NONE,
            List.of(
                    step("lid", Set.of(), 4),
                    step("tube", Set.of("lid"), 2)
                            .with(new Caution("The tube holds a charge: leave it off, have it discharged.", 24)),
                    step("fan", Set.of("lid"), 3)));

    private Run run = Run.replayed(NOTES, RunLog.NONE);
    private Instant now = MORNING;
    private long written;
    private Pressed last;

    static Step step(String id, Set<String> needs, int screws) {
        return Step.plain(id, "The " + id, needs, Side.TOP, "PH1", 1, null, null)
                .with(new Things(
                        List.of(new FastenerGroup(
                                id + "-s",
                                id,
                                Head.CROSS,
                                "PH1",
                                ThreadForm.TAPPING,
                                2.9,
                                12,
                                Finish.BLACK,
                                screws,
                                "",
                                null)),
                        List.of(new Connector(id + "-c", id + " lead", "", true, "")),
                        null));
    }

    private void press(Press press) {
        now = now.plusSeconds(60);
        last = run.press(press, new By(1, "ada", new Moment(++written, now)));
        run = last.next();
    }

    private void begin() {
        press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, Optional.empty()));
    }

    private void assertRefused(Press press, String... reasons) {
        Run before = run;
        assertThatThrownBy(() -> press(press))
                .isInstanceOfSatisfying(
                        Refused.class, refused -> assertThat(refused.reasons()).containsExactly(reasons));
        assertThat(run).isSameAs(before);
    }

    private static Press.Close close(Optional<String> forNow, Optional<Closing> closing, Check... checks) {
        return new Press.Close(forNow, closing, OpenEnds.NONE, new CheckRecord(List.of(checks)));
    }

    private Check tried() {
        return new Check(Stage.BEFORE_CLOSING, Verdict.PASSED, "spins", false, "", 1, "", new Moment(++written, now));
    }

    @Test
    void nothingIsPressedBeforeTheUnitIsOffAndSaidToBe() {
        assertRefused(
                Press.StepIn.asTheNotesSay("lid"), "Start the run first: say that the unit is off and unplugged.");
        assertRefused(
                new Press.Begin(RunRecord.Route.THE_WHOLE, false, RunRecord.Why.FIRST, Optional.empty()),
                "Switch the unit off and unplug it first, and say so.");
        press(new Press.Begin(
                new RunRecord.Route(List.of(7L), List.of("lid", "fan")),
                true,
                new RunRecord.Why(Optional.empty(), "belt came"),
                Optional.empty()));
        assertThat(last.words()).isEqualTo("Run begun: belt came. Off and unplugged; 2 steps to go");
        assertThat(run.underWay().orElseThrow().startedBy()).isEqualTo("ada");
        assertThat(run.stepsInAll()).isEqualTo(2);
        assertRefused(
                new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, Optional.empty()),
                "A run is under way already: go on with it.");
        press(new Press.Turn(RunRecord.Route.THE_WHOLE));
        assertThat(last.words()).isEqualTo("On with the whole of it");
        assertThat(run.stepsInAll()).isEqualTo(3);
    }

    @Test
    void aStepIsToldWithWhatWasFoundAndTakenBackByItsOpposite() {
        begin();
        press(new Press.StepIn(
                "lid",
                List.of(new TakenOff("lid-s", 2, 1, 1, 0, Basis.TOLD)),
                Basis.TOLD,
                false,
                new CheckRecord(List.of())));
        assertThat(last.words()).isEqualTo("In: The lid. 1 × lid missing. 1 × lid broken (told, not counted)");
        assertThat(last.entered()).singleElement().isInstanceOfSatisfying(Entered.Stepped.class, stepped -> {
            assertThat(stepped.step().direction()).isEqualTo(Direction.IN);
            assertThat(stepped.moves())
                    .allMatch(move ->
                            move.stepEntry().equals(Optional.of(stepped.step().id())))
                    .hasSize(4);
        });
        assertThat(run.lastIn()).contains(new Moment(written, now));
        assertThat(run.bothWays()).hasSize(2);
        press(new Press.StepBack());
        assertThat(last.words()).isEqualTo("Taken back: The lid in");
        assertThat(run.way().open()).isEmpty();
        assertThat(run.ledger().balances()).isTrue();
        assertThat(run.lastIn()).as("it never was in").isEmpty();
        assertThat(run.lastStep()).isEmpty();
        assertRefused(new Press.StepBack(), "There is no step to take back since the unit was last closed.");
    }

    @Test
    void theClockGoesOnWithAnyPress() {
        begin();
        press(new Press.Pause());
        assertThat(run.underWay().orElseThrow().pausedSince()).contains(now);
        press(new Press.Skip("lid", "is off already"));
        assertThat(last.entered()).containsExactly(new Entered.WentOn(), new Entered.Skipped("lid", "is off already"));
        assertThat(last.words()).isEqualTo("Skipped: The lid. is off already");
        assertThat(run.underWay().orElseThrow().pausedSince()).isEmpty();
        assertThat(run.nextIn().orElseThrow().id()).isEqualTo("tube");
        assertThat(run.hasEntriesInside(17)).isFalse();
    }

    @Test
    void itClosesWhenNothingIsInTheWayAndOpensAgainForAReason() {
        begin();
        assertRefused(
                close(Optional.empty(), Optional.empty()),
                "Nothing was opened on this run: there is nothing to close.");
        press(Press.StepIn.asTheNotesSay("lid"));
        press(new Press.MoveByHand(Move.of("lid-s", Account.TRAY, Account.LOST, 1), ""));
        assertThat(last.words()).isEqualTo("1 × lid: in the tray → lost");
        press(new Press.StepOut(
                "lid",
                List.of(new PutBack("lid-s", 3, 1, 0, 0, "", "M3 × 8")),
                Map.of("lid-s", "1 × M3 from drawer 4"),
                OpenEnds.NONE,
                new CheckRecord(List.of())));
        assertThat(last.words()).isEqualTo("Out: The lid. 1 × lid went back as M3 × 8 (1 × M3 from drawer 4)");
        assertRefused(
                close(Optional.empty(), Optional.empty()),
                "Nothing is checked before closing: try it by hand and under power, or say not tested.");
        press(close(Optional.empty(), Optional.empty(), tried()));
        assertThat(last.entered()).containsExactly(new Entered.Ended(Optional.empty()));
        assertThat(run.underWay()).isEmpty();
        Optional<Closing> closed = Optional.of(new Closing(new Moment(written, now), Optional.empty()));
        assertThat(run.wasClosedForGood(closed)).isTrue();
        assertThatThrownBy(() -> press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, closed)))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("say why it is opened again");
        press(new Press.Begin(
                RunRecord.Route.THE_WHOLE,
                true,
                new RunRecord.Why(Optional.of(Rework.WRONG_PART), "2 A fuse"),
                closed));
        assertThat(last.words())
                .isEqualTo("Opened again, because the wrong part was put in: 2 A fuse. Off and unplugged");
        assertThat(run.reworks()).hasSize(1);
        assertThat(run.lastStep())
                .as("what an earlier run did is not taken back")
                .isEmpty();
    }

    @Test
    void aPinnedCheckIsAskedForBeforeItsStepGoesBack() {
        Overview plan = new Overview(
                "",
                null,
                List.of(new Overview.PlannedCheck(
                        "turns", Stage.OPEN, "turns freely", "", 2, new Overview.Terms(false, false, "", "lid"))),
                null,
                null);
        run = Run.replayed(Teardown.of(plan, NOTES.steps()), RunLog.NONE);
        begin();
        press(Press.StepIn.asTheNotesSay("lid"));
        assertRefused(back(), "Not checked while it is open yet: \"turns freely\", twice.");
        assertRefused(back(turns(Verdict.PASSED, 1)), "\"turns freely\" was tried once; the plan says twice.");
        press(back(turns(Verdict.NOT_TESTED, 0)));
        assertThat(run.way().open()).as("passed over, for a reason").isEmpty();
    }

    private static Press back(Check... checks) {
        return new Press.StepOut("lid", List.of(), Map.of(), OpenEnds.NONE, new CheckRecord(List.of(checks)));
    }

    @Test
    void whatIsOpenedAgainOnARunIsCountedWithWhatJustHappened() {
        begin();
        press(Press.StepIn.asTheNotesSay("lid"));
        press(back());
        press(Press.StepIn.asTheNotesSay("lid"));
        assertThat(last.words()).endsWith("Opened again: it was a trial fit");
        assertThat(run.reworks()).isEmpty();
        assertThat(run.trialFits()).isEqualTo(1);
        press(new Press.StepOut(
                "lid",
                List.of(new PutBack("lid-s", 3, 0, 0, 0, "", "")),
                Map.of(),
                OpenEnds.NONE,
                new CheckRecord(List.of())));
        press(Press.StepIn.asTheNotesSay("lid"));
        assertThat(last.words()).endsWith("Opened again: something was forgotten");
        press(back());
        CheckRecord failed = new CheckRecord(List.of(turns(Verdict.FAILED, 1)));
        press(new Press.StepIn("lid", List.of(), Basis.COUNTED, false, failed));
        press(new Press.StepBack());
        assertThat(run.reworks()).containsExactly("something was forgotten", "a check failed");
    }

    private Check turns(Verdict verdict, int times) {
        return new Check(Stage.OPEN, verdict, "turns freely", false, "", times, "", new Moment(++written, now));
    }

    @Test
    void closedForNowNamesWhatIsOutAndIsNoRework() {
        begin();
        press(Press.StepIn.asTheNotesSay("lid"));
        press(new Press.StepOut(
                "lid",
                List.of(new PutBack("lid-s", 3, 0, 0, 1, "screw is on order", "")),
                Map.of(),
                OpenEnds.NONE,
                new CheckRecord(List.of())));
        assertRefused(
                close(Optional.empty(), Optional.empty(), tried()),
                "1 × lid, left out for now: put it right, or close it for now only.");
        press(close(Optional.of("the owner needs it"), Optional.empty(), tried()));
        assertThat(last.words()).isEqualTo("Closed for now: the owner needs it. Left out: 1 × lid");
        Optional<Closing> forNow = Optional.of(new Closing(new Moment(written, now), Optional.of("needs it")));
        assertThat(run.wasClosedForGood(forNow)).isFalse();
        press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, forNow));
        assertThat(last.words()).isEqualTo("Run begun again. Off and unplugged");
        assertThat(run.reworks()).isEmpty();
    }

    @Test
    void whatWasMissingBeforeTheFirstStepIsEnteredAndOnlyOfThingsThatTheNotesKnow() {
        begin();
        press(new Press.CountMissing(
                List.of(new Press.CountedMissing("lid-s", 2), new Press.CountedMissing("knob", 1))));
        assertThat(last.words()).isEqualTo("2 things missing on arrival");
        assertThat(run.ledger().count("lid-s", Account.MISSING_ON_ARRIVAL)).isEqualTo(2);
        press(Press.StepIn.asTheNotesSay("lid"));
        assertThat(run.ledger().count("lid-s", Account.TRAY)).isEqualTo(2);
    }
}
