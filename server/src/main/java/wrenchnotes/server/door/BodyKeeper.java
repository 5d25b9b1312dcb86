package wrenchnotes.server.door;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import wrenchnotes.server.ground.BodyRefused;
import wrenchnotes.server.ground.Takes;

/**
 * How much each door takes: 64 kB, unless it says that it {@link Takes} more. Few of those that take more are read at once, so that what
 * is in memory stays bounded; the others wait for their turn, and not for ever.
 */
@Component
class BodyKeeper implements HandlerInterceptor, WebMvcConfigurer {

    /** From so many megabytes on they take turns. */
    private static final int LARGE = 5;

    private static final int AT_ONCE = 2;
    private static final int WAITING = 24;
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final String HELD = BodyKeeper.class.getName();

    private final Semaphore large = new Semaphore(AT_ONCE, true);

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        // After whoever asks who may: a stranger takes nobody's turn.
        registry.addInterceptor(this).addPathPatterns("/api/**").order(1);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws InterruptedException {
        Takes takes = handler instanceof HandlerMethod way ? way.getMethodAnnotation(Takes.class) : null;
        if (takes == null) {
            return true;
        }
        long most = takes.megabytes() * 1_000_000L;
        if (request.getContentLengthLong() > most) {
            throw BodyRefused.tooLarge(most);
        }
        BoundedBody.allow(request, most);
        if (takes.megabytes() < LARGE) {
            return true;
        }
        if (large.getQueueLength() >= WAITING || !large.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
            throw BodyRefused.tooMany();
        }
        request.setAttribute(HELD, true);
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (request.getAttribute(HELD) != null) {
            request.removeAttribute(HELD);
            large.release();
        }
    }
}
