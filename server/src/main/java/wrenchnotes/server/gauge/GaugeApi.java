package wrenchnotes.server.gauge;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.bench.ScrewMatch;
import wrenchnotes.core.drawer.kind.GaugePart;
import wrenchnotes.core.drawer.kind.InStead;
import wrenchnotes.core.drawer.kind.PartKind;
import wrenchnotes.core.gauge.BeltGauge;
import wrenchnotes.core.gauge.BleedGauge;
import wrenchnotes.core.gauge.CapacitorGauge;
import wrenchnotes.core.gauge.ChainGauge;
import wrenchnotes.core.gauge.GearGauge;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.gauge.LimitGauge;
import wrenchnotes.core.gauge.LogicGauge;
import wrenchnotes.core.gauge.RailsGauge;
import wrenchnotes.core.gauge.ScrewHead;
import wrenchnotes.core.gauge.SpindleGauge;
import wrenchnotes.core.gauge.ThreadGauge;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.bench.OpenPlaces;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Snapshot;

/** Measuring and arithmetic: what is sent along, and what lies in the drawers. */
@RestController
@RequestMapping("/api/gauges")
@May(Act.ASK)
public class GaugeApi {

    private final DrawerStore drawers;
    private final ChipStore chips;
    private final OpenPlaces places;
    private final Snapshot snapshot;

    GaugeApi(DrawerStore drawers, ChipStore chips, OpenPlaces places, Snapshot snapshot) {
        this.drawers = drawers;
        this.chips = chips;
        this.places = places;
        this.snapshot = snapshot;
    }

    @PostMapping("/belt")
    BeltGauge.BeltFound belt(@RequestBody BeltGauge.BeltAsked asked) {
        List<BeltGauge.BeltInDrawer> belts = parts(PartKind.BELT).stream()
                .flatMap(part -> part
                        .spec()
                        .flatMap(spec -> GaugePart.belt(part.id(), part.name(), part.drawer(), part.count(), spec))
                        .stream())
                .toList();
        return BeltGauge.of(asked, belts);
    }

    @PostMapping("/gear")
    GearGauge.GearFound gear(@RequestBody GearGauge.GearAsked asked) {
        return GearGauge.of(asked);
    }

    /** @param places with a job: the open places of its unit that the screw may belong to */
    public record ThreadAnswer(ThreadGauge.ThreadFound found, Optional<ScrewMatch.Answer> places) {}

    @PostMapping("/thread")
    ThreadAnswer thread(@RequestBody ThreadGauge.ThreadAsked asked, @RequestParam Optional<Long> job) {
        return new ThreadAnswer(ThreadGauge.of(asked), job.map(one -> places.of(one, known(asked))));
    }

    private static ScrewMatch.Known known(ThreadGauge.ThreadAsked asked) {
        return new ScrewMatch.Known(
                asked.head().map(ScrewHead::type),
                asked.lengthMm(),
                Optional.of(asked.diameterMm()),
                asked.threads().map(ThreadGauge.ThreadsCounted::count),
                asked.threads().map(ThreadGauge.ThreadsCounted::overMm),
                Optional.empty());
    }

    @PostMapping("/rails")
    RailsGauge.RailsFound rails(@RequestBody RailsGauge.RailsAsked asked) {
        return RailsGauge.of(asked);
    }

    @PostMapping("/logic")
    LogicGauge.LogicFound logic(@RequestBody LogicGauge.LogicAsked asked) {
        return LogicGauge.of(asked, snapshot.read(chips::added));
    }

    @PostMapping("/chain")
    ChainGauge.ChainFound chain(@RequestBody ChainGauge.ChainAsked asked) {
        return ChainGauge.of(asked);
    }

    @PostMapping("/spindle")
    SpindleGauge.SpindleFound spindle(@RequestBody SpindleGauge.SpindleAsked asked) {
        return SpindleGauge.of(asked);
    }

    @PostMapping("/bleed")
    BleedGauge.BleedFound bleed(@RequestBody BleedGauge.BleedAsked asked) {
        return BleedGauge.of(asked);
    }

    /** @param verdict whether it may stand in @param reasons a sentence each */
    public record CapacitorInDrawer(
            long partId, String part, String drawer, int count, Judgement verdict, List<String> reasons) {}

    /** @param drawer those of the drawers that may fit, good ones first */
    public record CapacitorAnswer(CapacitorGauge.CapacitorFound found, List<CapacitorInDrawer> drawer) {}

    @PostMapping("/capacitor")
    CapacitorAnswer capacitor(@RequestBody CapacitorGauge.CapacitorAsked asked) {
        List<CapacitorInDrawer> fitting = parts(PartKind.CAPACITOR).stream()
                .filter(part -> part.spec()
                        .flatMap(spec -> GaugePart.capacitor(
                                spec, Optional.of(asked.original().kind())))
                        .isPresent())
                .map(part -> {
                    InStead judged = InStead.capacitor(asked, part.spec().orElseThrow());
                    return new CapacitorInDrawer(
                            part.id(), part.name(), part.drawer(), part.count(), judged.verdict(), judged.reasons());
                })
                .filter(one -> one.verdict() != Judgement.BAD)
                .sorted(Comparator.comparing(CapacitorInDrawer::verdict))
                .toList();
        return new CapacitorAnswer(CapacitorGauge.of(asked), fitting);
    }

    @PostMapping("/limit")
    LimitGauge.LimitFound limit(@RequestBody LimitGauge.LimitAsked asked) {
        return LimitGauge.of(asked);
    }

    private List<DrawerStore.Part> parts(PartKind kind) {
        return snapshot.read(() -> drawers.ofKind(kind));
    }
}
