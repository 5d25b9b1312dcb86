package wrenchnotes.server.order;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.order.OrderEvent;
import wrenchnotes.core.drawer.order.OrderLine;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.table.Table;

/** Orders: what is wanted, what is on its way, what came. */
@RestController
@May(Act.PARTS)
class OrderApi {

    private static final int LAST = 40;

    private final OrderService service;
    private final OrderStore orders;
    private final HappenedStore happened;
    private final SupplierStore suppliers;
    private final TalkStore talks;
    private final Snapshot snapshot;

    OrderApi(
            OrderService service,
            OrderStore orders,
            HappenedStore happened,
            SupplierStore suppliers,
            TalkStore talks,
            Snapshot snapshot) {
        this.service = service;
        this.orders = orders;
        this.happened = happened;
        this.suppliers = suppliers;
        this.talks = talks;
        this.snapshot = snapshot;
    }

    /**
     * One line.
     *
     * @param tag of the unit that waits for it
     * @param whatFor the finding or the component of that unit
     * @param proposed whether the shop's own figures proposed it
     * @param takes how long it usually takes from its supplier; empty while it is only wanted
     */
    public record LineView(
            long id,
            long partId,
            String part,
            String drawer,
            long eachMinor,
            Optional<Long> job,
            Optional<String> tag,
            Optional<String> whatFor,
            boolean proposed,
            String why,
            Instant wantedAt,
            OrderLine line,
            Optional<Takes> takes) {}

    /**
     * @param open whether anything of it is still to come
     * @param asked whether it is to be handed over at its supplier's address
     * @param handedAt when that took it
     * @param trouble what came of the last try; empty if it went well
     * @param cannot what the supplier says that it cannot send, and why; empty if nothing
     */
    public record OrderView(
            long id,
            long supplierId,
            String supplier,
            String words,
            long freightMinor,
            Instant at,
            boolean open,
            boolean asked,
            Optional<Instant> handedAt,
            String trouble,
            String cannot,
            List<LineView> lines) {}

    /** @param wanted lines that are on no order yet, the oldest first @param orders the last ones, the newest first */
    public record Orders(List<LineView> wanted, List<OrderView> orders, List<SupplierStore.Supplier> suppliers) {}

    @GetMapping("/api/orders")
    Orders orders() {
        return snapshot.read(this::all);
    }

    private Orders all() {
        List<OrderStore.LineRow> wanted =
                orders.open().stream().filter(row -> row.order().isEmpty()).toList();
        List<OrderStore.OrderRow> last = orders.last(LAST);
        Map<Long, List<OrderStore.LineRow>> lines =
                orders.ofOrders(last.stream().map(OrderStore.OrderRow::id).toList()).stream()
                        .collect(Collectors.groupingBy(row -> row.order().orElseThrow()));
        List<SupplierStore.Supplier> from = suppliers.all();
        Map<Long, String> names =
                from.stream().collect(Collectors.toMap(SupplierStore.Supplier::id, SupplierStore.Supplier::name));
        List<Takes.Came> came = happened.came();
        Map<Long, TalkStore.TalkSeen> talk =
                talks.of(last.stream().map(OrderStore.OrderRow::id).toList());
        return new Orders(
                views(wanted, came),
                last.stream()
                        .map(order -> view(
                                order,
                                names,
                                talk.get(order.id()),
                                views(lines.getOrDefault(order.id(), List.of()), came)))
                        .toList(),
                from);
    }

    private static OrderView view(
            OrderStore.OrderRow order, Map<Long, String> names, TalkStore.TalkSeen talk, List<LineView> lines) {
        return new OrderView(
                order.id(),
                order.supplier(),
                names.get(order.supplier()),
                order.words(),
                order.freightMinor(),
                order.at(),
                lines.stream().anyMatch(line -> line.line().standing().open()),
                talk.asked(),
                talk.handedAt(),
                talk.trouble(),
                talk.cannot(),
                lines);
    }

    private List<LineView> views(Collection<OrderStore.LineRow> rows, List<Takes.Came> came) {
        Map<Long, List<OrderEvent>> events =
                happened.events(rows.stream().map(OrderStore.LineRow::id).toList());
        return rows.stream()
                .map(row -> new LineView(
                        row.id(),
                        row.part(),
                        row.name(),
                        row.drawer() + (row.place().isEmpty() ? "" : ", " + row.place()),
                        row.eachMinor(),
                        row.job(),
                        row.tag(),
                        row.finding().or(row::component),
                        row.proposed(),
                        row.why(),
                        row.at(),
                        OrderLine.of(row.count(), events.getOrDefault(row.id(), List.of())),
                        row.supplier().map(supplier -> Takes.of(came, supplier, row.part()))))
                .toList();
    }

