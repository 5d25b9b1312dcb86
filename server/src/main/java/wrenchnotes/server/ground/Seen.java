package wrenchnotes.server.ground;

import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import wrenchnotes.core.unit.Invalid;

/** The version of something that a client has seen and wants to change: the header {@code If-Match: "7"}. */
public record Seen(long version) {

    private static final Pattern ETAG = Pattern.compile("\\s*(?:W/)?\"?(\\d{1,18})\"?\\s*");

    /** Hands it to each request that asks for one. */
    static final class Resolver implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Seen.class;
        }

        @Override
        public Seen resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer view,
                NativeWebRequest request,
                WebDataBinderFactory binders) {
            return of(request.getHeader(HttpHeaders.IF_MATCH));
        }
    }

    /** @throws Missing if there is no header: a change must say what it has seen */
    public static Seen of(String ifMatch) {
        if (ifMatch == null || ifMatch.isBlank()) {
            throw new Missing();
        }
        Matcher etag = ETAG.matcher(ifMatch);
        if (!etag.matches()) {
            throw new Invalid("If-Match", "If-Match is " + ifMatch + "; give the version that was read, such as \"7\"");
        }
        return new Seen(Long.parseLong(etag.group(1)));
    }

    /** @throws Stale with the present state if it has another version by now */
    public void mustBe(long current, String what, Supplier<?> present) {
        if (version != current) {
            throw new Stale(
                    what + " was changed by somebody else meanwhile. Look at it as it is now and try again.",
                    present.get());
        }
    }

    /** A change that does not say which version it has seen. */
    public static final class Missing extends RuntimeException {
        Missing() {
            super("Say which version this change is made to, in the header If-Match");
        }
    }
}
