package wrenchnotes.server.teardown.form;

import java.util.List;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Spot;
import wrenchnotes.core.teardown.ThreadForm;

/** A fastener group within {@link StepForm}. */
public record FastenerForm(
        String id,
        String label,
        String head,
        String size,
        String thread,
        double diameterMm,
        double lengthMm,
        String finish,
        int count,
        String hides,
        List<SpotForm> spots) {

    /** A place from 0 to 1, from the left and from the top. */
    public record SpotForm(double x, double y) {

        static SpotForm of(Spot spot) {
            return new SpotForm(spot.x(), spot.y());
        }

        Spot spot() {
            return new Spot(x, y);
        }
    }

    static FastenerForm of(FastenerGroup group) {
        return new FastenerForm(
                group.id(),
                group.label(),
                group.head().name(),
                group.size(),
                group.thread().name(),
                group.diameterMm(),
                group.lengthMm(),
                group.finish().name(),
                group.count(),
                group.hides(),
                group.spots().stream().map(SpotForm::of).toList());
    }

    FastenerGroup group() {
        return new FastenerGroup(
                id,
                label,
                Head.valueOf(head),
                size,
                ThreadForm.valueOf(thread),
                diameterMm,
                lengthMm,
                Finish.valueOf(finish),
                count,
                hides,
                StepForm.each(spots, SpotForm::spot));
    }
}
