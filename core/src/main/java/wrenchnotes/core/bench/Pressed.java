package wrenchnotes.core.bench;

import java.util.List;

/**
 * What followed from a press.
 *
 * @param next the run as it then is
 * @param entered what to keep, in this order
 * @param words as the job's story tells it
 */
public record Pressed(Run next, List<Entered> entered, String words) {}
