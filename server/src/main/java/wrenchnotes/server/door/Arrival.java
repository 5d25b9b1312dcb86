package wrenchnotes.server.door;

import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.thread.Scheduler;

/** Hangs up on whoever has not sent a body that any door takes when its time is over. Between it and {@link Arrived} bodies arrive. */
final class Arrival extends Handler.Wrapper {

    private static final String DEADLINE = Arrival.class.getName();

    private final long most;
    private final Duration longest;

    /** @param most what any door takes, in bytes: who announces more is answered by its door, which reads it or does not */
    Arrival(Handler inner, long most, Duration longest) {
        super(inner);
        this.most = most;
        this.longest = longest;
    }

    @Override
    public boolean handle(Request request, Response response, Callback callback) throws Exception {
        if (request.getLength() > most) {
            return getDescendant(Arrived.class).handle(request, response, callback);
        }
        if (hasBody(request)) {
            Scheduler.Task deadline = request.getComponents()
                    .getScheduler()
                    .schedule(() -> hangUp(request), longest.toMillis(), TimeUnit.MILLISECONDS);
            request.setAttribute(DEADLINE, deadline);
        }
        return super.handle(request, response, callback);
    }

    private static boolean hasBody(Request request) {
        return request.getLength() > 0
                || request.getLength() < 0 && request.getHeaders().contains("Transfer-Encoding");
    }

    private static void hangUp(Request request) {
        request.getConnectionMetaData().getConnection().getEndPoint().close(new TimeoutException("too slow"));
    }

    /** The other side: what is to arrive at once is there, or is more than that and read by whoever takes it, in their own time. */
    static final class Arrived extends Handler.Wrapper {

        Arrived(Handler inner) {
            super(inner);
        }

        @Override
        public boolean handle(Request request, Response response, Callback callback) throws Exception {
            if (request.getAttribute(DEADLINE) instanceof Scheduler.Task deadline) {
                deadline.cancel();
            }
            return super.handle(request, response, callback);
        }
    }
}
