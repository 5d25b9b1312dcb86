package wrenchnotes.server.job;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.EntryStore.EntryRow;
import wrenchnotes.server.shop.TheShop;

/** What was said about a job and never changes. */
@RestController
@May(Act.REMARK)
class EntryApi {

    private final EntryService service;
    private final EntryStore entries;
    private final TheShop shop;
    private final Snapshot snapshot;

    EntryApi(EntryService service, EntryStore entries, TheShop shop, Snapshot snapshot) {
        this.service = service;
        this.entries = entries;
        this.shop = shop;
        this.snapshot = snapshot;
    }

    /**
     * @param kind REMARK, POWER, POWER_OFF, ACKNOWLEDGED, MADE_SAFE, ELECTRICAL, FOUND_INSIDE, DECIDED, OBSERVED, ALTERED, LATER_WORD or TAKEN_BACK; others may come
     * @param photo hash of a picture taken with it
     * @param takesBack the entry that this one takes back
     * @param takenBack why it was taken back itself, if it was
     */
    public record EntrySeen(
            long id,
            long jobId,
            String kind,
            String words,
            Optional<String> photo,
            Instant at,
            String by,
            Optional<Long> answers,
            Optional<Long> takesBack,
            Optional<String> takenBack) {

        static EntrySeen of(EntryRow row, ZoneId zone) {
            return new EntrySeen(
                    row.id(),
                    row.jobId(),
                    row.kind(),
                    row.entry().words(zone),
                    row.entry().picture(),
                    row.at(),
                    row.by(),
                    row.answers(),
                    row.takesBack(),
                    row.takenBack());
        }
    }

    /** In the order in which they were said, those that were taken back too. */
    @GetMapping("/api/jobs/{job}/entries")
    List<EntrySeen> entries(@PathVariable long job) {
        return snapshot.read(() -> entries.ofJob(job).stream().map(this::seen).toList());
    }

    public record SeenToSaid(
            @NotNull ArrivalMark mark,
            @NotBlank @Size(max = 300) String words) {}

    /** What was done with something that came in dangerous. */
    @PostMapping("/api/jobs/{job}/seen-to")
    @ResponseStatus(HttpStatus.CREATED)
    @May(Act.MAKE_SAFE)
    EntrySeen seenTo(@PathVariable long job, @Valid @RequestBody SeenToSaid said, Pen pen) {
        return seen(
                pen.once(said, by -> service.seenTo(by, job, said.mark(), said.words()), EntryRow::id, entries::entry));
    }

    public record TakeBackSaid(@NotBlank @Size(max = 300) String why) {}

    @PostMapping("/api/entries/{entry}/take-back")
    EntrySeen takeBack(@PathVariable long entry, @Valid @RequestBody TakeBackSaid said, Pen pen) {
        return seen(pen.once(said, by -> service.takeBack(by, entry, said.why()), EntryRow::id, entries::entry));
    }

    private EntrySeen seen(EntryRow row) {
        return EntrySeen.of(row, shop.now().zoneId());
    }
}
