package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.web.authentication.rememberme.AbstractRememberMeServices;
import org.springframework.security.web.authentication.rememberme.InvalidCookieException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Signs a browser in again after the server restarted, by a random token of which only the hash is kept. Signing out ends it before it
 * ends the session, so that a request under way just then cannot open a new one. It stays the same for as long as it lasts: one that
 * changed with every use would throw out the second of two requests sent at once.
 */
final class RememberedSignIns extends AbstractRememberMeServices {

    private static final Duration LASTS = Duration.ofDays(14);

    private final SignInStore store;
    private final PersonStore people;
    private final TransactionTemplate writing;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    RememberedSignIns(
            String key,
            boolean practice,
            SignInStore store,
            PersonStore people,
            PlatformTransactionManager transactions,
            Clock clock) {
        super(key, people);
        this.store = store;
        this.people = people;
        this.writing = new TransactionTemplate(transactions);
        this.clock = clock;
        setCookieName(
                practice
                        ? "practice-" + SPRING_SECURITY_REMEMBER_ME_COOKIE_KEY
                        : SPRING_SECURITY_REMEMBER_ME_COOKIE_KEY);
        setAlwaysRemember(true);
        setTokenValiditySeconds((int) LASTS.toSeconds());
        setCookieCustomizer(cookie -> cookie.setAttribute("SameSite", "Lax"));
    }

    @Override
    protected void onLoginSuccess(HttpServletRequest request, HttpServletResponse response, Authentication who) {
        byte[] token = new byte[32];
        random.nextBytes(token);
        String said = HexFormat.of().formatHex(token);
        Instant now = clock.instant();
        long person = ((PersonStore.Account) who.getPrincipal()).person().id();
        writing.executeWithoutResult(status -> store.begin(person, hash(said), now, now.minus(LASTS)));
        setCookie(new String[] {said}, getTokenValiditySeconds(), request, response);
    }

    @Override
    protected UserDetails processAutoLoginCookie(
            String[] tokens, HttpServletRequest request, HttpServletResponse response) {
        if (tokens.length != 1) {
            throw new InvalidCookieException("A sign-in of another make");
        }
        String name = store.name(hash(tokens[0]), clock.instant().minus(LASTS))
                .orElseThrow(() -> new InvalidCookieException("This sign-in has ended"));
        return people.loadUserByUsername(name);
    }

    @Override
    public void logout(HttpServletRequest request, HttpServletResponse response, Authentication who) {
        for (String token : given(request)) {
            writing.executeWithoutResult(status -> store.end(hash(token)));
        }
        super.logout(request, response, who);
    }

    private String[] given(HttpServletRequest request) {
        String cookie = extractRememberMeCookie(request);
        try {
            return cookie == null || cookie.isEmpty() ? new String[0] : decodeCookie(cookie);
        } catch (InvalidCookieException e) {
            // No cookie of ours: there is nothing to end by it.
            return new String[0];
        }
    }

    private static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
