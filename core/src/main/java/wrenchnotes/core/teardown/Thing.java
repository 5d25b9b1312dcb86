package wrenchnotes.core.teardown;

/**
 * Something a step takes off the unit, which must be accounted for until it is back. Its {@code id} is unique within
 * the notes and stays the same from one version of them to the next.
 */
public sealed interface Thing permits FastenerGroup, Connector, LoosePiece {

    String id();

    String label();

    /** How many there are when the unit is as made, at least 1. */
    int count();
}
