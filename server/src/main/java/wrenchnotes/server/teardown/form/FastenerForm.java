package wrenchnotes.server.teardown.form;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Spot;
import wrenchnotes.core.teardown.ThreadForm;

/** A fastener group within {@link StepForm}. What is left out is not known; up to form 4 all of it stood there. */
public record FastenerForm(
        String id,
        String label,
        String head,
        String size,
        String thread,
        Double diameterMm,
        Double lengthMm,
        String finish,
        Integer count,
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
                group.head().map(Enum::name).orElse(null),
                group.size(),
                group.thread().map(Enum::name).orElse(null),
                group.diameterMm().orElse(null),
                group.lengthMm().orElse(null),
                group.finish().map(Enum::name).orElse(null),
                group.count().orElse(null),
                group.hides(),
                group.spots().stream().map(SpotForm::of).toList());
    }

    FastenerGroup group() {
        return new FastenerGroup(
                id,
                label,
                Optional.ofNullable(head).map(Head::valueOf),
                size,
                Optional.ofNullable(thread).map(ThreadForm::valueOf),
                Optional.ofNullable(diameterMm),
                Optional.ofNullable(lengthMm),
                Optional.ofNullable(finish).map(Finish::valueOf),
                Optional.ofNullable(count),
                hides,
                StepForm.each(spots, SpotForm::spot));
    }
}
