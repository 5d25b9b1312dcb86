package wrenchnotes.server.demo;

import static wrenchnotes.core.check.Stage.AFTER_CLOSING;
import static wrenchnotes.core.check.Stage.BEFORE_CLOSING;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.TestPoint;
import wrenchnotes.core.teardown.TestPoint.PointKind;

/** What the demo shop's notes say of each model as a whole, what else its components are called, and what they are. */
final class DemoWholes {

    /** @param inside maker and name of the model that it is; empty if it is none */
    record Part(String component, List<String> aliases, List<String> inside) {}

    private final List<Part> parts = new ArrayList<>();
    private final List<Overview.ServiceMode> modes = new ArrayList<>();
    private final List<Overview.PlannedCheck> checks = new ArrayList<>();
    private final List<String[]> watch = new ArrayList<>();
    private final List<String[]> lookOver = new ArrayList<>();
    private final List<Function<ToLongFunction<String>, TestPoint>> measured = new ArrayList<>();
    private String before = "";

    private DemoWholes() {}

    static DemoWholes of(String model, String revision) {
        DemoWholes whole = new DemoWholes();
        switch (model) {
            case "Q2" ->
                whole.first("Disc slot empty, lead pulled")
                        .mode(
                                "lamp test",
                                "hold A and the bell while it is switched on",
                                "all five lamps, then the score 88")
                        .check(BEFORE_CLOSING, "every buzzer answers, panel folded by hand", "", 2)
                        .check(BEFORE_CLOSING, "powers up and restarts when rocked", "", 1)
                        .check(AFTER_CLOSING, "a whole round of questions", "the worn quiz disc", 2)
                        .called("hinge ribbon", "panel tail")
                        .watch(
                                revision.equals("B") ? "ribbon clip" : "supply plug",
                                revision.equals("B") ? "press the clip home with a thumb" : "pull at the plug: loose?");
            case "CD-5" ->
                whole.first("All five places empty, drawer in, then unplug")
                        .mode(
                                "lift by hand",
                                "hold stop and 5 at power-up",
                                "the lift stops half way; display reads L1")
                        .byHand("drawer and lift by hand, all five places", 2)
                        .check(BEFORE_CLOSING, "loads and reads with the lid off", "the scratched choir disc", 2)
                        .check(AFTER_CLOSING, "loads, plays, throws out", "the scratched choir disc", 3)
                        .called("lift cam", "rocker", "see-saw")
                        .called("sled belt", "tracking belt")
                        .watch("drawer belt", "warm it, pull it: does it come back?");
            case "LR-20" ->
                whole.first("Tape out, cells out, no key pressed")
                        .byHand("all keys latch and let go", 3)
                        .check(AFTER_CLOSING, "plays and records both sides", "lesson tape three", 2)
                        .called("idler tyre", "pinch tyre")
                        .watch("idler tyre", "shines? then it slips");
            case "Duo" ->
                whole.first("Disc and tape out, then unplug")
                        .check(BEFORE_CLOSING, "reads a disc, winds a tape", "", 1)
                        .check(AFTER_CLOSING, "plays a disc and a tape", "lesson disc one", 2)
                        .rail("18 V~", PointKind.WINDING, "", 18, "outer pins of the white plug")
                        .rail("25 V raw", PointKind.RAW, "18 V~", 25, "plus of the tall capacitor")
                        .rail("15 V", PointKind.REGULATED, "25 V raw", 15, "right leg of the finned one")
                        .rail("8 V~", PointKind.WINDING, "", 8, "inner pins of the white plug")
                        .rail("10 V raw", PointKind.RAW, "8 V~", 10, "plus of the squat capacitor")
                        .rail("5 V", PointKind.REGULATED, "10 V raw", 5, "right leg of the bare one")
                        .point("eye", "lens", 0.9, "ring 3 beside the sled, black at the shield", "playing, warm")
                        .point("tape motor", "idler tyre", 2.4, "the two tags of the motor", "winding, no tape in");
            case "Tern" ->
                whole.first("Disk out, then unplug at the wall")
                        .mode("keyboard echo", "hold both shift keys at power-up", "each key as it is pressed")
                        .check(BEFORE_CLOSING, "every key, by the echo", "", 1)
                        .check(AFTER_CLOSING, "starts, reads, saves", "tide tables disk", 2)
                        .inside("disc drive", "Fennrick", "FD-3")
                        .called("drive belt", "spindle belt");
            case "Gannet" ->
                whole.first("Off and unplugged for a day, screen on the cloth")
                        .byHand("every plug tugged, the strap of the screen on its screw", 1)
                        .check(AFTER_CLOSING, "starts, reads, saves", "tide tables disk", 2)
                        .inside("disc drive", "Fennrick", "FD-3");
            default ->
                whole.byHand("door and carriage by hand", 2)
                        .check(AFTER_CLOSING, "reads from end to end", "the worst disk of the box", 2)
                        .watch(
                                revision.startsWith("flat") ? "lid" : "fan bearing",
                                revision.startsWith("flat") ? "lay a ruler over the lid" : "spin it by hand: dry?")
                        .afterFall("lid", "flat? a ruler across both corners")
                        .afterFall("door latch", "closes by its own weight")
                        .afterFall("heads", "arm straight, heads meet");
        }
        return whole;
    }

    List<Part> parts() {
        return parts;
    }

    Overview overview(ToLongFunction<String> componentId) {
        return new Overview(
                before,
                modes,
                checks,
                points(watch, componentId),
                points(lookOver, componentId),
                measured.stream().map(point -> point.apply(componentId)).toList());
    }

    private static List<Overview.WatchPoint> points(List<String[]> said, ToLongFunction<String> componentId) {
        return said.stream()
                .map(point -> new Overview.WatchPoint(componentId.applyAsLong(point[0]), point[1]))
                .toList();
    }

    private DemoWholes first(String words) {
        before = words;
        return this;
    }

    private DemoWholes mode(String name, String keys, String shows) {
        modes.add(new Overview.ServiceMode(name, keys, shows));
        return this;
    }

    private DemoWholes check(Stage stage, String what, String load, int times) {
        checks.add(new Overview.PlannedCheck(stage, what, load, times));
        return this;
    }

    private DemoWholes byHand(String what, int times) {
        checks.add(new Overview.PlannedCheck("", BEFORE_CLOSING, what, "", times, Overview.Terms.BY_HAND));
        return this;
    }

    private DemoWholes watch(String component, String words) {
        watch.add(new String[] {component, words});
        return this;
    }

    private DemoWholes rail(String name, PointKind kind, String from, double volts, String probes) {
        measured.add(id -> new TestPoint(
                name,
                kind,
                id.applyAsLong("supply board"),
                from,
                Optional.of(volts),
                Optional.empty(),
                Optional.empty(),
                "",
                probes,
                "under power",
                "board"));
        return this;
    }

    private DemoWholes point(String name, String component, double least, String probes, String conditions) {
        measured.add(id -> new TestPoint(
                name,
                PointKind.OTHER,
                id.applyAsLong(component),
                "",
                Optional.empty(),
                Optional.of(least),
                Optional.empty(),
                "",
                probes,
                conditions,
                ""));
        return this;
    }

    private DemoWholes afterFall(String component, String words) {
        lookOver.add(new String[] {component, words});
        return this;
    }

    private DemoWholes called(String component, String... aliases) {
        parts.add(new Part(component, List.of(aliases), List.of()));
        return this;
    }

    private DemoWholes inside(String component, String maker, String model) {
        parts.add(new Part(component, List.of(), List.of(maker, model)));
        return this;
    }
}
