package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Refused;

class LedgerTest {

    private static final List<Thing> THINGS = List.of(
            new FastenerGroup(
                    "case", "case", Head.CROSS, "PH1", ThreadForm.TAPPING, 2.9, 12, Finish.BLACK, 10, "", null),
            new FastenerGroup("plate", "plate", Head.RIVET, "", ThreadForm.NONE, 3, 5, Finish.BLACK, 4, "", null),
            new Connector("lead", "head lead", "red to the edge", false, ""),
            new LoosePiece("washer", "thrust washer", "flat side down", 2));

    /** Any sequence of moves, allowed or refused, keeps every account's sum, and no account ever owes anything. */
    @Property
    void nothingAppearsOrVanishes(@ForAll("moves") List<Move> moves) {
        Ledger ledger = Ledger.allFitted(THINGS);
        for (Move move : moves) {
            Ledger before = ledger;
            ledger = tried(ledger, move);
            if (ledger == before) {
                assertThat(tried(before, move)).isSameAs(before);
            }
            for (Thing thing : THINGS) {
                assertThat(ledger.accounts(thing.id()).values()).allMatch(count -> count > 0);
                assertThat(ledger.accounts(thing.id()).values().stream()
                                .mapToInt(Integer::intValue)
                                .sum())
                        .isEqualTo(ledger.made(thing.id()));
            }
        }
    }

    /** A balanced ledger is exactly one in which nothing is in the tray and nothing absent is undecided. */
    @Property
    void balancesExactlyWhenNothingIsOpen(@ForAll("moves") List<Move> moves) {
        Ledger ledger = Ledger.allFitted(THINGS);
        for (Move move : moves) {
            ledger = tried(ledger, move);
        }
        Ledger end = ledger;
        int open = THINGS.stream()
                .mapToInt(thing -> end.count(thing.id(), Account.TRAY)
                        + end.count(thing.id(), Account.LOST)
                        + end.count(thing.id(), Account.BROKEN)
                        + end.count(thing.id(), Account.DESTROYED)
                        + end.count(thing.id(), Account.OUT_FOR_NOW)
                        + end.count(thing.id(), Account.MISSING_ON_ARRIVAL))
                .sum();
        assertThat(end.balances()).isEqualTo(open == 0);
        assertThat(end.tally().balances()).isEqualTo(open == 0);
        assertThat(end.unsettled().stream().mapToInt(Unsettled::count).sum()).isEqualTo(open);
        int forNow = THINGS.stream()
                .mapToInt(thing -> end.count(thing.id(), Account.OUT_FOR_NOW))
                .sum();
        assertThat(end.unsettledForNow().stream().mapToInt(Unsettled::count).sum())
                .isEqualTo(open - forNow);
        end.unsettled()
                .forEach(one -> assertThat(one.sentence()).contains(one.thing().label(), "" + one.count()));
    }

    /** Undoing entries in reverse order gives back, at each step, the ledger that was there before. */
    @Property
    void undoRestoresTheBalance(@ForAll("moves") List<Move> moves) {
        List<Ledger> before = new ArrayList<>();
        List<Move> done = new ArrayList<>();
        Ledger ledger = Ledger.allFitted(THINGS);
        for (Move move : moves) {
            Ledger next = tried(ledger, move);
            if (next != ledger) {
                before.add(ledger);
                done.add(move);
                ledger = next;
            }
        }
        assertSame(Ledger.replayed(THINGS, done), ledger);
        for (int at = done.size() - 1; at >= 0; at--) {
            ledger = ledger.undone(done.get(at));
            assertSame(ledger, before.get(at));
        }
    }

    /** From wherever it stands, a ledger can be brought to balance: nobody is ever stuck with an open unit. */
    @Property
    void everyLedgerCanBeSettled(@ForAll("moves") List<Move> moves, @ForAll Random random) {
        Ledger ledger = Ledger.allFitted(THINGS);
        for (Move move : moves) {
            ledger = tried(ledger, move);
        }
        List<Unsettled> open = new ArrayList<>(ledger.unsettled());
        Collections.shuffle(open, random);
        for (Unsettled one : open) {
            ledger = ledger.with(
                    new Move(one.thing().id(), one.account(), Account.LEFT_OUT, one.count(), "told the owner"));
        }
        assertThat(ledger.balances()).isTrue();
    }

    @Test
    void refusalsNameTheThingAndSayWhatToDo() {
        Ledger ledger = Ledger.allFitted(THINGS).with(Move.of("case", Account.FITTED, Account.TRAY, 3));
        assertThatThrownBy(() -> ledger.with(Move.of("case", Account.TRAY, Account.FITTED, 4)))
                .isInstanceOf(Refused.class)
                .hasMessage("case: only 3 in the tray, not 4. Look at the mat and count again.");
        assertThatThrownBy(() -> ledger.with(Move.of("case", Account.TRAY, Account.LEFT_OUT, 1)))
                .hasMessage("case: say why it is left out.");
        assertThatThrownBy(() -> ledger.with(Move.of("case", Account.FITTED, Account.LOST, 1)))
                .hasMessageContaining("Put it in the tray");
        assertThatThrownBy(() -> Move.of("case", Account.TRAY, Account.FITTED, -1))
                .hasMessageContaining("from 1 to 99");
    }

