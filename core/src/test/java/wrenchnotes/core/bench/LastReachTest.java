package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/** Nothing is buried: what is unsettled is asked for at the last place from which it can be reached. */
class LastReachTest {

    private static final FastenerGroup CASE = new FastenerGroup(
            "case", "case", Head.CROSS, "PH1", ThreadForm.TAPPING, 2.9, 12, Finish.BLACK, 3, "", null);

    @Test
    void aForgottenPlugIsAskedForWhileItCanBeReached() {
        Connector plug = new Connector("plug", "small two-wire plug by the motor", "", false, "");
        Step lid = step("lid", Set.of(), List.of(CASE), null, null);
        Step motor = step("motor", Set.of("lid"), null, List.of(plug), null);
        Step deep = step("deep", Set.of("motor"), null, null, List.of(new LoosePiece("ball", "ball", "", 1)));
        Teardown notes = Teardown.of(List.of(lid, motor, deep));
        Ledger ledger = Ledger.allFitted(notes.things())
                .with(Move.of("plug", Account.FITTED, Account.TRAY, 1))
                .with(Move.of("case", Account.FITTED, Account.TRAY, 3));
        WayIn motorBack = WayIn.closed(notes).in("lid").in("motor").out("motor");
        assertThat(LastReach.before(notes, motorBack, ledger, "lid", Set.of()))
                .extracting(open -> open.thing().label())
                .containsExactly(plug.label());
        WayIn still = WayIn.closed(notes).in("lid").in("motor");
        assertThat(LastReach.before(notes, still, ledger, "lid", Set.of())).isEmpty();
        assertThat(LastReach.before(
                        notes,
                        motorBack,
                        ledger.with(Move.of("plug", Account.TRAY, Account.FITTED, 1)),
                        "lid",
                        Set.of()))
                .isEmpty();
        Ledger broken = ledger.with(Move.of("plug", Account.TRAY, Account.BROKEN, 1));
        assertThat(LastReach.before(notes, motorBack, broken, "lid", Set.of()))
                .as("not in the tray any more, and just as much out of reach")
                .extracting(Unsettled::account)
                .containsExactly(Account.BROKEN);
        Ledger deepBroken = Ledger.allFitted(notes.things()).with(Move.of("ball", Account.FITTED, Account.BROKEN, 1));
        assertThat(LastReach.before(notes, motorBack, deepBroken, "lid", Set.of()))
                .as("two covers further in")
                .hasSize(1);
        Ledger forNow = ledger.with(new Move("plug", Account.TRAY, Account.OUT_FOR_NOW, 1, "lead comes"));
        assertThat(LastReach.before(notes, motorBack, forNow, "lid", Set.of("plug")))
                .as("somebody said so on this run")
                .isEmpty();
        assertThat(LastReach.before(notes, motorBack, forNow, "lid", Set.of()))
                .as("it was said on a run before")
                .hasSize(1);
    }

    @Test
    void whatNoAccountHoldsIsAskedForWhereItWasMadeSo() {
        Step lid = step("lid", Set.of(), List.of(CASE), null, null);
        Step motor = step("motor", Set.of("lid"), null, null, null);
        Step shell = step("shell", Set.of(), null, null, null);
        Teardown notes = Teardown.of(List.of(lid, motor, shell));
        Moment begun = new Moment(10, Instant.EPOCH);
        Optional<RunRecord> run =
                Optional.of(RunRecord.begun(1, RunRecord.Route.THE_WHOLE, RunRecord.Why.FIRST, begun, "ada"));
        assertThat(ends(notes, run, 0))
                .as("by the motor: there, and once more before the lid")
                .containsExactly(2, 2, 0);
        assertThat(ends(notes, run, 9)).as("said on a run before").containsExactly(2, 2, 0);
        assertThat(ends(notes, run, 11)).as("it stays in, the teeth do not").containsExactly(1, 1, 0);
        assertThat(ends(notes, Optional.empty(), 11)).containsExactly(2, 2, 0);
    }

    /** How much the motor, the lid and the shell ask for; a band by the motor stays since a moment, if it is not 0. */
    private static List<Integer> ends(Teardown notes, Optional<RunRecord> run, int stays) {
        OpenEnds ends = new OpenEnds(
                List.of(
                        new OpenEnds.ForTheTest(
                                "band",
                                Optional.of("motor"),
                                Optional.of(new OpenEnds.Stays("belt comes", new Moment(stays, Instant.EPOCH)))
                                        .filter(said -> stays > 0)),
                        new OpenEnds.ForTheTest("lamp", Optional.empty(), Optional.empty())),
                List.of(
                        new OpenEnds.Piece(new Fragments("teeth", 3, 1, ""), Optional.of("motor")),
                        new OpenEnds.Piece(new Fragments("glass", 3, 3, ""), Optional.of("motor"))),
                List.of());
        return Stream.of("motor", "lid", "shell")
                .map(step -> LastReach.ends(notes, ends, run, step).size())
                .toList();
    }

    /** Measured: on the next run it could not simply go back. */
    @Test
    void whatWasLeftOutForNowGoesBackOnTheNextRun() {
        Ledger out = Ledger.allFitted(List.of(CASE))
                .with(Move.of("case", Account.FITTED, Account.TRAY, 3))
                .with(new Move("case", Account.TRAY, Account.OUT_FOR_NOW, 1, "screw comes"));
        Ledger now = out;
        for (Move move : new PutBack("case", 3, 0, 0, 0, "", "").moves(out)) {
            now = now.with(move);
        }
        assertThat(now.count("case", Account.FITTED)).isEqualTo(3);
        assertThat(PutBack.all(out, "case").back())
                .as("what is usual does not say that it has come")
                .isEqualTo(2);
        assertThatThrownBy(() -> new PutBack("case", 4, 0, 0, 0, "", "").moves(out))
                .isInstanceOf(Refused.class);
    }

    private static Step step(
            String id, Set<String> needs, List<FastenerGroup> screws, List<Connector> plugs, List<LoosePiece> pieces) {
        return Step.plain(id, id, needs, Side.TOP, "PH1", 1, null, null).with(new Things(screws, plugs, pieces));
    }
}
