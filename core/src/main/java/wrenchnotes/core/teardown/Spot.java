package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;

/**
 * A place on one side of a unit, or on a picture of it.
 *
 * @param x 0 at the left edge to 1 at the right
 * @param y 0 at the top edge to 1 at the bottom
 */
public record Spot(double x, double y) {

    public Spot {
        Checked.within("x", x, 0.0, 1.0);
        Checked.within("y", y, 0.0, 1.0);
    }
}
