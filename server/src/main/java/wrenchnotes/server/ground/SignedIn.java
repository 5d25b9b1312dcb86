package wrenchnotes.server.ground;

import wrenchnotes.core.team.Role;

/** The person a session belongs to. */
public record SignedIn(long id, String name, Role role) {}
