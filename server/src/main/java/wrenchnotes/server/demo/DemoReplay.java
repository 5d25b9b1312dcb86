package wrenchnotes.server.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.GoesBack;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.bench.BenchService;
import wrenchnotes.server.bench.RunService;
import wrenchnotes.server.check.CheckService;
import wrenchnotes.server.checkin.CheckInService;
import wrenchnotes.server.checkin.LotStore;
import wrenchnotes.server.demo.DemoPlan.Visit;
import wrenchnotes.server.diagnosis.EvidenceService;
import wrenchnotes.server.diagnosis.FindingService;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.job.HoldService;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.money.WorthService;
import wrenchnotes.server.outcome.OutcomeService;

/** Plays each planned visit through the services, as the people of the shop would have done it. */
@Component
public class DemoReplay {

    /** A revision and the notes it was given. */
    record Known(long revision, DemoNotes notes, Teardown teardown, Map<String, Long> components) {

        boolean waits() {
            return teardown.steps().stream().anyMatch(step -> step.waitHours() > 0);
        }
    }

    private static final List<Means> PROOFS = List.of(Means.LOOKED, Means.SWAPPED, Means.LOOKED, Means.MEASURED);
    private static final DateTimeFormatter CRATE = DateTimeFormatter.ofPattern("MMMM yyyy", Locale.ENGLISH);

    private final CheckInService counter;
    private final LotStore lots;
    private final WorthService worth;
    private final RunService runs;
    private final BenchService bench;
    private final FindingService findings;
    private final EvidenceService evidence;
    private final CheckService checks;
    private final OutcomeService outcomes;
    private final HoldService holds;
    private final DrawerStore stock;
    private final DrawerService drawers;
    private final JobStore jobs;

    DemoReplay(
            CheckInService counter,
            LotStore lots,
            WorthService worth,
            RunService runs,
            BenchService bench,
            FindingService findings,
            EvidenceService evidence,
            CheckService checks,
            OutcomeService outcomes,
            HoldService holds,
            DrawerStore stock,
            DrawerService drawers,
            JobStore jobs) {
        this.counter = counter;
        this.lots = lots;
        this.worth = worth;
        this.runs = runs;
        this.bench = bench;
        this.findings = findings;
        this.evidence = evidence;
        this.checks = checks;
        this.outcomes = outcomes;
        this.holds = holds;
        this.stock = stock;
        this.drawers = drawers;
        this.jobs = jobs;
    }

    void play(Instant now, Map<String, SignedIn> staff, Map<String, Known> revisions, Map<String, Long> parts) {
        Shop shop = new Shop(
                now, staff, revisions, parts, new HashMap<>(), new HashMap<>(), new HashMap<>(), new TreeSet<>());
        DemoPlan.visits().forEach(visit -> new Stay(shop, visit).play());
    }

    /** What is carried from one stay to the next. */
    private record Shop(
            Instant now,
            Map<String, SignedIn> staff,
            Map<String, Known> revisions,
            Map<String, Long> parts,
            Map<Integer, Long> units,
            Map<String, Long> owners,
            Map<String, Long> crates,
            Set<String> takenSlots) {

        Optional<String> freeSlot(int luck) {
            List<String> free = new ArrayList<>();
            for (char shelf = 'A'; shelf <= 'D'; shelf++) {
                for (int place = 1; place <= 6; place++) {
                    String slot = "" + shelf + place;
                    if (!takenSlots.contains(slot)) {
                        free.add(slot);
                    }
                }
            }
            return free.isEmpty() ? Optional.empty() : Optional.of(free.get(luck % free.size()));
        }
    }

    /** One visit of one unit. */
    private final class Stay {

        private final Shop shop;
        private final Visit visit;
        private final Known known;
        private final DemoTold told;
        private final String bencher;
        private Instant at;
        private long job;
        private long benchVersion;

        Stay(Shop shop, Visit visit) {
            this.shop = shop;
            this.visit = visit;
            this.known = shop.revisions()
                    .get(visit.unit().model() + " " + visit.unit().revision());
            this.told = new DemoTold(visit);
            this.bencher = visit.luck() % 2 == 0 ? "tobias" : "wren";
            this.at = shop.now()
                    .minus(Duration.ofMinutes((long) (visit.daysAgo() * 24 * 60)))
                    .truncatedTo(ChronoUnit.MINUTES);
        }

