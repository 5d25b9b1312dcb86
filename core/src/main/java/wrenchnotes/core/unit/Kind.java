package wrenchnotes.core.unit;

/** What sort of device a model is. */
public enum Kind {
    CONSOLE,
    COMPUTER,
    PLAYER,
    DRIVE,
    OTHER
}
