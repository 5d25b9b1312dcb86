package wrenchnotes.server.ground;

import java.util.function.Function;

/**
 * The right to write, for one request of one person. Every write of the API goes through it: it is one transaction, and
 * if the client gave the request an id of its own, a retry is answered from the first time and does nothing.
 */
public interface Pen {

    /**
     * @param asked what the request says, to notice one id used for two different requests
     * @param answer the type of the answer, to read it back for a retry
     */
    <T> T once(Object asked, Class<T> answer, Function<By, T> work);
}
