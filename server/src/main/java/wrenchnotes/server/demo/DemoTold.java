package wrenchnotes.server.demo;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.checkin.Ownership;

/** What owners of the demo shop tell at the counter: of each fault some of what it shows, and now and then something else. */
final class DemoTold {

    private static final double TELLS_THE_USUAL = 0.82;
    private static final double SOMETHING_ELSE = 0.1;

    /** What a fault shows beside its usual symptom, and how often. */
    private static final Map<String, Map<String, Double>> ALSO = Map.ofEntries(
            Map.entry("hinge ribbon", Map.of("restarts when moved", 0.2, "no sound", 0.1)),
            Map.entry("supply plug", Map.of("goes off by itself", 0.35, "dead", 0.15)),
            Map.entry("ribbon clip", Map.of("keys dead", 0.45)),
            Map.entry("main supply", Map.of("starts only sometimes", 0.4, "dead", 0.2, "restarts when moved", 0.15)),
            Map.entry("drawer belt", Map.of("squeals", 0.2, "door does not open", 0.1)),
            Map.entry("door latch", Map.of("does not take disc", 0.25)),
            Map.entry("carousel belt", Map.of("does not take disc", 0.3, "squeals", 0.1)),
            Map.entry("lens", Map.of("does not read", 0.35, "throws disc out", 0.2)),
            Map.entry("inlet filter", Map.of("blows its fuse", 0.3, "dead", 0.25)),
            Map.entry("sled belt", Map.of("skips or sticks", 0.4)),
            Map.entry("idler tyre", Map.of("plays slow or wavers", 0.3, "squeals", 0.1)),
            Map.entry("capstan belt", Map.of("eats tape", 0.25, "squeals", 0.15)),
            Map.entry("record switch", Map.of("one side silent", 0.4, "hums", 0.15)),
            Map.entry("keyboard membrane", Map.of("keys need force", 0.3)),
            Map.entry("drive belt", Map.of("does not read", 0.4, "squeals", 0.15)),
            Map.entry("video chip", Map.of("picture rolls or tears", 0.3, "starts only sometimes", 0.2)),
            Map.entry("keyboard socket", Map.of("keys need force", 0.2)),
            Map.entry("lid", Map.of("grinds", 0.35, "does not read", 0.2)),
            Map.entry("heads", Map.of("does not save", 0.4, "skips or sticks", 0.1)),
            Map.entry("rail grease", Map.of("does not read", 0.3)),
            Map.entry("fan bearing", Map.of("gets hot", 0.3, "rattles while spinning", 0.15)));

    private static final List<String> ODDITIES = List.of("case broken", "socket loose", "gets hot", "hums");

    /** Minor units that a mended one fetches, about. */
    private static final Map<String, Integer> FETCHES =
            Map.of("Q2", 8200, "CD-5", 11500, "Duo", 7400, "LR-20", 5600, "Tern", 13500, "Gannet", 19000, "FD-3", 4600);

    private final DemoPlan.Visit visit;
    private final Random random;

    DemoTold(DemoPlan.Visit visit) {
        this.visit = visit;
        this.random = new Random(97L * visit.unit().number() + Math.round(visit.daysAgo()));
    }

    Arrival arrival() {
        Set<String> present = new LinkedHashSet<>();
        for (DemoPlan.Seen seen : visit.seen()) {
            if (random.nextDouble() < TELLS_THE_USUAL) {
                present.add(seen.fault().symptom());
            }
            new TreeMap<>(ALSO.get(seen.fault().component())).forEach((symptom, chance) -> {
                if (random.nextDouble() < chance) {
                    present.add(symptom);
                }
            });
        }
        if (present.isEmpty()) {
            present.add(visit.seen().get(0).fault().symptom());
        }
        if (random.nextDouble() < SOMETHING_ELSE) {
            present.add(ODDITIES.get(random.nextInt(ODDITIES.size())));
        }
        List<Arrival.Symptom> symptoms = new ArrayList<>();
        present.forEach(name -> symptoms.add(new Arrival.Symptom(name, true)));
        asked(present).forEach(name -> symptoms.add(new Arrival.Symptom(name, false)));
        Set<ArrivalMark> marks = marks();
        return new Arrival(
                DemoWords.complaint(present.iterator().next(), visit.luck()),
                symptoms,
                marks,
                "",
                List.of(),
                belongings(),
                List.of(),
                marks.contains(ArrivalMark.DENTS) ? Map.of(ArrivalMark.DENTS, "front left corner") : Map.of());
    }

    /** Marit asks for what such units often have. */
    private List<String> asked(Set<String> present) {
        if (visit.luck() % 3 == 1) {
            return List.of();
        }
        return DemoFaults.ALL.stream()
                .filter(fault -> fault.model().equals(visit.unit().model()))
                .map(DemoFaults.Fault::symptom)
                .distinct()
                .filter(name -> !present.contains(name))
                .skip(visit.luck() % 2)
                .limit(1 + visit.luck() % 2)
                .toList();
    }

    private Set<ArrivalMark> marks() {
        Set<ArrivalMark> marks = new TreeSet<>();
        marks.add(visit.luck() % 4 == 0 ? ArrivalMark.SEAL_BROKEN : ArrivalMark.SEAL_WHOLE);
        if (visit.luck() % 7 == 0) {
            marks.add(ArrivalMark.EARLIER_ATTEMPT);
            marks.remove(ArrivalMark.SEAL_WHOLE);
        }
        if (visit.seen().get(0).fault().wrong().equals("bent") || visit.luck() % 29 == 5) {
            marks.add(ArrivalMark.DENTS);
        }
        if (visit.ending() == DemoPlan.Ending.NOT_STARTED) {
            switch (visit.unit().model()) {
                case "CD-5" -> marks.add(ArrivalMark.BURNT_SMELL);
                case "Q2" -> marks.add(ArrivalMark.SWOLLEN_CELL);
                default -> {}
            }
        }
        return marks;
    }

    private List<String> belongings() {
        List<String> things = new ArrayList<>();
        if (visit.luck() % 2 == 0) {
            things.add("mains lead");
        }
        if (visit.luck() % 9 == 4 && visit.daysAgo() < 20) {
            things.add("disc inside, one long scratch");
        }
        return things;
    }

    boolean toBeSold() {
        return visit.unit().ownership() == Ownership.RESALE;
    }

    /** About a ninth of what it will fetch. */
    long paid() {
        return FETCHES.get(visit.unit().model()) / 9 / 50 * 50 + 50L * (visit.luck() % 5);
    }

    /** Now and then the fault is told and the unit goes as it is. */
    boolean soldAsItIs() {
        return toBeSold() && visit.luck() % 9 == 2;
    }

    long fetched() {
        double part = (soldAsItIs() ? 0.34 : 1) * (0.82 + 0.36 * random.nextDouble());
        return Math.round(FETCHES.get(visit.unit().model()) * part / 100) * 100;
    }
}
