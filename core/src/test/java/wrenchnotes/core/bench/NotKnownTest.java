package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerGroup.Known;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/** What nobody has counted or measured is neither invented nor forgotten. */
class NotKnownTest {

    private static final FastenerGroup OPEN =
            FastenerGroup.seen("lid-s", "lid", Optional.of(Head.CROSS), Optional.empty());
    private static final FastenerGroup FOUR = new FastenerGroup(
            "lid-f", "grille", Head.CROSS, "PH1", ThreadForm.TAPPING, 2.9, 12, Finish.BLACK, 4, "", null);
    private static final LoosePiece FELT = new LoosePiece("felt", "felt rings", "", Optional.empty(), false);
    private static final Step LID = Step.plain("lid", "The lid", Set.of(), Side.TOP, "PH1", 1, null, null)
            .with(new Things(List.of(OPEN, FOUR), null, List.of(FELT)));
    private static final Teardown NOTES = Teardown.of(Overview.NONE, List.of(LID));

    private Run run = Run.replayed(NOTES, RunLog.NONE);
    private final AtomicLong written = new AtomicLong();

    private String press(Press press) {
        long n = written.incrementAndGet();
        By by = new By(
                1, "ada", new Moment(n, Instant.parse("2026-03-02T09:00:00Z").plusSeconds(60 * n)));
        Pressed pressed = run.press(press, by);
        run = pressed.next();
        assertThat(run.ledger().accounts("lid-s").values().stream()
                        .mapToInt(n2 -> n2)
                        .sum())
                .isEqualTo(run.ledger().made("lid-s"));
        return pressed.words();
    }

