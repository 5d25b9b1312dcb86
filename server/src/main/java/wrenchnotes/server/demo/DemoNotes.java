package wrenchnotes.server.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Order;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Spot;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.StaysAs;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.teardown.Toll;
import wrenchnotes.core.teardown.Tool;

/** Writes the notes of a demo revision, a line a step. */
final class DemoNotes {

    private final Map<String, Line> lines = new LinkedHashMap<>();

    /** One step while it is being written. */
    static final class Line {

        private final String id;
        private final String title;
        private final Side side;
        private final String tool;
        private final double minutes;
        private final Set<String> needs = new TreeSet<>();
        private final List<FastenerGroup> fasteners = new ArrayList<>();
        private final List<Connector> connectors = new ArrayList<>();
        private final List<LoosePiece> pieces = new ArrayList<>();
        private final List<String> exposes = new ArrayList<>();
        private final List<Staying> stays = new ArrayList<>();
        private final Set<String> backAfter = new TreeSet<>();
        private String how = "";
        private String caution = "";
        private String insteadOf = "";
        private long partsMinor;
        private boolean reversible = true;
        private String mustBeTrue = "";
        private String closeUp = "";
        private int waitHours;

        private Line(String id, String title, Side side, String tool, double minutes) {
            this.id = id;
            this.title = title;
            this.side = side;
            this.tool = tool;
            this.minutes = minutes;
        }

        private Step step(ToLongFunction<String> componentId) {
            return new Step(
                    id,
                    title,
                    new Doing(how, side, tool, minutes, mustBeTrue, closeUp),
                    new Caution(caution, waitHours),
                    new Order(needs, insteadOf, backAfter),
                    new Toll(partsMinor, reversible),
                    new Things(fasteners, connectors, pieces),
                    exposes.stream().map(componentId::applyAsLong).collect(Collectors.toSet()),
                    List.of(),
                    stays);
        }

        Line needs(String... ids) {
            needs.addAll(List.of(ids));
            return this;
        }

        Line stays(String what, StaysAs as, String words) {
            stays.add(new Staying(id + "-s" + stays.size(), what, as, words));
            return this;
        }

        Line how(String words) {
            how = words;
            return this;
        }

        Line caution(String words) {
            caution = words;
            return this;
        }

        /** One of several ways to the same end. */
        Line insteadOf(String group, long parts, boolean canBeUndone) {
            insteadOf = group;
            partsMinor = parts;
            reversible = canBeUndone;
            return this;
        }

        Line first(String words) {
            mustBeTrue = words;
            return this;
        }

        Line closeUp(String words) {
            closeUp = words;
            return this;
        }

        Line backAfter(String step) {
            backAfter.add(step);
            return this;
        }

        Line leftOff(int hours) {
            waitHours = hours;
            return this;
        }

        /** The fasteners named last hide under something. */
        Line under(String what) {
            FastenerGroup last = fasteners.remove(fasteners.size() - 1);
            fasteners.add(new FastenerGroup(
                    last.id(),
                    last.label(),
                    last.head(),
                    last.size(),
                    last.thread(),
                    last.diameterMm(),
                    last.lengthMm(),
                    last.finish(),
                    last.count(),
                    what,
                    last.spots()));
            return this;
        }

        /** Where the fasteners named last sit, on the side that is up: x and y in turn, 0 to 1. */
        Line at(double... places) {
            FastenerGroup last = fasteners.remove(fasteners.size() - 1);
            List<Spot> spots = new ArrayList<>();
            for (int n = 0; n < places.length; n += 2) {
                spots.add(new Spot(places[n], places[n + 1]));
            }
            fasteners.add(new FastenerGroup(
                    last.id(),
                    last.label(),
                    last.head(),
                    last.size(),
                    last.thread(),
                    last.diameterMm(),
                    last.lengthMm(),
                    last.finish(),
                    last.count(),
                    last.hides(),
                    spots));
            return this;
        }

        private String driver() {
            return Tool.listed(tool).get(0).name();
        }

        Line machine(int count, String label, double diameter, double length, Finish finish) {
            return screws(count, label, Head.CROSS, driver(), ThreadForm.MACHINE, diameter, length, finish);
        }

        Line tapping(int count, String label, double diameter, double length, Finish finish) {
            return screws(count, label, Head.CROSS, driver(), ThreadForm.TAPPING, diameter, length, finish);
        }

        Line lobular(int count, String label, double diameter, double length, Finish finish) {
            return screws(count, label, Head.HEXALOBULAR, driver(), ThreadForm.TAPPING, diameter, length, finish);
        }

        Line pinned(int count, String label, double diameter, double length, Finish finish) {
            return screws(
                    count, label, Head.HEXALOBULAR_SECURITY, driver(), ThreadForm.TAPPING, diameter, length, finish);
        }

        Line rivets(int count, String label, double diameter, double length) {
            return screws(count, label, Head.RIVET, "", ThreadForm.NONE, diameter, length, Finish.BLACK);
        }

        Line clips(int count, String label, double width, double length) {
            return screws(count, label, Head.CLIP, "", ThreadForm.NONE, width, length, Finish.SILVER);
        }

        private Line screws(
                int count,
                String label,
                Head head,
                String size,
                ThreadForm thread,
                double diameter,
                double length,
                Finish finish) {
            fasteners.add(new FastenerGroup(
                    id + "-f" + fasteners.size(),
                    label,
                    head,
                    size,
                    thread,
                    diameter,
                    length,
                    finish,
                    count,
                    "",
                    null));
            return this;
        }

        Line plug(String label, String mark) {
            connectors.add(new Connector(id + "-c" + connectors.size(), label, mark, mark.isEmpty(), ""));
            return this;
        }

        Line piece(String label, String hint) {
            pieces.add(new LoosePiece(id + "-p" + pieces.size(), label, hint, 1));
            return this;
        }

        /** Does not survive the step. */
        Line usesUp(String label, String hint) {
            pieces.add(new LoosePiece(id + "-p" + pieces.size(), label, hint, 1, true));
            return this;
        }

        Line exposes(String... components) {
            exposes.addAll(List.of(components));
            return this;
        }
    }

    Line step(String id, String title, Side side, String tool, double minutes) {
        Line line = new Line(id, title, side, tool, minutes);
        lines.put(id, line);
        return line;
    }

    /** The names of all components that some step exposes. */
    List<String> components() {
        return lines.values().stream()
                .flatMap(line -> line.exposes.stream())
                .distinct()
                .toList();
    }

    /** The steps to do, in the order of the notes, to reach a component. */
    List<String> wayTo(String component) {
        Line reaching = lines.values().stream()
                .filter(line -> line.exposes.contains(component))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No step exposes " + component));
        Set<String> needed = new TreeSet<>();
        need(reaching.id, needed);
        return inOrder(needed);
    }

    double minutes(String step) {
        return lines.get(step).minutes;
    }

    /** These steps in the order of the notes. */
    List<String> inOrder(Set<String> steps) {
        return lines.keySet().stream().filter(steps::contains).toList();
    }

    private void need(String id, Set<String> needed) {
        // Of several ways the demo's benches take the first.
        String step = lines.containsKey(id)
                ? id
                : lines.values().stream()
                        .filter(line -> line.insteadOf.equals(id))
                        .findFirst()
                        .orElseThrow()
                        .id;
        if (needed.add(step)) {
            lines.get(step).needs.forEach(need -> need(need, needed));
        }
    }

    Teardown teardown(Overview overview, ToLongFunction<String> componentId) {
        return Teardown.of(
                overview,
                lines.values().stream().map(line -> line.step(componentId)).toList());
    }
}
