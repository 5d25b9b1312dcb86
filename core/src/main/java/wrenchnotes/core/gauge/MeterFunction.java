package wrenchnotes.core.gauge;

import wrenchnotes.core.unit.Spoken;

/**
 * What a bench meter measures, and how it is asked: the MEASure subsystem of SCPI-1999 (published; from memory). Values are in the
 * base unit: volts, amperes, ohms, farads.
 */
public enum MeterFunction implements Spoken {
    VOLTS_DC("MEAS:VOLT:DC?", "V"),
    VOLTS_AC("MEAS:VOLT:AC?", "V"),
    AMPERES_DC("MEAS:CURR:DC?", "A"),
    OHMS("MEAS:RES?", "Ω"),
    FARADS("MEAS:CAP?", "F");

    private final String query;
    private final String unit;

    MeterFunction(String query, String unit) {
        this.query = query;
        this.unit = unit;
    }

    public String query() {
        return query;
    }

    public String unit() {
        return unit;
    }
}
