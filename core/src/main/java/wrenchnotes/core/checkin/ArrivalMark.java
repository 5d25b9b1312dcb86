package wrenchnotes.core.checkin;

import java.util.Optional;
import wrenchnotes.core.unit.Spoken;

/** What can be seen of a unit's state when it comes in. */
public enum ArrivalMark implements Spoken {
    SEAL_WHOLE,
    SEAL_BROKEN,
    SEAL_OURS,
    SCREWS_MISSING,
    DENTS,
    BENT,
    LIQUID,
    EARLIER_ATTEMPT,
    SWOLLEN_CELL,
    BURNT_SMELL;

    /** What has to be minded before anybody goes on (usual cautions; local rules decide). */
    public Optional<String> caution() {
        return switch (this) {
            case SWOLLEN_CELL ->
                Optional.of("Swollen cell: stop, do not charge or press it, set the unit apart where nothing burns."
                        + " Follow your local fire and waste rules.");
            case BURNT_SMELL ->
                Optional.of("Smells burnt: leave it unplugged until somebody has looked inside. Your local rules decide"
                        + " who may.");
            case LIQUID ->
                Optional.of("Liquid: no power before it is dry. Unplug, cells out if they are whole, gloves on.");
            default -> Optional.empty();
        };
    }

    /** Whether a unit to which this happened is looked over as a whole, whatever it came for (common practice, no source). */
    public boolean shakes() {
        return this == DENTS || this == BENT || this == LIQUID;
    }

    @Override
    public String words() {
        return switch (this) {
            case SEAL_OURS -> "our seal";
            case EARLIER_ATTEMPT -> "opened before";
            case BURNT_SMELL -> "smells burnt";
            default -> Spoken.super.words();
        };
    }
}