    @Test
    void countsOnTheWayInMustAddUp() {
        Ledger ledger = Ledger.allFitted(THINGS);
        assertThatThrownBy(() -> new TakenOff("case", 8, 1, 0).moves(ledger))
                .hasMessageContaining("10 should be there and 9 are accounted for");
        Ledger after = posted(ledger, new TakenOff("case", 8, 1, 1).moves(ledger));
        assertThat(after.count("case", Account.TRAY)).isEqualTo(8);
        assertThat(after.count("case", Account.MISSING_ON_ARRIVAL)).isEqualTo(1);
        assertThat(after.count("case", Account.BROKEN)).isEqualTo(1);
    }

    @Test
    void whatIsAbsentIsSettledBeforeWhatLiesInTheTray() {
        Ledger off = Ledger.allFitted(THINGS);
        off = posted(off, new TakenOff("case", 7, 2, 1).moves(off));
        Ledger back = posted(off, new PutBack("case", 6, 1, 2, 0, "post stripped", "").moves(off));
        assertThat(back.count("case", Account.BROKEN)).isZero();
        assertThat(back.count("case", Account.REPLACED)).isEqualTo(1);
        assertThat(back.count("case", Account.LEFT_OUT)).isEqualTo(2);
        assertThat(back.unsettled()).singleElement().satisfies(open -> assertThat(open.sentence())
                .isEqualTo("1 × case, in the tray: put back, replace, or leave out and say why."));
        // A second run takes the replaced one off again; it cannot have been missing when the unit came.
        assertThat(TakenOff.all(back, "case").moves(back))
                .extracting(Move::from)
                .contains(Account.REPLACED);
        assertThatThrownBy(() -> new TakenOff("case", 0, 7, 0).moves(back)).hasMessageContaining("were put in here");
    }

    @Test
    void whatWasNotCountedMayTurnOutNeverToHaveBeenThere() {
        Ledger told = Ledger.allFitted(THINGS);
        told = posted(told, new TakenOff("case", 10, 0, 0, 0, Basis.TOLD).moves(told));
        assertThat(told.uncounted("case")).isEqualTo(10);
        assertThat(told.with(Move.of("case", Account.TRAY, Account.MISSING_ON_ARRIVAL, 1))
                        .count("case", Account.MISSING_ON_ARRIVAL))
                .isEqualTo(1);
        Ledger counted = Ledger.allFitted(THINGS);
        Ledger off = posted(counted, TakenOff.all(counted, "case").moves(counted));
        assertThatThrownBy(() -> off.with(Move.of("case", Account.TRAY, Account.MISSING_ON_ARRIVAL, 1)))
                .hasMessageContaining("they were counted when they came off");
    }

    @Test
    void rivetsAreUsedUpByAWayThatCannotBeUndoneAndComeBackAsSomethingElse() {
        Ledger ledger = Ledger.allFitted(THINGS);
        Step cut = WayInTest.irreversible("plate", List.of((FastenerGroup) THINGS.get(1)));
        Ledger off = posted(
                ledger,
                TakenOff.usual(ledger, cut, THINGS.get(1), Basis.COUNTED).moves(ledger));
        assertThat(off.count("plate", Account.DESTROYED)).isEqualTo(4);
        assertThat(off.unsettled()).singleElement().satisfies(open -> assertThat(open.sentence())
                .isEqualTo("4 × plate, used up by the way in: replace from a drawer, or leave out and say why."));
        List<Move> back = new PutBack("plate", 0, 4, 0, 0, "", "M3 × 8 screws and nuts").moves(off);
        assertThat(back).extracting(Move::reason).containsOnly("M3 × 8 screws and nuts");
        assertThat(posted(off, back).balances()).isTrue();
    }

    /** Paste, a gasket, a seal: the way back owes another, unless it is said that it came off whole. */
    @Test
    void whatDoesNotSurviveAStepIsUsedUpByIt() {
        LoosePiece seal = new LoosePiece("seal", "seal", "", 1, true);
        Step lift = Step.of("lift", "Lift", Doing.of(Side.TOP, "", 1)).with(new Things(null, null, List.of(seal)));
        Ledger ledger = Ledger.allFitted(List.of(seal));
        Ledger off =
                posted(ledger, TakenOff.usual(ledger, lift, seal, Basis.COUNTED).moves(ledger));
        assertThat(off.count("seal", Account.DESTROYED)).isEqualTo(1);
        assertThat(off.balances()).isFalse();
        assertThat(posted(off, new PutBack("seal", 0, 1, 0, 0, "", "").moves(off))
                        .balances())
                .isTrue();
        Ledger whole = posted(ledger, TakenOff.all(ledger, "seal").moves(ledger));
        assertThat(whole.count("seal", Account.TRAY)).isEqualTo(1);
    }

    @Provide
    Arbitrary<List<Move>> moves() {
        Arbitrary<Move> move = Combinators.combine(
                        Arbitraries.of("case", "plate", "lead", "washer"),
                        Arbitraries.of(Account.class),
                        Arbitraries.of(Account.class),
                        Arbitraries.integers().between(1, 6),
                        Arbitraries.of("", "post stripped"))
                .filter((thing, from, to, count, reason) -> from != to)
                .as(Move::new);
        return move.list().ofMaxSize(40);
    }

    private static Ledger tried(Ledger ledger, Move move) {
        try {
            return ledger.with(move);
        } catch (Refused refused) {
            return ledger;
        }
    }

    private static Ledger posted(Ledger ledger, List<Move> moves) {
        Ledger now = ledger;
        for (Move move : moves) {
            now = now.with(move);
        }
        return now;
    }

    private static void assertSame(Ledger one, Ledger other) {
        for (Thing thing : THINGS) {
            assertThat(one.accounts(thing.id())).isEqualTo(other.accounts(thing.id()));
        }
    }
}
