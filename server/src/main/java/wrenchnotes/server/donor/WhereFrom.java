package wrenchnotes.server.donor;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.donor.InDonor;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.drawer.OnTheWay;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.drawer.UsedBefore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.ModelStore;

/** Where a part for a component can be had. Runs in the caller's transaction. */
@Component
class WhereFrom {

    private static final int MOST_DRAWERS = 6;
    private static final int MOST_DONORS = 6;

    private final JobStore jobs;
    private final ModelStore models;
    private final PartsOfJob parts;
    private final DrawerStore drawers;
    private final OnTheWay onTheWay;
    private final Donors donors;
    private final DonorStore store;

    WhereFrom(
            JobStore jobs,
            ModelStore models,
            PartsOfJob parts,
            DrawerStore drawers,
            OnTheWay onTheWay,
            Donors donors,
            DonorStore store) {
        this.jobs = jobs;
        this.models = models;
        this.parts = parts;
        this.drawers = drawers;
        this.onTheWay = onTheWay;
        this.donors = donors;
        this.store = store;
    }

    /**
     * A component of a unit that is kept for parts.
     *
     * @param model of the donor
     * @param same whether it is of the model of the unit that needs it; if not, both take the same part
     */
    public record SourceDonor(
            long unitId, String tag, String model, String place, boolean same, Donors.DonorPiece piece) {}

    /** What an order takes. @param takes days, from the shop's own orders */
    public record SourceOrder(long partId, String part, long eachMinor, Takes takes) {}

    /**
     * @param componentId empty if the model has no such component yet: then nothing is known
     * @param drawers those used most often first
     * @param donors those known good first, then those that are reached soonest
     * @param order of the part that went in there most often, unless it is no longer made; empty if none ever did
     */
    public record Sources(
            Optional<Long> componentId,
            List<UsedBefore> drawers,
            List<SourceDonor> donors,
            Optional<SourceOrder> order) {

        static final Sources NONE = new Sources(Optional.empty(), List.of(), List.of(), Optional.empty());
    }

    Sources of(long jobId, String component) {
        Job job = jobs.job(jobId);
        return models.components(job.unit().modelId()).stream()
                .filter(one -> one.name().equalsIgnoreCase(component.strip()))
                .findFirst()
                .map(one -> of(job, one.id()))
                .orElse(Sources.NONE);
    }

    private Sources of(Job job, long component) {
        List<UsedBefore> used = parts.usedBefore(List.of(component)).getOrDefault(component, List.of());
        Map<Long, DrawerStore.Part> known =
                drawers.parts(used.stream().map(UsedBefore::partId).toList());
        Set<Long> alike = new HashSet<>(store.alike(component));
        alike.add(component);
        List<SourceDonor> from = donors.all().stream()
                .filter(donor -> donor.unitId() != job.unitId())
                .flatMap(donor -> donor.pieces().stream()
                        .filter(piece -> alike.contains(piece.componentId())
                                && piece.state().isThere())
                        .map(piece -> new SourceDonor(
                                donor.unitId(),
                                donor.tag(),
                                donor.model(),
                                donor.place(),
                                piece.componentId() == component,
                                piece)))
                .sorted(Comparator.comparing((SourceDonor one) -> one.piece().state() != InDonor.GOOD)
                        .thenComparing(one -> !one.same())
                        .thenComparing(one -> one.piece().minutes().orElse(Double.MAX_VALUE)))
                .limit(MOST_DONORS)
                .toList();
        Optional<SourceOrder> order = used.stream()
                .map(one -> known.get(one.partId()))
                .filter(part -> !part.care().gone() && !part.care().temporary())
                .findFirst()
                .map(part -> new SourceOrder(part.id(), part.name(), part.eachMinor(), onTheWay.takes(part.id())));
        return new Sources(
                Optional.of(component), used.stream().limit(MOST_DRAWERS).toList(), from, order);
    }
}
