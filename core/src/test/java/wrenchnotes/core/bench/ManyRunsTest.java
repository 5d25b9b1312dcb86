package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.statistics.Statistics;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/**
 * A unit opened and closed again and again by whoever is at the bench, in any order of allowed and refused presses. Beside
 * the core, a plain count of what each press said keeps its own books.
 */
class ManyRunsTest {

    private static final Overview PLAN = new Overview(
            "", null, List.of(new Overview.PlannedCheck(Stage.BEFORE_CLOSING, "moves by hand", "", 2)), null, null);

    private static final Teardown NOTES = Teardown.of(
            PLAN,
            List.of(
                    step("lid", Set.of(), screws("case", 4), null, null),
                    step("deck", Set.of("lid"), null, List.of(new Connector("lead", "lead", "", true, "")), null),
                    step(
                            "sled",
                            Set.of("deck"),
                            screws("sled-s", 2),
                            null,
                            List.of(new LoosePiece("ball", "ball", "", 3))),
                    step("fan", Set.of("lid"), screws("fan-s", 3), null, null)));

    @Property(tries = 800)
    void theGateOpensExactlyWhenTheBooksBalance(@ForAll long seed) {
        Bench bench = new Bench(seed);
        for (int press = 0; press < 150; press++) {
            try {
                bench.press();
            } catch (Refused refused) {
                // A refused press has changed nothing: the books below say so.
            }
            bench.assertSameAsTheBooks();
        }
        Statistics.label("closed for good").collect(bench.closings > 0).coverage(seen -> seen.check(true)
                .percentage(share -> share > 5));
        Statistics.label("closed for now").collect(bench.closingsForNow > 0).coverage(seen -> seen.check(true)
                .count(n -> n > 0));
    }

    private static List<FastenerGroup> screws(String id, int count) {
        return List.of(new FastenerGroup(
                id, id, Head.CROSS, "PH1", ThreadForm.TAPPING, 2.9, 12, Finish.BLACK, count, "", null));
    }

    private static Step step(
            String id, Set<String> needs, List<FastenerGroup> screws, List<Connector> plugs, List<LoosePiece> pieces) {
        return Step.plain(id, id, needs, Side.TOP, "PH1", 1, null, null).with(new Things(screws, plugs, pieces));
    }

    private static final class Bench {
        private final Random random;
        private Ledger ledger = Ledger.allFitted(NOTES.things());
        private WayIn way = WayIn.closed(NOTES);
        private final List<String> temporary = new ArrayList<>();
        private final List<Fragments> fragments = new ArrayList<>();
        private List<Check> checks = new ArrayList<>();
        private Instant now = Instant.parse("2026-03-02T09:00:00Z");

        /** The books beside: of each thing, how many are where. */
        private final Map<String, Map<Account, Integer>> books = new HashMap<>();

        private int closings;
        private int closingsForNow;

        Bench(long seed) {
            random = new Random(seed);
            NOTES.things()
                    .forEach(thing -> books.put(thing.id(), new EnumMap<>(Map.of(Account.FITTED, thing.asMade()))));
        }

        private void press() {
            now = now.plusSeconds(60);
            switch (random.nextInt(10)) {
                case 0, 1, 2 -> stepIn();
                case 3, 4, 5 -> stepOut();
                case 6 -> move();
                case 7 -> temporaryOrPutRight();
                case 8 -> check();
                default -> close();
            }
        }

        private void stepIn() {
            Step step = any(NOTES.steps());
            WayIn next = way.in(step.id());
            List<Move> moves = new ArrayList<>();
            for (Thing thing : step.things()) {
                int there = ledger.count(thing.id(), Account.FITTED) + ledger.count(thing.id(), Account.REPLACED);
                int broken = there > 0 ? random.nextInt(2) : 0;
                moves.addAll(new TakenOff(thing.id(), there - broken, 0, broken, 0, any(List.of(Basis.values())))
                        .moves(ledger));
            }
            post(moves);
            way = next;
        }

        private void stepOut() {
            Step step = any(NOTES.steps());
            WayIn next = way.out(step.id());
            List<Move> moves = new ArrayList<>();
            for (Thing thing : step.things()) {
                int tray = ledger.count(thing.id(), Account.TRAY);
                int back = random.nextInt(4) > 0 ? tray : random.nextInt(tray + 1);
                int broken = ledger.count(thing.id(), Account.BROKEN);
                int replaced = random.nextInt(broken + 1);
                int forNow = random.nextBoolean() ? tray - back : 0;
                moves.addAll(new PutBack(thing.id(), back, replaced, 0, forNow, "part is coming", "").moves(ledger));
            }
            post(moves);
            way = next;
        }

