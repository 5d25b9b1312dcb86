package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.pattern.Share;

/** Puts the counts together into recurring failures, most frequent first. */
@Component
public class PatternService {

    private final PatternStore store;

    PatternService(PatternStore store) {
        this.store = store;
    }

    /** @param comebacks of these, how many units came back for the same component */
    public record RemedyCount(Remedy remedy, int count, int comebacks) {}

    /**
     * @param share of the revision's jobs, how many had it
     * @param customer how many of those were customer units
     * @param resale how many were resale units
     */
    public record FaultPattern(
            long faultId,
            String component,
            String wrong,
            long modelId,
            String model,
            long revisionId,
            String revision,
            Share share,
            int customer,
            int resale,
            List<RemedyCount> remedies,
            int comebacks) {}

    /** @param jobs handed over in the time looked at */
    public record Patterns(Instant from, int jobs, List<FaultPattern> faults) {}

    /** @param revision null for all */
    Patterns patterns(Instant from, Long revision) {
        Map<Long, Integer> jobs = store.jobs(from, revision).stream()
                .collect(Collectors.groupingBy(
                        PatternStore.JobCount::revision, Collectors.summingInt(PatternStore.JobCount::jobs)));
        Map<Long, PatternStore.FaultName> names = store.faultNames().stream()
                .collect(Collectors.toMap(PatternStore.FaultName::fault, Function.identity()));
        Map<Long, String> revisions = store.revisionNames().stream()
                .collect(Collectors.toMap(PatternStore.RevisionName::revision, PatternStore.RevisionName::name));
        record Key(long revision, long fault) {}
        Map<Key, List<PatternStore.FaultCount>> counts = store.faults(from, revision).stream()
                .collect(Collectors.groupingBy(
                        count -> new Key(count.revision(), count.fault()), LinkedHashMap::new, Collectors.toList()));
        List<FaultPattern> faults = counts.entrySet().stream()
                .map(entry -> pattern(
                        names.get(entry.getKey().fault()),
                        entry.getKey().revision(),
                        revisions.get(entry.getKey().revision()),
                        jobs.get(entry.getKey().revision()),
                        entry.getValue()))
                // By what is sure rather than by what is seen: three of three is less than thirty of forty.
                .sorted(Comparator.comparingDouble(
                                (FaultPattern fault) -> fault.share().low())
                        .reversed())
                .toList();
        return new Patterns(
                from, jobs.values().stream().mapToInt(Integer::intValue).sum(), faults);
    }

    private static FaultPattern pattern(
            PatternStore.FaultName name,
            long revision,
            String revisionName,
            int jobs,
            List<PatternStore.FaultCount> counts) {
        List<RemedyCount> remedies =
                counts.stream().collect(Collectors.groupingBy(PatternStore.FaultCount::remedy)).entrySet().stream()
                        .map(entry -> new RemedyCount(
                                entry.getKey(),
                                sum(entry.getValue(), PatternStore.FaultCount::findings),
                                sum(entry.getValue(), PatternStore.FaultCount::comebacks)))
                        .sorted(Comparator.comparingInt(RemedyCount::count)
                                .reversed()
                                .thenComparing(RemedyCount::remedy))
                        .toList();
        int customer = jobs(counts, Ownership.CUSTOMER);
        int resale = jobs(counts, Ownership.RESALE);
        return new FaultPattern(
                name.fault(),
                name.component(),
                name.wrong(),
                name.modelId(),
                name.model(),
                revision,
                revisionName,
                Share.of(customer + resale, jobs),
                customer,
                resale,
                remedies,
                sum(counts, PatternStore.FaultCount::comebacks));
    }

    private static int jobs(List<PatternStore.FaultCount> counts, Ownership ownership) {
        return sum(
                counts.stream().filter(count -> count.ownership() == ownership).toList(),
                PatternStore.FaultCount::jobs);
    }

    private static int sum(
            List<PatternStore.FaultCount> counts, java.util.function.ToIntFunction<PatternStore.FaultCount> of) {
        return counts.stream().mapToInt(of).sum();
    }
}
