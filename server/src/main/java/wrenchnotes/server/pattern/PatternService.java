package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
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
import wrenchnotes.core.diagnosis.history.FaultMonths;
import wrenchnotes.core.diagnosis.history.FaultStays;
import wrenchnotes.core.diagnosis.history.FindingCount;
import wrenchnotes.core.diagnosis.history.FindingCounts;
import wrenchnotes.core.diagnosis.history.FindingSort;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.core.pattern.rises.Rising;
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
     * @param byMonth in how many jobs of each month, the earliest first
     * @param rising whether it is called rising, among all faults at once
     * @param q the least error rate at which it would be
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
            int comebacks,
            List<Integer> byMonth,
            boolean rising,
            double q) {}

    /** What was done on principle: no failure of anything. @param words "pickup lens, cleaned" */
    public record UpkeepDone(String words, int jobs) {}

    /** @param jobs handed over in the time looked at */
    public record Patterns(Instant from, int jobs, List<FaultPattern> faults, List<UpkeepDone> upkeep) {}

    /** What was counted. */
    record Tally(Map<Long, Integer> jobs, Map<FindingSort, FindingCount> faults) {}

    Tally tally(Instant from, OptionalLong revision) {
        List<Comeback.AtFault> open = store.openFaults();
        long millis = from.toEpochMilli();
        return book.read((closed, names) -> new Tally(
                FindingCounts.jobs(closed, millis, revision), FindingCounts.of(closed, millis, revision, open)));
    }

    /** Rising, or not, of each fault, and its months. */
    private record Course(List<Integer> byMonth, boolean rising, double q) {}

    private Map<FaultMonths.FaultOn, Course> courses(List<Instant> months, Instant end, OptionalLong revision) {
        long[] starts = months.stream().mapToLong(Instant::toEpochMilli).toArray();
        FaultMonths counted =
                book.read((closed, names) -> FaultMonths.of(closed, starts, end.toEpochMilli(), revision));
        List<FaultMonths.FaultOn> faults = counted.faults().keySet().stream()
                .sorted(Comparator.comparingLong(FaultMonths.FaultOn::revision)
                        .thenComparingLong(FaultMonths.FaultOn::fault))
                .toList();
        if (faults.isEmpty()) {
            return Map.of();
        }
        List<Rising.RisingRow> rows = faults.stream()
                .map(one -> row(one, counted.jobs().getOrDefault(one.revision(), new int[starts.length]), counted))
                .toList();
        List<Rising.RisingVerdict> verdicts = Rising.of(rows).rows();
        Map<FaultMonths.FaultOn, Course> courses = new HashMap<>();
        for (int at = 0; at < faults.size(); at++) {
            courses.put(
                    faults.get(at),
                    new Course(
                            rows.get(at).faults(),
                            verdicts.get(at).rising(),
                            verdicts.get(at).q()));
        }
        return courses;
    }

    /** What lies in a unit that is of another model may be found more often than its own jobs are counted: it is in one job each. */
    private static Rising.RisingRow row(FaultMonths.FaultOn one, int[] jobs, FaultMonths counted) {
        int[] faults = counted.faults().get(one);
        List<Integer> all = new ArrayList<>();
        List<Integer> had = new ArrayList<>();
        for (int month = 0; month < faults.length; month++) {
            all.add(Math.max(jobs[month], faults[month]));
            had.add(faults[month]);
        }
        return new Rising.RisingRow(one.revision() + " " + one.fault(), all, had);
    }

    /** How long the remedies of one fault last. @param now until when units are followed that did not come back */
    PickedFault picked(long revision, long fault, Instant now) {
        List<Comeback.AtFault> open = store.openFaults();
        return PickedFault.of(
                book.read((closed, names) -> FaultStays.of(closed, revision, fault, open, now.toEpochMilli())));
    }

    /** @param months when each begins that is looked at, the earliest first @param revision empty for all */
    Patterns patterns(List<Instant> months, Instant now, OptionalLong revision) {
        Instant from = months.get(0);
        Map<FaultMonths.FaultOn, Course> courses = courses(months, now, revision);
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
                        courses.getOrDefault(
                                new FaultMonths.FaultOn(
                                        entry.getKey().revision(),
                                        entry.getKey().fault()),
                                new Course(List.of(), false, 1)),
                        entry.getValue()))
                // What rises first; then by what is sure rather than by what is seen: three of three is less than
                // thirty of forty.
                .sorted(Comparator.comparing((FaultPattern fault) -> !fault.rising())
                        .thenComparing(fault -> -fault.share().low()))
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
            PatternStore.FaultName name,
            long revision,
            String revisionName,
            int jobs,
            Course course,
            List<Counted> counts) {
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
                sum(counts, FindingCount::comebacks),
                course.byMonth(),
                course.rising(),
                course.q());
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
