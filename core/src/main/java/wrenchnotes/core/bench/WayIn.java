package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Refused;

/**
 * How far a unit is open: the steps done on the way in and not yet undone on the way out, in the order they were done.
 * Immutable.
 */
public final class WayIn {

    private final Teardown notes;
    private final List<String> open;

    private WayIn(Teardown notes, List<String> open) {
        this.notes = notes;
        this.open = List.copyOf(open);
    }

    public static WayIn closed(Teardown notes) {
        return new WayIn(notes, List.of());
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
        List<String> missing = step.needs().stream()
                .filter(need -> !notes.met(need, open))
                .map(need -> "\"" + step.title() + "\" needs " + words(need) + " first.")
                .toList();
        if (!missing.isEmpty()) {
            throw Refused.because(missing);
        }
        List<String> next = new ArrayList<>(open);
        next.add(id);
        return new WayIn(notes, next);
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
        return new WayIn(notes, next);
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

    /**
     * The next step in: the first of the notes that is not open, needs nothing more and has no stand-in that is done.
     * Empty when there is nothing more to open.
     */
    public Optional<Step> nextIn() {
        return notes.steps().stream()
                .filter(step -> !open.contains(step.id())
                        && step.needs().stream().allMatch(need -> notes.met(need, open))
                        && notes.standIns(step.id()).stream().noneMatch(other -> open.contains(other.id())))
                .findFirst();
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
