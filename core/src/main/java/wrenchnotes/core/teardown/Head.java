package wrenchnotes.core.teardown;

/** What the driver meets on top of a fastener. */
public enum Head {
    CROSS,
    HEXALOBULAR,
    HEXALOBULAR_SECURITY,
    SLOTTED,
    HEX,
    TRI_WING,
    RIVET,
    CLIP
}
