package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.advice.WhereTo;
import wrenchnotes.core.diagnosis.history.Remedied;
import wrenchnotes.core.diagnosis.history.WrongWords;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.bench.BenchStore;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.drawer.UsedBefore;
import wrenchnotes.server.teardown.Nearness;

/** What is offered to whoever stands before a unit: where to go, and what it may be once there. Runs in the caller's transaction. */
@Component
public class ThereService {

    /** As many as a hand finds without reading. */
    private static final int FAULTS = 8;

    private static final int PARTS = 4;
    /** As many as there are digits, but for the one that says it is good. */
    private static final int WORDS = 8;

    private static final int PLACES = 8;
    private final DiagnosisService diagnosis;
    private final UnitOnBench units;
    private final Book book;
    private final BenchStore bench;
    private final Nearness nearness;
    private final EvidenceStore evidence;
    private final FindingStore findings;
    private final FindingPhotoStore photos;
    private final PartsOfJob parts;

    ThereService(
            DiagnosisService diagnosis,
            UnitOnBench units,
            Book book,
            BenchStore bench,
            Nearness nearness,
            EvidenceStore evidence,
            FindingStore findings,
            FindingPhotoStore photos,
            PartsOfJob parts) {
        this.diagnosis = diagnosis;
        this.units = units;
        this.book = book;
        this.bench = bench;
        this.nearness = nearness;
        this.evidence = evidence;
        this.findings = findings;
        this.photos = photos;
        this.parts = parts;
    }

    /** What it may be, with what was done about it before and with which part. */
    public There there(Job job, Instant now) {
        DiagnosisService.Judged judged = diagnosis.onBench(job, now);
        List<UnitOdds.LikelyFault> all =
                judged.faults().stream().filter(ThereService::open).toList();
        List<UnitOdds.LikelyFault> shown = offered(all).limit(FAULTS).toList();
        Set<FaultName> names = shown.stream().map(UnitOdds.LikelyFault::fault).collect(Collectors.toSet());
        Map<FaultName, List<Remedied>> before = before(job, names);
        Set<FaultName> told = units.shown(job, names);
        Map<Long, String> pictures = photos.last(
                shown.stream().flatMap(fault -> fault.faultId().stream()).toList());
        Map<Long, List<UsedBefore>> used = parts.usedBefore(
                shown.stream().flatMap(fault -> fault.componentId().stream()).toList());
        List<There.InReach> inReach = inReach(job, judged);
        List<There.LikelyHere> likely = shown.stream()
                .map(fault -> new There.LikelyHere(
                        fault.fault().component(),
                        Optional.of(fault.fault().wrong()),
                        List.of(),
                        fault.componentId(),
                        fault.probability(),
                        fault.low(),
                        fault.high(),
                        Optional.of(fault.behind()),
                        inReach(fault),
                        fault.faultId().map(pictures::get),
                        RemediesHere.of(fault.fault(), before.get(fault.fault()), told.contains(fault.fault())),
                        some(fault.componentId().map(used::get))))
                .toList();
        return new There(
                withWhatIsNew(likely, inReach, all),
                all.size() - shown.size(),
                judged.odds().leftOut(),
                judged.odds().trusted(),
                judged.odds().next(),
                inReach,
                findings.ofJob(job.id()).stream()
                        .filter(FindingStore.FindingRow::stands)
                        .toList());
    }

    /** What lies open and was never found wrong comes after what is known to go wrong there, and before what is not in reach. */
    private List<There.LikelyHere> withWhatIsNew(
            List<There.LikelyHere> likely, List<There.InReach> inReach, List<UnitOdds.LikelyFault> known) {
        Set<Long> knownWrong =
                known.stream().flatMap(fault -> fault.componentId().stream()).collect(Collectors.toSet());
        List<There.InReach> fresh = inReach.stream()
                .filter(place -> !knownWrong.contains(place.component()))
                .limit(FAULTS)
                .toList();
        Map<Long, List<UsedBefore>> used =
                parts.usedBefore(fresh.stream().map(There.InReach::component).toList());
        WrongWords words = book.read(WrongWords::of);
        List<There.LikelyHere> offered = new ArrayList<>(
                likely.stream().filter(There.LikelyHere::inReach).toList());
        fresh.forEach(place -> offered.add(new There.LikelyHere(
                place.name(),
                Optional.empty(),
                words.offered(place.name(), WORDS),
                Optional.of(place.component()),
                0,
                0,
                0,
                Optional.empty(),
                true,
                Optional.empty(),
                RemediesHere.of(
                        new FaultName(
                                place.name(),
                                words.offered(place.name(), 1).stream()
                                        .findFirst()
                                        .orElse("worn")),
                        List.of(),
                        true),
                some(Optional.ofNullable(used.get(place.component()))))));
        likely.stream().filter(one -> !one.inReach()).forEach(offered::add);
        return offered;
    }

