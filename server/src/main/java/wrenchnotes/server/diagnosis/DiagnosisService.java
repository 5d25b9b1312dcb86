package wrenchnotes.server.diagnosis;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.Diagnosis;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Known;
import wrenchnotes.core.diagnosis.LikeJob;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.NextCheck;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.Rates;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.Where;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.Nearness;

/** Judges a unit by the shop's history and what is known of it. Runs in the caller's transaction. */
@Component
public class DiagnosisService {

    /** The owner stands at the counter: a question is quick. At the bench the symptom has to be tried. */
    private static final double ASK_MINUTES = 0.5;

    private static final double TRY_MINUTES = 3;
    /** Common practice for a component that no notes lead to: half an hour of finding out. */
    private static final double UNKNOWN_WAY = 30;
    /** Usual warranty on a repair: six months (common practice). */
    private static final Duration WARRANTY = Duration.ofDays(183);

    private static final int SHOWN = 8;

    private final Learning learning;
    private final PastStore past;
    private final EvidenceStore evidence;
    private final FindingStore findings;
    private final ArrivalStore arrivals;
    private final ModelStore models;
    private final Nearness nearness;

    DiagnosisService(
            Learning learning,
            PastStore past,
            EvidenceStore evidence,
            FindingStore findings,
            ArrivalStore arrivals,
            ModelStore models,
            Nearness nearness) {
        this.learning = learning;
        this.past = past;
        this.evidence = evidence;
        this.findings = findings;
        this.arrivals = arrivals;
        this.models = models;
        this.nearness = nearness;
    }

    /** The same fault was mended on this unit before. */
    public record EarlierFix(long jobId, Remedy remedy, Instant handedOverAt, long daysAgo, boolean underWarranty) {}

    /**
     * @param componentId empty if the model has no such component: the fault is from the shipped table
     * @param low the probability with the fault's rate at its lower tenth
     * @param high with the rate at its upper tenth
     * @param minutesTo to get at it from what is open; empty if no notes lead there
     * @param out whether it was found and dealt with on this stay
     * @param overruled a person's word on it
     */
    public record LikelyFault(
            FaultName fault,
            Optional<Long> componentId,
            Optional<Long> faultId,
            double probability,
            double low,
            double high,
            Rates.Behind behind,
            Optional<Double> minutesTo,
            boolean out,
            Optional<EvidenceStore.OverruledRow> overruled,
            Optional<EarlierFix> earlier) {}

    /**
     * @param ask whether it is a symptom to be asked for or tried rather than a component
     * @param componentId of the component
     */
    public record CheckAdvice(
            String what,
            boolean ask,
            Optional<Means> how,
            Optional<Long> componentId,
            double bits,
            double minutes,
            double likely,
            List<FaultName> settles) {}

    /**
     * @param ofRevision how many closed jobs of the revision stand behind it
     * @param ofModel how many of the model
     * @param left how many less likely faults are not told
     * @param somethingElse how likely none of the faults is there
     */
    public record UnitOdds(
            int ofRevision,
            int ofModel,
            List<LikelyFault> faults,
            int left,
            List<Diagnosis.Together> together,
            Optional<Double> somethingElse,
            double leftOut,
            List<Diagnosis.Outside> outside,
            List<CheckAdvice> next) {}

    /** What the rest of the answer stands on. */
    public record Judged(UnitOdds odds, Diagnosis diagnosis, List<LikeJob> work, double success) {}

    /** A unit at the counter. @param unit if it was here before */
    public Judged atCounter(long revision, Optional<Long> unit, Set<String> present, Set<String> absent, Instant now) {
        return judge(
                whereIs(revision),
                Known.told(present, absent),
                nearness.minutes(revision, Optional.empty(), Set.of()),
                ASK_MINUTES,
                List.of(),
                unit.map(id -> past.earlier(id, -1)).orElse(List.of()),
                now);
    }

    /** A unit on the bench: its symptoms as the remedies left them, what was seen, tried and done. */
    public Judged onBench(JobStore.Job job, Instant now) {
        return judge(
                whereIs(job.revisionId()),
                known(job.id()),
                nearness.minutes(job.revisionId(), job.openedWith(), evidence.openSteps(job.id())),
                job.openedWith().isPresent() ? TRY_MINUTES : ASK_MINUTES,
                evidence.overruled(job.id()),
                past.earlier(job.unitId(), job.id()),
                now);
    }

    private Where whereIs(long revisionId) {
        ModelStore.Revision revision = models.revision(revisionId);
        return new Where(
                revisionId, revision.modelId(), models.model(revision.modelId()).kind());
    }

    private Known known(long job) {
        Set<String> present = new TreeSet<>();
        Set<String> absent = new TreeSet<>();
        for (Arrival.Symptom symptom : arrivals.symptoms(job)) {
            (symptom.present() ? present : absent).add(symptom.name());
        }
        Change.Now now = new Change.Now(present, absent);
        List<FindingStore.FindingRow> standing = findings.ofJob(job).stream()
                .filter(row -> row.struckWhy().isEmpty())
                .toList();
        for (FindingStore.FindingRow row : standing) {
            now = now.after(row.changes());
        }
        return new Known(
                now.present(),
                now.absent(),
                evidence.looks(job).stream()
                        .map(look -> new Known.Look(look.component(), look.good(), look.means()))
                        .toList(),
                standing.stream()
                        .map(row ->
                                new Known.Done(new FaultName(row.component(), row.wrong()), row.remedy(), row.failed()))
                        .toList(),
                evidence.tries(job).stream().map(EvidenceStore.TriesRow::grid).toList());
    }

