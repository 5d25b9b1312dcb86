package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Spoken;

/** Which way a step is done. */
public enum Direction implements Spoken {
    /** On the way in: the step is opened. */
    IN,
    /** On the way out: it is closed again. */
    OUT;

    public Direction opposite() {
        return this == IN ? OUT : IN;
    }

    /** As said on the floor. */
    @Override
    public String words() {
        return this == IN ? "in" : "out";
    }
}