    private void begin() {
        press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, Optional.empty()));
    }

    private void back() {
        press(new Press.StepOut("lid", List.of(), Map.of(), OpenEnds.NONE, new CheckRecord(List.of())));
    }

    /** What comes off uncounted is one lot; whoever counts it exchanges it for so many, and that is taken back in one press. */
    @Test
    void whatNobodyHasCountedIsOneLotUntilSomebodyCounts() {
        begin();
        press(Press.StepIn.asTheNotesSay("lid"));
        assertThat(run.ledger().accounts("lid-s")).isEqualTo(Map.of(Account.TRAY, 1));
        assertThat(run.ledger().isCounted("lid-s")).isFalse();
        assertThat(run.ledger().unsettled().get(0).sentence()).startsWith("lid, in the tray");

        assertThat(press(new Press.Counted("lid-s", 6))).isEqualTo("Counted: 6 × lid");
        assertThat(run.ledger().accounts("lid-s")).isEqualTo(Map.of(Account.TRAY, 6));
        assertThat(run.ledger().isCounted("lid-s")).isTrue();
        press(new Press.StepBack());
        assertThat(run.ledger().isCounted("lid-s")).isFalse();
        press(new Press.Counted("felt", 1));
        assertThat(run.ledger().isCounted("felt")).as("one was counted").isTrue();
        press(new Press.Counted("lid-s", 5));
        back();
        assertThat(run.ledger().balances()).isTrue();
        assertThat(run.ledger().accounts("lid-s")).isEqualTo(Map.of(Account.FITTED, 5));
        assertThat(run.agreed().cameOff()).hasSize(3);
    }

    @Test
    void aLotThatNobodyCountsGoesBackAsOne() {
        begin();
        press(Press.StepIn.asTheNotesSay("lid"));
        back();
        assertThat(run.ledger().balances()).isTrue();
        assertThat(run.ledger().isCounted("lid-s")).isFalse();
    }

    /** Measured: with one screw more than the notes say a job could not be closed rightly, nor go on by better notes. */
    @Test
    void oneMoreThanTheNotesSayGrowsTheLedgerAndHasToGoBackToo() {
        begin();
        press(Press.StepIn.said("lid", List.of(new TakenOff("lid-f", 5, 0, 0)), Basis.COUNTED));
        assertThat(run.ledger().made("lid-f")).isEqualTo(5);
        assertThat(press(new Press.Counted("lid-f", 6))).isEqualTo("1 × grille more than the notes say");
        assertThatThrownBy(() -> press(new Press.Counted("lid-f", 5)))
                .isInstanceOf(Refused.class)
                .hasMessage("grille: 6 lie on the mat, not 5. Say what became of the rest: lost, broken, back.");
        press(new Press.StepOut(
                "lid",
                List.of(new PutBack("lid-f", 5, 0, 0, 0, "", "")),
                Map.of(),
                OpenEnds.NONE,
                new CheckRecord(List.of())));
        assertThat(run.ledger().unsettled()).extracting(Unsettled::count).containsExactly(1);
        assertThatThrownBy(() ->
                        press(new Press.MoveByHand(Move.of("lid-f", Account.BEYOND_NOTES, Account.FITTED, 1), "")))
                .isInstanceOf(Refused.class);
    }

    @Test
    void oneThatNeverWasIsTheNotesMistake() {
        begin();
        press(Press.StepIn.said("lid", List.of(new TakenOff("lid-f", 3, 1, 0)), Basis.COUNTED));
        press(new Press.MoveByHand(Move.of("lid-f", Account.MISSING_ON_ARRIVAL, Account.BEYOND_NOTES, 1), ""));
        assertThat(run.ledger().made("lid-f")).isEqualTo(3);
        back();
        assertThat(run.ledger().balances()).isTrue();
    }

    /** Of what nobody has counted, what is said to be missing lies beside the lot that is there. */
    @Test
    void someOfTheUncountedMayBeMissingOnArrival() {
        begin();
        press(new Press.CountMissing(List.of(new Press.CountedMissing("lid-s", 2))));
        press(Press.StepIn.said("lid", List.of(new TakenOff("lid-s", 4, 0, 0)), Basis.COUNTED));
        assertThat(run.ledger().accounts("lid-s")).isEqualTo(Map.of(Account.TRAY, 4, Account.MISSING_ON_ARRIVAL, 2));
        assertThat(run.ledger().made("lid-s")).isEqualTo(6);
    }

    @Test
    void whichScrewAndKeepApartPassOverWhatNobodyMeasured() {
        Ledger off = Ledger.allFitted(List.of(OPEN, FOUR))
                .with(Move.of("lid-s", Account.FITTED, Account.TRAY, 1))
                .with(Move.of("lid-f", Account.FITTED, Account.TRAY, 4));
        ScrewMatch.Answer star = ScrewMatch.rank(
                new ScrewMatch.Known(
                        Optional.empty(),
                        Optional.of(7.0),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                off);
        assertThat(star.fits()).isEmpty();
        assertThat(star.words()).isEqualTo("It fits none that is measured; nobody has measured lid.");
        ScrewMatch.Answer cross = ScrewMatch.rank(
                new ScrewMatch.Known(
                        Optional.of(Head.CROSS),
                        Optional.of(12.0),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                off);
        assertThat(cross.fits()).extracting(match -> match.group().id()).containsExactly("lid-f", "lid-s");
        assertThat(LookAlikes.of(LID, off)).isEmpty();
    }

    @Test
    void whatIsMeasuredFillsWhatWasOpenAndChangesNothingElse() {
        assertThat(OPEN.words()).isEqualTo("not counted, cross, sizes not known");
        assertThat(OPEN.notKnown())
                .containsExactly(Known.COUNT, Known.THREAD, Known.DIAMETER, Known.LENGTH, Known.FINISH);
        FastenerGroup filled = OPEN.filledBy(FOUR);
        assertThat(filled.notKnown()).isEmpty();
        assertThat(filled.label()).isEqualTo("lid");
        assertThat(FOUR.filledBy(filled.counting(9)).count()).contains(4);
        FastenerGroup glue = FastenerGroup.seen("g", "glue", Optional.of(Head.GLUE), Optional.of(1));
        assertThat(glue.notKnown()).as("nobody measures glue").isEmpty();
        assertThat(FastenerShape.of(glue).lengthMm()).isZero();
    }
}
