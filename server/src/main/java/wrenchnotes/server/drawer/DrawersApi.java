package wrenchnotes.server.drawer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.kind.PartShape;
import wrenchnotes.core.drawer.kind.ThingPart;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.server.ground.Snapshot;

/** The drawers as they stand: what lies in each, drawn to scale. */
@RestController
class DrawersApi {

    /** More than this nobody sees in a drawing; the drawer lists the rest. */
    private static final int DRAWN = 10;

    private final DrawerStore drawers;
    private final Snapshot snapshot;

    DrawersApi(DrawerStore drawers, Snapshot snapshot) {
        this.drawers = drawers;
        this.snapshot = snapshot;
    }

    /** @param shape how large it is drawn; empty if nobody knows what it is @param group a fastener as the notes draw it */
    public record Lies(
            DrawerStore.Part part,
            Optional<PartShape> shape,
            Optional<FastenerGroup> group,
            Optional<FastenerShape> fastener) {}

    /**
     * @param parts how many sorts of parts belong in it
     * @param low how many of those are out, or at their least
     * @param promised how many pieces of it are set aside for jobs
     * @param kinds what lies in it, the most of one kind first
     * @param lies the first few, those that are low first
     */
    public record Drawer(String name, int parts, int low, int promised, List<String> kinds, List<Lies> lies) {}

    /** @param unread how many parts there are of which nobody has said what they are */
    public record Drawers(List<Drawer> drawers, int parts, int unread) {}

    @GetMapping("/api/drawers")
    Drawers drawers() {
        List<DrawerStore.Part> all = snapshot.read(drawers::parts);
        Map<String, List<DrawerStore.Part>> byDrawer = new LinkedHashMap<>();
        all.forEach(part -> byDrawer.computeIfAbsent(part.drawer(), name -> new ArrayList<>())
                .add(part));
        List<Drawer> shown = byDrawer.entrySet().stream()
                .map(entry -> drawer(entry.getKey(), entry.getValue()))
                .sorted(Comparator.comparing(Drawer::name, DrawersApi::inOrder))
                .toList();
        return new Drawers(shown, all.size(), (int)
                all.stream().filter(part -> part.spec().isEmpty()).count());
    }

    /** The parts of which nobody has said what they are: one list to go through. */
    @GetMapping("/api/parts/unread")
    List<DrawerStore.Part> unread() {
        return snapshot.read(drawers::unread);
    }

    /** All that belongs in one drawer. */
    @GetMapping("/api/drawers/one")
    List<Lies> one(@RequestParam String drawer) {
        return snapshot.read(() -> drawers.inDrawer(drawer)).stream()
                .map(DrawersApi::lies)
                .toList();
    }

    private static Drawer drawer(String name, List<DrawerStore.Part> parts) {
        return new Drawer(
                name,
                parts.size(),
                (int) parts.stream().filter(DrawerStore.Part::low).count(),
                parts.stream().mapToInt(DrawerStore.Part::promised).sum(),
                kinds(parts),
                parts.stream()
                        .sorted(Comparator.comparing(part -> !part.low()))
                        .limit(DRAWN)
                        .map(DrawersApi::lies)
                        .toList());
    }

    private static List<String> kinds(List<DrawerStore.Part> parts) {
        Map<String, Long> counts = parts.stream()
                .flatMap(part -> part.spec().stream())
                .collect(Collectors.groupingBy(spec -> spec.kind().words(), LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
    }

    static Lies lies(DrawerStore.Part part) {
        Optional<FastenerGroup> group = part.spec().flatMap(spec -> ThingPart.asGroup(part.name(), spec));
        return new Lies(
                part, part.spec().map(spec -> PartShape.of(part.name(), spec)), group, group.map(FastenerShape::of));
    }

    /** Drawer 2 stands before drawer 16. */
    private static int inOrder(String one, String other) {
        return key(one).compareTo(key(other));
    }

    private static String key(String name) {
        StringBuilder key = new StringBuilder();
        for (String part : name.split("(?<=\\D)(?=\\d)|(?<=\\d)(?=\\D)")) {
            key.append(part.matches("\\d+") ? ("0".repeat(12) + part).substring(part.length()) : part);
        }
        return key.toString();
    }
}