    /** What a job ordered and waits for. */
    @GetMapping("/api/jobs/{job}/order-lines")
    List<LineView> ofJob(@PathVariable long job) {
        return snapshot.read(() -> views(orders.ofJob(job), happened.came()));
    }

    /**
     * @param jobId that waits for it; left out: it is for the drawer
     * @param findingId of that job
     * @param proposed whether the shop's own figures proposed it
     * @param why "runs out", "split"
     */
    public record WantedSaid(
            @NotNull Long partId,
            @Min(1) @Max(9_999) int count,
            Optional<Long> jobId,
            Optional<Long> componentId,
            Optional<Long> findingId,
            Optional<Boolean> proposed,
            @Size(max = 200) String why) {

        OrderService.Wanted wanted() {
            return new OrderService.Wanted(
                    partId,
                    count,
                    jobId == null ? Optional.empty() : jobId,
                    componentId == null ? Optional.empty() : componentId,
                    findingId == null ? Optional.empty() : findingId,
                    proposed != null && proposed.orElse(false),
                    why == null || why.isBlank() ? "runs out" : why);
        }
    }

    @PostMapping("/api/order-lines")
    @ResponseStatus(HttpStatus.CREATED)
    Orders want(@Valid @RequestBody WantedSaid said, Pen pen) {
        pen.once(said, by -> {
            service.want(by, said.wanted());
        });
        return orders();
    }

    @DeleteMapping("/api/order-lines/{line}")
    Orders notWanted(@PathVariable long line, Pen pen) {
        pen.once("not wanted", by -> service.notWanted(by, line));
        return orders();
    }

    public record OrderSaid(
            @NotNull Long supplierId,
            @NotNull @Size(max = 200) List<Long> lines,
            @Size(max = 200) String words) {}

    /** Lines that are wanted go to one supplier together. */
    @PostMapping("/api/orders")
    @ResponseStatus(HttpStatus.CREATED)
    Orders order(@Valid @RequestBody OrderSaid said, Pen pen) {
        pen.once(said, by -> {
            service.order(by, said.supplierId(), said.lines(), said.words());
        });
        return orders();
    }

    /** @param count how many it is about @param day when they are expected, as the supplier says */
    public record HappenedSaid(
            @NotNull OrderEvent.OrderHappening what,
            @Min(1) @Max(9_999) int count,
            Optional<LocalDate> day,
            @Size(max = 200) String words) {}

    @PostMapping("/api/order-lines/{line}/events")
    Orders happened(@PathVariable long line, @Valid @RequestBody HappenedSaid said, Pen pen) {
        String words = said.words() == null ? "" : said.words();
        Optional<LocalDate> day = said.day() == null ? Optional.empty() : said.day();
        pen.once(said, by -> service.happened(by, line, said.what(), said.count(), day, words));
        return orders();
    }

    public record CameLine(
            @NotNull Long line, @Min(1) @Max(9_999) int count) {}

    /** @param freightMinor what carriage cost, shared by value among what came; 0 if nothing */
    public record CameSaid(
            @NotNull @Size(max = 200) List<@Valid CameLine> lines,
            @Min(0) @Max(10_000_000) long freightMinor) {}

    /** Into the drawers; who waits for it is told. */
    @PostMapping("/api/orders/{order}/came")
    Orders came(@PathVariable long order, @Valid @RequestBody CameSaid said, Pen pen) {
        pen.once(
                said,
                by -> service.came(
                        by,
                        order,
                        said.lines().stream()
                                .map(one -> new OrderService.CameHere(one.line(), one.count()))
                                .toList(),
                        said.freightMinor()));
        return orders();
    }

    @GetMapping(
            value = "/api/orders/{order}/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table(@PathVariable long order) {
        return snapshot.read(() -> new Table(
                "order-" + order,
                List.of("line", "supplier's number", "part", "how many", "each"),
                orders.ofOrders(List.of(order)).stream()
                        .map(row -> Table.row(
                                row.id(), row.number(), row.name(), row.count(), new Table.MinorUnits(row.eachMinor())))
                        .toList()));
    }
}
