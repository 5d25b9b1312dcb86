package wrenchnotes.server.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.server.checkin.CheckInSaid;
import wrenchnotes.server.checkin.CheckInService;
import wrenchnotes.server.checkin.LotStore;
import wrenchnotes.server.demo.DemoPlan.Visit;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.job.HoldService;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.money.WorthService;

/** Plays each planned visit through the services, as the people of the shop would have done it. */
@Component
public class DemoReplay {

    private static final DateTimeFormatter CRATE = DateTimeFormatter.ofPattern("MMMM yyyy", Locale.ENGLISH);

    private final CheckInService counter;
    private final LotStore lots;
    private final WorthService worth;
    private final DemoLeaving leaving;
    private final HoldService holds;
    private final JobStore jobs;
    private final DemoBench benches;
    private final DemoReadings readings;
    private final DemoDonors donors;

    DemoReplay(
            CheckInService counter,
            LotStore lots,
            WorthService worth,
            DemoLeaving leaving,
            HoldService holds,
            JobStore jobs,
            DemoBench benches,
            DemoReadings readings,
            DemoDonors donors) {
        this.counter = counter;
        this.lots = lots;
        this.worth = worth;
        this.leaving = leaving;
        this.holds = holds;
        this.jobs = jobs;
        this.benches = benches;
        this.readings = readings;
        this.donors = donors;
    }

    void play(
            Instant now,
            Map<String, SignedIn> staff,
            Map<String, DemoTurn.Known> revisions,
            Map<String, Long> parts,
            AtomicLong moments) {
        DemoTurn.Shop shop = new DemoTurn.Shop(
                now,
                staff,
                revisions,
                parts,
                new HashMap<>(),
                new HashMap<>(),
                new HashMap<>(),
                new TreeSet<>(),
                moments);
        DemoPlan.visits().forEach(visit -> new Stay(shop, visit).play());
    }

    /** One visit of one unit. */
    private final class Stay {

        private final DemoTurn turn;
        private final DemoBench.Work work;

        Stay(DemoTurn.Shop shop, Visit visit) {
            this.turn = new DemoTurn(shop, visit);
            this.work = benches.on(turn);
        }

        void play() {
            checkIn();
            switch (turn.visit.ending()) {
                case NOT_STARTED -> {}
                case OWNER_IS_ASKED -> {
                    work.arrivalCheck();
                    hold(HoldKind.OWNER, "It costs more than was said: go on?", Optional.empty());
                }
                case OPEN_ON_THE_WAY_IN -> {
                    work.open(work.way().subList(0, Math.max(1, work.way().size() - 1)));
                    work.halfDiagnosed();
                    readings.take(turn);
                }
                case OPEN_AND_MENDED -> work.mend();
                case GLUE_CURES -> {
                    work.mend();
                    hold(
                            HoldKind.CURE,
                            "Resin on the gear sets",
                            Optional.of(turn.shop.now().plus(Duration.ofHours(3))));
                }
                case BOARD_DRIES -> {
                    work.mend();
                    hold(
                            HoldKind.DRY,
                            "The washed board dries",
                            Optional.of(turn.shop.now().plus(Duration.ofHours(16))));
                }
                case PART_IS_COMING -> {
                    work.open(work.way());
                    hold(
                            HoldKind.PART,
                            turn.visit.seen().get(0).fault().component() + ", from the supplier",
                            Optional.empty());
                }
                case ON_LOAN -> leaving.lend(turn, work);
                case SCREW_LOST -> {
                    work.mend();
                    work.loseOne();
                }
                case CHECK_FAILED -> {
                    work.mendAndClose();
                    work.check(Stage.AFTER_CLOSING, Verdict.FAILED, "runs for ten minutes", 1, "stops after four");
                }
                case TO_CHECK -> work.mendAndClose();
                case READY -> finish();
                case KEPT_FOR_PARTS -> {
                    work.arrivalCheck();
                    donors.goneOver(turn);
                    turn.later(20);
                    end(Outcome.KEPT_FOR_PARTS, "case too far gone");
                    handOver();
                }
                case HANDED_OVER -> {
                    if (turn.told.soldAsItIs()) {
                        work.arrivalCheck();
                        turn.later(15);
                        end(Outcome.NOT_WORTH_IT, "sold with the fault told");
                    } else {
                        finish();
                    }
                    handOver();
                    if (turn.told.toBeSold()) {
                        worth.sold(turn.by("marit"), turn.job(), turn.told.fetched());
                    }
                }
            }
        }

        private void checkIn() {
            Arrival arrival = turn.told.arrival();
            Optional<String> slot = turn.shop.freeSlot(turn.visit.luck());
            boolean stays = turn.visit.daysAgo() < 20;
            if (stays) {
                slot.ifPresent(turn.shop.takenSlots()::add);
            }
            DemoPlan.Unit unit = turn.visit.unit();
            Optional<Long> owner = unit.owner().map(turn.shop.owners()::get);
            CheckInService.TakenIn taken = counter.takeIn(
                    turn.by("marit"),
                    new CheckInSaid(
                            Optional.ofNullable(turn.shop.units().get(unit.number())),
                            unit.serial(),
                            turn.known.revision(),
                            unit.ownership(),
                            owner,
                            owner.isPresent() ? "" : unit.owner().orElse(""),
                            "",
                            turn.told.toBeSold() ? Optional.of(crate()) : Optional.empty(),
                            turn.told.toBeSold() ? Optional.of(turn.told.paid()) : Optional.empty(),
                            slot,
                            due(),
                            arrival));
            turn.taken(taken.jobId());
            Job row = jobs.job(turn.job());
            turn.shop.units().put(unit.number(), row.unitId());
            row.brought().owner().ifPresent(who -> turn.shop.owners().put(who.name(), who.id()));
        }

        /** Each month's clear-out is a lot of its own. */
        private long crate() {
            String month = CRATE.format(turn.at().atZone(ZoneOffset.UTC));
            return turn.shop
                    .crates()
                    .computeIfAbsent(
                            month,
                            name -> lots.add(turn.by("ines"), "Recycling yard, " + name + " clear-out", turn.at()));
        }

        private Optional<LocalDate> due() {
            return turn.visit.unit().ownership() == Ownership.CUSTOMER && turn.visit.luck() % 3 != 1
                    ? Optional.of(LocalDate.ofInstant(turn.at(), ZoneOffset.UTC).plusDays(8 + turn.visit.luck() % 14))
                    : Optional.empty();
        }

        private void finish() {
            work.mendAndClose();
            work.checkAsPlanned(Stage.AFTER_CLOSING);
            leaving.measured(turn);
            if (turn.visit.luck() % 19 == 7) {
                end(Outcome.NOT_FIXED, "still does it now and then; the owner knows");
            } else if (turn.visit.luck() % 8 == 3) {
                end(Outcome.FIXED_WITH_REMARK, "a little louder than new");
            } else {
                end(Outcome.FIXED, "");
            }
        }

        private void end(Outcome outcome, String remark) {
            leaving.end(turn, outcome, remark);
        }

        private void handOver() {
            leaving.handOver(turn);
        }

        private void hold(HoldKind kind, String why, Optional<Instant> until) {
            turn.later(4);
            holds.set(turn.by(turn.bencher), turn.job(), kind, why, until);
        }
    }
}
