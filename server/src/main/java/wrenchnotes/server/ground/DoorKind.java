package wrenchnotes.server.ground;

import wrenchnotes.core.unit.Spoken;

/** What can happen at the shop's door. */
public enum DoorKind implements Spoken {
    SIGNED_IN("came in"),
    SIGNED_OUT("went out"),
    WRONG("gave a password that does not fit"),
    MADE_TO_WAIT("was made to wait after too many tries"),
    REFUSED("was refused"),
    TOKEN_WRONG("gave a token that opens nothing");

    private final String words;

    DoorKind(String words) {
        this.words = words;
    }

    /** After who it was. */
    @Override
    public String words() {
        return words;
    }
}
