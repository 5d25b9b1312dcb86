package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.check.CheckRecord;
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

/** A screw left over, a plug forgotten, a pair easily swapped, a count that does not agree. */
class LeftOverTest {

    private static FastenerGroup group(
            String id, Head head, ThreadForm thread, double diameter, double length, Finish finish) {
        return new FastenerGroup(id, id, head, "PH1", thread, diameter, length, finish, 3, "", null);
    }

    private static final FastenerGroup CASE = group("case", Head.CROSS, ThreadForm.TAPPING, 2.9, 12, Finish.BLACK);
    private static final FastenerGroup SHORT = group("front", Head.CROSS, ThreadForm.TAPPING, 2.9, 9.5, Finish.BLACK);
    private static final FastenerGroup FINE = group("frame", Head.CROSS, ThreadForm.MACHINE, 3, 12, Finish.BLACK);
    private static final FastenerGroup STAR =
            group("cover", Head.HEXALOBULAR, ThreadForm.MACHINE, 2.5, 6, Finish.SILVER);

    private static final Ledger ALL_OFF =
            off(off(off(off(Ledger.allFitted(List.of(CASE, SHORT, FINE, STAR)), "case"), "front"), "frame"), "cover");

    private static Ledger off(Ledger ledger, String thing) {
        return ledger.with(Move.of(thing, Account.FITTED, Account.TRAY, 3));
    }

    /**
     * Pitches counted with a rule: M2.5 0.45 mm and M3 0.5 mm are ISO 261 (published); ST2.9 1.1 mm is ISO 1478 (published,
     * from memory). Ten threads over 5 mm are an M3, over 11 mm an ST2.9.
     */
    @ParameterizedTest
    @CsvSource({"10, 5.0, 12, frame", "10, 11.0, 12, case", "10, 11.0, 9.5, front", "20, 9.0, 6, cover"})
    void threadsCountedOverALengthTellTheFineOneFromTheCoarse(int threads, double over, double length, String place) {
        ScrewMatch.Answer answer = ScrewMatch.rank(
                new ScrewMatch.Known(
                        Optional.empty(),
                        Optional.of(length),
                        Optional.empty(),
                        Optional.of(threads),
                        Optional.of(over),
                        Optional.empty()),
                ALL_OFF);
        assertThat(answer.fits())
                .first()
                .satisfies(match -> assertThat(match.group().id()).isEqualTo(place));
        assertThat(answer.fits().stream().filter(match -> match.differs().isEmpty()))
                .hasSize(1);
    }

    @Test
    void whatIsNotKnownRulesNothingOut() {
        ScrewMatch.Answer crossBlack = ScrewMatch.rank(known(Optional.of(Head.CROSS), Optional.empty()), ALL_OFF);
        assertThat(crossBlack.fits())
                .extracting(match -> match.group().id())
                .containsExactlyInAnyOrder("case", "front", "frame");
        assertThat(crossBlack.words()).contains("Measure what tells it from the others");
        ScrewMatch.Answer twelve = ScrewMatch.rank(known(Optional.of(Head.CROSS), Optional.of(12.0)), ALL_OFF);
        assertThat(twelve.fits()).extracting(match -> match.group().id()).containsExactlyInAnyOrder("case", "frame");
    }

    @Test
    void aScrewThatFitsNoOpenPlaceIsSaidToFitNone() {
        assertThat(ScrewMatch.rank(known(Optional.of(Head.HEX), Optional.empty()), ALL_OFF)
                        .words())
                .isEqualTo("It fits none of the 4 open places: not from this unit, or the notes are wrong.");
        // A place that is filled does not ask for a screw.
        Ledger starBack = ALL_OFF.with(Move.of("cover", Account.TRAY, Account.FITTED, 3));
        assertThat(ScrewMatch.rank(known(Optional.of(Head.HEXALOBULAR), Optional.empty()), starBack)
                        .fits())
                .isEmpty();
        assertThat(ScrewMatch.rank(known(Optional.of(Head.CROSS), Optional.empty()), Ledger.allFitted(List.of(CASE)))
                        .words())
                .startsWith("No place of this unit is open");
        assertThatThrownBy(() -> known(Optional.empty(), Optional.empty())).hasMessageContaining("at least one thing");
        assertThatThrownBy(() -> new ScrewMatch.Known(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(10),
                        Optional.empty(),
                        Optional.empty()))
                .hasMessageContaining("Say both");
    }

