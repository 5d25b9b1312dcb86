package wrenchnotes.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/**
 * Why a job cannot go on now, and until when.
 *
 * @param covers what is held by it
 * @param until when it ends by itself; empty if it ends with an event, such as a part coming
 * @param ended when somebody ended it; empty if nobody did
 */
public record Hold(
        HoldKind kind, String why, Covers covers, Instant from, Optional<Instant> until, Optional<Instant> ended) {

    private static final Duration LEAST_MORE = Duration.ofHours(1);

    /**
     * What is held: a component, a step and all after it, or, with neither, the whole job.
     *
     * @param component its id
     * @param step its id in the notes that the job goes by
     */
    public record Covers(Optional<Long> component, Optional<String> step) {
        public static final Covers THE_JOB = new Covers(Optional.empty(), Optional.empty());

        public Covers {
            if (component.isPresent() && step.isPresent()) {
                throw new Invalid("step", "A hold is on a component or on a step: leave one out");
            }
        }

        /** Whether a step, in or out, works on what is held. */
        boolean over(Teardown notes, Step one) {
            if (component.isPresent()) {
                return one.exposes().contains(component.get());
            }
            return step.isEmpty()
                    || step.get().equals(one.id())
                    || notes.has(step.get()) && notes.inside(step.get()).contains(one);
        }
    }

    public Hold {
        Checked.present("kind", kind);
        why = Checked.text("why", why, 200);
        if (until.isPresent() && !until.get().isAfter(from)) {
            throw new Invalid("until", "The hold would end before it starts: give a later end");
        }
    }

    /** On the whole job. */
    public Hold(HoldKind kind, String why, Instant from, Optional<Instant> until, Optional<Instant> ended) {
        this(kind, why, Covers.THE_JOB, from, until, ended);
    }

    /** Whether its time is over and its question is not answered. */
    public boolean asksAt(Instant now) {
        return ended.isEmpty()
                && kind.question().isPresent()
                && until.filter(end -> !now.isBefore(end)).isPresent();
    }

    /** Whether it holds what it covers: while it lasts, and until its question is answered. */
    public boolean standsAt(Instant now) {
        return activeAt(now) || asksAt(now);
    }

    /**
     * What is in the way of a step, in or out. What bleeds off is told by the cautions of the steps themselves; for a part or an answer
     * a unit may be worked back together.
     *
     * @param in whether it is a step in
     */
    public static List<String> inTheWayOf(List<Hold> holds, Teardown notes, Step step, boolean in, Instant now) {
        return holds.stream()
                .filter(hold -> hold.standsAt(now) && hold.kind != HoldKind.BLEED)
                .filter(hold -> in || !hold.kind.letsItClose())
                .filter(hold -> hold.covers.over(notes, step))
                .map(hold -> hold.sentence(now))
                .toList();
    }

    /** What is in the way of closing, a sentence each. */
    public static List<String> inTheWayOfClosing(List<Hold> holds, boolean forNow, Instant now) {
        return holds.stream()
                .filter(hold -> hold.standsAt(now) && hold.kind != HoldKind.BLEED)
                .filter(hold -> !forNow || !hold.kind.letsItClose())
                .map(hold -> hold.sentence(now))
                .toList();
    }

    /**
     * How it goes on when the answer is "not yet": a quarter as long again, an hour at least (ours; common practice has none).
     *
     * @throws Refused if it does not ask: a wait that lasts is not made shorter by that, nor an open one given an end
     */
    public Instant notYet(Instant now) {
        if (!asksAt(now)) {
            throw Refused.because("It does not ask yet: it lasts" + (until.isEmpty() ? " until it is ended." : "."));
        }
        Duration quarter = Duration.between(from, until.orElseThrow()).dividedBy(4);
        return now.plus(quarter.compareTo(LEAST_MORE) < 0 ? LEAST_MORE : quarter);
    }

    /** What it says to whoever would go on. */
    public String sentence(Instant now) {
        if (asksAt(now)) {
            return kind.question().orElseThrow() + " (" + why + ") Answer that first.";
        }
        return "It still waits, " + kind.words() + ": " + why + "."
                + (until.isEmpty()
                        ? " End the wait when it is over."
                        : kind.isSafety()
                                ? " Let the time pass: nobody shortens this one."
                                : " Let the time pass, or have a lead end it and say why.");
    }

    public boolean activeAt(Instant now) {
        return ended.isEmpty() && until.map(now::isBefore).orElse(true);
    }

    /** When it was over: ended by somebody or by the clock. Empty while it lasts. */
    public Optional<Instant> overBy(Instant now) {
        return activeAt(now) ? Optional.empty() : ended.or(() -> until);
    }
}
