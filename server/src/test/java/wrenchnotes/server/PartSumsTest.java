package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;
import static wrenchnotes.server.PartsShop.EACH;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Stock, sheet and learning read one record of parts. */
@Tag("shop")
class PartSumsTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static PartsShop parts;

    @BeforeAll
    static void open() {
        parts = new PartsShop(SHOP);
    }

    /** Whatever is told and taken back, in whatever order: stock, sheet and learning agree, and so do finding and ledger at the end. */
    @Test
    void afterAnySequenceTheSumsAgree() {
        Random random = new Random(16);
        long last = 0;
        for (int round = 0; round < 4; round++) {
            int before = parts.stock();
            // Every other one is a comeback of the unit before.
            Told told = new Told(round % 2 == 0 ? parts.opened() : parts.openedAgain(last));
            last = told.job;
            for (int n = 0; n < 30; n++) {
                told.something(random);
                assertThat(before - parts.stock())
                        .as("round %d, after %s", round, told.story)
                        .isEqualTo(told.expected() + told.aside);
                assertThat(parts.cost(told.job)).isEqualTo(told.expected() * EACH);
            }
            told.backTogether();
            parts.shop.leaves(told.job);
            assertThat(before - parts.stock()).as("what was set aside is back").isEqualTo(told.expected());
            assertThat(parts.learned()).as("as learned").isEqualTo(told.expected() * EACH);
            boolean replaced = told.found.stream().anyMatch(one -> one > 0) || told.placed > 0;
            assertThat(parts.account(told.job))
                    .as("round %d, after %s", round, told.story)
                    .isEqualTo(replaced ? "REPLACED" : "FITTED");
        }
        assertThat(SHOP.bean(JdbcClient.class).sql("""
                                SELECT COUNT(*)
                                FROM (SELECT part_id, to_account AS account, count AS n FROM part_movement
                                      UNION ALL SELECT part_id, from_account, -count FROM part_movement)
                                WHERE account IN ('DRAWER', 'SHELF', 'UNIT', 'JOB')
                                GROUP BY part_id, account
                                HAVING SUM(n) < 0
                                """).query(Integer.class).list())
                .isEmpty();
    }

    /** What was told of one job, by a reckoning that knows nothing of accounts: what both tell of happened once. */
    private static final class Told {
        private final long job;
        private final List<Long> findings = new ArrayList<>();
        private final List<Integer> found = new ArrayList<>();
        private final List<Long> used = new ArrayList<>();
        private final List<String> story = new ArrayList<>();
        private int placed;
        private int usedUp;
        private int aside;

        Told(long job) {
            this.job = job;
        }

        int expected() {
            return Math.max(found.stream().mapToInt(Integer::intValue).sum(), placed) + usedUp;
        }

        void something(Random random) {
            int before = expected();
            tells(random);
            // What is set aside for it goes in first.
            aside -= Math.min(aside, Math.max(0, expected() - before));
        }

        private void tells(Random random) {
            int which = random.nextInt(9);
            boolean deckIn =
                    parts.bench(job).get("way").path("nextOut").asString("").equals("deck");
            if (which == 0) {
                int count = 1 + random.nextInt(2);
                findings.add(parts.found(job, "REPLACED", count).id());
                found.add(count);
                story.add("found " + count);
            } else if (which == 1 && !findings.isEmpty()) {
                int at = random.nextInt(findings.size());
                parts.client.post("/api/findings/" + findings.remove(at) + "/correction", Map.of("why", "not so"));
                found.remove(at);
                story.add("struck");
            } else if (which == 2 && deckIn) {
                parts.replacedOut(job);
                placed = 1;
                story.add("replaced at the bench");
            } else if (which == 3 && deckIn) {
                parts.shop.out(job, "deck");
                story.add("out");
            } else if (which == 4) {
                JsonNode now = parts.client
                        .post("/api/jobs/" + job + "/parts", body("partId", parts.part, "count", 2))
                        .body();
                JsonNode its = now.get(0).get("used");
                used.add(its.get(its.size() - 1).asLong());
                usedUp += 2;
                story.add("used");
            } else if (which == 5 && !used.isEmpty()) {
                parts.client.delete("/api/jobs/" + job + "/parts/" + used.remove(0));
                usedUp -= 2;
                story.add("not used");
            } else if (which == 6 && placed == 1 && !deckIn) {
                parts.client.bench(job, "back", "");
                placed = 0;
                story.add("back");
            } else if (which == 7) {
                parts.client.post("/api/jobs/" + job + "/aside", body("partId", parts.part, "count", 2));
                aside += 2;
                story.add("set aside");
            } else if (which == 8 && aside > 0) {
                parts.client.delete("/api/jobs/" + job + "/aside/" + parts.part);
                aside = 0;
                story.add("aside back");
            } else if (!deckIn && placed == 0) {
                parts.shop.in(job, "deck");
                story.add("in");
            }
        }

        void backTogether() {
            if (parts.bench(job).get("way").path("nextOut").asString("").equals("deck")) {
                parts.shop.out(job, "deck");
            }
        }
    }
}
