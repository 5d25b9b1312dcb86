package wrenchnotes.server.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;

/** Two troubles that the demo shop is to find in its own figures: fans that run dry in the last quarter, and a delivery of cheap belts that do not last. */
final class DemoTrouble {

    static final String CHEAP_BELT = "belt 95 × 3 flat, grey";
    /** So many days ago. */
    static final int BELTS_CAME = 305;

    private static final int[] FANS = {86, 77, 70, 61, 54, 48, 41, 35, 29, 24};
    private static final List<String> FANS_OF =
            List.of("Odelle, deck two", "Lighthouse hostel", "Nettle, island post", "Corvin, car deck");

    /** When a belt went in, and after how many days the unit was back; 0 if it was not. */
    private static final int[][] BELTS = {
        {301, 0}, {298, 34}, {294, 61}, {291, 0}, {287, 27}, {284, 78}, {279, 45}, {275, 0}, {270, 52}
    };

    private DemoTrouble() {}

    /** @param number of the first unit */
    static List<DemoPlan.Visit> visits(int number) {
        List<DemoPlan.Visit> visits = new ArrayList<>();
        int next = number;
        for (int fan = 0; fan < FANS.length; fan++) {
            visits.add(visit(
                    unit(next++, DemoFaults.DRY_BEARING, FANS_OF.get(fan % FANS_OF.size())),
                    FANS[fan],
                    DemoFaults.DRY_BEARING,
                    DemoFaults.DRY_BEARING.ways().get(0)));
        }
        DemoFaults.Fault worn = DemoFaults.ALL.stream()
                .filter(fault -> fault.component().equals("capstan belt"))
                .findFirst()
                .orElseThrow();
        DemoFaults.Way cheap = new DemoFaults.Way(Remedy.REPLACED, 1, 0, CHEAP_BELT);
        for (int[] belt : BELTS) {
            DemoPlan.Unit unit = unit(next++, worn, "Saltmarsh Language School");
            visits.add(visit(unit, belt[0], worn, cheap));
            if (belt[1] > 0) {
                visits.add(visit(unit, belt[0] - belt[1], worn, worn.ways().get(0)));
            }
        }
        return visits;
    }

    private static DemoPlan.Unit unit(int number, DemoFaults.Fault fault, String owner) {
        String serial = fault.model().replace("-", "") + "T-" + (10_000 + number * 37);
        return new DemoPlan.Unit(
                number, fault.model(), fault.revision(), serial, Ownership.CUSTOMER, Optional.of(owner));
    }

    private static DemoPlan.Visit visit(DemoPlan.Unit unit, int daysAgo, DemoFaults.Fault fault, DemoFaults.Way way) {
        return new DemoPlan.Visit(
                unit, daysAgo + 0.3, List.of(new DemoPlan.Seen(fault, way)), DemoPlan.Ending.HANDED_OVER, 20);
    }
}
