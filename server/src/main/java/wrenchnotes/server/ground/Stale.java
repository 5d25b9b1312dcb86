package wrenchnotes.server.ground;

/** Somebody else changed it since it was read: nothing was written, and the answer carries how it stands now. */
public final class Stale extends RuntimeException {

    private final transient Object current;

    public Stale(String message, Object current) {
        super(message);
        this.current = current;
    }

    public Object current() {
        return current;
    }
}
