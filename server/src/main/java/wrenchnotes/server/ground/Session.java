package wrenchnotes.server.ground;

import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Somebody at a browser, or a script in somebody's name; the room {@code team} makes it. */
public interface Session {

    SignedIn person();

    /** The token by which a script speaks; empty at a browser. */
    default Optional<Long> token() {
        return Optional.empty();
    }

    /** Whether this one may go into a room at all; what the person may do there is asked besides. */
    default boolean opens(String room, boolean writing) {
        return true;
    }

    /** Who speaks on the request that is being answered; empty if nobody is known, or nothing is being answered. */
    static Optional<Session> here() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof Session session ? Optional.of(session) : Optional.empty();
    }

    /** Who is signed in on the request that is being answered. */
    static SignedIn current() {
        return here().orElseThrow(() -> new IllegalStateException("Nobody is signed in"))
                .person();
    }
}
