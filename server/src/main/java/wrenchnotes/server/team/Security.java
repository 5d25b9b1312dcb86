package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AuthenticationFilter;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.Session;

/** Nothing of the shop is reachable without signing in; the page, its scripts, the API's description and health are. */
@Configuration(proxyBeanMethods = false)
public class Security {

    /** The built page needs styles in its elements, and pictures and sounds that it made itself; nothing from elsewhere. */
    private static final String CONTENT_POLICY =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; media-src 'self' blob:; "
                    + "object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    private static final String PERMISSIONS = "camera=(self), microphone=(self), geolocation=(), payment=(), usb=()";

    @Bean
    PasswordEncoder passwordEncoder(PasswordSettings settings) {
        return new DelegatingPasswordEncoder(
                "bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(settings.strength())));
    }

    /** In front of all others: a script comes without cookies, and is let in for the one request. */
    private static AuthenticationFilter scripts(Tokens tokens) {
        AuthenticationManager manager = tokens::letIn;
        AuthenticationFilter filter = new AuthenticationFilter(manager, Tokens::said);
        filter.setSuccessHandler((request, response, who) -> {});
        filter.setFailureHandler((request, response, e) -> say(response, HttpStatus.UNAUTHORIZED, e.getMessage()));
        return filter;
    }

    @Bean
    SecurityFilterChain filters(HttpSecurity http, SignIns signIns, Tokens tokens, DoorStore door) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session/**", "/api/openapi.json", "/api/calendar.ics", "/api/network/root.crt")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        .requestMatchers("/actuator/health")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .anyRequest()
                        .permitAll())
                .securityContext(context -> context.securityContextRepository(signIns))
                .sessionManagement(none -> none.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers(Tokens::speaks))
                .addFilterBefore(scripts(tokens), CsrfFilter.class)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(permissions -> permissions.policy(PERMISSIONS)))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(errors -> errors.authenticationEntryPoint(
                                (request, response, e) -> say(response, HttpStatus.UNAUTHORIZED, "Sign in first."))
                        .accessDeniedHandler((request, response, e) -> {
                            door.wrote(
                                    DoorKind.REFUSED,
                                    Session.here().map(Session::person),
                                    request.getRemoteAddr(),
                                    request.getMethod() + " without the page's token");
                            say(
                                    response,
                                    HttpStatus.FORBIDDEN,
                                    "The request did not carry this session's token. Reload the page and try again.");
                        }))
                .build();
    }

    private static void say(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getWriter()
                .write("{\"type\":\"about:blank\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}"
                        .formatted(status.getReasonPhrase(), status.value(), detail));
    }
}
