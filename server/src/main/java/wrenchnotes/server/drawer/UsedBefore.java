package wrenchnotes.server.drawer;

/**
 * A drawer's part that went in for a component before.
 *
 * @param there how many lie in the drawer now
 * @param temporary for a test only: it must not leave the shop
 * @param used how many jobs of the model it went into for that component
 */
public record UsedBefore(long partId, String name, String drawer, int there, boolean temporary, int used) {}
