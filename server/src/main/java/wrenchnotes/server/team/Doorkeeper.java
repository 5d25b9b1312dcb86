package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Session;

/** Asks at every door that writes whether whoever comes may go through it: the one place where that is asked. */
@Component
class Doorkeeper implements HandlerInterceptor, WebMvcConfigurer {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final Roles roles;

    Doorkeeper(Roles roles) {
        this.roles = roles;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/api/**").excludePathPatterns("/api/session/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (READING.contains(request.getMethod()) || !(handler instanceof HandlerMethod door)) {
            return true;
        }
        May may = may(door);
        if (!may.value().openTo(roles.of(Session.current().id()))) {
            throw new NotAllowed(may.value());
        }
        return true;
    }

    private static May may(HandlerMethod door) {
        May own = AnnotatedElementUtils.findMergedAnnotation(door.getMethod(), May.class);
        May may = own != null ? own : AnnotatedElementUtils.findMergedAnnotation(door.getBeanType(), May.class);
        if (may == null) {
            throw new IllegalStateException(door + " does not say who may");
        }
        return may;
    }
}
