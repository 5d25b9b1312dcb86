package wrenchnotes.server.demo;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import wrenchnotes.core.checkin.Ownership;

/** Which unit comes in when, with what, and how it ends. Drawn once from a fixed seed; the dates hang on today. */
final class DemoPlan {

    private static final int DRAWN = 260;
    private static final int DAYS = 545;
    private static final long SEED = 20_26;

    /** How far a stay has got by today. */
    enum Ending {
        HANDED_OVER,
        KEPT_FOR_PARTS,
        NOT_STARTED,
        OPEN_ON_THE_WAY_IN,
        OPEN_AND_MENDED,
        SCREW_LOST,
        GLUE_CURES,
        BOARD_DRIES,
        PART_IS_COMING,
        ON_LOAN,
        OWNER_IS_ASKED,
        CHECK_FAILED,
        TO_CHECK,
        READY
    }

    /** What stands in the shop today, oldest first: a bit of everything. */
    private static final List<Ending> TODAY = List.of(
            Ending.OWNER_IS_ASKED,
            Ending.READY,
            Ending.PART_IS_COMING,
            Ending.SCREW_LOST,
            Ending.CHECK_FAILED,
            Ending.ON_LOAN,
            Ending.NOT_STARTED,
            Ending.BOARD_DRIES,
            Ending.OPEN_AND_MENDED,
            Ending.GLUE_CURES,
            Ending.TO_CHECK,
            Ending.NOT_STARTED,
            Ending.READY,
            Ending.NOT_STARTED,
            Ending.OPEN_ON_THE_WAY_IN,
            Ending.NOT_STARTED,
            Ending.NOT_STARTED,
            Ending.NOT_STARTED);

    /** @param number tells units apart before they have a tag */
    record Unit(
            int number, String model, String revision, String serial, Ownership ownership, Optional<String> owner) {}

    record Seen(DemoFaults.Fault fault, DemoFaults.Way way) {}

    /** @param daysAgo with a part of a day */
    record Visit(Unit unit, double daysAgo, List<Seen> seen, Ending ending, int luck) {}

    private static final List<String> SCHOOL = List.of("Saltmarsh Language School");
    private static final List<String> CAFE = List.of("Lamplight quiz café");
    private static final List<String> CHOIR = List.of("Harbour choir");
    private static final List<String> CLUB = List.of("Eastmole sailing club");
    private static final List<String> FERRY = List.of(
            "Odelle, deck two",
            "Brask, the pilot",
            "Tilde from the kiosk",
            "Corvin, car deck",
            "Ysolde, night crossing",
            "Pim and Anker",
            "Lighthouse hostel",
            "Nettle, island post");

    private final Random random = new Random(SEED);
    private final List<Visit> visits = new ArrayList<>();

    private DemoPlan() {}

    /** All visits, oldest first. */
    static List<Visit> visits() {
        DemoPlan plan = new DemoPlan();
        int number = 0;
        while (plan.visits.size() < DRAWN - TODAY.size()) {
            plan.unitWithItsVisits(number++);
        }
        List<Visit> past = new ArrayList<>(plan.visits.subList(0, DRAWN - TODAY.size()));
        for (int n = 0; n < TODAY.size(); n++) {
            double daysAgo = 19.0 * (TODAY.size() - n) / TODAY.size();
            past.add(plan.visit(plan.unit(number++, daysAgo), daysAgo, TODAY.get(n)));
        }
        past.addAll(DemoTrouble.visits(number));
        past.sort(Comparator.comparingDouble(Visit::daysAgo).reversed());
        return past;
    }

    private void unitWithItsVisits(int number) {
        double daysAgo = 21 + random.nextDouble() * (DAYS - 21);
        Unit unit = unit(number, daysAgo);
        boolean parts = unit.ownership() == Ownership.RESALE && random.nextInt(9) == 0;
        Visit visit = visit(unit, daysAgo, parts ? Ending.KEPT_FOR_PARTS : Ending.HANDED_OVER);
        visits.add(visit);
        Seen first = visit.seen().get(0);
        double again = daysAgo - 25 - random.nextDouble() * 130;
        if (!parts && random.nextDouble() < first.way().comesBack() && again > 21) {
            DemoFaults.Way better = first.fault().ways().get(0);
            visits.add(new Visit(
                    unit, again, List.of(new Seen(first.fault(), better)), Ending.HANDED_OVER, random.nextInt(100)));
        }
    }

    private Unit unit(int number, double daysAgo) {
        DemoFaults.Fault fault = draw(daysAgo);
        boolean resale = random.nextInt(3) == 0;
        List<String> owners =
                switch (fault.model()) {
                    case "Q2" -> CAFE;
                    case "CD-5" -> CHOIR;
                    case "LR-20", "Duo" -> SCHOOL;
                    case "Tern" -> CLUB;
                    default -> FERRY;
                };
        List<String> pool = random.nextInt(3) == 0 ? FERRY : owners;
        String owner = pool.get(random.nextInt(pool.size()));
        String serial = fault.model().replace("-", "")
                + fault.revision().substring(0, 1).toUpperCase(java.util.Locale.ROOT) + "-"
                + (10_000 + number * 37 % 90_000);
        boolean soldForSomebody = resale && random.nextInt(6) == 0;
        return new Unit(
                number,
                fault.model(),
                fault.revision(),
                serial,
                resale ? Ownership.RESALE : Ownership.CUSTOMER,
                resale && !soldForSomebody ? Optional.empty() : Optional.of(owner));
    }

    private Visit visit(Unit unit, double daysAgo, Ending ending) {
        List<Seen> seen = new ArrayList<>();
        DemoFaults.Fault first = drawOn(unit, daysAgo);
        seen.add(new Seen(first, first.pick(random)));
        if (random.nextInt(5) == 0) {
            DemoFaults.Fault second = drawOn(unit, daysAgo);
            if (!second.component().equals(first.component())) {
                seen.add(new Seen(second, second.pick(random)));
            }
        }
        return new Visit(unit, daysAgo, seen, ending, random.nextInt(100));
    }

    private DemoFaults.Fault draw(double daysAgo) {
        return drawFrom(DemoFaults.ALL, daysAgo);
    }

    private DemoFaults.Fault drawOn(Unit unit, double daysAgo) {
        return drawFrom(
                DemoFaults.ALL.stream()
                        .filter(fault -> fault.model().equals(unit.model()))
                        .filter(fault -> fault.revision().equals(unit.revision()))
                        .toList(),
                daysAgo);
    }

    private DemoFaults.Fault drawFrom(List<DemoFaults.Fault> faults, double daysAgo) {
        double at = random.nextDouble()
                * faults.stream().mapToDouble(fault -> weight(fault, daysAgo)).sum();
        for (DemoFaults.Fault fault : faults) {
            at -= weight(fault, daysAgo);
            if (at < 0) {
                return fault;
            }
        }
        return faults.get(faults.size() - 1);
    }

    private static double weight(DemoFaults.Fault fault, double daysAgo) {
        boolean early = fault.course() == DemoFaults.Course.RISING && daysAgo > 92;
        return early ? fault.weight() / 9 : fault.weight();
    }
}
