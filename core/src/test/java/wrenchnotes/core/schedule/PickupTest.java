package wrenchnotes.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Standing;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.unit.Moment;

/** The order of the rack, and what every job on it obeys, whatever its facts. */
class PickupTest {

    private static final Instant NOW = Instant.parse("2026-06-15T10:00:00Z");

    /** Whatever the facts, standing, turn and the gate of handover never contradict each other. */
    @Property(tries = 2000)
    void standingTurnAndGateAgree(@ForAll Random random) {
        JobFacts facts = anyFacts(random);
        Status status = Status.of(facts, NOW);
        Pickup pickup = Pickup.of(1, facts, NOW);
        boolean waits = facts.holds().stream().anyMatch(hold -> hold.activeAt(NOW));

        assertThat(status.words()).isNotBlank();
        assertThat(pickup.reason()).isNotBlank();
        assertThat(pickup.turn() == Pickup.Turn.WAITS)
                .isEqualTo(waits && facts.handedOver().isEmpty());
        if (status.standing() == Standing.READY) {
            assertThat(facts.inTheWayOfHandover(NOW)).isEmpty();
            assertThat(facts.tally().inTray()).isZero();
            assertThat(facts.closed()).isTrue();
        }
        if (facts.handedOver().isEmpty()
                && !waits
                && facts.inTheWayOfHandover(NOW).isEmpty()) {
            assertThat(status.standing()).isEqualTo(Standing.READY);
        }
        if (facts.tally().inTray() > 0 || facts.openSteps() > 0) {
            assertThat(facts.inTheWayOfHandover(NOW)).isNotEmpty();
        }
        assertThat(pickup.canBeWorkedOn())
                .isEqualTo(pickup.turn() != Pickup.Turn.WAITS && pickup.turn() != Pickup.Turn.READY);
    }

    /** The order does not depend on how the jobs were read, and what cannot be worked on never goes before what can. */
    @Property(tries = 300)
    void theOrderIsTheSameHoweverTheJobsComeIn(@ForAll Random random) {
        List<Pickup> rack = new ArrayList<>();
        for (int job = 0; job < 12; job++) {
            rack.add(Pickup.of(job, anyFacts(random), NOW));
        }
        List<Pickup> ordered = rack.stream().sorted(Pickup.NEXT_FIRST).toList();
        List<Pickup> shuffled = new ArrayList<>(rack);
        Collections.shuffle(shuffled, random);
        shuffled.sort(Pickup.NEXT_FIRST);
        for (int at = 0; at < ordered.size(); at++) {
            // Jobs that are alike in everything may change places.
            assertThat(Pickup.NEXT_FIRST.compare(ordered.get(at), shuffled.get(at)))
                    .isZero();
        }
        int lastWorkable = -1;
        int firstWaiting = ordered.size();
        for (int at = 0; at < ordered.size(); at++) {
            if (ordered.get(at).canBeWorkedOn()) {
                lastWorkable = at;
            } else {
                firstWaiting = Math.min(firstWaiting, at);
            }
        }
        assertThat(lastWorkable).isLessThan(firstWaiting);
    }

    @Test
    void saysWhyInDaysAsTheFloorCountsThem() {
        assertThat(reason(due(Duration.ofDays(-3)))).isEqualTo("Promised 3 days ago");
        assertThat(reason(due(Duration.ofHours(-5)))).isEqualTo("Promised less than a day ago");
        assertThat(reason(due(Duration.ofHours(30)))).isEqualTo("Promised in a day");
        assertThat(reason(due(Duration.ofDays(9)))).isEqualTo("Here for 20 days");
    }

    private static String reason(JobFacts facts) {
        return Pickup.of(1, facts, NOW).reason();
    }

    private static JobFacts due(Duration fromNow) {
        return new JobFacts(
                NOW.minus(Duration.ofDays(20)),
                Optional.of(NOW.plus(fromNow)),
                List.of(),
                Tally.NONE,
                0,
                Optional.empty(),
                Optional.empty(),
                Overview.NONE,
                0,
                new CheckRecord(List.of()),
                Optional.empty(),
                0,
                MainsWork.NONE,
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    private static JobFacts anyFacts(Random random) {
        Instant in = NOW.minus(Duration.ofHours(24 + random.nextInt(900)));
        boolean opened = random.nextBoolean();
        Optional<Moment> lastIn =
                opened ? Optional.of(moment(in.plus(Duration.ofHours(random.nextInt(20))))) : Optional.empty();
        int openSteps = opened ? random.nextInt(3) : 0;
        Tally tally = opened && random.nextInt(3) == 0
                ? new Tally(random.nextInt(5), random.nextInt(2), random.nextInt(2), random.nextInt(2), 0)
                : Tally.NONE;
        Optional<Closing> closing = opened && random.nextBoolean()
                ? lastIn.map(moment -> new Closing(
                        moment(moment.at().plusSeconds(600)),
                        random.nextInt(4) == 0 ? Optional.of("owner needs it") : Optional.empty()))
                : Optional.empty();
        List<Check> checks = new ArrayList<>();
        for (int n = random.nextInt(4); n > 0; n--) {
            Verdict verdict = Verdict.values()[random.nextInt(3)];
            checks.add(new Check(
                    Stage.values()[random.nextInt(3)],
                    verdict,
                    "plays",
                    true,
                    "",
                    verdict == Verdict.NOT_TESTED ? 0 : 1,
                    "",
                    moment(in.plus(Duration.ofMinutes(random.nextInt(1400))))));
        }
        Optional<OutcomeGiven> outcome = random.nextBoolean()
                ? Optional.of(new OutcomeGiven(
                        Outcome.values()[random.nextInt(Outcome.values().length)],
                        "a scratch",
                        moment(in.plus(Duration.ofMinutes(random.nextInt(1400))))))
                : Optional.empty();
        List<Hold> holds = random.nextInt(3) == 0
                ? List.of(new Hold(
                        HoldKind.values()[random.nextInt(HoldKind.values().length)],
                        "why",
                        in,
                        random.nextBoolean()
                                ? Optional.of(in.plus(Duration.ofHours(1 + random.nextInt(1500))))
                                : Optional.empty(),
                        Optional.empty()))
                : List.of();
        return new JobFacts(
                in,
                random.nextBoolean()
                        ? Optional.of(NOW.plus(Duration.ofHours(random.nextInt(400) - 200)))
                        : Optional.empty(),
                holds,
                tally,
                openSteps,
                lastIn,
                closing,
                Overview.NONE,
                0,
                new CheckRecord(checks),
                outcome,
                random.nextInt(2),
                MainsWork.NONE,
                List.of(),
                Optional.empty(),
                random.nextInt(8) == 0 ? Optional.of(NOW) : Optional.empty());
    }

    /** Written in the order of the clock. */
    private static Moment moment(Instant at) {
        return new Moment(at.getEpochSecond(), at);
    }
}
