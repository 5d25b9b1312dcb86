package wrenchnotes.server.ground;

import java.time.Instant;

/** Who writes, and when. */
public record By(long person, String name, Instant at) {}
