package wrenchnotes.server.ground;

import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Serves the built front end: its files, and its one page at the address of every screen. */
@Configuration(proxyBeanMethods = false)
public class FrontEnd implements WebMvcConfigurer {

    private final PenResolver penResolver;

    FrontEnd(PenResolver penResolver) {
        this.penResolver = penResolver;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(penResolver);
        resolvers.add(new Seen.Resolver());
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/api/*.json").addResourceLocations("classpath:/api/");
        // File names under assets/ carry a hash of their content, so they never go stale.
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    }

    /** A screen's own address works when typed, bookmarked or reloaded; a mistyped one ends up at the rack. */
    @Controller
    static class Screens {

        @GetMapping("/{room:(?!api$|actuator$|assets$)[^.]+}/**")
        String page() {
            return "forward:/index.html";
        }
    }
}
