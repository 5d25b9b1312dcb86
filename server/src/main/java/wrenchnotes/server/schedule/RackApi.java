package wrenchnotes.server.schedule;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Loan;
import wrenchnotes.core.job.Status;
import wrenchnotes.core.schedule.Pickup;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.table.Table;

/** The rack. */
@RestController
public class RackApi {

    private final JobStore jobs;
    private final FactsStore facts;
    private final SlotStore slots;
    private final Snapshot snapshot;
    private final ArrivalStore arrivals;
    private final Clock clock;

    RackApi(JobStore jobs, FactsStore facts, SlotStore slots, Snapshot snapshot, ArrivalStore arrivals, Clock clock) {
        this.jobs = jobs;
        this.facts = facts;
        this.slots = slots;
        this.snapshot = snapshot;
        this.arrivals = arrivals;
        this.clock = clock;
    }

    /**
     * @param owner empty for a unit the shop sells for itself
     * @param opened whether it lies open, on a bench or waiting
     * @param forNow whether it is closed for now only
     * @param waitedSince when its wait began, if it waits
     * @param dangers what came with it and can hurt
     */
    public record RackRow(
            long jobId,
            String tag,
            String model,
            String revision,
            Kind kind,
            Optional<String> owner,
            String symptoms,
            Status status,
            boolean opened,
            boolean forNow,
            Pickup.Turn turn,
            String reason,
            Optional<String> slot,
            Optional<Instant> due,
            Optional<Instant> waitedSince,
            List<ArrivalMark> dangers) {}

    /**
     * @param next what can be worked on, first to pick up first
     * @param waiting what cannot, soonest over first
     * @param ready what only has to be handed over
     */
    public record Rack(List<RackRow> next, List<RackRow> waiting, List<RackRow> ready, List<SlotStore.Slot> slots) {}

    @GetMapping("/api/rack")
    Rack rack() {
        return snapshot.read(() -> {
            Instant now = clock.instant();
            Map<Long, Job> open = jobs.open().stream().collect(Collectors.toMap(Job::id, Function.identity()));
            Map<Long, JobFacts> known = facts.of(open.values());
            Map<Long, String> noticed = slots.noticed().stream()
                    .collect(Collectors.toMap(SlotStore.Noticed::job, SlotStore.Noticed::words));
            Map<Long, Set<ArrivalMark>> marks = arrivals.marksOfOpen();
            List<Pickup> order = open.keySet().stream()
                    .map(id -> Pickup.of(id, known.get(id), now))
                    .sorted(Pickup.NEXT_FIRST)
                    .toList();
            Function<Pickup, RackRow> row = pickup -> row(
                    open.get(pickup.job()),
                    known.get(pickup.job()),
                    pickup,
                    noticed.getOrDefault(pickup.job(), ""),
                    ArrivalMark.dangers(marks.getOrDefault(pickup.job(), Set.of())),
                    now);
            return new Rack(
                    order.stream().filter(Pickup::canBeWorkedOn).map(row).toList(),
                    order.stream()
                            .filter(pickup -> pickup.turn() == Pickup.Turn.WAITS)
                            .map(row)
                            .toList(),
                    order.stream()
                            .filter(pickup -> pickup.turn() == Pickup.Turn.READY)
                            .map(row)
                            .toList(),
                    slots.slots());
        });
    }

    @GetMapping(
            value = "/api/rack/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table() {
        Rack rack = rack();
        return new Table(
                "rack",
                List.of(
                        "tag",
                        "model",
                        "revision",
                        "owner",
                        "what it does",
                        "standing",
                        "turn",
                        "slot",
                        "promised for"),
                Stream.of(rack.next(), rack.waiting(), rack.ready())
                        .flatMap(List::stream)
                        .map(row -> Table.row(
                                row.tag(),
                                row.model(),
                                row.revision(),
                                row.owner(),
                                row.symptoms(),
                                row.status().standing().words(),
                                row.reason(),
                                row.slot(),
                                row.due()))
                        .toList());
    }

    private static RackRow row(
            Job job, JobFacts facts, Pickup pickup, String noticed, List<ArrivalMark> dangers, Instant now) {
        return new RackRow(
                job.id(),
                job.tag(),
                job.unit().model(),
                job.unit().revision(),
                job.unit().kind(),
                job.brought().owner().map(Job.Owner::name),
                noticed.isEmpty() ? job.brought().complaint() : noticed,
                pickup.status(),
                !facts.closed(),
                facts.standsForNow().isPresent(),
                pickup.turn(),
                pickup.reason(),
                job.brought().slot(),
                job.brought().dueAt(),
                facts.lent().map(Loan::from).or(() -> facts.holds().stream()
                        .filter(hold -> hold.activeAt(now))
                        .map(Hold::from)
                        .findFirst()),
                dangers);
    }
}
