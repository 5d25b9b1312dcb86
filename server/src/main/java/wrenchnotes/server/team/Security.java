package wrenchnotes.server.team;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.HexFormat;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.transaction.PlatformTransactionManager;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Settings;

/** Nothing of the shop is reachable without signing in; the page, its scripts, the API's description and health are. */
@Configuration(proxyBeanMethods = false)
public class Security {

    private static final String CONTENT_POLICY =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; "
                    + "base-uri 'self'; frame-ancestors 'none'";

    @Bean
    PasswordEncoder passwords(PasswordSettings settings) {
        return new DelegatingPasswordEncoder(
                "bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(settings.strength())));
    }

    @Bean
    SecurityContextRepository sessions() {
        return new HttpSessionSecurityContextRepository();
    }

    /** A restart of the server ends sessions held in memory; this cookie signs the same browser in again. */
    @Bean
    RememberedSignIns rememberMe(
            DataFolder folder,
            Settings settings,
            SignInStore store,
            PersonStore people,
            PlatformTransactionManager transactions,
            Clock clock)
            throws IOException {
        return new RememberedSignIns(secret(folder.path()), settings.practice(), store, people, transactions, clock);
    }

    private static String secret(Path data) throws IOException {
        Path file = data.resolve(DataFolder.KEY);
        if (!Files.exists(file)) {
            byte[] key = new byte[32];
            new SecureRandom().nextBytes(key);
            DataFolder.write(file, HexFormat.of().formatHex(key).getBytes(StandardCharsets.US_ASCII));
        }
        return Files.readString(file).strip();
    }

    @Bean
    SecurityFilterChain filters(HttpSecurity http, RememberedSignIns rememberMe, SecurityContextRepository sessions)
            throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session/**", "/api/openapi.json", "/api/calendar.ics")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        .requestMatchers("/actuator/health")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .anyRequest()
                        .permitAll())
                .securityContext(context -> context.securityContextRepository(sessions))
                .csrf(csrf -> csrf.spa())
                .rememberMe(remember -> remember.rememberMeServices(rememberMe).key(rememberMe.getKey()))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY)))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .exceptionHandling(errors -> errors.authenticationEntryPoint(
                                (request, response, e) -> say(response, HttpStatus.UNAUTHORIZED, "Sign in first."))
                        .accessDeniedHandler((request, response, e) -> say(
                                response,
                                HttpStatus.FORBIDDEN,
                                "The request did not carry this session's token. Reload the page and try again.")))
                .build();
    }

    private static void say(jakarta.servlet.http.HttpServletResponse response, HttpStatus status, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getWriter()
                .write("{\"type\":\"about:blank\",\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}"
                        .formatted(status.getReasonPhrase(), status.value(), detail));
    }
}
