package wrenchnotes.server.drawer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Counting a drawer through: what is counted is shown beside the book before any of it is taken over, and nothing stands still meanwhile. */
@RestController
@RequestMapping("/api/stock-takes")
@May(Act.PARTS)
class StockTakeApi {

    private final StockTakeService service;
    private final StockTakeStore takes;
    private final DrawerStore drawers;
    private final Snapshot snapshot;

    StockTakeApi(StockTakeService service, StockTakeStore takes, DrawerStore drawers, Snapshot snapshot) {
        this.service = service;
        this.takes = takes;
        this.drawers = drawers;
        this.snapshot = snapshot;
    }

    /**
     * One part of the drawer.
     *
     * @param book how many there are by the book now
     * @param counted what was counted; empty if it was not yet
     * @param differs counted less what the book said at that moment; 0 if it was not counted
     */
    public record StockLine(long partId, String name, String told, int book, Optional<Integer> counted, int differs) {}

    /** @param taken whether it was taken over, or thrown away; empty while it is open */
    public record StockTake(
            long id, String drawer, Instant at, String by, Optional<Boolean> taken, List<StockLine> lines, int left) {}

    public record TakeSaid(@NotBlank @Size(max = 12) String drawer) {}

    /** Begins one, or goes on with the one that is open. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    StockTake begin(@Valid @RequestBody TakeSaid said, Pen pen) {
        return pen.once(
                said,
                by -> of(service.begin(by, Checked.text("drawer", said.drawer(), 12))),
                StockTake::id,
                this::read);
    }

    @GetMapping("/{take}")
    StockTake read(@PathVariable long take) {
        return snapshot.read(() -> of(take));
    }

    public record CountSaid(
            @NotNull Long partId, @Min(0) @Max(99_999) int count) {}

    /** The last count of a part stands. */
    @PostMapping("/{take}/counts")
    StockTake count(@PathVariable long take, @Valid @RequestBody CountSaid said, Pen pen) {
        return pen.once(
                said,
                by -> {
                    service.count(by, take, said.partId(), said.count());
                    return of(take);
                },
                StockTake::id,
                this::read);
    }

    /** @param take whether the differences are taken over; what was not counted stays as it is either way */
    public record TakeEndSaid(@NotNull Boolean take) {}

    @PostMapping("/{take}/end")
    StockTake end(@PathVariable long take, @Valid @RequestBody TakeEndSaid said, Pen pen) {
        return pen.once(
                said,
                by -> {
                    service.end(by, take, said.take());
                    return of(take);
                },
                StockTake::id,
                this::read);
    }

    private StockTake of(long id) {
        StockTakeStore.Take take = takes.take(id);
        Map<Long, StockTakeStore.Counted> counted =
                takes.counted(id).stream().collect(Collectors.toMap(StockTakeStore.Counted::part, Function.identity()));
        List<StockLine> lines = drawers.inDrawers(List.of(take.drawer())).stream()
                .map(part -> {
                    Optional<StockTakeStore.Counted> one = Optional.ofNullable(counted.get(part.id()));
                    return new StockLine(
                            part.id(),
                            part.name(),
                            part.told(),
                            part.count(),
                            one.map(StockTakeStore.Counted::counted),
                            one.map(count -> count.counted() - count.booked()).orElse(0));
                })
                .toList();
        int left = (int) lines.stream().filter(line -> line.counted().isEmpty()).count();
        return new StockTake(take.id(), take.drawer(), take.at(), take.by(), take.taken(), lines, left);
    }
}
