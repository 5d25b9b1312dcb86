package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Spoken;

/** What the driver meets on top of a fastener. */
public enum Head implements Spoken {
    CROSS,
    HEXALOBULAR,
    HEXALOBULAR_SECURITY,
    SLOTTED,
    HEX,
    TRI_WING,
    RIVET,
    CLIP;

    /** Whether it is no screw at all: it has no thread, and no driver turns it. */
    public boolean threadless() {
        return this == RIVET || this == CLIP;
    }

    @Override
    public String words() {
        return switch (this) {
            case HEXALOBULAR_SECURITY -> "hexalobular, pin";
            case TRI_WING -> "tri-wing";
            default -> Spoken.super.words();
        };
    }
}
