package wrenchnotes.core.teardown;

/**
 * Something a step takes off the unit, which must be accounted for until it is back. Its {@code id} is unique within
 * the notes and stays the same from one version of them to the next.
 */
public sealed interface Thing permits FastenerGroup, Connector, LoosePiece {

    String id();

    String label();

    /** How many there are when the unit is as made, at least 1. While nobody has counted them it is 1: all of them together, as one lot. */
    int asMade();

    /** Whether somebody has counted how many there are as made. */
    boolean hasCount();

    /** The same thing with another count, 1 to 99. */
    Thing counting(int others);

    /** "5 × plate screws"; "plate screws, not counted". */
    default String inAll() {
        return hasCount() ? asMade() + " × " + label() : label() + ", not counted";
    }
}
