package wrenchnotes.core.teardown;

import java.util.List;
import wrenchnotes.core.unit.Checked;

/**
 * A line drawn over a picture with a finger: data, not paint.
 *
 * @param through 2 to 200 places, in the order in which they were drawn
 */
public record Stroke(List<Spot> through) {

    /** More lines than these hide the picture. */
    public static final int MOST = 20;

    public Stroke {
        Checked.present("through", through);
        through = List.copyOf(through);
        Checked.within("through", through.size(), 2, 200);
    }
}
