package wrenchnotes.core.typed;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * What was read of something typed.
 *
 * @param <T> what was asked for
 */
public sealed interface Typed<T> {

    /** There is one way to read it. */
    record Read<T>(T value) implements Typed<T> {}

    /**
     * There are two: whoever typed it is asked which was meant.
     *
     * @param readings the larger first
     */
    record Ask<T>(List<T> readings) implements Typed<T> {}

    /** It cannot be read: it is said so, and nothing is taken in its stead. */
    record Unread<T>(String problem) implements Typed<T> {}

    /** The same of something else that follows from each reading. */
    default <R> Typed<R> map(Function<T, Typed<R>> next) {
        if (this instanceof Read<T> read) {
            return next.apply(read.value());
        }
        return this instanceof Unread<T> unread
                ? new Unread<>(unread.problem())
                : oneOf(((Ask<T>) this).readings().stream().map(next).toList());
    }

    /** The reading that can be, if only one can. */
    private static <R> Typed<R> oneOf(List<Typed<R>> readings) {
        List<R> can = new ArrayList<>();
        for (Typed<R> one : readings) {
            if (one instanceof Read<R> read) {
                can.add(read.value());
            }
        }
        if (can.isEmpty()) {
            return readings.get(0);
        }
        return can.size() == 1 ? new Read<>(can.get(0)) : new Ask<>(List.copyOf(can));
    }
}
