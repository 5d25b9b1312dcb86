package wrenchnotes.server.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wrenchnotes.core.teardown.Overview.WatchPoint;

/** What is often wrong with a revision: as its notes say, and as the shop's own history counts. */
final class Watches {

    private Watches() {}

    static List<Gate.Watch> of(BenchState state, List<Long> looked, List<Beside.Usual> usual) {
        Map<Long, List<String>> words = new LinkedHashMap<>();
        for (WatchPoint point : state.run().notes().overview().watch()) {
            words.computeIfAbsent(point.component(), id -> new ArrayList<>()).add(point.words());
        }
        for (Beside.Usual one : usual) {
            words.computeIfAbsent(one.component(), id -> new ArrayList<>(List.of("look at the " + one.name())))
                    .add("at fault in " + one.jobs() + " of " + one.of() + " here");
        }
        return words.entrySet().stream()
                .map(one ->
                        new Gate.Watch(one.getKey(), String.join("; ", one.getValue()), looked.contains(one.getKey())))
                .toList();
    }
}