        private void move() {
            Thing thing = any(NOTES.things());
            Account from = any(List.of(Account.values()));
            Account to = any(List.copyOf(from.goesTo()));
            int there = ledger.count(thing.id(), from);
            if (there > 0) {
                post(List.of(new Move(thing.id(), from, to, 1 + random.nextInt(there), "so be it")));
            }
        }

        private void temporaryOrPutRight() {
            if (!temporary.isEmpty() && random.nextInt(3) > 0) {
                temporary.remove(0);
            } else if (random.nextInt(3) == 0) {
                temporary.add("magnet holds the disc");
            } else if (fragments.isEmpty()) {
                fragments.add(new Fragments("teeth", 3, random.nextInt(4), ""));
            } else {
                fragments.set(0, new Fragments("teeth", 3, 3, ""));
            }
        }

        private void check() {
            Verdict verdict = any(List.of(Verdict.values()));
            checks.add(new Check(
                    Stage.BEFORE_CLOSING,
                    verdict,
                    "moves by hand",
                    false,
                    "",
                    verdict == Verdict.NOT_TESTED ? 0 : 1 + random.nextInt(2),
                    "",
                    new Moment(now.getEpochSecond(), now)));
        }

        /** Whoever closes has looked at the books alone; the gate must say the same. */
        private void close() {
            OpenEnds ends = LeftOverTest.anywhere(temporary, fragments);
            CheckRecord record = new CheckRecord(checks);
            boolean shut = way.open().isEmpty()
                    && temporary.isEmpty()
                    && fragments.stream().allMatch(tally -> tally.found() == tally.expected())
                    && checkedEnough();
            int forNow = sum(Set.of(Account.OUT_FOR_NOW));
            int owed = sum(
                    Set.of(Account.TRAY, Account.LOST, Account.BROKEN, Account.MISSING_ON_ARRIVAL, Account.DESTROYED));
            boolean good = ClosingGate.reasons(NOTES, way, ledger, ends, record).isEmpty();
            boolean goodForNow = ClosingGate.reasonsForNow(NOTES, way, ledger, ends, Optional.empty(), record)
                    .isEmpty();
            assertThat(good).isEqualTo(shut && owed + forNow == 0);
            assertThat(goodForNow).isEqualTo(shut && owed == 0);
            if (goodForNow) {
                closings += good ? 1 : 0;
                closingsForNow += good ? 0 : 1;
                checks = new ArrayList<>();
            }
        }

        private boolean checkedEnough() {
            if (checks.isEmpty()) {
                return false;
            }
            Check last = checks.get(checks.size() - 1);
            boolean stands = checks.stream()
                    .filter(check -> check.verdict() != Verdict.NOT_TESTED)
                    .reduce((earlier, later) -> later)
                    .filter(check -> check.verdict() == Verdict.FAILED)
                    .isPresent();
            return !stands
                    && (last.verdict() == Verdict.NOT_TESTED || last.verdict() == Verdict.PASSED && last.times() >= 2);
        }

        private int sum(Set<Account> accounts) {
            return books.values().stream()
                    .flatMap(held -> held.entrySet().stream())
                    .filter(held -> accounts.contains(held.getKey()))
                    .mapToInt(Map.Entry::getValue)
                    .sum();
        }

        private void post(List<Move> moves) {
            Ledger next = ledger;
            for (Move move : moves) {
                next = next.with(move);
            }
            ledger = next;
            for (Move move : moves) {
                books.get(move.thing()).merge(move.from(), -move.count(), Integer::sum);
                books.get(move.thing()).merge(move.to(), move.count(), Integer::sum);
            }
        }

        private void assertSameAsTheBooks() {
            for (Thing thing : NOTES.things()) {
                int all = 0;
                for (Account account : Account.values()) {
                    int count = ledger.count(thing.id(), account);
                    assertThat(count).isEqualTo(books.get(thing.id()).getOrDefault(account, 0));
                    all += count;
                }
                assertThat(all).isEqualTo(thing.asMade());
            }
        }

        private <T> T any(List<T> all) {
            return all.get(random.nextInt(all.size()));
        }
    }
}
