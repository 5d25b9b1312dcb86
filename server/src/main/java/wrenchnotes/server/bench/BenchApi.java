package wrenchnotes.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Move;
import wrenchnotes.core.bench.PutBack;
import wrenchnotes.core.bench.TakenOff;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;

/** The bench of one job. Every key press names the version of the bench that it was made on. */
@RestController
@RequestMapping("/api/jobs/{job}/bench")
public class BenchApi {

    private final BenchService service;
    private final Snapshot snapshot;

    BenchApi(BenchService service, Snapshot snapshot) {
        this.service = service;
        this.snapshot = snapshot;
    }

    /** @param found what was found otherwise than the notes say; what is not named comes off whole */
    public record InSaid(@NotNull @Size(max = 60) List<TakenOff> found) {}

    /** @param settled what did not simply go back; what is not named goes back from the tray */
    public record OutSaid(@NotNull @Size(max = 60) List<ThingOut> settled) {}

    /** @param partId the part used for what is replaced, if it came from a drawer */
    public record ThingOut(
            @NotNull String thing,
            int back,
            int replaced,
            int leftOut,
            @Size(max = 300) String reason,
            Optional<Long> partId) {}

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
            @PathVariable long job,
            @PathVariable String step,
            @RequestHeader(name = "If-Match", required = false) String ifMatch,
            @Valid @RequestBody InSaid said,
            Pen pen) {
        Seen seen = Seen.of(ifMatch);
        return press(job, said, pen, by -> service.stepIn(by, job, seen, step, said.found()));
    }

    @PostMapping("/steps/{step}/out")
    BenchView stepOut(
            @PathVariable long job,
            @PathVariable String step,
            @RequestHeader(name = "If-Match", required = false) String ifMatch,
            @Valid @RequestBody OutSaid said,
            Pen pen) {
        Seen seen = Seen.of(ifMatch);
        List<BenchService.Settled> settled = said.settled().stream()
                .map(out -> new BenchService.Settled(
                        new PutBack(out.thing(), out.back(), out.replaced(), out.leftOut(), out.reason()),
                        out.partId()))
                .toList();
        return press(job, said, pen, by -> service.stepOut(by, job, seen, step, settled));
    }

    @PostMapping("/back")
    BenchView stepBack(
            @PathVariable long job, @RequestHeader(name = "If-Match", required = false) String ifMatch, Pen pen) {
        Seen seen = Seen.of(ifMatch);
        return press(job, "back", pen, by -> service.stepBack(by, job, seen));
    }

    @PostMapping("/moves")
    BenchView move(
            @PathVariable long job,
            @RequestHeader(name = "If-Match", required = false) String ifMatch,
            @Valid @RequestBody MoveSaid said,
            Pen pen) {
        Seen seen = Seen.of(ifMatch);
        Move move = new Move(said.thing(), said.from(), said.to(), said.count(), said.reason());
        return press(job, said, pen, by -> service.move(by, job, seen, move, said.partId()));
    }

    /** Which variant a sub-assembly is, seen now that it is open. */
    public record VariantSaid(
            @NotNull Long component, @NotNull Long revision) {}

    @PostMapping("/fitted")
    BenchView fit(
            @PathVariable long job,
            @RequestHeader(name = "If-Match", required = false) String ifMatch,
            @Valid @RequestBody VariantSaid said,
            Pen pen) {
        Seen seen = Seen.of(ifMatch);
        return press(job, said, pen, by -> service.fit(by, job, seen, said.component(), said.revision()));
    }

    @PostMapping("/close")
    BenchView close(
            @PathVariable long job, @RequestHeader(name = "If-Match", required = false) String ifMatch, Pen pen) {
        Seen seen = Seen.of(ifMatch);
        return press(job, "close", pen, by -> service.close(by, job, seen));
    }

    /** Every key press answers with the bench as it then is. */
    private BenchView press(long job, Object said, Pen pen, Consumer<By> act) {
        return pen.once(said, BenchView.class, by -> {
            act.accept(by);
            return service.view(job);
        });
    }
}
