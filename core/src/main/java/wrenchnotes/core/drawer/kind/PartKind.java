package wrenchnotes.core.drawer.kind;

import static wrenchnotes.core.drawer.kind.PartField.*;

import java.util.List;
import wrenchnotes.core.unit.Spoken;

/** What sorts of parts lie in drawers, and what can be said of each, the most telling first. */
public enum PartKind implements Spoken {
    BELT(CIRCUMFERENCE, SECTION, WIDTH, THICKNESS),
    GEAR(TEETH, MODULE, BORE, SPLINED, MATERIAL),
    ROLLER(OUTER, BORE, WIDTH),
    FASTENER(HEAD, DRIVER, THREAD, DIAMETER, LENGTH, FINISH),
    CAPACITOR(
            CAPACITANCE,
            VOLTS,
            RATED_FOR,
            DIELECTRIC,
            SAFETY_CLASS,
            TOLERANCE,
            CELSIUS,
            DIAMETER,
            HEIGHT,
            LEAD_PITCH,
            STYLE,
            SERIES),
    RESISTOR(RESISTANCE, WATTS, TOLERANCE, STYLE),
    FUSE(AMPS, BLOWS, CASE_SIZE, VOLTS),
    CHIP(DESIGNATION, FAMILY, PACKAGE),
    LAMP(VOLTS, MILLIAMPS, COLOUR, CASE_SIZE),
    LEAD(WAYS, PITCH, LENGTH),
    LENS(DESIGNATION, OF_MODEL),
    DRIVE(DESIGNATION, OF_MODEL),
    BOARD(DESIGNATION, OF_MODEL),
    CONSUMABLE(AGENT, AMOUNT),
    OTHER(DESIGNATION, OF_MODEL, MATERIAL, OUTER, BORE, LENGTH, WIDTH, VOLTS);

    private final List<PartField> fields;

    PartKind(PartField... fields) {
        this.fields = List.of(fields);
    }

    public List<PartField> fields() {
        return fields;
    }

    @Override
    public String words() {
        return switch (this) {
            case ROLLER -> "roller or tyre";
            case LAMP -> "lamp or LED";
            case LEAD -> "lead or connector";
            default -> Spoken.super.words();
        };
    }
}
