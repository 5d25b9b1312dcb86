package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/**
 * How far a unit is open: the steps done on the way in and not yet undone on the way out, in the order they were done.
 * Immutable.
 */
public final class WayIn {

    private final Teardown notes;
    private final List<String> open;
    private final Set<String> skipped;

    private WayIn(Teardown notes, List<String> open, Set<String> skipped) {
        this.notes = notes;
        this.open = List.copyOf(open);
        this.skipped = Set.copyOf(skipped);
    }

    public static WayIn closed(Teardown notes) {
        return new WayIn(notes, List.of(), Set.of());
    }

    /**
     * How far a unit is open by what is on record: what was allowed when it was done is not judged again.
     *
     * @param open first opened first
     * @param skipped steps passed over on this run
     * @throws Invalid if the notes have no such step
     */
    public static WayIn recorded(Teardown notes, List<String> open, Set<String> skipped) {
        open.forEach(notes::step);
        skipped.forEach(notes::step);
        return new WayIn(notes, open, skipped);
    }

    /**
     * Opens a step.
     *
     * @throws Refused if it is open already, or if a step it needs first is not
     */
    public WayIn in(String id) {
        Step step = notes.step(id);
        if (open.contains(id)) {
            throw Refused.because("\"" + step.title() + "\" is already open.");
        }
        notes.standIns(id).stream()
                .filter(other -> open.contains(other.id()))
                .findFirst()
                .ifPresent(other -> {
                    throw Refused.because("\"" + step.title() + "\" does the same as \"" + other.title()
                            + "\", which is done: one of them is enough.");
                });
        refuseUnmet(step);
        List<String> next = new ArrayList<>(open);
        next.add(id);
        Set<String> rest = new TreeSet<>(skipped);
        rest.remove(id);
        return new WayIn(notes, next, rest);
    }

    /**
     * Passes over a step: it is not done, and what needs it may be done all the same. Doing it later is no contradiction.
     *
     * @throws Refused if it is open, or if a step it needs first is not
     */
    public WayIn skip(String id) {
        Step step = notes.step(id);
        if (open.contains(id)) {
            throw Refused.because("\"" + step.title() + "\" is open: there is nothing to skip.");
        }
        refuseUnmet(step);
        Set<String> more = new TreeSet<>(skipped);
        more.add(id);
        return new WayIn(notes, open, more);
    }

    private void refuseUnmet(Step step) {
        List<String> missing = step.needs().stream()
                .filter(need -> !met(need))
                .map(need -> "\"" + step.title() + "\" needs " + words(need) + " first.")
                .toList();
        if (!missing.isEmpty()) {
            throw Refused.because(missing);
        }
    }

    private boolean met(String need) {
        return notes.met(need, open) || notes.met(need, skipped);
    }

    /**
     * Closes a step.
     *
     * @throws Refused if it is not open, or if a step that lies on top of it inside is still open
     */
    public WayIn out(String id) {
        Step step = notes.step(id);
        if (!open.contains(id)) {
            throw Refused.because("\"" + step.title() + "\" is not open.");
        }
        List<String> inside = notes.goBackBefore(id).stream()
                .filter(other -> open.contains(other.id()))
                .map(other -> "\"" + other.title() + "\" must go back in before \"" + step.title() + "\".")
                .toList();
        if (!inside.isEmpty()) {
            throw Refused.because(inside);
        }
        List<String> next = new ArrayList<>(open);
        next.remove(id);
        return new WayIn(notes, next, skipped);
    }

    private String words(String need) {
        List<Step> ways = notes.members(need);
        return (ways.isEmpty() ? List.of(notes.step(need)) : ways)
                .stream().map(step -> "\"" + step.title() + "\"").collect(Collectors.joining(" or "));
    }

    /** The steps that are open, first opened first. */
    public List<String> open() {
        return open;
    }

    public boolean isOpen(String id) {
        return open.contains(id);
    }

    public Set<String> skipped() {
        return skipped;
    }

    /**
     * The next step in: the first of the notes that is not open, needs nothing more and has no stand-in that is done.
     * Empty when there is nothing more to open.
     */
    public Optional<Step> nextIn() {
        return notes.steps().stream().filter(this::canBeNext).findFirst();
    }

    /**
     * The next step in on a way that was chosen.
     *
     * @param route ids of the steps to do, in order; if it is empty, all of the notes in theirs
     * @return empty when the way has come to its end
     */
    public Optional<Step> nextIn(List<String> route) {
        return route.isEmpty()
                ? nextIn()
                : route.stream()
                        .filter(notes::has)
                        .map(notes::step)
                        .filter(this::canBeNext)
                        .findFirst();
    }

    private boolean canBeNext(Step step) {
        return !open.contains(step.id())
                && !skipped.contains(step.id())
                && step.needs().stream().allMatch(this::met)
                && notes.standIns(step.id()).stream()
                        .noneMatch(other -> open.contains(other.id()) || skipped.contains(other.id()));
    }

    /** The next step out: the one opened last among those with nothing open inside. Empty when the unit is closed. */
    public Optional<Step> nextOut() {
        for (int at = open.size() - 1; at >= 0; at--) {
            String id = open.get(at);
            if (notes.goBackBefore(id).stream().noneMatch(inside -> open.contains(inside.id()))) {
                return Optional.of(notes.step(id));
            }
        }
        return Optional.empty();
    }
}