        void play() {
            checkIn();
            switch (visit.ending()) {
                case NOT_STARTED -> {}
                case OWNER_IS_ASKED -> {
                    arrivalCheck();
                    hold(HoldKind.OWNER, "The second belt costs more: go on?", Optional.empty());
                }
                case OPEN_ON_THE_WAY_IN -> {
                    open(way().subList(0, Math.max(1, way().size() - 1)));
                    halfDiagnosed();
                }
                case OPEN_AND_MENDED -> mend();
                case GLUE_CURES -> {
                    mend();
                    hold(
                            HoldKind.CURE,
                            "Resin on the gear sets",
                            Optional.of(shop.now().plus(Duration.ofHours(3))));
                }
                case BOARD_DRIES -> {
                    mend();
                    hold(
                            HoldKind.DRY,
                            "The washed board dries",
                            Optional.of(shop.now().plus(Duration.ofHours(16))));
                }
                case PART_IS_COMING -> {
                    open(way());
                    hold(
                            HoldKind.PART,
                            visit.seen().get(0).fault().component() + ", from the supplier",
                            Optional.empty());
                }
                case SCREW_LOST -> {
                    mend();
                    loseOne();
                }
                case CHECK_FAILED -> {
                    mendAndClose();
                    check(Stage.AFTER_CLOSING, Verdict.FAILED, "plays for ten minutes", true, 1, "stops after four");
                }
                case TO_CHECK -> mendAndClose();
                case READY -> finish(outcome());
                case KEPT_FOR_PARTS -> {
                    arrivalCheck();
                    end(new OutcomeGiven(Outcome.KEPT_FOR_PARTS, "case too far gone", later(20)));
                    handOver();
                }
                case HANDED_OVER -> {
                    if (told.soldAsItIs()) {
                        arrivalCheck();
                        end(new OutcomeGiven(Outcome.NOT_WORTH_IT, "sold with the fault told", later(15)));
                    } else {
                        finish(outcome());
                    }
                    handOver();
                    if (told.toBeSold()) {
                        worth.sold(by("marit"), job, told.fetched());
                    }
                }
            }
        }

        private List<String> way() {
            Set<String> needed = new TreeSet<>();
            visit.seen()
                    .forEach(seen ->
                            needed.addAll(known.notes().wayTo(seen.fault().component())));
            return known.notes().inOrder(needed);
        }

        private void checkIn() {
            Arrival arrival = told.arrival();
            Optional<String> slot = shop.freeSlot(visit.luck());
            boolean stays = visit.daysAgo() < 20;
            if (stays) {
                slot.ifPresent(shop.takenSlots()::add);
            }
            DemoPlan.Unit unit = visit.unit();
            Optional<Long> owner = unit.owner().map(shop.owners()::get);
            CheckInService.TakenIn taken = counter.takeIn(
                    by("marit"),
                    new CheckInService.Coming(
                            Optional.ofNullable(shop.units().get(unit.number())),
                            unit.serial(),
                            known.revision(),
                            unit.ownership(),
                            owner,
                            owner.isPresent() ? "" : unit.owner().orElse(""),
                            "",
                            told.toBeSold() ? Optional.of(crate()) : Optional.empty(),
                            told.toBeSold() ? Optional.of(told.paid()) : Optional.empty(),
                            slot,
                            due(),
                            arrival));
            job = taken.jobId();
            JobStore.Job row = jobs.job(job);
            shop.units().put(unit.number(), row.unitId());
            row.owner().ifPresent(who -> shop.owners().put(who.name(), who.id()));
        }

        /** Each month's clear-out is a lot of its own. */
        private long crate() {
            String month = CRATE.format(at.atZone(ZoneOffset.UTC));
            return shop.crates()
                    .computeIfAbsent(month, name -> lots.add(by("ines"), "Recycling yard, " + name + " clear-out", at));
        }

