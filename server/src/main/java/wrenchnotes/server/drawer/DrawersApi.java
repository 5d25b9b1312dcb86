package wrenchnotes.server.drawer;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.kind.PartKind;
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

    /** Drawers a page: sixteen rows of three. */
    private static final int PAGE = 48;

    private final DrawerStore drawers;
    private final WallStore wall;
    private final Snapshot snapshot;

    DrawersApi(DrawerStore drawers, WallStore wall, Snapshot snapshot) {
        this.drawers = drawers;
        this.wall = wall;
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

    /**
     * @param drawers some of them, in their order
     * @param all how many there are
     * @param low how many of all have something that is low
     * @param unread how many parts there are of which nobody has said what they are
     */
    public record Drawers(List<Drawer> drawers, int all, int low, int parts, int unread) {}

    /** @param from how many drawers go before the first that is shown */
    @GetMapping("/api/drawers")
    Drawers drawers(@RequestParam(defaultValue = "0") @Min(0) @Max(100_000) int from) {
        return snapshot.read(() -> {
            List<WallStore.KindIn> kinds = wall.kinds();
            Map<String, List<WallStore.KindIn>> byDrawer =
                    kinds.stream().collect(Collectors.groupingBy(WallStore.KindIn::drawer));
            List<String> names = byDrawer.keySet().stream()
                    .sorted(DrawersApi::inOrder)
                    .skip(from)
                    .limit(PAGE)
                    .toList();
            Map<String, List<DrawerStore.Part>> lie =
                    drawers.inDrawers(names).stream().collect(Collectors.groupingBy(DrawerStore.Part::drawer));
            return new Drawers(
                    names.stream()
                            .map(name -> drawer(name, byDrawer.get(name), lie.get(name)))
                            .toList(),
                    byDrawer.size(),
                    (int) byDrawer.values().stream().filter(DrawersApi::low).count(),
                    sum(kinds, WallStore.KindIn::parts),
                    sum(kinds.stream().filter(one -> one.kind().isEmpty()).toList(), WallStore.KindIn::parts));
        });
    }

    private static boolean low(List<WallStore.KindIn> kinds) {
        return kinds.stream().anyMatch(one -> one.low() > 0);
    }

    private static int sum(List<WallStore.KindIn> kinds, ToIntFunction<WallStore.KindIn> what) {
        return kinds.stream().mapToInt(what).sum();
    }

    /** The parts of which nobody has said what they are: one list to go through. */
    @GetMapping("/api/parts/unread")
    List<DrawerStore.Part> unread() {
        return snapshot.read(drawers::unread);
    }

    /** All that belongs in one drawer. */
    @GetMapping("/api/drawers/one")
    List<Lies> one(@RequestParam String drawer) {
        return snapshot.read(() -> drawers.inDrawers(List.of(drawer))).stream()
                .map(DrawersApi::lies)
                .toList();
    }

    private static Drawer drawer(String name, List<WallStore.KindIn> kinds, List<DrawerStore.Part> lie) {
        return new Drawer(
                name,
                sum(kinds, WallStore.KindIn::parts),
                sum(kinds, WallStore.KindIn::low),
                sum(kinds, WallStore.KindIn::promised),
                kinds.stream()
                        .sorted(Comparator.comparing(one -> -one.parts()))
                        .flatMap(one -> one.kind().stream())
                        .map(PartKind::words)
                        .toList(),
                lie.stream()
                        .sorted(Comparator.comparing(part -> !part.low()))
                        .limit(DRAWN)
                        .map(DrawersApi::lies)
                        .toList());
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
