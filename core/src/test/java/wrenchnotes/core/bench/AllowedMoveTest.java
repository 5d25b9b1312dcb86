package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Refused;

class AllowedMoveTest {

    private static final Teardown NOTES = Teardown.of(Overview.NONE, List.of(RunTest.step("lid", Set.of(), 4)));

    /** What is offered of a thing is what the ledger takes, move for move and one by one. */
    @Property(tries = 200)
    void whatIsOfferedIsWhatTheLedgerTakes(@ForAll long seed) {
        Random random = new Random(seed);
        Ledger ledger = Ledger.allFitted(NOTES.things());
        Basis basis = Basis.values()[random.nextInt(3)];
        for (Move move : new TakenOff("lid-s", 3, 0, 1, 0, basis).moves(ledger)) {
            ledger = ledger.with(move);
        }
        for (int n = 0; n < 6; n++) {
            List<AllowedMove> offered = ledger.allowed("lid-s");
            for (Account from : Account.values()) {
                for (Account to : Account.values()) {
                    int most = offered.stream()
                            .filter(one -> one.from() == from && one.to() == to)
                            .mapToInt(AllowedMove::most)
                            .sum();
                    if (from != to && !from.inPlace() && Ledger.byHand(from, to)) {
                        assertThat(taken(ledger, from, to, most)).isEqualTo(most > 0);
                        assertThat(taken(ledger, from, to, most + 1)).isFalse();
                    }
                }
            }
            if (offered.isEmpty()) {
                return;
            }
            AllowedMove next = offered.get(random.nextInt(offered.size()));
            assertThat(next.words()).isNotBlank();
            ledger = ledger.with(new Move("lid-s", next.from(), next.to(), 1, next.wantsReason() ? "so" : ""));
        }
    }

    private static boolean taken(Ledger ledger, Account from, Account to, int count) {
        if (count == 0) {
            return taken(ledger, from, to, 1);
        }
        try {
            ledger.with(new Move("lid-s", from, to, count, "so"));
            return true;
        } catch (Refused e) {
            return false;
        }
    }
}
