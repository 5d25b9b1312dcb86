package wrenchnotes.core.bench;

import wrenchnotes.core.unit.Spoken;

/** Whether a unit has power. */
public enum Power implements Spoken {
    LIVE,
    OFF,
    UNPLUGGED;

    @Override
    public String words() {
        return switch (this) {
            case LIVE -> "live";
            case OFF -> "off, still plugged in";
            case UNPLUGGED -> "off and unplugged";
        };
    }
}
