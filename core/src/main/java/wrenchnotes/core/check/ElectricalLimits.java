package wrenchnotes.core.check;

import wrenchnotes.core.unit.Checked;

/**
 * What the shop asks of a unit after work on its mains side. Local rules decide; the values to begin with are those of EN 50678 as commonly
 * given for a lead of up to 5 m (from memory).
 *
 * @param asked whether the gate asks at all
 * @param earthOhm most resistance from the plug's earth to what can be touched, 0.01 to 10 Ω
 * @param earthedMohm least insulation of an earthed unit, 0.1 to 1,000 MΩ
 * @param doubleMohm least insulation of a double insulated one, 0.1 to 1,000 MΩ
 * @param rule which rule the shop goes by, as it stands on papers; may be empty
 */
public record ElectricalLimits(boolean asked, double earthOhm, double earthedMohm, double doubleMohm, String rule) {

    public static final ElectricalLimits USUAL = new ElectricalLimits(true, 0.3, 1, 2, "");

    public ElectricalLimits {
        Checked.within("earthOhm", earthOhm, 0.01, 10);
        Checked.within("earthedMohm", earthedMohm, 0.1, 1000);
        Checked.within("doubleMohm", doubleMohm, 0.1, 1000);
        rule = Checked.optionalText("rule", rule, 120);
    }

    double leastMohm(Protection protection) {
        return protection == Protection.EARTHED ? earthedMohm : doubleMohm;
    }
}
