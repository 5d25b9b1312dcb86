package wrenchnotes.server.diagnosis;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.advice.NextCheck;
import wrenchnotes.core.diagnosis.history.History;
import wrenchnotes.core.diagnosis.history.LikeJob;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Success;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.diagnosis.odds.Weighed;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.bench.BenchStore;
import wrenchnotes.server.teardown.Nearness;

/** Judges a unit by the shop's history and what is known of it. Runs in the caller's transaction. */
@Component
public class DiagnosisService {

    /** The owner stands at the counter: a question is quick. At the bench the symptom has to be tried. */
    private static final double ASK_MINUTES = 0.5;

    private static final double TRY_MINUTES = 3;
    /** More units lie open in no shop. */
    private static final int MOST_KEPT = 2_000;

    private final Book book;
    private final BookStore names;
    private final EvidenceStore evidence;
    private final UnitOnBench units;
    private final Nearness nearness;
    private final BenchStore bench;
    private final Map<Long, Kept> kept = new ConcurrentHashMap<>();

    DiagnosisService(
            Book book,
            BookStore names,
            EvidenceStore evidence,
            UnitOnBench units,
            Nearness nearness,
            BenchStore bench) {
        this.book = book;
        this.names = names;
        this.evidence = evidence;
        this.units = units;
        this.nearness = nearness;
        this.bench = bench;
    }

    /**
     * What the rest of the answer stands on.
     *
     * @param faults all of them; the odds tell the likeliest
     * @param components by name in lower case, how likely anything is wrong with it; of a unit at the counter none
     * @param found faults that were found on this stay, whatever became of them
     */
    public record Judged(
            UnitOdds odds,
            List<UnitOdds.LikelyFault> faults,
            Map<String, Double> components,
            Diagnosis diagnosis,
            Set<FaultName> found,
            List<LikeJob> work,
            double success) {}

    /** A unit at the counter. @param unit if it was here before */
    public Judged atCounter(long revision, Optional<Long> unit, Set<String> present, Set<String> absent, Instant now) {
        Asked asked = new Asked(
                units.where(revision),
                Known.told(present, absent),
                nearness.ways(revision, Optional.empty(), Set.of()),
                ASK_MINUTES,
                Map.of(),
                unit,
                now);
        return judge(asked, names.faultsOf(asked.where().model()), false);
    }

