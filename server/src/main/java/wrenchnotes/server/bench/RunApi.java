package wrenchnotes.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.Press;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.Stroke;
import wrenchnotes.server.bench.RunService.Offer;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;

/** Runs on the bench of one job: begun, turned, paused, closed. */
@RestController
@RequestMapping("/api/jobs/{job}/bench")
@May(Act.RUN)
class RunApi {
    private final RunService service;
    private final Presses press;

    RunApi(RunService service, Presses press) {
        this.service = service;
        this.press = press;
    }

    /**
     * @param targets components to reach; none for the whole of it
     * @param offer the quickest way if left out
     */
    public record AimSaid(@NotNull @Size(max = 20) List<@NotNull Long> targets, Optional<Offer> offer) {
        RunService.Aim aim() {
            return new RunService.Aim(List.copyOf(targets), offer.orElse(Offer.TIME));
        }
    }

    public record MissingSaid(@NotBlank @Size(max = 80) String thing, int count) {}

    /**
     * @param off that the unit is off and unplugged: no run begins without
     * @param rework why it is opened again; needed when it was closed for good before
     * @param bench as the browser is called; left out if nobody named it
     */
    public record StartSaid(
            @NotNull @Size(max = 20) List<@NotNull Long> targets,
            Optional<Offer> offer,
            boolean off,
            @NotNull @Size(max = 60) List<@Valid @NotNull MissingSaid> missing,
            Optional<Rework> rework,
            @Size(max = 300) String words,
            Optional<@Size(max = 40) String> bench) {

        RunService.Start start() {
            return new RunService.Start(
                    new AimSaid(targets, offer).aim(),
                    off,
                    missing.stream()
                            .map(one -> new Press.CountedMissing(one.thing(), one.count()))
                            .toList(),
                    rework,
                    words);
        }
    }

    @PostMapping("/start")
    BenchView start(@PathVariable long job, Seen seen, @Valid @RequestBody StartSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.start(by, job, seen, said.start(), said.bench()));
    }

    @PostMapping("/turn")
    BenchView turn(@PathVariable long job, Seen seen, @Valid @RequestBody AimSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.turn(by, job, seen, said.aim()));
    }

    /** @param bench as the browser is called */
    public record TakeOverSaid(@NotBlank @Size(max = 40) String bench) {}

    /** The unit goes to another bench, with its tray. */
    @PostMapping("/take-over")
    BenchView takeOver(@PathVariable long job, Seen seen, @Valid @RequestBody TakeOverSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.takeOver(by, job, seen, said.bench()));
    }

    /** Since when the unit is without power. */
    public record OffSaid(@NotNull Instant since) {}

    @PostMapping("/left-off")
    BenchView leftOff(@PathVariable long job, Seen seen, @Valid @RequestBody OffSaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.leftOff(by, job, seen, said.since()));
    }

    /** @param why what it is live for; may be empty */
    public record PowerSaidNow(
            @NotNull Power power, @NotNull @Size(max = 200) String why) {}

    @PostMapping("/power")
    BenchView power(@PathVariable long job, Seen seen, @Valid @RequestBody PowerSaidNow said, Pen pen) {
        return press.of(job, said, pen, by -> service.switchTo(by, job, seen, said.power(), said.why()));
    }

    @PostMapping("/steps/{step}/heed")
    BenchView heed(@PathVariable long job, @PathVariable String step, Seen seen, Pen pen) {
        return press.of(job, "heed", pen, by -> service.heed(by, job, seen, step));
    }

    /**
     * @param words how it was marked; may be empty if there is a picture, or if it stands there again
     * @param photo hash of a picture that was kept
     */
    public record MarkSaid(
            @NotBlank @Size(max = 80) String stays,
            @NotNull @Size(max = 200) String words,
            Optional<@Pattern(regexp = "[0-9a-f]{64}") String> photo) {}

    @PostMapping("/steps/{step}/mark")
    BenchView mark(
            @PathVariable long job, @PathVariable String step, Seen seen, @Valid @RequestBody MarkSaid said, Pen pen) {
        Press.Marking marking = new Press.Marking(step, said.stays(), said.words(), said.photo());
        return press.of(job, said, pen, by -> service.mark(by, job, seen, marking));
    }

    public record WhySaid(@NotBlank @Size(max = 200) String reason) {}

    @PostMapping("/steps/{step}/skip")
    BenchView skip(
            @PathVariable long job, @PathVariable String step, Seen seen, @Valid @RequestBody WhySaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.skip(by, job, seen, step, said.reason()));
    }

    @PostMapping("/pause")
    BenchView pause(@PathVariable long job, Seen seen, Pen pen) {
        return press.of(job, "pause", pen, by -> service.pause(by, job, seen));
    }

    @PostMapping("/go-on")
    BenchView goOn(@PathVariable long job, Seen seen, Pen pen) {
        return press.of(job, "go on", pen, by -> service.goOn(by, job, seen));
    }

    /**
     * @param photo hash of a picture that was kept; left out for words alone
     * @param step that is in hand; left out if none is
     * @param strokes drawn over the picture
     */
    public record NoteSaid(
            @Size(max = 300) String words,
            Optional<@Pattern(regexp = "[0-9a-f]{64}") String> photo,
            Optional<@Size(max = 120) String> step,
            Optional<@Size(max = Stroke.MOST) List<@NotNull Stroke>> strokes) {}

    @PostMapping("/notes")
    BenchView note(@PathVariable long job, Seen seen, @Valid @RequestBody NoteSaid said, Pen pen) {
        return press.of(
                job,
                said,
                pen,
                by -> service.note(
                        by,
                        job,
                        seen,
                        new RunService.Noted(
                                said.words(),
                                said.photo(),
                                said.step(),
                                said.strokes().orElse(List.of()))));
    }

    @PostMapping("/close")
    BenchView close(@PathVariable long job, Seen seen, Pen pen) {
        return press.of(job, "close", pen, by -> service.close(by, job, seen, Optional.empty()));
    }

    @PostMapping("/close-for-now")
    BenchView closeForNow(@PathVariable long job, Seen seen, @Valid @RequestBody WhySaid said, Pen pen) {
        return press.of(job, said, pen, by -> service.close(by, job, seen, Optional.of(said.reason())));
    }
}
