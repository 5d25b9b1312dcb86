package wrenchnotes.server.ground;

/** What is sent is more than a door takes, or comes too slowly: refused before it is read to its end. */
public final class BodyRefused extends RuntimeException {

    /** Why, and so what to do. */
    public enum Because {
        TOO_LARGE,
        TOO_SLOW,
        TOO_MANY
    }

    private final Because because;

    private BodyRefused(Because because, String sentence) {
        super(sentence);
        this.because = because;
    }

    /** @param most in bytes */
    public static BodyRefused tooLarge(long most) {
        String size = most >= 1_000_000 ? most / 1_000_000 + " MB" : most / 1024 + " kB";
        return new BodyRefused(Because.TOO_LARGE, "This is too much at once: at most " + size + " are taken here");
    }

    public static BodyRefused tooSlow() {
        return new BodyRefused(Because.TOO_SLOW, "This took too long to arrive: try again where the network is better");
    }

    public static BodyRefused tooMany() {
        return new BodyRefused(
                Because.TOO_MANY, "Several large files are being read just now: try again in a few seconds");
    }

    public Because because() {
        return because;
    }
}
