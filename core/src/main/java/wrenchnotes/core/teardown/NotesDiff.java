package wrenchnotes.core.teardown;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Spoken;
import wrenchnotes.core.unit.Words;

/**
 * How one teardown differs from another, step by step: two revisions, or two versions of one. Steps and things are the
 * same when they have the same id.
 *
 * @param whole what differs in what is said of the revision as a whole, a line each
 * @param steps those that differ, in the order of the later notes, gone ones last
 * @param orderChanged whether the steps that both have stand in another order
 */
public record NotesDiff(List<String> whole, List<StepDiff> steps, boolean orderChanged) {

    public enum Sort implements Spoken {
        ADDED,
        GONE,
        CHANGED
    }

    /** @param changes a line for each thing that differs: "at the plate: 6 rivets → 10 cross PH1 2.9 × 12" */
    public record StepDiff(String id, String title, Sort sort, List<String> changes) {}

    public static NotesDiff between(Teardown earlier, Teardown later) {
        Map<String, Step> before = byId(earlier);
        Map<String, Step> after = byId(later);
        List<StepDiff> steps = new ArrayList<>();
        after.values().forEach(step -> {
            Step was = before.get(step.id());
            if (was == null) {
                steps.add(new StepDiff(step.id(), step.title(), Sort.ADDED, List.of()));
            } else if (!was.equals(step)) {
                steps.add(new StepDiff(step.id(), step.title(), Sort.CHANGED, changes(was, step, earlier, later)));
            }
        });
        before.values().stream()
                .filter(step -> !after.containsKey(step.id()))
                .map(step -> new StepDiff(step.id(), step.title(), Sort.GONE, List.of()))
                .forEach(steps::add);
        return new NotesDiff(
                overviews(earlier.overview(), later.overview()),
                steps,
                !common(before, after).equals(common(after, before)));
    }

    /** All of it, a line each: "The lid: at the plate: 6 rivets → 10 cross". */
    public List<String> lines() {
        List<String> lines = new ArrayList<>(whole);
        for (StepDiff step : steps) {
            if (step.sort() == Sort.CHANGED) {
                step.changes()
                        .forEach(change -> lines.add(
                                change.startsWith(step.title() + ":") ? change : step.title() + ": " + change));
            } else {
                lines.add(step.title() + ": " + step.sort().words());
            }
        }
        if (orderChanged) {
            lines.add("the order of the steps");
        }
        return lines;
    }

    public boolean nothing() {
        return whole.isEmpty() && steps.isEmpty() && !orderChanged;
    }

    private static List<String> overviews(Overview was, Overview is) {
        List<String> lines = new ArrayList<>();
        line(lines, "before step one", was.before(), is.before());
        listed(
                lines,
                "service mode",
                was.modes(),
                is.modes(),
                mode -> mode.name() + ": " + mode.keys() + (mode.shows().isEmpty() ? "" : ", shows " + mode.shows()));
        listed(
                lines,
                "check",
                was.checks(),
                is.checks(),
                check -> check.what() + ", " + check.stage().words()
                        + (check.load().isEmpty() ? "" : ", with " + check.load())
                        + (check.times() > 1 ? ", " + check.times() + " times" : ""));
        listed(lines, "watch point", was.watch(), is.watch(), Overview.WatchPoint::words);
        listed(lines, "look after a fall", was.lookOver(), is.lookOver(), Overview.WatchPoint::words);
        listed(lines, "test point", was.points(), is.points(), TestPoint::words);
        return lines;
    }

    private static <T> void listed(
            List<String> lines, String what, List<T> was, List<T> is, Function<T, String> words) {
        is.stream().filter(one -> !was.contains(one)).forEach(one -> lines.add(what + " added: " + words.apply(one)));
        was.stream().filter(one -> !is.contains(one)).forEach(one -> lines.add(what + " gone: " + words.apply(one)));
    }

    private static List<String> common(Map<String, Step> of, Map<String, Step> with) {
        return of.keySet().stream().filter(with::containsKey).toList();
    }

    private static Map<String, Step> byId(Teardown notes) {
        return notes.steps().stream()
                .collect(Collectors.toMap(Step::id, Function.identity(), (one, other) -> one, LinkedHashMap::new));
    }

