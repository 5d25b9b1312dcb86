package wrenchnotes.core.bench;

import java.util.Map;
import wrenchnotes.core.unit.Moment;

/**
 * An open job went on by newer notes: what its entries up to then are called in those. Never changed.
 *
 * @param steps of those that are called otherwise now, by their id before; empty text if the notes have no such step any more and it was closed
 * @param things the same of things; empty text if the notes have no such thing any more and it was in its place
 * @param opened with how many the books of each thing opened, by its id now
 */
public record NotesTaken(
        Map<String, String> steps, Map<String, String> things, Map<String, Opening> opened, Moment moment) {

    public NotesTaken {
        steps = Map.copyOf(steps);
        things = Map.copyOf(things);
        opened = Map.copyOf(opened);
    }

    /**
     * What the books of a thing opened with.
     *
     * @param count as made by the notes that the job was opened with; 1 for all of them if nobody had counted
     * @param counted whether anybody had
     */
    public record Opening(int count, boolean counted) {

        Opening and(Opening other) {
            return new Opening(count + other.count, counted && other.counted);
        }
    }

    /** What a step is called now; empty text if it is gone. */
    String step(String before) {
        return steps.getOrDefault(before, before);
    }

    /** What a thing is called now; empty text if it is gone. */
    String thing(String before) {
        return things.getOrDefault(before, before);
    }
}
