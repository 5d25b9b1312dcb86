package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.statistics.Statistics;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.unit.Moment;

/** Whatever was tried in whatever order: a slate beside the core keeps the last word on each check and load. */
class StandingFailureTest {

    private static final List<String> WHAT = List.of("disc is read", "lamp lights", "keys answer");
    private static final List<String> LOADS = List.of("", "scratched");

    @Property(tries = 600)
    void aFailureThatStandsIsInTheWayOfEveryOutcomeThatSaysItWorks(@ForAll long seed) {
        Random random = new Random(seed);
        List<Check> checks = new ArrayList<>();
        Map<String, Boolean> slate = new HashMap<>();
        long moment = 1;
        for (int n = 0; n < 1 + random.nextInt(9); n++) {
            String what = WHAT.get(random.nextInt(WHAT.size()));
            String load = LOADS.get(random.nextInt(LOADS.size()));
            Verdict verdict = Verdict.values()[random.nextInt(3)];
            Stage stage = Stage.values()[random.nextInt(Stage.values().length)];
            boolean left = verdict == Verdict.FAILED && random.nextInt(4) == 0;
            checks.add(new Check(
                    stage,
                    verdict,
                    Optional.empty(),
                    random.nextBoolean() ? what : what.toUpperCase(java.util.Locale.ROOT),
                    true,
                    true,
                    load,
                    verdict == Verdict.NOT_TESTED ? 0 : 1,
                    "",
                    left ? Optional.of("owner knows") : Optional.empty(),
                    new Moment(moment++, Instant.EPOCH)));
            if (stage != Stage.ARRIVAL && verdict != Verdict.NOT_TESTED) {
                slate.put(what + "|" + load, verdict == Verdict.FAILED && !left);
            }
        }
        long standing = slate.values().stream().filter(failed -> failed).count();
        Statistics.label("stands").collect(standing > 0).coverage(seen -> seen.check(true)
                .percentage(share -> share > 15));
        for (Outcome outcome : Outcome.values()) {
            assertThat(failuresInTheWay(
                            checks, new OutcomeGiven(outcome, "as told", new Moment(moment, Instant.EPOCH))))
                    .as("%s after %s", outcome, checks)
                    .isEqualTo(outcome.saysItWorks() ? standing : 0);
        }
        assertThat(failuresInTheWay(
                        checks, new OutcomeGiven(Outcome.NOT_FIXED, "as told", new Moment(0, Instant.EPOCH))))
                .as("said before it failed, it answers nothing")
                .isEqualTo(standing);
    }

    private static long failuresInTheWay(List<Check> checks, OutcomeGiven outcome) {
        JobFacts facts = new JobFacts(
                Instant.EPOCH,
                Optional.empty(),
                List.of(),
                Tally.NONE,
                0,
                Optional.empty(),
                Optional.empty(),
                Overview.NONE,
                0,
                new CheckRecord(checks),
                Optional.of(outcome),
                0,
                MainsWork.NONE,
                List.of(),
                Optional.empty(),
                Optional.empty());
        return facts.inTheWayOfHandover(Instant.EPOCH).stream()
                .filter(reason -> reason.contains("and not passed since"))
                .count();
    }
}
