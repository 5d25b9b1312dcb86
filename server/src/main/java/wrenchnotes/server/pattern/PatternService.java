package wrenchnotes.server.pattern;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.pattern.Share;
import wrenchnotes.core.recurring.BadBatch;
import wrenchnotes.core.recurring.Compared;
import wrenchnotes.core.recurring.FaultCount;
import wrenchnotes.core.recurring.FaultCount.RemedyCount;
import wrenchnotes.core.recurring.FaultOn;
import wrenchnotes.core.recurring.FaultStays;
import wrenchnotes.core.recurring.Narrowed;
import wrenchnotes.core.recurring.OpenedJobs;
import wrenchnotes.core.recurring.PickedFault;
import wrenchnotes.core.recurring.Recurring;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.pattern.PatternAsked.Span;
import wrenchnotes.server.shop.TheShop;

/** Names what was counted in the closed book. Runs in the caller's transaction. */
@Component
public class PatternService {

    /** Nobody reads more lines; the table that leaves the shop has all. */
    private static final int MOST_LINES = 200;

    private static final int MOST_UPKEEP = 40;

    /** What the last answer on bad batches was made of. */
    private record BadOf(int jobs, List<Comeback.AtFault> here, Map<Long, String> suppliers, LocalDate day) {}

    private record KeptBad(BadOf of, List<BadBatch> bad) {}

    private final AtomicReference<KeptBad> kept = new AtomicReference<>();
    private final PatternStore store;
    private final Book book;
    private final TheShop shop;

    PatternService(PatternStore store, Book book, TheShop shop) {
        this.store = store;
        this.book = book;
        this.shop = shop;
    }

    /**
     * @param share of the jobs that had such a unit open, how many had it
     * @param customer how many of those were customer units
     * @param resale how many were resale units
     * @param cameBack after how many of those the unit was back for the same component
     * @param byMonth in how many jobs of each month, the earliest first
     * @param rising whether it is called rising, among all faults at once
     * @param q the least error rate at which it would be
     * @param few so few jobs that it is not ranked
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
            int cameBack,
            List<RemedyCount> remedies,
            List<Integer> byMonth,
            boolean rising,
            double q,
            boolean few) {}

    /** What was done on principle: no failure of anything. @param words "pickup lens, cleaned" */
    public record UpkeepDone(String words, int jobs) {}

    /** Whose parts keep coming back. @param said in one sentence */
    public record BatchTold(
            long faultId, long revisionId, String component, String wrong, String on, long supplier, String said) {}

    /**
     * @param months when each begins, the earliest first
     * @param jobs handed over in the time looked at
     * @param all how many faults there are; as many as can be read are in the list
     * @param owner whose jobs are looked at, by name; empty for all
     */
    public record Patterns(
            List<Instant> months,
            int jobs,
            List<FaultPattern> faults,
            int all,
            List<UpkeepDone> upkeep,
            List<BatchTold> batches,
            Optional<String> owner) {}

    Recurring counted(Narrowed narrowed, Span span) {
        List<Comeback.AtFault> here = store.openFaults();
        return book.read((closed, names) ->
                Recurring.of(closed, names, narrowed, span.starts(), span.now().toEpochMilli(), here));
    }

    Patterns patterns(PatternAsked asked, Span span) {
        return patterns(asked, span, MOST_LINES);
    }

    /** @param lines how many faults at most */
    Patterns patterns(PatternAsked asked, Span span, int lines) {
        Recurring counted = counted(asked.narrowed(), span);
        List<BadBatch> bad = bad(span);
        List<FaultCount> faults = counted.faults().stream().limit(lines).toList();
        Set<Long> named = new HashSet<>();
        faults.forEach(one -> named.add(one.on().fault()));
        counted.upkeep().forEach(one -> named.add(one.fault()));
        bad.forEach(one -> named.add(one.on().fault()));
        Map<Long, PatternStore.FaultName> names = store.faultNames(named);
        Map<Long, String> revisions = store.revisionNames();
        return new Patterns(
                span.starts().stream().map(Instant::ofEpochMilli).toList(),
                counted.jobs(),
                faults.stream()
                        .map(one -> pattern(
                                one,
                                names.get(one.on().fault()),
                                revisions.get(one.on().revision())))
                        .toList(),
                counted.faults().size(),
                counted.upkeep().stream()
                        .limit(MOST_UPKEEP)
                        .map(one -> new UpkeepDone(
                                names.get(one.fault()).component() + ", "
                                        + one.remedy().words(),
                                one.jobs()))
                        .toList(),
                bad.stream()
                        .map(one -> told(
                                one,
                                names.get(one.on().fault()),
                                revisions.get(one.on().revision())))
                        .toList(),
                asked.narrowed().owner().isEmpty()
                        ? Optional.empty()
                        : store.owner(asked.narrowed().owner().getAsLong()).stream()
                                .findFirst());
    }

