package wrenchnotes.server.brought;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.brought.BroughtJob;
import wrenchnotes.core.brought.Field;
import wrenchnotes.core.brought.Sheet;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.brought.BroughtStore.Brought;
import wrenchnotes.server.brought.BroughtStore.State;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.Takes;

/** Past jobs from a spreadsheet: read, looked through, taken in, undone. */
@RestController
@RequestMapping("/api/brought")
@May(Act.IMPORT)
class BroughtApi {

    private static final int SHOWN = 100;

    private final BroughtStore store;
    private final BroughtService service;
    private final BroughtRunner runner;
    private final Snapshot snapshot;

    BroughtApi(BroughtStore store, BroughtService service, BroughtRunner runner, Snapshot snapshot) {
        this.store = store;
        this.service = service;
        this.runner = runner;
        this.snapshot = snapshot;
    }

    /** @param gone rows that were gone through */
    public record BroughtList(long id, String name, State state, int rows, int gone, Instant at, String by) {
        static BroughtList of(Brought one) {
            return new BroughtList(one.id(), one.name(), one.state(), one.rows(), one.gone(), one.at(), one.by());
        }
    }

    /** @param line of the table, 1 and up @param job what was read of it; left out if it cannot be taken */
    public record LineRead(int line, Optional<BroughtJob> job, List<String> wrong) {}

    /**
     * What it would be, row by row, before anything is taken.
     *
     * @param header names of its columns
     * @param columns which column says what, by number from 0
     * @param kind what models are that the shop has not got
     * @param unsettled what must be said of the columns first; left out if nothing
     * @param good how many rows can be taken
     * @param bad those that cannot, the first hundred
     * @param first the first hundred of those that can
     * @param newModels models that would be made
     */
    public record DryRun(
            BroughtList list,
            List<String> header,
            Map<Field, Integer> columns,
            Kind kind,
            Optional<String> unsettled,
            int good,
            int wrong,
            List<LineRead> bad,
            List<LineRead> first,
            List<String> newModels) {}

    public record ColumnsSaid(
            @NotNull @Size(max = 9) Map<Field, @NotNull Integer> columns,
            @NotNull Kind kind) {}

    /** Newest first. */
    @GetMapping
    List<BroughtList> all() {
        return snapshot.read(() -> store.all().stream().map(BroughtList::of).toList());
    }

    @PostMapping(consumes = "application/octet-stream")
    @ResponseStatus(HttpStatus.CREATED)
    @Takes(megabytes = 20)
    BroughtList read(@RequestParam @Size(max = 120) String name, @RequestBody byte[] file, Pen pen) {
        return BroughtList.of(pen.once(file, by -> service.read(by, name, file), Brought::id, store::brought));
    }

    @GetMapping("/{list}")
    BroughtList one(@PathVariable long list) {
        return snapshot.read(() -> BroughtList.of(store.brought(list)));
    }

    @GetMapping("/{list}/rows")
    DryRun rows(@PathVariable long list) {
        return snapshot.read(() -> dryRun(store.brought(list)));
    }

    private DryRun dryRun(Brought of) {
        List<LineRead> bad = new ArrayList<>();
        List<LineRead> first = new ArrayList<>();
        int good = 0;
        int wrong = 0;
        Optional<String> unsettled = Optional.empty();
        List<String> newModels = List.of();
        try {
            Sheet sheet = service.sheet(of);
            for (int at = 0; at < sheet.size(); at++) {
                Sheet.RowRead row = sheet.row(at);
                boolean can = row.job().isPresent();
                good += can ? 1 : 0;
                wrong += can ? 0 : 1;
                List<LineRead> shown = can ? first : bad;
                if (shown.size() < SHOWN) {
                    shown.add(new LineRead(at + 1, row.job(), row.wrong()));
                }
            }
            newModels = service.newModels(sheet);
        } catch (Invalid e) {
            unsettled = Optional.of(e.getMessage());
        }
        return new DryRun(
                BroughtList.of(of),
                service.header(of.id()),
                of.columns(),
                of.kind(),
                unsettled,
                good,
                wrong,
                bad,
                first,
                newModels);
    }

    @PutMapping("/{list}/columns")
    BroughtList means(@PathVariable long list, @Valid @RequestBody ColumnsSaid said, Pen pen) {
        return BroughtList.of(
                pen.once(said, by -> service.means(list, said.columns(), said.kind()), Brought::id, store::brought));
    }

    /** Takes it in, or goes on with it; how far it is stands in the answer to GET. */
    @PostMapping("/{list}/start")
    BroughtList start(@PathVariable long list, Pen pen) {
        return BroughtList.of(pen.once(
                "start",
                by -> {
                    Brought begun = service.begin(by, list);
                    runner.goOnceKept(by, list);
                    return begun;
                },
                Brought::id,
                store::brought));
    }

    @PostMapping("/{list}/stop")
    BroughtList stop(@PathVariable long list) {
        runner.stop(list);
        return one(list);
    }

    @PostMapping("/{list}/undo")
    BroughtList undo(@PathVariable long list, Pen pen) {
        return BroughtList.of(pen.once("undo", by -> service.undo(by, list), Brought::id, store::brought));
    }
}
