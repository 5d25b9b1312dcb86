package wrenchnotes.server.ground;

import java.util.Set;
import wrenchnotes.core.team.Role;

/** The person a session belongs to. */
public record SignedIn(long id, String name, Set<Role> roles) {}
