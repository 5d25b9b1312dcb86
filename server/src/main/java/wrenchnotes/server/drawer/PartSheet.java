package wrenchnotes.server.drawer;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.drawer.kind.InStead;
import wrenchnotes.core.drawer.kind.PartField;
import wrenchnotes.core.drawer.need.Advice;

/**
 * All that the shop knows of one part.
 *
 * @param lies the part, and how it is drawn
 * @param unknown fields of its kind of which nothing is known
 * @param fits where it went and what people say of it, the most often fitted first
 * @param standIns others of its kind that lie in a drawer and that nothing refuses, the best first
 * @param promised jobs that some are set aside for
 * @param coming what is wanted and on order of it, the oldest first
 * @param levels how many lay in the drawer after each movement, the oldest first
 * @param advice when to order more; empty until a dozen movements stand behind it
 */
public record PartSheet(
        DrawersApi.Lies lies,
        List<PartField> unknown,
        List<FitStore.Fit> fits,
        List<InItsStead> standIns,
        List<Promised> promised,
        List<OnTheWay.ComingLine> coming,
        List<LevelAt> levels,
        Optional<Advice> advice) {

    public record InItsStead(long partId, String name, String drawer, int count, InStead judged) {

        static InItsStead of(DrawerStore.Part part, InStead judged) {
            return new InItsStead(part.id(), part.name(), part.drawer(), part.count(), judged);
        }
    }

    public record Promised(long job, String tag, int count) {}

    public record LevelAt(Instant at, int count) {}
}
