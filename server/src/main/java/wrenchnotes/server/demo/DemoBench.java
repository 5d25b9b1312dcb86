package wrenchnotes.server.demo;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.server.bench.BenchService;
import wrenchnotes.server.bench.RunService;
import wrenchnotes.server.check.CheckService;
import wrenchnotes.server.diagnosis.EvidenceService;
import wrenchnotes.server.diagnosis.FindingService;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.drawer.PartsOfJob;

/** The bench of the demo shop: takes apart, mends, closes, and tries. */
@Component
class DemoBench {

    private static final List<Means> PROOFS = List.of(Means.LOOKED, Means.SWAPPED, Means.LOOKED, Means.MEASURED);

    private final RunService runs;
    private final BenchService bench;
    private final FindingService findings;
    private final EvidenceService evidence;
    private final CheckService checks;
    private final DrawerStore stock;
    private final DrawerService drawers;
    private final DemoBeside beside;

    DemoBench(
            RunService runs,
            BenchService bench,
            FindingService findings,
            EvidenceService evidence,
            CheckService checks,
            DrawerStore stock,
            DrawerService drawers,
            DemoBeside beside) {
        this.runs = runs;
        this.bench = bench;
        this.findings = findings;
        this.evidence = evidence;
        this.checks = checks;
        this.stock = stock;
        this.drawers = drawers;
        this.beside = beside;
    }

    Work on(DemoTurn turn) {
        return new Work(turn);
    }

    /** On one unit. */
    final class Work {

        private final DemoTurn turn;
        private final DemoSafety safety;

        private Work(DemoTurn turn) {
            this.turn = turn;
            this.safety = new DemoSafety(runs, turn);
        }

        List<String> way() {
            Set<String> needed = new TreeSet<>();
            turn.visit
                    .seen()
                    .forEach(seen ->
                            needed.addAll(turn.known.notes().wayTo(seen.fault().component())));
            return turn.known.notes().inOrder(needed);
        }

        /** What holds a charge for a day is not switched on before it is opened. */
        void arrivalCheck() {
            if (turn.known.waits()) {
                check(Stage.ARRIVAL, Verdict.NOT_TESTED, "powers up, does what it should", 0, "left unplugged: a tube");
            } else {
                check(Stage.ARRIVAL, Verdict.FAILED, "powers up, does what it should", 1, "");
            }
        }

        void open(List<String> steps) {
            turn.later(180 + turn.visit.luck() * 11);
            arrivalCheck();
            turn.later(2);
            runs.start(turn.by(turn.bencher), turn.job(), turn.seen(), begun());
            safety.begun();
            if (turn.known.waits()) {
                runs.leftOff(turn.by("ines"), turn.job(), turn.seen(), turn.at().minus(Duration.ofDays(2)));
            }
            for (String step : steps) {
                safety.before(step, way());
                beside.before(turn, turn.known.teardown().step(step));
                // Some days it goes quicker than the notes say, some days slower.
                double pace = 0.75 + 0.09 * ((turn.visit.luck() + step.length()) % 8);
                turn.later(Math.max(1, (int) Math.round(turn.known.notes().minutes(step) * pace)));
                bench.stepIn(turn.by(turn.bencher), turn.job(), turn.seen(), Press.StepIn.asTheNotesSay(step));
            }
        }

        /** Where to: what is lying open today was aimed at what it was opened for. */
        RunService.Start begun() {
            if (turn.visit.daysAgo() > 20) {
                return RunService.Start.PLAIN;
            }
            List<Long> targets = turn.visit.seen().stream()
                    .map(seen -> turn.known.components().get(seen.fault().component()))
                    .distinct()
                    .toList();
            return new RunService.Start(
                    new RunService.Aim(targets, RunService.Offer.TIME), true, List.of(), Optional.empty(), "");
        }

        void mend() {
            open(way());
            for (DemoPlan.Seen seen : turn.visit.seen()) {
                turn.later(6);
                Optional<Long> part = Optional.ofNullable(seen.way().part()).map(turn.shop.parts()::get);
                part.ifPresent(this::orderIfNoneIsLeft);
                FindingStore.FindingRow row = findings.record(
                        turn.by(turn.bencher),
                        turn.job(),
                        new FindingService.FaultSeen(
                                seen.fault().component(),
                                seen.fault().wrong(),
                                seen.way().remedy(),
                                FindingKind.FAULT,
                                part.map(id -> PartsOfJob.Fitted.fromDrawer(id, 1)).stream()
                                        .toList(),
                                Optional.empty(),
                                seen.way().remedy() == Remedy.REVIVED ? "boiled and conditioned" : "",
                                Optional.of(PROOFS.get(turn.visit.luck() % PROOFS.size())),
                                Optional.of(seen.fault().wrong().equals("bent") ? Cause.FALL : Cause.AGE),
                                turn.visit.luck() % 3 == 0));
                // What is long past needs no before and after.
                if (turn.visit.daysAgo() < 20
                        && seen == turn.visit.seen().get(turn.visit.seen().size() - 1)) {
                    after(row, false, Change.WENT);
                }
            }
            beside.mended(turn);
            checkAsPlanned(Stage.BEFORE_CLOSING);
        }

