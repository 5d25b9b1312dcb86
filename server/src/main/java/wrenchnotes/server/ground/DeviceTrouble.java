package wrenchnotes.server.ground;

/** An outside device did not do what it was asked; the message says what to do. */
public final class DeviceTrouble extends RuntimeException {

    public DeviceTrouble(String message) {
        super(message);
    }
}
