package wrenchnotes.server.browser;

import static wrenchnotes.server.Client.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wrenchnotes.server.Client;

/** A player of which each layer lies under the one before. */
final class TwelveDeep {

    static final int STEPS = 12;
    static final int WAITS_AT = 3;
    static final int PLUG_AT = 12;

    private TwelveDeep() {}

    /** Twelve steps, each under the one before; the third with a wait, the last with a plug. */
    static long takenIn(Client lead) {
        List<Map<String, Object>> steps = new ArrayList<>();
        for (int n = 1; n <= STEPS; n++) {
            Map<String, Object> step = body(
                    "id",
                    "s" + n,
                    "title",
                    "Layer " + n + " off",
                    "side",
                    n % 2 == 0 ? "TOP" : "BOTTOM",
                    "tool",
                    "PH1",
                    "minutes",
                    2,
                    "needs",
                    n == 1 ? List.of() : List.of("s" + (n - 1)),
                    "fasteners",
                    List.of(screws(n)));
            if (n == WAITS_AT) {
                step.put("waitHours", 24);
                step.put("caution", "Left off for a day and discharged by someone trained.");
            }
            if (n == PLUG_AT) {
                step.put("connectors", List.of(Map.of("id", "plug", "label", "motor plug", "mark", "red to the edge")));
            }
            steps.add(step);
        }
        Map<String, Object> overview = body(
                "before",
                "Drawer out, then unplug",
                "checks",
                List.of(
                        Map.of("stage", "BEFORE_CLOSING", "what", "turns by hand", "load", "", "times", 1),
                        Map.of("stage", "AFTER_CLOSING", "what", "plays to the end", "load", "disc 3", "times", 2)));
        return TakenIn.job(lead, "Deep 12", "PLAYER", overview, steps, List.of());
    }

    /** Three of each, every layer a little longer than the one above. */
    private static Map<String, Object> screws(int n) {
        return body(
                "id",
                "f" + n,
                "label",
                "step-" + n,
                "head",
                "CROSS",
                "size",
                "PH1",
                "thread",
                "TAPPING",
                "diameterMm",
                2.9,
                "lengthMm",
                5 + n,
                "finish",
                "BLACK",
                "count",
                3);
    }
}
