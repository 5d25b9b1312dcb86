package wrenchnotes.core.unit;

/** What sort of device a model is. */
public enum Kind implements Spoken {
    CONSOLE,
    COMPUTER,
    PLAYER,
    DRIVE,
    OTHER
}