        private Optional<Instant> due() {
            return visit.unit().ownership() == Ownership.CUSTOMER && visit.luck() % 3 != 1
                    ? Optional.of(at.plus(Duration.ofDays(8 + visit.luck() % 14)))
                    : Optional.empty();
        }

        private void arrivalCheck() {
            check(Stage.ARRIVAL, Verdict.FAILED, "powers up, does what it should", true, 1, "");
        }

        private void open(List<String> steps) {
            later(180 + visit.luck() * 11);
            arrivalCheck();
            later(2);
            runs.start(by(bencher), job, seen(), begun());
            if (known.waits()) {
                runs.leftOff(by(bencher), job, seen(), at.minus(Duration.ofDays(2)));
            }
            for (String step : steps) {
                // Some days it goes quicker than the notes say, some days slower.
                double pace = 0.75 + 0.09 * ((visit.luck() + step.length()) % 8);
                later(Math.max(1, (int) Math.round(known.notes().minutes(step) * pace)));
                bench.stepIn(by(bencher), job, seen(), step, new BenchService.CameOff(List.of(), Basis.COUNTED, true));
            }
        }

        /** Where to: what is lying open today was aimed at what it was opened for. */
        private RunService.Start begun() {
            if (visit.daysAgo() > 20) {
                return RunService.Start.PLAIN;
            }
            List<Long> targets = visit.seen().stream()
                    .map(seen -> known.components().get(seen.fault().component()))
                    .distinct()
                    .toList();
            return new RunService.Start(
                    new RunService.Aim(targets, RunService.Offer.TIME), true, List.of(), Optional.empty(), "");
        }

        private void mend() {
            open(way());
            for (DemoPlan.Seen seen : visit.seen()) {
                later(6);
                Optional<Long> part = Optional.ofNullable(seen.way().part()).map(shop.parts()::get);
                part.ifPresent(this::orderIfNoneIsLeft);
                FindingStore.FindingRow row = findings.record(
                        by(bencher),
                        job,
                        new FindingService.FaultSeen(
                                seen.fault().component(),
                                seen.fault().wrong(),
                                seen.way().remedy(),
                                part,
                                part.isPresent() ? 1 : 0,
                                seen.way().remedy() == Remedy.REVIVED ? "boiled and conditioned" : "",
                                Optional.of(PROOFS.get(visit.luck() % PROOFS.size())),
                                Optional.of(seen.fault().wrong().equals("bent") ? Cause.FALL : Cause.AGE),
                                visit.luck() % 3 == 0));
                // What is long past needs no before and after.
                if (visit.daysAgo() < 20
                        && seen == visit.seen().get(visit.seen().size() - 1)) {
                    after(row, false, Change.WENT);
                }
            }
            checkAsPlanned(Stage.BEFORE_CLOSING);
        }

        /** A first remedy that changed nothing, and one component measured and found good. */
        private void halfDiagnosed() {
            List<DemoFaults.Fault> others = DemoFaults.ALL.stream()
                    .filter(fault -> fault.model().equals(visit.unit().model()))
                    .filter(fault -> fault.revision().equals(visit.unit().revision()))
                    .filter(fault -> visit.seen().stream()
                            .noneMatch(seen -> seen.fault().component().equals(fault.component())))
                    .limit(2)
                    .toList();
            DemoFaults.Fault tried = others.get(0);
            later(8);
            FindingStore.FindingRow failed = findings.record(
                    by(bencher),
                    job,
                    new FindingService.FaultSeen(
                            tried.component(),
                            tried.wrong(),
                            Remedy.CLEANED,
                            Optional.empty(),
                            0,
                            "",
                            Optional.of(Means.LOOKED),
                            Optional.of(Cause.AGE),
                            false));
            later(4);
            after(failed, true, Change.STAYED);
            later(3);
            evidence.look(
                    by(bencher),
                    job,
                    known.components().get(others.get(1).component()),
                    true,
                    Means.MEASURED,
                    "as it should be");
        }

