package wrenchnotes.server.door;

import java.time.Duration;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.thread.Scheduler;

/**
 * Hangs up on whoever has not sent a body that any door takes when its time is over. Between it and {@link Arrived} bodies arrive. The request is
 * answered all the same: one that is not never ends, stays in memory, and is waited for when the shop closes.
 */
final class Arrival extends Handler.Wrapper {

    private static final String PATIENCE = Arrival.class.getName();

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
            Patience patience = new Patience();
            request.setAttribute(PATIENCE, patience);
            // Whoever leaves by themselves is answered nothing.
            Request.addCompletionListener(request, failure -> patience.arrived());
            patience.ends(
                    request.getComponents().getScheduler(),
                    longest,
                    () -> Response.writeError(request, response, callback, HttpStatus.REQUEST_TIMEOUT_408));
        }
        return super.handle(request, response, callback);
    }

    private static boolean hasBody(Request request) {
        return request.getLength() > 0
                || request.getLength() < 0 && request.getHeaders().contains("Transfer-Encoding");
    }

    /** Either a body has arrived or its time was over, whichever was first. */
    private static final class Patience {
        private final AtomicBoolean over = new AtomicBoolean();
        private Scheduler.Task end;

        void ends(Scheduler scheduler, Duration after, Runnable then) {
            end = scheduler.schedule(
                    () -> {
                        if (over.compareAndSet(false, true)) {
                            then.run();
                        }
                    },
                    after.toMillis(),
                    TimeUnit.MILLISECONDS);
        }

        /** @return whether it was in time */
        boolean arrived() {
            end.cancel();
            return over.compareAndSet(false, true);
        }
    }

    /** The other side: what is to arrive at once is there, or is more than that and read by whoever takes it, in their own time. */
    static final class Arrived extends Handler.Wrapper {

        Arrived(Handler inner) {
            super(inner);
        }

        @Override
        public boolean handle(Request request, Response response, Callback callback) throws Exception {
            if (request.getAttribute(PATIENCE) instanceof Patience patience && !patience.arrived()) {
                return true;
            }
            return super.handle(request, response, callback);
        }
    }
}
