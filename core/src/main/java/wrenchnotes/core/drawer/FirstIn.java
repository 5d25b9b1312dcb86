package wrenchnotes.core.drawer;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Whose parts a drawer gives out: first in, first out, as drawers are filled from behind (common practice, no source). What is put back lies in front again.
 * Told the movements of one part in the order in which they happened. Not safe for several threads.
 *
 * @param <S> whose they are
 */
public final class FirstIn<S> {

    private record Batch<S>(Optional<S> from, int count) {}

    private final Deque<Batch<S>> drawer = new ArrayDeque<>();
    /** What went out for something, so that it can come back from there. */
    private final Map<Long, Optional<S>> out = new HashMap<>();

    /** @param from empty if nobody knows @param count 1 or more */
    public void in(Optional<S> from, int count) {
        drawer.addLast(new Batch<>(from, count));
    }

    /**
     * @param count 1 or more; more than the book says lie there are of nobody known
     * @param what they go out for
     * @return whose the first of them is; empty if nobody knows
     */
    public Optional<S> out(int count, long what) {
        Optional<S> first =
                drawer.isEmpty() ? Optional.empty() : drawer.peekFirst().from();
        int left = count;
        while (left > 0 && !drawer.isEmpty()) {
            Batch<S> batch = drawer.pollFirst();
            if (batch.count() > left) {
                drawer.addFirst(new Batch<>(batch.from(), batch.count() - left));
            }
            left -= Math.min(left, batch.count());
        }
        out.put(what, first);
        return first;
    }

    /** Some that went out for something lie in the drawer again. */
    public void back(int count, long what) {
        drawer.addFirst(new Batch<>(out.getOrDefault(what, Optional.empty()), count));
    }
}
