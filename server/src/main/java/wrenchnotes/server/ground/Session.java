package wrenchnotes.server.ground;

import org.springframework.security.core.context.SecurityContextHolder;

/** What the sign-in keeps of somebody; the room {@code team} makes it. */
public interface Session {

    SignedIn person();

    /** Who is signed in on the request that is being answered. */
    static SignedIn current() {
        return ((Session) SecurityContextHolder.getContext().getAuthentication().getPrincipal()).person();
    }
}
