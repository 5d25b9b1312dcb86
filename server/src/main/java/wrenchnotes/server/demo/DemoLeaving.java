package wrenchnotes.server.demo;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.check.ElectricalCheck;
import wrenchnotes.core.check.ElectricalLimits;
import wrenchnotes.core.check.Protection;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.checkin.GoesBack;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.server.bench.EndsService;
import wrenchnotes.server.bench.RunService;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.HoldService;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.outcome.LoanService;
import wrenchnotes.server.outcome.OutcomeService;

/** How units leave the demo shop: for good, or on loan until a part comes. */
@Component
class DemoLeaving {

    private final EndsService ends;
    private final RunService runs;
    private final HoldService holds;
    private final LoanService loans;
    private final OutcomeService outcomes;
    private final EntryService entries;
    private final FactsStore facts;
    private final ArrivalStore arrivals;
    private final JobStore jobs;

    DemoLeaving(
            EndsService ends,
            RunService runs,
            HoldService holds,
            LoanService loans,
            OutcomeService outcomes,
            EntryService entries,
            FactsStore facts,
            ArrivalStore arrivals,
            JobStore jobs) {
        this.ends = ends;
        this.runs = runs;
        this.holds = holds;
        this.loans = loans;
        this.outcomes = outcomes;
        this.entries = entries;
        this.facts = facts;
        this.arrivals = arrivals;
        this.jobs = jobs;
    }

    void end(DemoTurn turn, Outcome outcome, String remark) {
        outcomes.give(turn.by(turn.bencher), turn.job(), outcome, remark);
    }

    void handOver(DemoTurn turn) {
        turn.later(24 * 60 + turn.visit.luck() * 30);
        outcomes.handOver(
                turn.by("marit"),
                turn.job(),
                arrivals.belongings(turn.job()).stream()
                        .map(thing -> new GoesBack(thing.name(), true, ""))
                        .toList());
    }

    /** Worked on its mains side: measured closed. */
    void measured(DemoTurn turn) {
        Job job = jobs.job(turn.job());
        if (facts.of(job).mains().done().isEmpty()) {
            return;
        }
        turn.later(4);
        boolean earthed = turn.visit.luck() % 2 == 0;
        ElectricalCheck check = ElectricalCheck.judged(
                ElectricalLimits.USUAL,
                earthed ? Protection.EARTHED : Protection.DOUBLE_INSULATED,
                earthed ? Optional.of(0.08 + turn.visit.luck() % 7 / 100.0) : Optional.empty(),
                200 + turn.visit.luck(),
                true,
                "");
        entries.say(job.entered(turn.by("ines")), turn.job(), new JobEntry.Electrical(check));
    }

    /** What was wrong got a rubber band, and goes home with it until its part comes. */
    void lend(DemoTurn turn, DemoBench.Work work) {
        String component = turn.visit.seen().get(0).fault().component();
        List<String> way = work.way();
        work.open(way);
        turn.later(9);
        ends.temporary(turn.by(turn.bencher), turn.job(), turn.seen(), "a rubber band does for the " + component);
        long band = ends.left(turn.job()).get(0).id();
        turn.later(1);
        ends.stays(turn.by(turn.bencher), turn.job(), turn.seen(), band, "until the new one comes");
        work.checkAsPlanned(Stage.BEFORE_CLOSING);
        work.putBack(way);
        runs.close(
                turn.by(turn.bencher), turn.job(), turn.seen(), Optional.of("the owner needs it until the part comes"));
        holds.set(
                turn.by(turn.bencher), turn.job(), HoldKind.PART, component + ", from the supplier", Optional.empty());
        work.checkAsPlanned(Stage.AFTER_CLOSING);
        measured(turn);
        turn.later(24 * 60);
        loans.lend(
                turn.by("marit"),
                turn.job(),
                "long sessions: the band is weak",
                Optional.of(LocalDate.ofInstant(turn.shop.now(), ZoneOffset.UTC)
                        .plusDays(9)
                        .atStartOfDay(ZoneOffset.UTC)
                        .toInstant()));
    }
}
