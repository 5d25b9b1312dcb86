package wrenchnotes.core.teardown;

import java.util.EnumSet;
import java.util.Set;
import wrenchnotes.core.unit.Spoken;

/** What the driver meets on top of a fastener, or what holds in a screw's stead. */
public enum Head implements Spoken {
    CROSS,
    HEXALOBULAR,
    HEXALOBULAR_SECURITY,
    SLOTTED,
    HEX,
    TRI_WING,
    CROSS_SLOTTED,
    HEX_SLOTTED,
    HEXALOBULAR_SLOTTED,
    RIVET,
    CLIP,
    SPRING,
    WASHER,
    SOLDER,
    GLUE,
    SEAL,
    STICKER,
    FELT_FOOT,
    RUBBER_FOOT,
    CABLE_TIE;

    private static final Set<Head> THREADLESS = EnumSet.range(RIVET, CABLE_TIE);
    private static final Set<Head> FLAT = EnumSet.of(SOLDER, GLUE, SEAL, STICKER, FELT_FOOT, RUBBER_FOOT, CABLE_TIE);
    private static final Set<Head> CUT = EnumSet.of(RIVET, GLUE, SEAL, STICKER, CABLE_TIE);

    /** Whether it is no screw at all: it has no thread, and no driver turns it. */
    public boolean threadless() {
        return THREADLESS.contains(this);
    }

    /** Whether nobody would ask how thick and long it is. */
    public boolean flat() {
        return FLAT.contains(this);
    }

    /** Whether it does not survive a step that cannot be undone. */
    public boolean cut() {
        return CUT.contains(this);
    }

    @Override
    public String words() {
        return switch (this) {
            case HEXALOBULAR_SECURITY -> "hexalobular, pin";
            case TRI_WING -> "tri-wing";
            case CROSS_SLOTTED -> "cross or slotted";
            case HEX_SLOTTED -> "hex or slotted";
            case HEXALOBULAR_SLOTTED -> "hexalobular or slotted";
            case SOLDER -> "solder tab or joint";
            default -> Spoken.super.words();
        };
    }
}