        private void after(FindingStore.FindingRow row, boolean failed, Change change) {
            evidence.after(
                    by(bencher),
                    row.id(),
                    failed,
                    told.arrival().symptoms().stream()
                            .filter(Arrival.Symptom::present)
                            .map(symptom -> new Change.After(symptom.name(), change))
                            .toList());
        }

        private void orderIfNoneIsLeft(long part) {
            if (stock.part(part).count() == 0) {
                drawers.bookIn(by("ines"), part, 8, "order came in");
            }
        }

        private void mendAndClose() {
            mend();
            List<String> steps = way();
            for (int n = steps.size() - 1; n >= 0; n--) {
                later(2);
                bench.stepOut(by(bencher), job, seen(), steps.get(n), cut(steps.get(n)));
            }
            later(1);
            runs.close(by(bencher), job, seen());
            later(5);
        }

        /** Rivets that were cut stay out: the plate sits on the screws that are left. */
        private List<BenchService.Settled> cut(String step) {
            Step written = known.teardown().step(step);
            return written.fasteners().stream()
                    .filter(group -> !written.reversible() && group.head() == Head.RIVET)
                    .map(group -> new BenchService.Settled(
                            new PutBack(
                                    group.id(), 0, 0, group.count(), 0, "plate sits on the screws that are left", ""),
                            Optional.empty()))
                    .toList();
        }

        /** Drops one fastener of the last step in: it is on the floor somewhere. */
        private void loseOne() {
            String step = way().get(way().size() - 1);
            String thing = step + "-f0";
            bench.move(
                    by(bencher),
                    job,
                    seen(),
                    new Move(thing, Account.TRAY, Account.LOST, 1, "rolled off the mat"),
                    Optional.empty());
        }

        private void finish(OutcomeGiven given) {
            mendAndClose();
            checkAsPlanned(Stage.AFTER_CLOSING);
            end(given);
        }

        private OutcomeGiven outcome() {
            if (visit.luck() % 19 == 7) {
                return new OutcomeGiven(Outcome.NOT_FIXED, "still does it now and then; told so", at);
            }
            boolean remark = visit.luck() % 8 == 3;
            return new OutcomeGiven(
                    remark ? Outcome.FIXED_WITH_REMARK : Outcome.FIXED, remark ? "a little louder than new" : "", at);
        }

        private void end(OutcomeGiven given) {
            By by = by(bencher);
            outcomes.give(by, job, new OutcomeGiven(given.outcome(), given.remark(), by.at()));
        }

        private void handOver() {
            later(24 * 60 + visit.luck() * 30);
            outcomes.handOver(
                    by("marit"),
                    job,
                    told.arrival().belongings().stream()
                            .map(name -> new GoesBack(name, true, ""))
                            .toList());
        }

        private void checkAsPlanned(Stage stage) {
            for (Overview.PlannedCheck planned : known.teardown().overview().checksAt(stage)) {
                later(3);
                checks.record(
                        by(bencher),
                        job,
                        new Check(
                                stage,
                                Verdict.PASSED,
                                planned.what(),
                                stage == Stage.AFTER_CLOSING,
                                planned.load(),
                                planned.times(),
                                "",
                                at));
            }
        }

        private void check(Stage stage, Verdict verdict, String what, boolean coversOn, int times, String remark) {
            later(3);
            checks.record(by(bencher), job, new Check(stage, verdict, what, coversOn, "", times, remark, at));
        }

        private void hold(HoldKind kind, String why, Optional<Instant> until) {
            later(4);
            holds.set(by(bencher), job, new Hold(kind, why, at, until, Optional.empty()));
        }

        /** Nobody else is at this bench: each press has seen all the presses before it. */
        private Seen seen() {
            return new Seen(benchVersion++);
        }

        private By by(String name) {
            SignedIn who = shop.staff().get(name);
            return new By(who.id(), who.name(), at);
        }

        /** Time goes by, but never past today. */
        private Instant later(int minutes) {
            Instant next = at.plus(Duration.ofMinutes(minutes));
            Instant latest = shop.now().minus(Duration.ofMinutes(2));
            at = next.isBefore(latest) ? next : at.isBefore(latest) ? latest : at.plusMillis(1);
            return at;
        }
    }
}
