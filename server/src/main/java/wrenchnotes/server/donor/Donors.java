package wrenchnotes.server.donor;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.drawer.donor.DonorWorth;
import wrenchnotes.core.drawer.donor.InDonor;
import wrenchnotes.core.drawer.donor.SaidOfDonor;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.bench.BenchStore;
import wrenchnotes.server.drawer.DonorParts;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.Nearness;

/** The register of units that are kept for parts. Each method runs in the caller's transaction. */
@Component
public class Donors implements DonorParts {

    private final DonorStore store;
    private final ModelStore models;
    private final Nearness nearness;
    private final BenchStore benches;
    private final JobStore jobs;
    private final Journal journal;

    Donors(DonorStore store, ModelStore models, Nearness nearness, BenchStore benches, JobStore jobs, Journal journal) {
        this.store = store;
        this.models = models;
        this.nearness = nearness;
        this.benches = benches;
        this.jobs = jobs;
        this.journal = journal;
    }

    /**
     * A component of a donor.
     *
     * @param told the last that was said of it; empty if nothing was
     * @param minutes to get at it as it stands now, by its notes; empty if they do not lead there
     * @param breaks what cannot be undone on the way
     * @param shareMinor what it carries away if it is taken now; empty if nobody would take it
     * @param newMinor what one costs new; empty if nobody knows
     */
    public record DonorPiece(
            long componentId,
            String name,
            InDonor state,
            Optional<String> told,
            Optional<Instant> toldAt,
            Optional<Double> minutes,
            List<String> breaks,
            Optional<Long> shareMinor,
            Optional<Long> newMinor) {}

    /** What went out of it, or came back. */
    public record DonorMove(
            String name,
            boolean out,
            long valueMinor,
            Optional<String> tag,
            Optional<String> drawer,
            Instant at,
            String by) {}

    /** @param worth what is left of what was paid, and what the good ones would cost new */
    public record DonorRegister(
            long unitId,
            String tag,
            long jobId,
            String model,
            String place,
            Instant keptAt,
            long paidMinor,
            long leftMinor,
            long goodMinor,
            List<DonorPiece> pieces,
            List<DonorMove> moves) {}

    List<DonorRegister> all() {
        return registers(store.all());
    }

    /** @throws NotFound if it is none */
    DonorRegister one(long unit) {
        return registers(List.of(donor(unit))).get(0);
    }

    DonorStore.Donor donor(long unit) {
        return store.all().stream()
                .filter(one -> one.unit() == unit)
                .findFirst()
                .orElseThrow(() -> new NotFound("No such unit is kept for parts"));
    }

    private List<DonorRegister> registers(Collection<DonorStore.Donor> donors) {
        List<Long> units = donors.stream().map(DonorStore.Donor::unit).toList();
        Map<Long, List<DonorStore.Said>> said =
                store.said(units).stream().collect(Collectors.groupingBy(DonorStore.Said::unit));
        Map<Long, List<DonorStore.Move>> moves =
                store.moves(units).stream().collect(Collectors.groupingBy(DonorStore.Move::unit));
        Map<Long, List<ModelStore.ModelComponent>> components = new HashMap<>();
        donors.forEach(donor -> components.computeIfAbsent(donor.model(), models::components));
        Map<Long, Long> costNew = store.costNew(components.values().stream()
                .flatMap(List::stream)
                .map(ModelStore.ModelComponent::id)
                .collect(Collectors.toSet()));
        return donors.stream()
                .map(donor -> register(
                        donor,
                        components.get(donor.model()),
                        said.getOrDefault(donor.unit(), List.of()),
                        moves.getOrDefault(donor.unit(), List.of()),
                        costNew))
                .toList();
    }

