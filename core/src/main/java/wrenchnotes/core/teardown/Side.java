package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Spoken;

/** The side of the unit that faces up while a step is done. */
public enum Side implements Spoken {
    TOP,
    BOTTOM,
    FRONT,
    BACK,
    LEFT,
    RIGHT;

    @Override
    public String words() {
        return switch (this) {
            case LEFT -> "left side up";
            case RIGHT -> "right side up";
            default -> Spoken.super.words() + " up";
        };
    }
}