        /** A first remedy that changed nothing, and one component measured and found good. */
        void halfDiagnosed() {
            List<DemoFaults.Fault> others = DemoFaults.ALL.stream()
                    .filter(fault -> fault.model().equals(turn.visit.unit().model()))
                    .filter(fault -> fault.revision().equals(turn.visit.unit().revision()))
                    .filter(fault -> turn.visit.seen().stream()
                            .noneMatch(seen -> seen.fault().component().equals(fault.component())))
                    .limit(2)
                    .toList();
            DemoFaults.Fault tried = others.get(0);
            turn.later(8);
            FindingStore.FindingRow failed = findings.record(
                    turn.by(turn.bencher),
                    turn.job(),
                    new FindingService.FaultSeen(
                            tried.component(),
                            tried.wrong(),
                            Remedy.CLEANED,
                            FindingKind.FAULT,
                            List.of(),
                            Optional.empty(),
                            "",
                            Optional.of(Means.LOOKED),
                            Optional.of(Cause.AGE),
                            false));
            turn.later(4);
            after(failed, true, Change.STAYED);
            turn.later(3);
            evidence.look(
                    turn.by(turn.bencher),
                    turn.job(),
                    turn.known.components().get(others.get(1).component()),
                    true,
                    Means.MEASURED,
                    "as it should be");
        }

        void after(FindingStore.FindingRow row, boolean failed, Change change) {
            evidence.after(
                    turn.by(turn.bencher),
                    row.id(),
                    failed,
                    turn.told.arrival().symptoms().stream()
                            .filter(Arrival.Symptom::present)
                            .map(symptom -> new Change.After(symptom.name(), change))
                            .toList());
        }

        void orderIfNoneIsLeft(long part) {
            if (stock.part(part).count() == 0) {
                drawers.bookIn(turn.by("ines"), part, 8, "order came in");
            }
        }

        void mendAndClose() {
            mend();
            putBack(way());
            turn.later(1);
            runs.close(turn.by(turn.bencher), turn.job(), turn.seen(), Optional.empty());
            turn.later(5);
        }

        void putBack(List<String> steps) {
            for (int n = steps.size() - 1; n >= 0; n--) {
                turn.later(2);
                safety.before(steps.get(n), way());
                bench.stepOut(
                        turn.by(turn.bencher),
                        turn.job(),
                        turn.seen(),
                        steps.get(n),
                        DemoPutBack.of(turn, steps.get(n)));
            }
        }

        /** Drops one fastener of the last step in: it is on the floor somewhere. */
        void loseOne() {
            String step = way().get(way().size() - 1);
            String thing = step + "-f0";
            bench.move(
                    turn.by(turn.bencher),
                    turn.job(),
                    turn.seen(),
                    new Move(thing, Account.TRAY, Account.LOST, 1, "rolled off the mat"),
                    Optional.empty());
        }

        void checkAsPlanned(Stage stage) {
            for (Overview.PlannedCheck planned :
                    turn.known.teardown().overview().checksAt(stage)) {
                turn.later(3);
                safety.isLive(planned.terms().powered());
                checks.record(
                        turn.by(turn.bencher),
                        turn.job(),
                        (moment, coversOn) -> new Check(
                                stage,
                                Verdict.PASSED,
                                Optional.of(planned.id()),
                                planned.what(),
                                coversOn,
                                planned.terms().powered(),
                                planned.load(),
                                planned.times(),
                                "",
                                Optional.empty(),
                                moment));
            }
        }

        void check(Stage stage, Verdict verdict, String what, int times, String remark) {
            turn.later(3);
            safety.isLive(verdict != Verdict.NOT_TESTED);
            checks.record(
                    turn.by(turn.bencher),
                    turn.job(),
                    (moment, coversOn) -> new Check(stage, verdict, what, coversOn, "", times, remark, moment));
        }
    }
}
