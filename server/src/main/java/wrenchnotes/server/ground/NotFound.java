package wrenchnotes.server.ground;

/** What the address names is not there. */
public final class NotFound extends RuntimeException {

    public NotFound(String message) {
        super(message);
    }
}
