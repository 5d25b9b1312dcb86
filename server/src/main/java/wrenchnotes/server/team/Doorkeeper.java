package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Session;

/**
 * Asks at every door whether whoever comes may go through it: the one place where that is asked. Who is turned away is written down,
 * here or further in.
 */
@Component
class Doorkeeper implements HandlerInterceptor, WebMvcConfigurer {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final Roles roles;
    private final DoorStore door;

    Doorkeeper(Roles roles, DoorStore door) {
        this.roles = roles;
        this.door = door;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**").excludePathPatterns("/api/session/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!(handler instanceof HandlerMethod way) || Session.here().isEmpty()) {
            return true;
        }
        try {
            letThrough(Session.here().get(), way, READING.contains(request.getMethod()));
        } catch (NotAllowed e) {
            tell(request);
            throw e;
        }
        return true;
    }

    private void letThrough(Session session, HandlerMethod way, boolean reading) {
        May may = may(way, reading);
        // What is only computed changes nothing: whoever may read may ask for it.
        boolean writes = !reading && may.value() != Act.ASK;
        String room = room(way);
        if (!session.opens(room, writes)) {
            throw new NotAllowed("This token does not open \"" + room + "\" for " + (writes ? "writing" : "reading")
                    + ": ask a lead for one that does");
        }
        boolean asks = !reading || may != null && may.toRead();
        if (asks && !may.value().openTo(roles.of(session.person().id()))) {
            throw new NotAllowed(may.value());
        }
    }

    /** A room is the package that its doors stand in. */
    static String room(HandlerMethod way) {
        String inside = way.getBeanType().getPackageName();
        return inside.substring(inside.lastIndexOf('.') + 1);
    }

    /** Somebody who came in, and was turned away further in. */
    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (response.getStatus() == HttpStatus.FORBIDDEN.value()) {
            tell(request);
        }
    }

    private void tell(HttpServletRequest request) {
        door.wrote(
                DoorKind.REFUSED,
                Session.here().map(Session::person),
                request.getRemoteAddr(),
                request.getMethod() + " " + request.getRequestURI());
    }

    private static May may(HandlerMethod way, boolean reading) {
        May own = AnnotatedElementUtils.findMergedAnnotation(way.getMethod(), May.class);
        May may = own != null ? own : AnnotatedElementUtils.findMergedAnnotation(way.getBeanType(), May.class);
        if (may == null && !reading) {
            throw new IllegalStateException(way + " does not say who may");
        }
        return may;
    }
}
