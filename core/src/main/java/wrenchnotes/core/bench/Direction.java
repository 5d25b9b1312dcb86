package wrenchnotes.core.bench;

/** Which way a step is done. */
public enum Direction {
    /** On the way in: the step is opened. */
    IN,
    /** On the way out: it is closed again. */
    OUT;

    public Direction opposite() {
        return this == IN ? OUT : IN;
    }

    /** As said on the floor. */
    public String words() {
        return this == IN ? "in" : "out";
    }
}
