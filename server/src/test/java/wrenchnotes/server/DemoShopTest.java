package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.Move;
import wrenchnotes.server.diagnosis.OfferedInTheDemo;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.teardown.NotesStore;

@Tag("shop")
class DemoShopTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.withDemo();

    @Test
    void theDemoShopIsWholeAndItsBooksBalance() {
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        assertThat(count(jdbc, "job")).isEqualTo(285);
        assertThat(count(jdbc, "job WHERE ownership = 'RESALE'")).isBetween(60L, 110L);
        assertThat(count(jdbc, "job WHERE handed_over_at IS NULL")).isEqualTo(18);
        assertThat(count(jdbc, "outcome_entry WHERE outcome = 'KEPT_FOR_PARTS'"))
                .isGreaterThanOrEqualTo(5);
        // What left the shop has nothing in the tray: entries into and out of it cancel, job by job and thing by thing.
        assertThat(jdbc.sql("""
                                SELECT COUNT(*)
                                FROM (SELECT job_id, thing,
                                             SUM(CASE 'TRAY' WHEN to_account THEN count WHEN from_account THEN -count
                                                 ELSE 0 END) AS left
                                      FROM ledger_entry
                                      WHERE job_id IN (SELECT id FROM job WHERE handed_over_at IS NOT NULL)
                                      GROUP BY job_id, thing
                                      HAVING left <> 0)
                                """).query(Long.class).single()).isZero();
        assertThat(jdbc.sql("PRAGMA integrity_check").query(String.class).single())
                .isEqualTo("ok");
        assertThat(jdbc.sql("PRAGMA foreign_key_check").query((row, n) -> n).list())
                .isEmpty();
    }

    /** Three keys are enough for what was found, nearly always: it was among the first five that were offered. */
    @Test
    void whatWasFoundWasAmongTheFirstFive() {
        OfferedInTheDemo offered = SHOP.bean(Snapshot.class).read(() -> OfferedInTheDemo.of(SHOP::bean));
        assertThat(offered.jobs()).isGreaterThan(200);
        assertThat(offered.share()).isGreaterThanOrEqualTo(0.95);
    }

    /** Every job's entries, in their order, through the core's own ledger: at each closing for good it balances. */
    @Test
    void noUnitWasEverClosedWithSomethingMissing() {
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
        NotesStore notes = SHOP.bean(NotesStore.class);
        List<long[]> closings = jdbc.sql("""
                        SELECT closing.job_id, closing.at, teardown_id
                        FROM closing JOIN job ON job.id = closing.job_id
                        WHERE for_now IS NULL
                        """)
                .query((row, n) -> new long[] {row.getLong(1), row.getLong(2), row.getLong(3)})
                .list();
        assertThat(closings).hasSizeGreaterThan(200);
        for (long[] closing : closings) {
            List<Move> moves = jdbc.sql("""
                            SELECT thing, from_account, to_account, count, reason, basis
                            FROM ledger_entry
                            WHERE job_id = :job AND at <= :at
                            ORDER BY id
                            """)
                    .param("job", closing[0])
                    .param("at", closing[1])
                    .query((row, n) -> new Move(
                            row.getString("thing"),
                            Account.valueOf(row.getString("from_account")),
                            Account.valueOf(row.getString("to_account")),
                            row.getInt("count"),
                            row.getString("reason"),
                            Basis.valueOf(row.getString("basis"))))
                    .list();
            Ledger ledger = Ledger.replayed(notes.version(closing[2]).teardown().things(), moves);
            assertThat(ledger.unsettled()).as("job " + closing[0]).isEmpty();
        }
        // What was opened was begun with a run, and no run is older than its first step.
        assertThat(count(jdbc, "step_entry WHERE job_id NOT IN (SELECT job_id FROM run)"))
                .isZero();
        assertThat(count(
                        jdbc,
                        "run WHERE started_at > (SELECT MIN(at) FROM step_entry WHERE step_entry.job_id = run.job_id)"))
                .isZero();
    }

    @Test
    void theRackShowsABitOfEverything() {
        Client marit = SHOP.client().signedIn("marit", "quay");
        JsonNode rack = marit.get("/api/rack").body();
        Set<String> standings = rack.get("next").values().stream()
                .map(row -> row.get("status").get("standing").asString())
                .collect(Collectors.toSet());
        assertThat(standings).contains("NOT_STARTED", "OPEN_ON_BENCH", "CHECK_FAILED", "TO_CHECK");
        assertThat(rack.get("waiting").size()).isEqualTo(5);
        assertThat(rack.get("waiting").toString()).contains("On loan with its owner");
        assertThat(rack.get("ready").size()).isEqualTo(2);
        assertThat(marit.get("/api/session").body().get("demoPeople").values().stream()
                        .map(JsonNode::asString))
                .isEqualTo(List.of("ines", "tobias", "wren", "marit"));
        JsonNode revived = marit.get("/api/patterns").body().get("faults").values().stream()
                .filter(fault -> fault.get("component").asString().equals("drawer belt"))
                .findFirst()
                .orElseThrow();
        assertThat(comebackShare(revived, "REVIVED")).isGreaterThan(comebackShare(revived, "REPLACED"));
    }

    private static double comebackShare(JsonNode fault, String remedy) {
        JsonNode one = fault.get("remedies").values().stream()
                .filter(node -> node.get("remedy").asString().equals(remedy))
                .findFirst()
                .orElseThrow();
        return one.get("cameBack").asDouble() / one.get("done").asDouble();
    }

    private static long count(JdbcClient jdbc, String from) {
        return jdbc.sql("SELECT COUNT(*) FROM " + from).query(Long.class).single();
    }
}
