package wrenchnotes.core.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * A step that was done, in or out. Never changed: it is undone by its opposite.
 *
 * @param id ascending in the order in which they were entered
 * @param step its id in the notes that the job goes by
 * @param undoes the entry that this one takes back
 */
public record StepEntry(long id, String step, Direction direction, Optional<Long> undoes, Moment moment) {

    /** The steps that are open after these, first opened first: in, and not out again since. */
    public static List<String> open(List<StepEntry> entries) {
        List<String> open = new ArrayList<>();
        for (StepEntry entry : entries) {
            if (entry.direction() == Direction.IN) {
                open.add(entry.step());
            } else {
                open.remove(entry.step());
            }
        }
        return open;
    }
}
