package wrenchnotes.server.team;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.Secret;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;

/** Lets scripts in by the header {@code Authorization: Bearer <token>} (RFC 6750): no cookie, and nothing kept between two requests. */
@Component
class Tokens {

    private static final String BEARER = "Bearer ";

    /** A script, in the name of whoever made its token. */
    record Script(SignedIn person, long id, List<Scope> scopes) implements Session {

        @Override
        public Optional<Long> token() {
            return Optional.of(id);
        }

        @Override
        public boolean opens(String room, boolean writing) {
            return scopes.stream().anyMatch(one -> one.opens(room, writing));
        }
    }

    private final TokenStore store;
    private final PersonStore people;
    private final Guesses guesses;
    private final DoorStore door;
    private final Snapshot snapshot;
    private final TransactionTemplate writing;
    private final Clock clock;

    Tokens(
            TokenStore store,
            PersonStore people,
            Guesses guesses,
            DoorStore door,
            Snapshot snapshot,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.store = store;
        this.people = people;
        this.guesses = guesses;
        this.door = door;
        this.snapshot = snapshot;
        this.writing = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** Whether a request comes from a script: then no cookie of a browser counts, and no page can have forged it. */
    static boolean speaks(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.regionMatches(true, 0, BEARER, 0, BEARER.length());
    }

    /** What a request says, not looked at yet; null if it comes from a browser. */
    static Authentication said(HttpServletRequest request) {
        if (!speaks(request)) {
            return null;
        }
        String token = request.getHeader(HttpHeaders.AUTHORIZATION).substring(BEARER.length());
        return UsernamePasswordAuthenticationToken.unauthenticated(request.getRemoteAddr(), token.strip());
    }

    /** @throws BadCredentialsException if it opens nothing */
    Authentication letIn(Authentication said) {
        String from = (String) said.getPrincipal();
        Optional<TokenStore.Row> found;
        try (Guesses.Try guess = guesses.begin(from, "", false)) {
            found = snapshot.read(() -> store.byHash(Secret.hash((String) said.getCredentials())));
            found.ifPresent(token -> guess.right());
        }
        if (found.isEmpty()) {
            door.wrote(DoorKind.TOKEN_WRONG, Optional.empty(), from, "");
            throw new BadCredentialsException("This token opens nothing: it may be revoked. Ask a lead for another.");
        }
        TokenStore.Row token = found.get();
        Instant now = clock.instant();
        if (TokenStore.toBeNoted(token, now)) {
            writing.executeWithoutResult(status -> store.used(token.id(), now));
        }
        SignedIn maker = snapshot.read(() -> people.person(token.by()));
        return UsernamePasswordAuthenticationToken.authenticated(
                new Script(maker, token.id(), token.scopes()), null, List.of());
    }
}