    /** In the order in which they are offered: what a person put first, what is in reach, what is likely. */
    static Stream<UnitOdds.LikelyFault> offered(List<UnitOdds.LikelyFault> faults) {
        return faults.stream()
                .filter(ThereService::open)
                .sorted(Comparator.comparingInt(LikelyFaults::place)
                        .thenComparing(fault -> !inReach(fault))
                        .thenComparing(Comparator.comparingDouble(UnitOdds.LikelyFault::probability)
                                .reversed()));
    }

    private static boolean open(UnitOdds.LikelyFault fault) {
        return !fault.out()
                && fault.overruled()
                        .filter(row -> row.word() == Overruling.NOT_THIS)
                        .isEmpty();
    }

    private static boolean inReach(UnitOdds.LikelyFault fault) {
        return fault.minutesTo().filter(minutes -> minutes == 0).isPresent();
    }

    private static List<UsedBefore> some(Optional<List<UsedBefore>> used) {
        return used.orElse(List.of()).stream().limit(PARTS).toList();
    }

    /** By the model's own names. */
    private Map<FaultName, List<Remedied>> before(Job job, Set<FaultName> faults) {
        long model = job.unit().modelId();
        return book.read((closed, names) -> {
            Map<FaultName, FaultName> counted =
                    faults.stream().collect(Collectors.toMap(Function.identity(), one -> names.fault(model, one)));
            Map<FaultName, List<Remedied>> done = Remedied.of(closed, names, model, Set.copyOf(counted.values()));
            return faults.stream().collect(Collectors.toMap(Function.identity(), one -> done.get(counted.get(one))));
        });
    }

    private List<There.InReach> inReach(Job job, DiagnosisService.Judged judged) {
        Set<Long> spokenOf = new HashSet<>();
        evidence.looks(job.id()).forEach(look -> spokenOf.add(look.componentId()));
        Set<String> found = judged.found().stream().map(FaultName::component).collect(Collectors.toSet());
        return places(job).stream()
                .filter(place -> place.way().minutes() == 0 && !spokenOf.contains(place.component()))
                .filter(place -> !found.contains(place.name().toLowerCase(Locale.ROOT)))
                .map(place -> new There.InReach(place.component(), place.name()))
                .toList();
    }

    private List<Nearness.Place> places(Job job) {
        return nearness.places(job.revisionId(), job.openedWith(), Set.copyOf(StepEntry.open(bench.steps(job.id()))));
    }

    /** Where to go, most worth a minute first. Only where something may be wrong. */
    public List<There.WorthGoing> whereTo(Job job, Instant now) {
        DiagnosisService.Judged judged = diagnosis.onBench(job, now);
        Map<Long, List<UnitOdds.LikelyFault>> faults = judged.faults().stream()
                .filter(fault -> open(fault) && fault.componentId().isPresent())
                .collect(Collectors.groupingBy(fault -> fault.componentId().get()));
        Map<Long, Nearness.Place> places =
                places(job).stream().collect(Collectors.toMap(Nearness.Place::component, Function.identity()));
        List<WhereTo> ranked = WhereTo.ranked(places.values().stream()
                .filter(place -> faults.containsKey(place.component()))
                .map(place -> new WhereTo(
                        place.component(),
                        Math.max(0, Math.min(1, anything(judged, job, place.name(), faults.get(place.component())))),
                        place.way().minutes()))
                .toList());
        Map<Long, List<UsedBefore>> used =
                parts.usedBefore(ranked.stream().map(WhereTo::component).toList());
        return ranked.stream()
                .limit(PLACES)
                .map(one -> new There.WorthGoing(
                        one.component(),
                        places.get(one.component()).name(),
                        one.probability(),
                        faults.get(one.component()).stream()
                                .limit(2)
                                .map(UnitOdds.LikelyFault::fault)
                                .toList(),
                        one.minutes(),
                        places.get(one.component()).way().steps().size(),
                        places.get(one.component()).breaks(),
                        some(Optional.ofNullable(used.get(one.component())))))
                .toList();
    }

    private double anything(
            DiagnosisService.Judged judged, Job job, String component, List<UnitOdds.LikelyFault> faults) {
        String counted = book.read((closed, names) -> names.component(job.unit().modelId(), component));
        double likeliest = faults.stream()
                .mapToDouble(UnitOdds.LikelyFault::probability)
                .max()
                .orElse(0);
        return Math.max(likeliest, judged.components().getOrDefault(counted, 0.0));
    }
}
