package wrenchnotes.core.schedule;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Standing;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.unit.Spoken;

/**
 * One open job in the order to pick up.
 *
 * @param turn what puts it where it stands
 * @param reason a sentence, the same in words
 */
public record Pickup(long job, Status status, Turn turn, String reason, Instant promised, Instant since) {

    /** In the order of the queue. What is begun goes before what is new: an open tray is a risk that grows. */
    public enum Turn implements Spoken {
        OVERDUE,
        BEGUN,
        WAIT_IS_OVER,
        DUE_SOON,
        IN_TURN,
        WAITS,
        READY
    }

    private static final Duration SOON = Duration.ofDays(3);

    /** First to pick up first: by turn, then by the day promised, then by how long it has been here. */
    public static final Comparator<Pickup> NEXT_FIRST =
            Comparator.comparing(Pickup::turn).thenComparing(Pickup::promised).thenComparing(Pickup::since);

    public static Pickup of(long job, JobFacts facts, Instant now) {
        Status status = Status.of(facts, now);
        Turn turn = turnOf(facts, status, now);
        Instant promised = turn == Turn.WAITS
                ? status.until().orElse(Instant.MAX)
                : facts.due().orElse(Instant.MAX);
        return new Pickup(job, status, turn, reason(turn, facts, now), promised, facts.checkedIn());
    }

    /** Whether somebody could take it to a bench now. */
    public boolean canBeWorkedOn() {
        return turn != Turn.WAITS && turn != Turn.READY;
    }

    private static Turn turnOf(JobFacts facts, Status status, Instant now) {
        if (status.standing() == Standing.WAITING || status.standing() == Standing.ON_LOAN) {
            return Turn.WAITS;
        }
        if (status.standing() == Standing.READY || status.standing() == Standing.HANDED_OVER) {
            return Turn.READY;
        }
        if (facts.due().map(due -> due.isBefore(now)).orElse(false)) {
            return Turn.OVERDUE;
        }
        if (status.standing() != Standing.NOT_STARTED) {
            return Turn.BEGUN;
        }
        if (lastWait(facts, now).isPresent()) {
            return Turn.WAIT_IS_OVER;
        }
        return facts.due().map(due -> due.isBefore(now.plus(SOON))).orElse(false) ? Turn.DUE_SOON : Turn.IN_TURN;
    }

    private static String reason(Turn turn, JobFacts facts, Instant now) {
        return switch (turn) {
            case OVERDUE -> "Promised " + days(Duration.between(facts.due().orElseThrow(), now)) + " ago";
            case BEGUN -> lastWait(facts, now).map(hold -> over(hold, now)).orElse("Begun: finish it first");
            case WAIT_IS_OVER -> over(lastWait(facts, now).orElseThrow(), now);
            case DUE_SOON ->
                "Promised in " + days(Duration.between(now, facts.due().orElseThrow()));
            case IN_TURN -> "Here for " + days(Duration.between(facts.checkedIn(), now));
            case WAITS -> facts.lent().isPresent() ? "On loan" : "Waits";
            case READY -> "Ready for " + days(Duration.between(lastWord(facts), now));
        };
    }

    private static String over(Hold hold, Instant now) {
        return (hold.asksAt(now) ? hold.kind().question().orElseThrow() + " " : "The wait is over: ") + hold.why();
    }

    private static Optional<Hold> lastWait(JobFacts facts, Instant now) {
        return facts.holds().stream()
                .filter(hold -> hold.overBy(now)
                        .map(over -> over.isAfter(now.minus(SOON)))
                        .orElse(false))
                .max(Comparator.comparing(hold -> hold.overBy(now).orElseThrow()));
    }

    private static Instant lastWord(JobFacts facts) {
        return facts.outcome().map(given -> given.at().at()).orElse(facts.checkedIn());
    }

    private static String days(Duration time) {
        long days = time.toDays();
        if (days == 0) {
            return "less than a day";
        }
        return days == 1 ? "a day" : days + " days";
    }
}
