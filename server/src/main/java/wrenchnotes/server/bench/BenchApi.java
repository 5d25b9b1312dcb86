package wrenchnotes.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.bench.TakenOff;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;

/** The bench of one job. Every key press names the version of the bench that it was made on. */
@RestController
@RequestMapping("/api/jobs/{job}/bench")
@May(Act.RUN)
public class BenchApi {

    private final BenchService service;
    private final DraftService draft;
    private final KnownHere knownHere;
    private final NewerNotes newer;
    private final Agreement agreement;
    private final Presses press;
    private final Snapshot snapshot;

    BenchApi(
            BenchService service,
            DraftService draft,
            KnownHere knownHere,
            NewerNotes newer,
            Agreement agreement,
            Presses press,
            Snapshot snapshot) {
        this.service = service;
        this.draft = draft;
        this.knownHere = knownHere;
        this.newer = newer;
        this.agreement = agreement;
        this.press = press;
        this.snapshot = snapshot;
    }

    /**
     * @param found what was found otherwise than the notes say; what is not named comes off as is usual
     * @param basis how what is not named is known; counted if left out
     * @param acknowledged acknowledges nothing any more: a caution is heeded by a press of its own
     */
    public record InSaid(
            @NotNull @Size(max = 60) List<@Valid @NotNull FoundThing> found,
            Optional<Basis> basis,
            Optional<Boolean> acknowledged) {

        Press.StepIn of(String step) {
            return Press.StepIn.said(
                    step, found.stream().map(FoundThing::takenOff).toList(), basis.orElse(Basis.COUNTED));
        }
    }

    /**
     * @param destroyed used up by taking them off; 0 if left out
     * @param basis how the count is known; counted if left out
     */
    public record FoundThing(
            @NotNull @Size(max = 80) String thing,
            @Min(0) @Max(99) int toTray,
            @Min(0) @Max(99) int missing,
            @Min(0) @Max(99) int broken,
            Optional<@Min(0) @Max(99) Integer> destroyed,
            Optional<Basis> basis) {

        TakenOff takenOff() {
            return new TakenOff(thing, toTray, missing, broken, destroyed.orElse(0), basis.orElse(Basis.COUNTED));
        }
    }

    /** @param settled what did not simply go back; what is not named goes back from the tray */
    public record OutSaid(@NotNull @Size(max = 60) List<@Valid @NotNull ThingOut> settled) {}

    /**
     * @param forNow left out until the next run; 0 if left out
     * @param instead what was put in, if it is not the same again
     * @param partId the part used for what is replaced, if it came from a drawer
     */
    public record ThingOut(
            @NotNull @Size(max = 80) String thing,
            @Min(0) @Max(99) int back,
            @Min(0) @Max(99) int replaced,
            @Min(0) @Max(99) int leftOut,
            Optional<@Min(0) @Max(99) Integer> forNow,
            @Size(max = 300) String reason,
            Optional<@Size(max = 200) String> instead,
            Optional<Long> partId) {

        BenchService.Settled settled() {
            return new BenchService.Settled(
                    new PutBack(thing, back, replaced, leftOut, forNow.orElse(0), reason, instead.orElse("")), partId);
        }
    }

    public record MoveSaid(
            @NotNull String thing,
            @NotNull Account from,
            @NotNull Account to,
            int count,
            @Size(max = 300) String reason,
            Optional<Long> partId) {}

    @GetMapping
    BenchView bench(@PathVariable long job) {
        return snapshot.read(() -> service.view(job));
    }

