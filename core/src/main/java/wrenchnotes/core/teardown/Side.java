package wrenchnotes.core.teardown;

/** The side of the unit that faces up while a step is done. */
public enum Side {
    TOP,
    BOTTOM,
    FRONT,
    BACK,
    LEFT,
    RIGHT
}
