package wrenchnotes.server.need;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.need.Shortage;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.diagnosis.DiagnosisService;
import wrenchnotes.server.diagnosis.UnitOdds;
import wrenchnotes.server.drawer.DrawerStore;
import wrenchnotes.server.drawer.OnTheWay;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.drawer.ShelfOfJob;
import wrenchnotes.server.drawer.UsedBefore;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** What the rack will need: the odds of each open job's faults times the part that usually goes in. */
@RestController
class NeedApi {

    /** Less likely faults are noise in the list; together they make no difference to it. Ours, no source. */
    private static final double LEAST = 0.02;

    private final JobStore jobs;
    private final DiagnosisService diagnosis;
    private final PartsOfJob parts;
    private final DrawerStore drawers;
    private final ShelfOfJob shelf;
    private final OnTheWay onTheWay;
    private final Snapshot snapshot;
    private final Clock clock;

    NeedApi(
            JobStore jobs,
            DiagnosisService diagnosis,
            PartsOfJob parts,
            DrawerStore drawers,
            ShelfOfJob shelf,
            OnTheWay onTheWay,
            Snapshot snapshot,
            Clock clock) {
        this.jobs = jobs;
        this.diagnosis = diagnosis;
        this.parts = parts;
        this.drawers = drawers;
        this.shelf = shelf;
        this.onTheWay = onTheWay;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** A job that may want a part. @param mine whether one is set aside for it already */
    public record Asks(long job, String tag, double probability, boolean mine) {}

    /** @param shortage by how likely it runs out and how many are missing on average */
    public record Need(
            long partId,
            String part,
            String drawer,
            int there,
            int promised,
            int ordered,
            Shortage shortage,
            List<Asks> asks) {}

    /** @param jobs how many open jobs were looked at @param needs those that may run out first */
    public record Needs(int jobs, List<Need> needs) {}

    @GetMapping("/api/rack-needs")
    Needs needs() {
        return snapshot.read(() -> {
            Instant now = clock.instant();
            List<Job> open = jobs.open();
            Map<Long, List<UnitOdds.LikelyFault>> likely = new HashMap<>();
            Set<Long> components = new HashSet<>();
            for (Job job : open) {
                List<UnitOdds.LikelyFault> faults = diagnosis.onBench(job, now).faults().stream()
                        .filter(fault -> !fault.out()
                                && fault.probability() >= LEAST
                                && fault.componentId().isPresent())
                        .toList();
                likely.put(job.id(), faults);
                faults.forEach(fault -> components.add(fault.componentId().get()));
            }
            Map<Long, UsedBefore> usual = parts.usedBefore(components).entrySet().stream()
                    .collect(Collectors.toMap(
                            Map.Entry::getKey, entry -> entry.getValue().get(0)));
            Map<Long, List<Shortage.Wants>> wants = new HashMap<>();
            for (Job job : open) {
                byComponent(likely.get(job.id())).forEach((component, probability) -> {
                    UsedBefore part = usual.get(component);
                    if (part != null) {
                        wants.computeIfAbsent(part.partId(), id -> new ArrayList<>())
                                .add(new Shortage.Wants(job.id(), component, probability, 1));
                    }
                });
            }
            Map<Long, Job> byId = open.stream().collect(Collectors.toMap(Job::id, job -> job));
            Map<Long, Integer> ordered = onTheWay.ordered();
            Map<Long, DrawerStore.Part> wanted = drawers.parts(wants.keySet());
            List<Need> needs = wants.entrySet().stream()
                    .map(entry -> need(
                            wanted.get(entry.getKey()),
                            entry.getValue(),
                            byId,
                            ordered.getOrDefault(entry.getKey(), 0)))
                    .sorted(Comparator.comparing((Need one) -> -one.shortage().runsOut())
                            .thenComparing(one -> -one.shortage().wanted()))
                    .toList();
            return new Needs(open.size(), needs);
        });
    }

    /** A component's part is wanted once, whichever of its faults it has: the likeliest stands for all of them. */
    private static Map<Long, Double> byComponent(List<UnitOdds.LikelyFault> faults) {
        return faults.stream()
                .collect(Collectors.toMap(
                        fault -> fault.componentId().orElseThrow(), UnitOdds.LikelyFault::probability, Math::max));
    }

    /** What is set aside for a job that may want it is there for that job. */
    private Need need(DrawerStore.Part part, List<Shortage.Wants> wants, Map<Long, Job> open, int ordered) {
        Set<Long> mine = part.promised() == 0 ? Set.of() : shelf.jobsWith(part.id());
        List<Shortage.Wants> others =
                wants.stream().filter(one -> !mine.contains(one.job())).toList();
        Shortage shortage = Shortage.of(others, part.count() + ordered);
        List<Asks> asks = wants.stream()
                .sorted(Comparator.comparingDouble(Shortage.Wants::probability).reversed())
                .map(one -> new Asks(
                        one.job(), open.get(one.job()).unit().tag(), one.probability(), mine.contains(one.job())))
                .toList();
        return new Need(part.id(), part.name(), part.drawer(), part.count(), part.promised(), ordered, shortage, asks);
    }
}