    private DonorRegister register(
            DonorStore.Donor donor,
            List<ModelStore.ModelComponent> components,
            List<DonorStore.Said> said,
            List<DonorStore.Move> moves,
            Map<Long, Long> costNew) {
        Map<Long, List<SaidOfDonor>> ofEach = said.stream()
                .collect(Collectors.groupingBy(
                        DonorStore.Said::component, Collectors.mapping(DonorStore.Said::said, Collectors.toList())));
        Set<Long> out = out(moves);
        long taken = moves.stream()
                .mapToLong(move -> move.out() ? move.valueMinor() : -move.valueMinor())
                .sum();
        List<DonorWorth.Piece> pieces = components.stream()
                .map(component -> new DonorWorth.Piece(
                        component.id(),
                        SaidOfDonor.standing(
                                ofEach.getOrDefault(component.id(), List.of()), out.contains(component.id())),
                        costNew.containsKey(component.id())
                                ? OptionalLong.of(costNew.get(component.id()))
                                : OptionalLong.empty()))
                .toList();
        DonorWorth worth = DonorWorth.of(donor.paidMinor(), Math.min(taken, donor.paidMinor()), pieces);
        Map<Long, Nearness.Place> ways = ways(donor);
        Map<Long, String> names = new HashMap<>();
        components.forEach(component -> names.put(component.id(), component.name()));
        List<DonorPiece> shown = new ArrayList<>();
        for (DonorWorth.Piece piece : pieces) {
            Optional<SaidOfDonor> last = SaidOfDonor.last(ofEach.getOrDefault(piece.component(), List.of()));
            Optional<Nearness.Place> way = Optional.ofNullable(ways.get(piece.component()));
            shown.add(new DonorPiece(
                    piece.component(),
                    names.get(piece.component()),
                    piece.state(),
                    last.map(SaidOfDonor::words),
                    last.map(SaidOfDonor::at),
                    way.map(one -> one.way().minutes()),
                    way.map(Nearness.Place::breaks).orElse(List.of()),
                    Optional.ofNullable(worth.shares().get(piece.component())),
                    Optional.ofNullable(costNew.get(piece.component()))));
        }
        return new DonorRegister(
                donor.unit(),
                donor.tag(),
                donor.job(),
                donor.named(),
                donor.place(),
                donor.keptAt(),
                donor.paidMinor(),
                worth.leftMinor(),
                worth.goodMinor(),
                shown,
                moves.stream()
                        .map(move -> new DonorMove(
                                names.getOrDefault(move.component(), "a part"),
                                move.out(),
                                move.valueMinor(),
                                move.tag(),
                                move.drawer(),
                                move.at(),
                                move.by()))
                        .toList());
    }

    private static Set<Long> out(List<DonorStore.Move> moves) {
        Map<Long, Integer> net = new HashMap<>();
        moves.forEach(move -> net.merge(move.component(), move.out() ? move.count() : -move.count(), Integer::sum));
        Set<Long> out = new HashSet<>();
        net.forEach((component, count) -> {
            if (count > 0) {
                out.add(component);
            }
        });
        return out;
    }

    private Map<Long, Nearness.Place> ways(DonorStore.Donor donor) {
        Job job = jobs.job(donor.job());
        Set<String> open = Set.copyOf(StepEntry.open(benches.steps(job.id())));
        return nearness.places(donor.revision(), job.openedWith(), open).stream()
                .collect(Collectors.toMap(Nearness.Place::component, place -> place, (one, other) -> one));
    }

    @Override
    public String called(FromDonor from) {
        DonorStore.Donor donor = donor(from.unit());
        return models.component(from.component()).name() + " of " + donor.tag();
    }

    @Override
    public TakenOut takes(FromDonor from) {
        DonorRegister register = one(from.unit());
        DonorPiece piece = register.pieces().stream()
                .filter(one -> one.componentId() == from.component())
                .findFirst()
                .orElseThrow(() -> new NotFound(register.tag() + " has no such component"));
        if (piece.state() == InDonor.GONE) {
            throw Refused.because("The " + piece.name() + " of " + register.tag()
                    + " was taken out already: look for another, or say that it is back.");
        }
        return new TakenOut(
                piece.name() + " of " + register.tag(), piece.shareMinor().orElse(0L));
    }

    @Override
    public void moved(By by, FromDonor from, boolean out, String where) {
        // It may be no donor any more when a part goes back into it.
        Job job = jobs.ofUnit(from.unit()).get(0);
        String name = models.component(from.component()).name();
        journal.write(
                jobs.job(job.id()).dated(by),
                Journal.Entry.ofJob(
                        job.id(),
                        "donor",
                        from.component(),
                        (out ? "Taken out: " + name + ", " : "Back in: " + name + ", was ") + where,
                        from));
    }
}
