package wrenchnotes.server.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wrenchnotes.server.ground.BodyRefused;

/** No body is read beyond what its door takes, nor for longer than a minute, whatever it says of its own length. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BoundedBody extends OncePerRequestFilter {

    /** What any door takes, in bytes. */
    static final long USUAL = 64 * 1024;

    private static final Duration LONGEST = Duration.ofMinutes(1);
    private static final String ALLOWED = BoundedBody.class.getName();

    /** From now on this request may hold that many bytes. */
    static void allow(HttpServletRequest request, long most) {
        request.setAttribute(ALLOWED, most);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(new Bounded(request), response);
    }

    private static final class Bounded extends HttpServletRequestWrapper {

        private ServletInputStream stream;

        Bounded(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (stream == null) {
                Long allowed = (Long) getAttribute(ALLOWED);
                long most = allowed == null ? USUAL : allowed;
                if (getContentLengthLong() > most) {
                    throw BodyRefused.tooLarge(most);
                }
                stream = new BoundedStream(super.getInputStream(), most, System.nanoTime() + LONGEST.toNanos());
            }
            return stream;
        }
    }

    private static final class BoundedStream extends ServletInputStream {

        private final ServletInputStream inner;
        private final long most;
        private final long deadline;
        private long read;

        BoundedStream(ServletInputStream inner, long most, long deadline) {
            this.inner = inner;
            this.most = most;
            this.deadline = deadline;
        }

        @Override
        public int read() throws IOException {
            int one = inner.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int at, int length) throws IOException {
            int some = inner.read(into, at, length);
            count(Math.max(0, some));
            return some;
        }

        private void count(int more) {
            read += more;
            if (read > most) {
                throw BodyRefused.tooLarge(most);
            }
            if (System.nanoTime() > deadline) {
                throw BodyRefused.tooSlow();
            }
        }

        @Override
        public boolean isFinished() {
            return inner.isFinished();
        }

        @Override
        public boolean isReady() {
            return inner.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            inner.setReadListener(listener);
        }
    }
}
