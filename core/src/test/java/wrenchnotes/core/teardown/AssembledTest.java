package wrenchnotes.core.teardown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.WayIn;
import wrenchnotes.core.teardown.plan.Access;
import wrenchnotes.core.teardown.plan.Costs;
import wrenchnotes.core.unit.Invalid;

/** Notes of a unit joined with those of a drive in it. */
class AssembledTest {

    private static final long DRIVE = 17;
    private static final long HEADS = 40;

    private static final Teardown COMPUTER = Teardown.of(List.of(
            step("case", Side.BOTTOM, "PH2", 3, Set.of()),
            step("drive", Side.TOP, "PH1", 4, Set.of("case"), DRIVE),
            step("supply", Side.BOTTOM, "PH2", 5, Set.of("case"), 18L)));

    private static final Teardown FLAT = Teardown.of(List.of(
            step("lid", Side.TOP, "PH1", 2, Set.of()),
            step("board", Side.BOTTOM, "PH0", 3, Set.of()),
            step("carriage", Side.TOP, "PH0", 4, Set.of("lid", "board"), HEADS)));

    private static final Teardown JOINED =
            Assembled.of(COMPUTER, List.of(new Assembled.Fitted(DRIVE, "disc drive", FLAT)));

    /** 3 + 4 + 2 + 3 + 4 minutes; bottom first, up for drive and lid, down for the board, up again; PH2, PH1, PH0. */
    @Test
    void aPlanRunsThroughBoth() {
        Access way = Access.to(JOINED, Set.of(HEADS), new Costs(0.5, 0.25, Side.TOP), Map.of())
                .time();
        assertThat(way.plan().order()).containsExactly("case", "drive", "17:lid", "17:board", "17:carriage");
        assertThat(way.plan().minutes()).isEqualTo(16 + 4 * 0.5 + 3 * 0.25);
        assertThat(way.tools()).containsExactly("PH2", "PH1", "PH0");
        assertThat(way.back()).containsExactly("17:carriage", "17:board", "17:lid", "drive", "case");
        assertThat(Access.to(JOINED, Set.of(18L), Costs.USUAL, Map.of())
                        .time()
                        .plan()
                        .order())
                .containsExactly("case", "supply");
    }

    /** In whatever order a bench opens what it may, the drive never goes back into the unit while it is open itself. */
    @Property(tries = 200)
    void theUnitClosesOnlyRoundAClosedDrive(@ForAll Random random) {
        WayIn way = WayIn.closed(JOINED);
        Ledger ledger = Ledger.allFitted(JOINED.things());
        List<Step> steps = new ArrayList<>(JOINED.steps());
        Set<String> done = new HashSet<>();
        while (done.size() < steps.size()) {
            Collections.shuffle(steps, random);
            for (Step step : steps) {
                if (!done.contains(step.id()) && done.containsAll(step.needs())) {
                    way = way.in(step.id());
                    done.add(step.id());
                    for (Thing thing : step.things()) {
                        ledger = ledger.with(Move.of(thing.id(), Account.FITTED, Account.TRAY, thing.asMade()));
                    }
                    break;
                }
            }
        }
        assertThat(ledger.tally().fasteners()).isEqualTo(2 * steps.size());
        while (way.nextOut().isPresent()) {
            Step out = way.nextOut().get();
            way = way.out(out.id());
            if (out.id().equals("drive")) {
                assertThat(way.open()).noneMatch(id -> Assembled.belongsTo(DRIVE, id));
            }
        }
        assertThat(way.open()).isEmpty();
    }

    @Test
    void twoDrivesInOneUnitKeepTheirScrewsApart() {
        Teardown two = Teardown.of(List.of(
                step("case", Side.BOTTOM, "PH2", 3, Set.of()),
                step("upper", Side.TOP, "PH1", 4, Set.of("case"), DRIVE),
                step("lower", Side.TOP, "PH1", 4, Set.of("upper"), 19L)));
        Teardown joined = Assembled.of(
                two,
                List.of(
                        new Assembled.Fitted(DRIVE, "upper drive", FLAT),
                        new Assembled.Fitted(19, "lower drive", FLAT)));
        assertThat(joined.steps()).hasSize(9);
        assertThat(joined.things()).extracting(Thing::id).doesNotHaveDuplicates();
        assertThat(joined.step("19:lid").needs()).containsExactly("lower");
        assertThat(joined.step("19:carriage").title()).isEqualTo("lower drive: carriage");
    }

    @Test
    void saysWhatTheNotesLackToGoInside() {
        Teardown closed = Teardown.of(List.of(step("case", Side.BOTTOM, "PH2", 3, Set.of())));
        assertThatThrownBy(() -> Assembled.of(closed, List.of(new Assembled.Fitted(DRIVE, "disc drive", FLAT))))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("No step exposes the disc drive");
        Teardown twice = Teardown.of(List.of(
                step("flap", Side.BOTTOM, "", 1, Set.of(), DRIVE),
                step("case", Side.BOTTOM, "PH2", 3, Set.of(), DRIVE)));
        assertThatThrownBy(() -> Assembled.of(twice, List.of(new Assembled.Fitted(DRIVE, "disc drive", FLAT))))
                .hasMessageContaining("leave it to one of them");
    }

    /** The overview of a revision is compared line by line, and stays with notes whose steps change. */
    @Test
    void whatIsSaidOfTheWholeIsComparedAndKept() {
        Overview earlier = new Overview(
                "unplug",
                List.of(new Overview.ServiceMode("echo", "hold both shifts", "")),
                List.of(),
                List.of(new Overview.WatchPoint(HEADS, "look at the lid")),
                List.of());
        Overview later = new Overview(
                "drawer out, then unplug",
                earlier.modes(),
                List.of(new Overview.PlannedCheck(wrenchnotes.core.check.Stage.AFTER_CLOSING, "plays", "disc two", 3)),
                List.of(),
                List.of());
        Teardown was = Teardown.of(earlier, COMPUTER.steps());
        assertThat(NotesDiff.between(was, Teardown.of(later, COMPUTER.steps())).whole())
                .containsExactly(
                        "before step one: unplug → drawer out, then unplug",
                        "check added: plays, after closing, with disc two, 3 times",
                        "watch point gone: look at the lid");
        assertThat(was.with(step("case", Side.BOTTOM, "PH2", 9, Set.of())).overview())
                .isEqualTo(earlier);
    }

    private static Step step(String id, Side side, String tool, double minutes, Set<String> needs, Long... exposes) {
        FastenerGroup two = new FastenerGroup(
                id + "-f", id, Head.CROSS, "PH1", ThreadForm.MACHINE, 2, 4, Finish.SILVER, 2, "", null);
        return Step.plain(id, id, needs, side, tool, minutes, List.of(two), Set.of(exposes));
    }
}
