package wrenchnotes.server.ground;

import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongFunction;
import java.util.function.ToLongFunction;
import wrenchnotes.core.unit.By;

/**
 * The right to write, for one request of one person. Every write of the API goes through it: it is one transaction, and
 * if the client gave the request an id of its own, a retry does nothing and is answered by reading anew what the first made.
 */
public interface Pen {

    /**
     * @param asked what the request says, to notice one id used for two different requests
     * @param made the id by which what was made is found again
     * @param again reads the answer of a retry
     */
    <T> T once(Object asked, Function<By, T> work, ToLongFunction<T> made, LongFunction<T> again);

    /** Does what needs no answer of its own. */
    default void once(Object asked, Consumer<By> work) {
        once(
                asked,
                by -> {
                    work.accept(by);
                    return 0L;
                },
                none -> none,
                none -> none);
    }

    /** Does it anew with every retry: for answers that are secrets, of which nothing may be kept. */
    <T> T eachTime(Function<By, T> work);
}
