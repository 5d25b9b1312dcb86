package wrenchnotes.server.team;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.Secret;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;

/**
 * The browsers that somebody is signed in on. A sign-in is one random token in a cookie, and one row that holds its hash: it outlives a
 * restart, and is over for good once it is ended. Those in use are held in memory, so that a request asks nothing of the database and
 * writes nothing.
 */
@Component
final class SignIns implements SecurityContextRepository {

    static final Duration LASTS = Duration.ofDays(14);

    /** One of a person; where it is used is what its holder sees of it. */
    record Account(SignedIn person, long signIn, Instant until) implements Session {}

    private final SignInStore store;
    private final TransactionTemplate writing;
    private final Snapshot snapshot;
    private final Clock clock;
    private final String cookie;
    private final Map<String, Account> inUse = new ConcurrentHashMap<>();
    private final Map<Long, Instant> seen = new ConcurrentHashMap<>();

    SignIns(
            SignInStore store,
            PlatformTransactionManager transactions,
            Snapshot snapshot,
            Settings settings,
            Clock clock) {
        this.store = store;
        this.writing = new TransactionTemplate(transactions);
        this.snapshot = snapshot;
        this.clock = clock;
        // Cookies do not know ports: those of the practice shop must not meet those of the shop.
        this.cookie = settings.practice() ? "practice-sign-in" : "sign-in";
    }

    /** Opens the shop to this browser from now on; what it was given before is over. */
    Account begin(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        String token = Secret.fresh();
        String hash = Secret.hash(token);
        Instant now = clock.instant();
        String before = given(request).map(Secret::hash).orElse("");
        long id = writing.execute(status -> {
            store.end(before, now);
            return store.begin(person.id(), hash, request.getRemoteAddr(), now, now.minus(LASTS));
        });
        inUse.remove(before);
        Account account = new Account(person, id, now.plus(LASTS));
        inUse.put(hash, account);
        SecurityContextHolder.setContext(context(account));
        give(response, request, token, LASTS);
        return account;
    }

    /** Closes it to this browser. */
    void end(HttpServletRequest request, HttpServletResponse response) {
        given(request).map(Secret::hash).ifPresent(hash -> {
            writing.executeWithoutResult(status -> store.end(hash, clock.instant()));
            inUse.remove(hash);
        });
        SecurityContextHolder.clearContext();
        give(response, request, "", Duration.ZERO);
    }

    /** Once what ended some of them is written: they open nothing any more. */
    void ended(List<Long> ids) {
        inUse.values().removeIf(one -> ids.contains(one.signIn()));
    }

    /** What is known of a person has changed: read anew when they next ask. */
    void changed(long person) {
        inUse.values().removeIf(one -> one.person().id() == person);
    }

    /** When it was last used, as far as is known since the start. */
    Optional<Instant> seen(long signIn) {
        return Optional.ofNullable(seen.get(signIn));
    }

    private Optional<Account> known(HttpServletRequest request) {
        Instant now = clock.instant();
        Optional<Account> account = given(request)
                .map(token -> inUse.computeIfAbsent(
                        Secret.hash(token),
                        hash -> snapshot.read(() -> store.account(hash, LASTS)).orElse(null)))
                .filter(one -> one.until().isAfter(now));
        account.ifPresent(one -> seen.put(one.signIn(), now));
        return account;
    }

    private Optional<String> given(HttpServletRequest request) {
        if (request.getCookies() != null) {
            for (Cookie one : request.getCookies()) {
                if (one.getName().equals(cookie) && !one.getValue().isEmpty()) {
                    return Optional.of(one.getValue());
                }
            }
        }
        return Optional.empty();
    }

    private void give(HttpServletResponse response, HttpServletRequest request, String token, Duration lasts) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(cookie, token)
                        .path("/")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .maxAge(lasts)
                        .build()
                        .toString());
    }

    private static SecurityContext context(Session session) {
        return new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(session, null, List.of()));
    }

    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        return new DeferredSecurityContext() {
            private SecurityContext found;
            private boolean generated;

            @Override
            public SecurityContext get() {
                if (found == null) {
                    Optional<Account> account = known(request);
                    generated = account.isEmpty();
                    found = account.map(SignIns::context).orElseGet(SecurityContextHolder::createEmptyContext);
                }
                return found;
            }

            @Override
            public boolean isGenerated() {
                get();
                return generated;
            }
        };
    }

    @Override
    @Deprecated
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return loadDeferredContext(holder.getRequest()).get();
    }

    /** Nothing is kept of a request: {@link #begin} opens, {@link #end} closes. */
    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {}

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return known(request).isPresent();
    }
}
