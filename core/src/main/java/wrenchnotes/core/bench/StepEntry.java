package wrenchnotes.core.bench;

import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * A step that was done, in or out. Never changed: it is undone by its opposite.
 *
 * @param id ascending in the order in which they were entered
 * @param step its id in the notes that the job goes by
 * @param undoes the entry that this one takes back
 */
public record StepEntry(long id, String step, Direction direction, Optional<Long> undoes, Moment moment) {}
