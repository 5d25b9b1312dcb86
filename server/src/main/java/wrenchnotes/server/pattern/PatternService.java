package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.diagnosis.history.FindingCount;
import wrenchnotes.core.diagnosis.history.FindingCounts;
import wrenchnotes.core.diagnosis.history.FindingSort;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.server.diagnosis.Book;

/** Puts the counts together into recurring failures, most frequent first. */
@Component
public class PatternService {

    private final PatternStore store;
    private final Book book;

    PatternService(PatternStore store, Book book) {
        this.store = store;
        this.book = book;
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

    /** What was done on principle: no failure of anything. @param words "pickup lens, cleaned" */
    public record UpkeepDone(String words, int jobs) {}

    /** @param jobs handed over in the time looked at */
    public record Patterns(Instant from, int jobs, List<FaultPattern> faults, List<UpkeepDone> upkeep) {}

    /** What was counted. */
    record Tally(Map<Long, Integer> jobs, Map<FindingSort, FindingCount> faults) {}

    Tally tally(Instant from, OptionalLong revision) {
        List<Comeback.AtFault> open = store.openFaults();
        long millis = from.toEpochMilli();
        return book.read((closed, names) ->
                new Tally(closed.jobsByRevision(millis, revision), FindingCounts.of(closed, millis, revision, open)));
    }

    /** @param revision empty for all */
    Patterns patterns(Instant from, OptionalLong revision) {
        Tally counted = tally(from, revision);
        Map<Long, PatternStore.FaultName> names = store.faultNames().stream()
                .collect(Collectors.toMap(PatternStore.FaultName::fault, Function.identity()));
        Map<Long, String> revisions = store.revisionNames().stream()
                .collect(Collectors.toMap(PatternStore.RevisionName::revision, PatternStore.RevisionName::name));
        record Key(long revision, long fault) {}
        Map<Key, List<Counted>> counts = counted.faults().entrySet().stream()
                .filter(entry -> entry.getKey().kind().fault())
                .map(entry -> new Counted(entry.getKey(), entry.getValue()))
                .sorted(Comparator.comparingLong((Counted one) -> one.sort().revision())
                        .thenComparingLong(one -> one.sort().fault()))
                .collect(Collectors.groupingBy(
                        one -> new Key(one.sort().revision(), one.sort().fault()),
                        LinkedHashMap::new,
                        Collectors.toList()));
        List<FaultPattern> faults = counts.entrySet().stream()
                .map(entry -> pattern(
                        names.get(entry.getKey().fault()),
                        entry.getKey().revision(),
                        revisions.get(entry.getKey().revision()),
                        counted.jobs().getOrDefault(entry.getKey().revision(), 0),
                        entry.getValue()))
                // By what is sure rather than by what is seen: three of three is less than thirty of forty.
                .sorted(Comparator.comparingDouble(
                                (FaultPattern fault) -> fault.share().low())
                        .reversed())
                .toList();
        return new Patterns(
                from,
                counted.jobs().values().stream().mapToInt(Integer::intValue).sum(),
                faults,
                upkeep(counted, names));
    }

    private static List<UpkeepDone> upkeep(Tally counted, Map<Long, PatternStore.FaultName> names) {
        Map<String, Integer> jobs = new TreeMap<>();
        counted.faults().forEach((sort, count) -> {
            if (sort.kind() == FindingKind.UPKEEP) {
                PatternStore.FaultName name = names.get(sort.fault());
                String words = name.component() + ", " + sort.remedy().words();
                jobs.merge(words, count.jobs(), Integer::sum);
            }
        });
        return jobs.entrySet().stream()
                .map(entry -> new UpkeepDone(entry.getKey(), entry.getValue()))
                .sorted(Comparator.comparingInt(UpkeepDone::jobs).reversed())
                .toList();
    }

    private record Counted(FindingSort sort, FindingCount count) {}

    private static FaultPattern pattern(
            PatternStore.FaultName name, long revision, String revisionName, int jobs, List<Counted> counts) {
        List<RemedyCount> remedies =
                counts.stream().collect(Collectors.groupingBy(one -> one.sort().remedy())).entrySet().stream()
                        .map(entry -> new RemedyCount(
                                entry.getKey(),
                                sum(entry.getValue(), FindingCount::findings),
                                sum(entry.getValue(), FindingCount::comebacks)))
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
                Share.of(sum(counts, FindingCount::jobs), jobs),
                customer,
                resale,
                remedies,
                sum(counts, FindingCount::comebacks));
    }

    private static int jobs(List<Counted> counts, Ownership ownership) {
        return sum(
                counts.stream()
                        .filter(count -> count.sort().ownership() == ownership)
                        .toList(),
                FindingCount::jobs);
    }

    private static int sum(List<Counted> counts, ToIntFunction<FindingCount> of) {
        return counts.stream().mapToInt(one -> of.applyAsInt(one.count())).sum();
    }
}