    private Judged judge(
            Where where,
            Known known,
            Map<String, Double> minutesTo,
            double askMinutes,
            List<EvidenceStore.OverruledRow> overruled,
            List<PastStore.Earlier> earlier,
            Instant now) {
        List<PastStore.KnownFault> words = past.faultsOf(where.model());
        Map<FaultName, PastStore.KnownFault> ids = words.stream()
                .collect(Collectors.toMap(PastStore.KnownFault::name, Function.identity(), (one, other) -> one));
        Learning.Learned learned = learning.of(where, ids.keySet(), past.componentsByModel(), past.words());
        Diagnosis diagnosis = Diagnosis.of(learned.rates(), known);
        Map<FaultName, EvidenceStore.OverruledRow> said =
                overruled.stream().collect(Collectors.toMap(EvidenceStore.OverruledRow::fault, Function.identity()));
        Set<FaultName> done = known.done().stream()
                .filter(one -> !one.failed() || one.remedy() == Remedy.REPLACED)
                .map(Known.Done::fault)
                .collect(Collectors.toSet());
        List<LikelyFault> faults = diagnosis.faults().stream()
                .map(likely -> new LikelyFault(
                        likely.fault(),
                        Optional.ofNullable(ids.get(likely.fault())).map(PastStore.KnownFault::componentId),
                        Optional.ofNullable(ids.get(likely.fault())).map(PastStore.KnownFault::faultId),
                        likely.probability(),
                        likely.low(),
                        likely.high(),
                        likely.behind(),
                        Optional.ofNullable(minutesTo.get(likely.fault().component())),
                        done.contains(likely.fault()),
                        Optional.ofNullable(said.get(likely.fault())),
                        earlier.stream()
                                .filter(fix -> fix.fault()
                                        .component()
                                        .equals(likely.fault().component()))
                                .findFirst()
                                .map(fix -> fix(fix, now))))
                .sorted(Comparator.comparingInt(DiagnosisService::place))
                .toList();
        // What a person has spoken on, or dealt with, is told however unlikely it is.
        List<LikelyFault> told = Stream.concat(
                        faults.stream().filter(fault -> place(fault) == 1).limit(SHOWN),
                        faults.stream().filter(fault -> place(fault) != 1))
                .sorted(Comparator.comparingInt(DiagnosisService::place))
                .toList();
        UnitOdds odds = new UnitOdds(
                learned.ofRevision(),
                learned.ofModel(),
                told,
                faults.size() - told.size(),
                diagnosis.sets().stream().limit(2).toList(),
                diagnosis.somethingElse().isPresent()
                        ? Optional.of(diagnosis.somethingElse().getAsDouble())
                        : Optional.empty(),
                diagnosis.leftOut(),
                diagnosis.outside(),
                next(learned.rates(), known, minutesTo, askMinutes, said, done, ids));
        return new Judged(odds, diagnosis, learned.work(), learned.success());
    }

    /** What a person puts first stands first, what was ruled out or dealt with last; between them the odds decide. */
    private static int place(LikelyFault fault) {
        Optional<Overruling> word = fault.overruled().map(EvidenceStore.OverruledRow::word);
        return word.equals(Optional.of(Overruling.THIS_FIRST)) ? 0 : word.isPresent() || fault.out() ? 2 : 1;
    }

    private static EarlierFix fix(PastStore.Earlier fix, Instant now) {
        Duration ago = Duration.between(fix.at(), now);
        return new EarlierFix(fix.jobId(), fix.remedy(), fix.at(), ago.toDays(), ago.compareTo(WARRANTY) <= 0);
    }

    private static List<CheckAdvice> next(
            Rates rates,
            Known known,
            Map<String, Double> minutesTo,
            double askMinutes,
            Map<FaultName, EvidenceStore.OverruledRow> said,
            Set<FaultName> done,
            Map<FaultName, PastStore.KnownFault> ids) {
        Set<String> leaveOut = new HashSet<>();
        said.values().stream()
                .filter(row -> row.word() == Overruling.NOT_THIS)
                .forEach(row -> leaveOut.add(row.fault().component()));
        done.forEach(fault -> leaveOut.add(fault.component()));
        known.looks().stream()
                .filter(look -> look.by() != Means.LOOKED)
                .forEach(look -> leaveOut.add(look.component()));
        return NextCheck.best(rates, known, minutesTo, UNKNOWN_WAY, askMinutes, leaveOut).stream()
                .map(check -> new CheckAdvice(
                        check.what(),
                        check.how().isEmpty(),
                        check.how(),
                        ids.values().stream()
                                .filter(fault -> fault.name().component().equals(check.what()))
                                .map(PastStore.KnownFault::componentId)
                                .findFirst(),
                        check.bits(),
                        check.minutes(),
                        check.likely(),
                        check.settles()))
                .toList();
    }
}