    /** What speaks against a place puts it behind one that agrees, and the answer says what to measure again. */
    @Test
    void aScrewThatDiffersIsTheNearestOnly() {
        ScrewMatch.Answer silver = ScrewMatch.rank(
                new ScrewMatch.Known(
                        Optional.of(Head.CROSS),
                        Optional.of(12.3),
                        Optional.of(2.9),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Finish.SILVER)),
                ALL_OFF);
        assertThat(silver.words())
                .isEqualTo("Nearest: case, but its finish differs. Measure again, or it is not from this unit.");
        assertThat(silver.fits())
                .extracting(match -> match.group().id(), ScrewMatch.Match::differs)
                .startsWith(org.assertj.core.groups.Tuple.tuple("case", List.of("finish")));
        ScrewMatch.Answer black = ScrewMatch.rank(
                new ScrewMatch.Known(
                        Optional.empty(),
                        Optional.of(6.0),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Finish.SILVER)),
                ALL_OFF);
        assertThat(black.words()).isEqualTo("It belongs to: cover.");
        assertThat(black.fits()).first().satisfies(match -> {
            assertThat(match.agrees()).containsExactly("length", "finish");
            assertThat(match.differs()).isEmpty();
        });
    }

    /** Everything that may be in the way of closing, a sentence each; what is left out for now is in the way of good only. */
    @Test
    void theGateNamesEverythingThatIsOpen() {
        Step lid = step("lid", Set.of(), List.of(CASE), null, null);
        Step cover = step("cover", Set.of("lid"), List.of(STAR), null, null);
        Teardown notes = Teardown.of(List.of(lid, cover));
        WayIn way = WayIn.closed(notes).in("lid");
        Ledger ledger = off(off(Ledger.allFitted(notes.things()), "case"), "cover")
                .with(Move.of("cover", Account.TRAY, Account.LOST, 2))
                .with(Move.of("cover", Account.TRAY, Account.OUT_FOR_NOW, 1).because("on order"));
        OpenEnds ends = anywhere(
                List.of("a clip across the door switch"),
                List.of(new Fragments("teeth", 7, 4, ""), new Fragments("glass", 2, 0, "it came so")));
        List<String> forNow =
                ClosingGate.reasonsForNow(notes, way, ledger, ends, Optional.empty(), new CheckRecord(List.of()));
        assertThat(forNow)
                .hasSize(6)
                .contains(
                        "\"lid\" is still open: put it back in.",
                        "teeth: 3 of 7 pieces not found. Search the mechanism, or say where they are.",
                        "For the test only: a clip across the door switch. Put it right, or say why it stays in for now.")
                .anySatisfy(reason -> assertThat(reason).contains("case"))
                .anySatisfy(reason -> assertThat(reason).contains("cover"))
                .noneSatisfy(reason -> assertThat(reason).contains("glass"));
        assertThat(ClosingGate.reasons(notes, way, ledger, ends, new CheckRecord(List.of())))
                .hasSize(7)
                .contains("For the test only: a clip across the door switch. Put it right.");
    }

    /** By hand: two of three case screws and a ring in the tray, a plug off, one screw lost, one left out for now. */
    @Test
    void theTallyOfARackCountsEachSortOfThing() {
        Connector plug = new Connector("plug", "plug", "", false, "");
        LoosePiece ring = new LoosePiece("ring", "ring", "", 2);
        Ledger ledger = off(off(Ledger.allFitted(List.of(CASE, STAR, plug, ring)), "case"), "cover")
                .with(Move.of("case", Account.TRAY, Account.LOST, 1))
                .with(Move.of("cover", Account.TRAY, Account.FITTED, 2))
                .with(Move.of("cover", Account.TRAY, Account.OUT_FOR_NOW, 1).because("on order"))
                .with(Move.of("plug", Account.FITTED, Account.TRAY, 1))
                .with(Move.of("ring", Account.FITTED, Account.TRAY, 2));
        Tally tally = Tally.of(ledger);
        assertThat(tally).isEqualTo(new Tally(2, 1, 2, 1, 1));
        assertThat(tally.inTray()).isEqualTo(5);
        assertThat(tally.balances()).isFalse();
        assertThat(tally.words()).isEqualTo("2 fasteners, 1 plug, 2 loose pieces");
        assertThat(tally.plus(tally)).isEqualTo(new Tally(4, 2, 4, 2, 2));
        assertThat(new Tally(0, 0, 0, 1, 0).balances()).isFalse();
        assertThat(new Tally(0, 0, 0, 0, 1).balances()).isFalse();
        assertThat(Tally.of(Ledger.allFitted(List.of(CASE))).balances()).isTrue();
        assertThat(Account.values())
                .filteredOn(Account::owed)
                .containsExactly(
                        Account.MISSING_ON_ARRIVAL,
                        Account.LOST,
                        Account.BROKEN,
                        Account.DESTROYED,
                        Account.OUT_FOR_NOW);
        assertThat(Account.values()).filteredOn(Account::inPlace).containsExactly(Account.FITTED, Account.REPLACED);
    }

    private static ScrewMatch.Known known(Optional<Head> head, Optional<Double> length) {
        return new ScrewMatch.Known(
                head, length, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** Fine, even threads go into metal, coarse ones into plastic: common practice, no source. */
    @Test
    void screwsThatAreEasilySwappedAreKeptApart() {
        Step frame = step("frame", Set.of(), List.of(FINE), null, null);
        Ledger caseOff = off(Ledger.allFitted(List.of(CASE, FINE)), "case");
        assertThat(LookAlikes.of(frame, caseOff))
                .containsExactly("Keep apart, frame and case: the fine-threaded one (frame) goes into metal.");
        assertThat(LookAlikes.of(
                        step("lid", Set.of(), List.of(CASE, SHORT), null, null),
                        Ledger.allFitted(List.of(CASE, SHORT))))
                .containsExactly("Keep apart, case and front: the longer one (case) is 12 mm, the other 9.5.");
        // Another head is told apart by the driver; what is fitted lies on no mat.
        assertThat(LookAlikes.of(step("cover", Set.of(), List.of(STAR), null, null), ALL_OFF))
                .isEmpty();
        assertThat(LookAlikes.of(frame, Ledger.allFitted(List.of(CASE, FINE)))).isEmpty();
    }

    @Test
    void theWayOutIsHeldAgainstTheWayInGroupByGroup() {
        List<Move> moves = List.of(
                new Move("case", Account.FITTED, Account.TRAY, 3, "", Basis.TOLD),
                Move.of("front", Account.FITTED, Account.TRAY, 3),
                Move.of("front", Account.TRAY, Account.FITTED, 3),
                Move.of("frame", Account.FITTED, Account.TRAY, 3),
                Move.of("frame", Account.TRAY, Account.FITTED, 2),
                new Move("case", Account.TRAY, Account.FITTED, 3, ""));
        assertThat(BothWays.disagreeing(List.of(CASE, SHORT, FINE, STAR), moves))
                .extracting(BothWays.CountLine::sentence)
                .containsExactly("case: 3 off (told, not counted), 3 back", "frame: 3 off, 2 back");
    }

    @Test
    void aCellOfTheMatIsCalledByWhatItHolds() {
        assertThat(step("a", Set.of(), List.of(CASE), null, null).cell()).isEqualTo("case");
        assertThat(step("b", Set.of(), List.of(CASE, SHORT, FINE), null, null).cell())
                .isEqualTo("case + 2");
        assertThat(step("c", Set.of(), null, null, null).cell()).isEmpty();
        FastenerGroup wordy = new FastenerGroup(
                "w", "case, back: the long ones", Head.CROSS, "", ThreadForm.TAPPING, 3, 9, Finish.BLACK, 1, "", null);
        assertThat(step("d", Set.of(), List.of(wordy), null, null).cell()).isEqualTo("case");
    }

    @Test
    void fragmentsAreAskedForUntilTheyAreFoundOrExplained() {
        Fragments teeth = new Fragments("teeth of the loading gear", 7, 4, "");
        assertThat(teeth.sentence())
                .isEqualTo(
                        "teeth of the loading gear: 3 of 7 pieces not found. Search the mechanism, or say where they are.");
        assertThat(teeth.stillInside()).isEqualTo(3);
        assertThat(new Fragments("teeth", 7, 4, "fell out when it was shaken").stillInside())
                .isZero();
        assertThatThrownBy(() -> new Fragments("teeth", 2, 3, "")).hasMessageContaining("count the piece again");
    }

    private static Step step(
            String id, Set<String> needs, List<FastenerGroup> screws, List<Connector> plugs, List<LoosePiece> pieces) {
        return Step.plain(id, id, needs, Side.TOP, "PH1", 1, null, null).with(new Things(screws, plugs, pieces));
    }

    /** Of which nobody knows where they are. */
    static OpenEnds anywhere(List<String> temporary, List<Fragments> fragments) {
        return new OpenEnds(
                temporary.stream()
                        .map(words -> new OpenEnds.ForTheTest(words, Optional.empty(), Optional.empty()))
                        .toList(),
                fragments.stream()
                        .map(tally -> new OpenEnds.Piece(tally, Optional.empty()))
                        .toList(),
                List.of());
    }
}