    @PostMapping("/steps/{step}/in")
    BenchView stepIn(
            @PathVariable long job, @PathVariable String step, Seen seen, @Valid @RequestBody InSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.stepIn(by, job, seen, said.of(step)));
    }

    /** @param lying how many of a thing lie there, by its id; what is left out nobody has counted */
    public record FoundOpenSaid(
            @NotNull @Size(min = 1, max = 200) Set<@NotBlank String> steps,
            @NotNull @Size(max = 200) Map<String, @NotNull @Min(0) @Max(99) Integer> lying) {}

    @PostMapping("/found-open")
    BenchView foundOpen(@PathVariable long job, Seen seen, @Valid @RequestBody FoundOpenSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.foundOpen(by, job, seen, said.steps(), said.lying()));
    }

    @PostMapping("/steps/{step}/out")
    BenchView stepOut(
            @PathVariable long job, @PathVariable String step, Seen seen, @Valid @RequestBody OutSaid said, Pen pen) {
        List<BenchService.Settled> settled =
                said.settled().stream().map(ThingOut::settled).toList();
        return press.of(job, said, pen, by -> service.stepOut(by, job, seen, step, settled));
    }

    /**
     * @param head left out if nobody looked
     * @param count left out if nobody counted
     */
    public record ScrewsSaid(Optional<Head> head, Optional<@Min(1) @Max(99) Integer> count) {}

    /**
     * What came off where the notes end: it becomes their next step. What was only folded up or turned aside takes nothing off.
     *
     * @param exposes names of components that can be reached now
     * @param photos hashes of pictures that are kept
     */
    public record CameOffSaid(
            @NotBlank @Size(max = 80) String title,
            @NotNull Side side,
            @Size(max = 120) String tool,
            @NotNull @Size(max = 8) List<@Valid @NotNull ScrewsSaid> screws,
            @NotNull @Size(max = 20) List<@NotBlank @Size(max = 80) String> plugs,
            @NotNull @Size(max = 20) List<@NotBlank @Size(max = 80) String> pieces,
            @Size(max = 500) String caution,
            @Size(max = 500) String closeUp,
            @Size(max = 20) List<@NotBlank @Size(max = 80) String> exposes,
            @Size(max = 8) List<@NotNull @Pattern(regexp = "[0-9a-f]{64}") String> photos) {

        DraftService.Off off() {
            return new DraftService.Off(
                    title,
                    side,
                    tool,
                    screws.stream()
                            .map(one -> new DraftService.Screws(one.head(), one.count()))
                            .toList(),
                    plugs,
                    pieces,
                    new DraftService.Besides(caution, closeUp, listed(exposes), listed(photos)));
        }

        private static List<String> listed(List<String> said) {
            return said == null ? List.of() : said;
        }
    }

    @PostMapping("/came-off")
    BenchView cameOff(@PathVariable long job, Seen seen, @Valid @RequestBody CameOffSaid said, Pen pen) {
        return press.of(job, said, pen, by -> draft.cameOff(by, job, seen, said.off()));
    }

    /**
     * What somebody counted or measured of what the notes leave open; what is left out was not looked at.
     *
     * @param lying how many of it lie on the mat
     */
    public record KnownSaid(
            @NotBlank @Size(max = 80) String thing,
            Optional<@Min(1) @Max(99) Integer> lying,
            Optional<Head> head,
            Optional<@Size(max = 12) String> size,
            Optional<ThreadForm> thread,
            Optional<Double> diameterMm,
            Optional<Double> lengthMm,
            Optional<Finish> finish) {

        KnownHere.Said of() {
            FastenerGroup measured = new FastenerGroup(
                    thing,
                    thing,
                    head,
                    size.orElse(""),
                    thread,
                    diameterMm,
                    lengthMm,
                    finish,
                    Optional.empty(),
                    "",
                    null);
            return new KnownHere.Said(thing, lying, Optional.of(measured));
        }
    }

    @PostMapping("/known")
    BenchView known(@PathVariable long job, Seen seen, @Valid @RequestBody KnownSaid said, Pen pen) {
        return press.of(job, said, pen, by -> knownHere.say(by, job, seen, said.of()));
    }

    /** Nothing is sent while the job goes by the newest notes. */
    public record NewerNotesView(Optional<NewerNotes.NewerView> newer) {}

    @GetMapping("/notes/newer")
    NewerNotesView newer(@PathVariable long job) {
        return snapshot.read(() -> new NewerNotesView(newer.view(job)));
    }

    /** What was answered, by what it was called before. */
    public record NewerSaid(
            @NotNull @Size(max = 200) Map<String, @NotNull String> steps,
            @NotNull @Size(max = 200) Map<String, @NotNull String> things) {}

    @PostMapping("/notes/newer")
    BenchView take(@PathVariable long job, Seen seen, @Valid @RequestBody NewerSaid said, Pen pen) {
        return press.of(job, said, pen, by -> newer.take(by, job, seen, said.steps(), said.things()));
    }

    @PostMapping("/back")
    BenchView stepBack(@PathVariable long job, Seen seen, Pen pen) {
        return press.of(job, "back", pen, by -> service.stepBack(by, job, seen));
    }

    @PostMapping("/moves")
    BenchView move(@PathVariable long job, Seen seen, @Valid @RequestBody MoveSaid said, Pen pen) {
        Move move = new Move(said.thing(), said.from(), said.to(), said.count(), said.reason());
        return press.of(job, said, pen, by -> service.move(by, job, seen, move, said.partId()));
    }

    /** @param thing of the notes; empty if none of them is it */
    public record BearsSaid(@NotNull Long component, Optional<@Size(max = 80) String> thing) {}

    @PostMapping("/bears")
    BenchView bears(@PathVariable long job, Seen seen, @Valid @RequestBody BearsSaid said, Pen pen) {
        return press.of(job, said, pen, by -> agreement.bears(by, job, seen, said.component(), said.thing()));
    }

    /** Which variant a sub-assembly is, seen now that it is open. */
    public record VariantSaid(
            @NotNull Long component, @NotNull Long revision) {}

    @PostMapping("/fitted")
    BenchView fit(@PathVariable long job, Seen seen, @Valid @RequestBody VariantSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.fit(by, job, seen, said.component(), said.revision()));
    }
}