    private static List<String> changes(Step was, Step is, Teardown earlier, Teardown later) {
        List<String> lines = new ArrayList<>();
        line(lines, "title", was.title(), is.title());
        line(lines, "how", was.how(), is.how());
        line(lines, "caution", was.caution(), is.caution());
        line(lines, "needs first", titles(was.needs(), earlier), titles(is.needs(), later));
        line(lines, "side", was.side().words(), is.side().words());
        line(lines, "tool", was.tool(), is.tool());
        line(lines, "minutes", number(was.minutes()), number(is.minutes()));
        things(lines, was, is);
        line(lines, "exposes", counted(was.exposes()), counted(is.exposes()));
        line(lines, "instead of", was.insteadOf(), is.insteadOf());
        line(lines, "parts it costs", String.valueOf(was.partsMinor()), String.valueOf(is.partsMinor()));
        line(lines, "can be undone", was.reversible() ? "yes" : "no", is.reversible() ? "yes" : "no");
        line(lines, "must be so first", was.mustBeTrue(), is.mustBeTrue());
        line(lines, "on the way back", was.closeUp(), is.closeUp());
        line(lines, "goes back after", titles(was.backAfter(), earlier), titles(is.backAfter(), later));
        line(lines, "hours left off", String.valueOf(was.waitHours()), String.valueOf(is.waitHours()));
        listed(lines, "stays", was.stays(), is.stays(), Staying::sentence);
        if (!was.photos().equals(is.photos())) {
            lines.add("photos: " + pictures(was) + " → " + pictures(is));
        }
        return lines;
    }

    private static String pictures(Step step) {
        int marks =
                step.photos().stream().mapToInt(photo -> photo.marks().size()).sum();
        return step.photos().size() + " with " + marks + (marks == 1 ? " mark" : " marks");
    }

    private static void things(List<String> lines, Step was, Step is) {
        Map<String, Thing> before = things(was);
        Map<String, Thing> after = things(is);
        after.forEach((id, thing) -> {
            Thing earlier = before.get(id);
            if (earlier == null) {
                lines.add(thing.label() + ": added, " + words(thing));
            } else if (!earlier.equals(thing)) {
                lines.add(thing.label() + ": " + words(earlier) + " → " + words(thing));
            }
        });
        before.values().stream()
                .filter(thing -> !after.containsKey(thing.id()))
                .forEach(thing -> lines.add(thing.label() + ": gone, was " + words(thing)));
    }

    private static Map<String, Thing> things(Step step) {
        return step.things().stream()
                .collect(Collectors.toMap(Thing::id, Function.identity(), (one, other) -> one, LinkedHashMap::new));
    }

    private static void line(List<String> lines, String what, String was, String is) {
        Words.changed(what, was, is).ifPresent(lines::add);
    }

    /** What a thing is, in a line: "10 cross PH1, 2.9 × 12 mm, tapping, black". */
    public static String words(Thing thing) {
        if (thing instanceof FastenerGroup group) {
            return group.words();
        }
        if (thing instanceof Connector connector) {
            String many = connector.count() == 1 ? "" : connector.count() + " ";
            return (many + "plug " + connector.mark()).strip()
                    + (connector.latch().isEmpty() ? "" : ", latch: " + connector.latch());
        }
        LoosePiece piece = (LoosePiece) thing;
        String count = piece.count().map(String::valueOf).orElse("not counted,");
        return (count + (piece.usedUp() ? " used up by opening " : " loose ") + piece.hint()).strip();
    }

    private static String titles(Set<String> ids, Teardown notes) {
        return ids.stream()
                .map(id -> notes.steps().stream()
                        .filter(step -> step.id().equals(id))
                        .map(Step::title)
                        .findFirst()
                        .orElse(id))
                .collect(Collectors.joining(", "));
    }

    private static String counted(Collection<Long> components) {
        return components.stream().map(id -> "component " + id).collect(Collectors.joining(", "));
    }

    private static String number(double minutes) {
        return Figures.of(BigDecimal.valueOf(minutes));
    }
}