    /**
     * A unit on the bench: its symptoms as the remedies left them, what was seen, tried and done. Kept for as long as nothing of that changed, nor what the
     * closed jobs say: whoever asks for many units asks for little.
     */
    public Judged onBench(Job job, Instant now) {
        Asked asked = asked(job, now.truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS));
        Version version = book.read((closed, names) -> new Version(closed.size(), names));
        Kept before = kept.get(job.id());
        List<BookStore.KnownFault> own = names.faultsOf(asked.where().model());
        if (before != null && before.stands(asked, version, own)) {
            return before.judged();
        }
        if (kept.size() >= MOST_KEPT) {
            kept.clear();
        }
        Judged judged = judge(asked, own, true);
        kept.put(job.id(), new Kept(asked, version, own, judged));
        return judged;
    }

    /** What the closed jobs say; names are made anew whenever anything is called otherwise. */
    private record Version(int closed, Names names) {}

    private record Kept(Asked asked, Version version, List<BookStore.KnownFault> faults, Judged judged) {

        boolean stands(Asked now, Version book, List<BookStore.KnownFault> own) {
            return version.closed() == book.closed()
                    && version.names() == book.names()
                    && asked.equals(now)
                    && faults.equals(own);
        }
    }

    private Asked asked(Job job, Instant now) {
        return new Asked(
                units.where(job.revisionId()),
                units.known(job.id()),
                nearness.ways(job.revisionId(), job.openedWith(), Set.copyOf(StepEntry.open(bench.steps(job.id())))),
                job.openedWith().isPresent() ? TRY_MINUTES : ASK_MINUTES,
                evidence.overruled(job.id()).stream()
                        .collect(Collectors.toMap(EvidenceStore.OverruledRow::fault, Function.identity())),
                Optional.of(job.unitId()),
                now);
    }

    /**
     * What the closed jobs say of units like one.
     *
     * @param earlier what was mended on this one before, the last first
     */
    private record Learned(
            Rates rates,
            List<LikeJob> work,
            double success,
            int ofRevision,
            int ofModel,
            List<LikelyFaults.EarlierMend> earlier) {}

    private static Learned learned(Book.Past past, Asked asked, Set<FaultName> known) {
        History history = past.history();
        Names names = past.names();
        Where where = asked.where();
        return new Learned(
                history.rates(where, known, names.components(), names.vocabulary()),
                history.work(where),
                Success.of(past.book(), where, names),
                history.jobs(Where.Level.REVISION, where),
                history.jobs(Where.Level.MODEL, where),
                asked.unit().map(past.book()::earlier).orElse(List.of()).stream()
                        .map(one -> new LikelyFaults.EarlierMend(
                                one.job(),
                                names.faults().get(one.fault()),
                                one.remedy(),
                                Instant.ofEpochMilli(one.handedOver())))
                        .toList());
    }

    /** @param own faults that the model's own words name @param components whether they are asked for: nobody goes anywhere at the counter */
    private Judged judge(Asked said, List<BookStore.KnownFault> own, boolean components) {
        Names called = book.read((closed, names) -> names);
        long model = said.where().model();
        Asked asked = said.called(called);
        // By what they count as; what people see is what the model calls them.
        Map<FaultName, BookStore.KnownFault> ids = own.stream()
                .collect(Collectors.toMap(
                        known -> called.fault(model, known.name()), Function.identity(), (one, other) -> one));
        Learned learned = book.ask(past -> learned(past, asked, ids.keySet()));
        Weighed now = Weighed.of(learned.rates(), asked.known());
        Diagnosis diagnosis = Diagnosis.of(now);
        List<UnitOdds.LikelyFault> faults = LikelyFaults.of(asked, learned.earlier(), diagnosis, ids);
        List<UnitOdds.LikelyFault> told = LikelyFaults.told(faults);
        UnitOdds odds = new UnitOdds(
                learned.ofRevision(),
                learned.ofModel(),
                told,
                faults.size() - told.size(),
                diagnosis.sets().stream()
                        .limit(2)
                        .map(set -> new Diagnosis.Together(
                                set.faults().stream()
                                        .map(fault -> LikelyFaults.own(ids, fault))
                                        .toList(),
                                set.probability()))
                        .toList(),
                diagnosis.somethingElse().isPresent()
                        ? Optional.of(diagnosis.somethingElse().getAsDouble())
                        : Optional.empty(),
                diagnosis.leftOut(),
                diagnosis.trusted(),
                diagnosis.outside(),
                next(asked, now, ids));
        return new Judged(
                odds,
                faults,
                components ? now.byComponent() : Map.of(),
                diagnosis,
                asked.done(),
                learned.work(),
                learned.success());
    }

    /** A component by the name that the model has for it. */
    private static String own(Map<FaultName, BookStore.KnownFault> ids, String component) {
        return ids.entrySet().stream()
                .filter(entry -> entry.getKey().component().equals(component))
                .map(entry -> entry.getValue().name().component())
                .findFirst()
                .orElse(component);
    }

    private static List<UnitOdds.CheckAdvice> next(Asked asked, Weighed now, Map<FaultName, BookStore.KnownFault> ids) {
        Set<String> leaveOut = new HashSet<>();
        asked.said().forEach((fault, row) -> {
            if (row.word() == Overruling.NOT_THIS) {
                leaveOut.add(fault.component());
            }
        });
        asked.done().forEach(fault -> leaveOut.add(fault.component()));
        asked.known().looks().stream()
                .filter(look -> look.by() != Means.LOOKED)
                .forEach(look -> leaveOut.add(look.component()));
        return NextCheck.best(now, asked.asWays(), asked.askMinutes(), leaveOut).stream()
                .map(check -> new UnitOdds.CheckAdvice(
                        check.how().isEmpty() ? check.what() : own(ids, check.what()),
                        check.how().isEmpty(),
                        check.how(),
                        ids.entrySet().stream()
                                .filter(entry -> entry.getKey().component().equals(check.what()))
                                .map(entry -> entry.getValue().componentId())
                                .findFirst(),
                        check.onTheWay().stream().map(one -> own(ids, one)).toList(),
                        check.bits(),
                        check.minutes(),
                        check.likely(),
                        check.settles().stream()
                                .map(fault -> LikelyFaults.own(ids, fault))
                                .toList()))
                .toList();
    }
}
