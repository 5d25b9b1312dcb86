package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.bench.Coming;
import wrenchnotes.core.bench.LookAlikes;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.PowerEntry;
import wrenchnotes.core.bench.PowerLog;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.bench.RunRecord;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.bench.Unsettled;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.history.BenchTime;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Loan;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.TestPoint;
import wrenchnotes.core.unit.Moment;

/**
 * The bench as the screen shows it.
 *
 * @param version to be sent back in If-Match with the next key press
 * @param run the run that is under way; empty while the unit is closed
 * @param gate what stands between the unit and its closing
 * @param canStepBack whether there is a step, or a move by hand after it, to take back
 * @param inside sub-assemblies that can be gone into now
 */
public record BenchView(
        UnitView unit,
        long version,
        StandView stand,
        Optional<RunView> run,
        WayView way,
        Gate gate,
        boolean canStepBack,
        List<Inside.SubAssembly> inside) {

    /**
     * @param notes the number of those that it goes by
     * @param before the state the unit must be in before step one
     * @param modes its service modes
     * @param altered how it is not as made any more
     */
    public record UnitView(
            long jobId,
            String tag,
            String model,
            long modelId,
            String revision,
            long revisionId,
            long notes,
            String complaint,
            String before,
            List<String> modes,
            List<String> altered) {}

    /**
     * How far the unit is open.
     *
     * @param opened whether it was ever opened
     * @param startsAgain whether a run can begin only with a reason, since the unit was closed for good
     * @param reworks how often it was, and why; trial fits are counted apart
     * @param likelyRework why it would be opened again now, by what just happened
     * @param hazards what came with the unit and can hurt, a caution each
     * @param perhapsOpen whether somebody opened it before it came, and nothing was entered here yet: it may lie half apart
     * @param notSeenTo what stops the start until a lead has said what was done about it
     * @param loan the last one: the unit is out while it is not over
     * @param at the bench on which the unit lies, if it has a name
     * @param unfinished what is left out for now, and what is temporary
     */
    public record StandView(
            boolean opened,
            boolean closed,
            boolean startsAgain,
            List<String> reworks,
            int trialFits,
            Optional<Rework> likelyRework,
            Optional<Instant> lastIn,
            Tally tally,
            String tallyWords,
            Status status,
            PowerView power,
            List<String> hazards,
            boolean perhapsOpen,
            List<ArrivalMark> notSeenTo,
            Optional<Loan> loan,
            List<String> unfinished,
            Optional<Beside.AtBench> at) {}

    /**
     * @param state as it was said last; off and unplugged while nobody has said anything and no run is under way
     * @param why what made it live; may be empty
     * @param sinceSaid whether somebody said since when it is unplugged: only a lead makes that earlier
     */
    public record PowerView(Power state, Optional<Instant> since, String why, boolean sinceSaid) {}

    /**
     * @param stepsInAll how many steps the way has; of several ways to the same end one counts
     * @param nextIn the next step in, if there is one
     * @param keepApart what must not be swapped once the next step is in, a sentence each
     * @param nextOut the next step out, if one is open
     * @param lastReach what is still off and can no longer be reached once the next step is out
     * @param endsUnder what is temporary or broken and can no longer be reached then, a sentence each
     * @param points of the notes that can be measured as it stands
     * @param comingIn the steps in from here on, if each is done as the notes say; @param comingOut the same on the way out
     */
    public record WayView(
            List<StepView> steps,
            int stepsInAll,
            Optional<String> nextIn,
            List<String> keepApart,
            Optional<String> nextOut,
            List<ThingView> lastReach,
            List<String> endsUnder,
            List<TestPoint> points,
            List<Coming> comingIn,
            List<Coming> comingOut) {}

    /**
     * @param route ids of the steps of the way that was chosen; none for all of the notes
     * @param pausedSince empty unless the clock stands still
     * @param minutesWorked at the bench in this stay, up to the last press
     * @param pressedAt when something was pressed last
     * @param atItUntil from when on, if nothing is pressed, nobody is taken to be at it: what has passed then counts nothing
     */
    public record RunView(
            Instant startedAt,
            String startedBy,
            List<Long> targets,
            List<String> route,
            Optional<Rework> rework,
            String words,
            Optional<Instant> pausedSince,
            double minutesWorked,
            Instant pressedAt,
            Instant atItUntil) {}

    static BenchView of(
            BenchState state, Beside beside, List<Inside.SubAssembly> inside, BenchTime worked, Instant now) {
        JobFacts facts = state.facts(beside);
        return new BenchView(
                unit(state, beside),
                state.job().benchVersion(),
                stand(state, beside, facts, now),
                state.run().underWay().map(run -> run(run, state.run(), worked)),
                way(state, beside, now),
                Gate.of(state, beside, facts),
                state.run().lastStep().isPresent()
                        || state.run().agreed().lastByHand(state.run()).isPresent(),
                inside);
    }

    private static UnitView unit(BenchState state, Beside beside) {
        Job job = state.job();
        return new UnitView(
                job.id(),
                job.tag(),
                job.unit().model(),
                job.unit().modelId(),
                job.unit().revision(),
                job.revisionId(),
                state.notes().number(),
                job.brought().complaint(),
                state.run().notes().overview().before(),
                state.run().notes().overview().modes().stream()
                        .map(Overview.ServiceMode::name)
                        .toList(),
                beside.altered().stream().map(JobEntry.Altered::sentence).toList());
    }

    private static StandView stand(BenchState state, Beside beside, JobFacts facts, Instant now) {
        Run run = state.run();
        return new StandView(
                state.opened(),
                facts.closed(),
                run.wasClosedForGood(beside.lastClosing()),
                run.reworks(),
                run.trialFits(),
                run.likelyRework(beside.checks()),
                run.lastIn().map(Moment::at),
                run.ledger().tally(),
                run.ledger().tally().words(),
                Status.of(facts, now),
                power(run.power()),
                ArrivalMark.cautions(beside.marks()),
                beside.marks().contains(ArrivalMark.EARLIER_ATTEMPT)
                        && run.lastIn().isEmpty(),
                beside.notSeenTo(),
                state.job().loan(),
                run.unfinished(beside.ends()),
                beside.at());
    }

    private static PowerView power(PowerLog power) {
        return new PowerView(
                power.now().map(PowerEntry::power).orElse(Power.UNPLUGGED),
                power.now().map(PowerEntry::since),
                power.now().map(PowerEntry::why).orElse(""),
                power.sinceIsSaid());
    }

    private static RunView run(RunRecord run, Run all, BenchTime worked) {
        Instant pressed = all.log().last().orElse(run.started()).at();
        return new RunView(
                run.started().at(),
                run.startedBy(),
                run.route().targets(),
                run.route().steps(),
                run.why().rework(),
                run.why().words(),
                run.pausedSince(),
                worked.worked().toSeconds() / 60.0,
                pressed,
                BenchTime.atItUntil(pressed));
    }

    private static WayView way(BenchState state, Beside beside, Instant now) {
        Run run = state.run();
        Optional<Step> nextIn = run.nextIn();
        return new WayView(
                run.notes().steps().stream()
                        .map(step -> StepView.of(step, state, beside, now))
                        .toList(),
                run.stepsInAll(),
                nextIn.map(Step::id),
                nextIn.map(step -> LookAlikes.of(step, run.ledger())).orElse(List.of()),
                run.way().nextOut().map(Step::id),
                run.lastReach().stream()
                        .map(Unsettled::thing)
                        .distinct()
                        .map(thing -> ThingView.of(thing, run.ledger()))
                        .toList(),
                run.way()
                        .nextOut()
                        .map(step -> run.lastReachOfEnds(step, beside.ends()))
                        .orElse(List.of()),
                run.notes().pointsReached(run.way()::isOpen),
                Coming.in(run, now),
                Coming.out(run, now));
    }
}
