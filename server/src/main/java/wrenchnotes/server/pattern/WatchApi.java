package wrenchnotes.server.pattern;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.recurring.WatchSaid;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Watch points that history has earned. */
@RestController
@May(Act.OVERRULE)
class WatchApi {

    private final WatchService service;
    private final WatchStore store;
    private final Snapshot snapshot;
    private final Clock clock;

    WatchApi(WatchService service, WatchStore store, Snapshot snapshot, Clock clock) {
        this.service = service;
        this.store = store;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param words as they are to stand in the notes, or why not */
    public record WatchWordSaid(
            @NotNull Long revisionId,
            @NotNull Long componentId,
            @NotNull WatchSaid word,
            @NotBlank @Size(max = 200) String words) {}

    @GetMapping("/api/patterns/watch")
    WatchService.WatchSeen seen() {
        return snapshot.read(() -> service.seen(clock.instant()));
    }

    @PostMapping("/api/patterns/watch")
    @ResponseStatus(HttpStatus.CREATED)
    WatchStore.WatchTold say(@Valid @RequestBody WatchWordSaid said, Pen pen) {
        return pen.once(
                said,
                by -> store.word(service.say(
                        by, said.revisionId(), said.componentId(), said.word(), said.words(), clock.instant())),
                WatchStore.WatchTold::id,
                store::word);
    }
}
