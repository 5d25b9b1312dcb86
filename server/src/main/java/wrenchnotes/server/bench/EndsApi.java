package wrenchnotes.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.bench.ScrewMatch;
import wrenchnotes.core.drawer.kind.InStead;
import wrenchnotes.core.drawer.kind.PartSpec;
import wrenchnotes.core.drawer.kind.ThingPart;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;

/** Open ends on the bench of one job: what is so for a test only, broken pieces, watch points, a screw left over. */
@RestController
@RequestMapping("/api/jobs/{job}/bench")
@May(Act.RUN)
class EndsApi {
    private final EndsService service;
    private final Benches benches;
    private final DrawerStore drawers;
    private final PartsOfJob parts;
    private final Presses press;
    private final OpenPlaces places;
    private final Snapshot snapshot;

    EndsApi(
            EndsService service,
            Benches benches,
            DrawerStore drawers,
            PartsOfJob parts,
            Presses press,
            OpenPlaces places,
            Snapshot snapshot) {
        this.service = service;
        this.benches = benches;
        this.drawers = drawers;
        this.parts = parts;
        this.press = press;
        this.places = places;
        this.snapshot = snapshot;
    }

    public record TemporarySaid(@NotBlank @Size(max = 120) String words) {}

    @PostMapping("/temporary")
    BenchView temporary(@PathVariable long job, Seen seen, @Valid @RequestBody TemporarySaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.temporary(by, job, seen, said.words()));
    }

    public record StaysSaid(@NotBlank @Size(max = 200) String why) {}

    @PostMapping("/temporary/{temporary}/stays")
    BenchView stays(
            @PathVariable long job,
            @PathVariable long temporary,
            Seen seen,
            @Valid @RequestBody StaysSaid said,
            Pen pen) {
        return press.of(job, said, pen, by -> service.stays(by, job, seen, temporary, said.why()));
    }

    @PostMapping("/temporary/{temporary}/right")
    BenchView putRight(@PathVariable long job, @PathVariable long temporary, Seen seen, Pen pen) {
        return press.of(job, "right " + temporary, pen, by -> service.putRight(by, job, seen, temporary));
    }

    /** @param explained where the rest is, if it may stay there; left out if that is not known */
    public record BrokenSaid(
            @NotBlank @Size(max = 120) String what,
            int expected,
            int found,
            @Size(max = 200) String explained) {}

    @PostMapping("/fragments")
    BenchView broken(@PathVariable long job, Seen seen, @Valid @RequestBody BrokenSaid said, Pen pen) {
        Fragments tally = new Fragments(said.what(), said.expected(), said.found(), said.explained());
        return press.of(job, said, pen, by -> service.broken(by, job, seen, tally));
    }

    public record FoundSaid(int found, @Size(max = 200) String explained) {}

    @PostMapping("/fragments/{fragment}")
    BenchView found(
            @PathVariable long job,
            @PathVariable long fragment,
            Seen seen,
            @Valid @RequestBody FoundSaid said,
            Pen pen) {
        return press.of(job, said, pen, by -> service.found(by, job, seen, fragment, said.found(), said.explained()));
    }

    /** @param good whether it looked good; so if left out */
    public record LookedSaid(@NotNull Long component, Optional<Boolean> good) {}

    @PostMapping("/looked")
    BenchView looked(@PathVariable long job, Seen seen, @Valid @RequestBody LookedSaid said, Pen pen) {
        return press.of(
                job,
                said,
                pen,
                by -> service.looked(
                        by, job, seen, said.component(), said.good().orElse(true)));
    }

    /**
     * @param usual whether it was the last to go in there in such a unit
     * @param fits whether it is of the kind that is wanted, some of it agrees, and nothing refuses it
     * @param reasons what speaks for and against it, as far as it is of that kind
     */
    public record FittingPart(DrawerStore.Part part, boolean usual, boolean fits, List<String> reasons) {}

    /** What the drawers have that may stand in for a thing: what went in the last time, then the likeliest, the rest by drawer. */
    @GetMapping("/things/{thing}/parts")
    List<FittingPart> fitting(@PathVariable long job, @PathVariable String thing) {
        return snapshot.read(() -> {
            BenchState state = benches.state(job);
            Optional<PartSpec> wanted = ThingPart.of(state.run().ledger().thing(thing));
            Optional<Long> last = parts.lastAt(state.job().revisionId(), thing);
            return drawers.parts().stream()
                    .filter(part -> part.count() > 0)
                    .map(part -> fitting(
                            part, wanted, last.filter(id -> id == part.id()).isPresent()))
                    .sorted(Comparator.comparing((FittingPart one) -> !one.usual())
                            .thenComparing(one -> !one.fits())
                            .thenComparing(one -> one.reasons().isEmpty()))
                    .toList();
        });
    }

    private static FittingPart fitting(DrawerStore.Part part, Optional<PartSpec> wanted, boolean usual) {
        if (wanted.isEmpty()
                || part.spec().isEmpty()
                || part.spec().get().kind() != wanted.get().kind()) {
            return new FittingPart(part, usual, false, List.of());
        }
        InStead judged = InStead.of(wanted.get(), part.spec().get());
        boolean agrees =
                part.spec().get().answers(wanted.get()).filter(n -> n > 0).isPresent();
        return new FittingPart(part, usual, agrees && judged.verdict() != Judgement.BAD, judged.reasons());
    }

    /** What is known of a screw; what is left out is not known. */
    public record ScrewSaid(
            Optional<Head> head,
            Optional<Double> lengthMm,
            Optional<Double> diameterMm,
            Optional<Integer> threads,
            Optional<Double> overMm,
            Optional<Finish> finish) {}

    /** Changes nothing. */
    @PostMapping("/what-is-it")
    @May(Act.ASK)
    ScrewMatch.Answer whatIsIt(@PathVariable long job, @Valid @RequestBody ScrewSaid said) {
        ScrewMatch.Known known = new ScrewMatch.Known(
                said.head(), said.lengthMm(), said.diameterMm(), said.threads(), said.overMm(), said.finish());
        return places.of(job, known);
    }
}
