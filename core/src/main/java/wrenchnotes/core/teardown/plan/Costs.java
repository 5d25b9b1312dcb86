package wrenchnotes.core.teardown.plan;

import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.unit.Checked;

/**
 * What goes between the steps costs.
 *
 * @param flipMinutes for each change of the side that faces up, 0 to 60
 * @param toolMinutes for each time another tool is taken up, 0 to 60
 * @param startSide the side that faces up at first
 */
public record Costs(double flipMinutes, double toolMinutes, Side startSide) {

    /** A unit turned over on its cloth, and a driver found and taken up (common practice, no source). */
    public static final Costs USUAL = new Costs(0.5, 0.25, Side.TOP);

    public Costs {
        Checked.within("flipMinutes", flipMinutes, 0.0, 60.0);
        Checked.within("toolMinutes", toolMinutes, 0.0, 60.0);
        Checked.present("startSide", startSide);
    }
}