    /** Over all that the shop knows, however closely one looks: once a day, and whenever a job is closed or something is found. */
    private List<BadBatch> bad(Span span) {
        List<Comeback.AtFault> here = store.openFaults();
        Map<Long, String> suppliers = store.suppliers();
        return suppliers.isEmpty()
                ? List.of()
                : book.read((closed, names) -> {
                    BadOf of =
                            new BadOf(closed.size(), here, suppliers, LocalDate.ofInstant(span.now(), ZoneOffset.UTC));
                    KeptBad last = kept.get();
                    if (last == null || !last.of().equals(of)) {
                        last = new KeptBad(
                                of, BadBatch.of(closed, here, span.now().toEpochMilli(), suppliers::get));
                        kept.set(last);
                    }
                    return last.bad();
                });
    }

    private static FaultPattern pattern(FaultCount one, PatternStore.FaultName name, String revision) {
        return new FaultPattern(
                one.on().fault(),
                name.component(),
                name.wrong(),
                name.modelId(),
                name.model(),
                one.on().revision(),
                revision,
                one.share(),
                one.customer(),
                one.resale(),
                one.cameBack(),
                one.remedies(),
                one.byMonth(),
                one.rising(),
                one.q(),
                one.few());
    }

    private static BatchTold told(BadBatch one, PatternStore.FaultName name, String revision) {
        return new BatchTold(
                one.on().fault(),
                one.on().revision(),
                name.component(),
                name.wrong(),
                (name.model() + " " + revision).strip(),
                one.supplier(),
                one.comparison().said());
    }

    /** One fault of a revision looked at. */
    PickedFault picked(FaultOn one, PatternAsked asked, Span span) {
        Narrowed narrowed = asked.narrowed();
        List<Comeback.AtFault> here = store.openFaults();
        record Read(FaultStays stays, OpenedJobs opened) {}
        Read read = book.read((closed, names) -> new Read(
                FaultStays.of(closed, one::equals, narrowed, here, span.now().toEpochMilli()),
                OpenedJobs.of(
                        closed,
                        names,
                        one,
                        narrowed,
                        span.from().toEpochMilli(),
                        span.now().toEpochMilli())));
        Map<Long, String> suppliers = store.suppliers();
        String revision = store.revisionNames().getOrDefault(one.revision(), "");
        return PickedFault.of(
                read.stays(),
                Compared.found(
                        read.opened(),
                        revision.isEmpty() ? "this revision" : revision,
                        span.since().toEpochMilli(),
                        span.sinceDay().toString()),
                Compared.cameBack(read.stays(), suppliers::get),
                shop.now().hourMinor(),
                span.now().toEpochMilli());
    }

    /**
     * A job behind what is said of a fault.
     *
     * @param id to open it; empty of one that the shop brought with it
     * @param month where it stands in {@code byMonth}
     */
    public record JobBehind(Optional<Long> id, String tag, Instant handedOver, int month) {}

    /** @param all how many there are; the newest are in the list */
    public record JobsBehind(List<JobBehind> jobs, int all) {}

    JobsBehind behind(FaultOn one, PatternAsked asked, Span span) {
        OpenedJobs opened = book.read((closed, names) -> OpenedJobs.of(
                closed,
                names,
                one,
                asked.narrowed(),
                span.from().toEpochMilli(),
                span.now().toEpochMilli()));
        List<OpenedJobs.OpenedJob> had = opened.jobs().stream()
                .filter(job -> job.same() && job.had())
                .sorted(Comparator.comparingLong(OpenedJobs.OpenedJob::handedOver)
                        .reversed())
                .toList();
        List<OpenedJobs.OpenedJob> shown = had.stream().limit(MOST_LINES).toList();
        Map<Long, PatternStore.JobNamed> named =
                store.jobs(shown.stream().map(OpenedJobs.OpenedJob::job).toList());
        return new JobsBehind(
                shown.stream()
                        .map(job -> new JobBehind(
                                Optional.ofNullable(named.get(job.job())).map(PatternStore.JobNamed::id),
                                Optional.ofNullable(named.get(job.job()))
                                        .map(PatternStore.JobNamed::tag)
                                        .orElse("brought in"),
                                Instant.ofEpochMilli(job.handedOver()),
                                month(span, job.handedOver())))
                        .toList(),
                had.size());
    }

    private static int month(Span span, long at) {
        int month = 0;
        while (month + 1 < span.starts().size() && span.starts().get(month + 1) <= at) {
            month++;
        }
        return month;
    }

    /** What one can narrow by. */
    public record Choices(
            List<PatternStore.NarrowBy> models, List<String> components, List<PatternStore.NarrowBy> suppliers) {}

    Choices choices() {
        return new Choices(store.models(), store.components(), store.suppliersWithParts());
    }
}
