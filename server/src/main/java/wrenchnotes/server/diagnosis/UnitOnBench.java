package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.teardown.ModelStore;

/** What is known of a unit on the bench. Runs in the caller's transaction. */
@Component
class UnitOnBench {

    /** So often a fault must have been found for what it shows to be known. */
    private static final int WELL = 3;

    private final Book book;
    private final EvidenceStore evidence;
    private final FindingStore findings;
    private final ArrivalStore arrivals;
    private final ModelStore models;

    UnitOnBench(Book book, EvidenceStore evidence, FindingStore findings, ArrivalStore arrivals, ModelStore models) {
        this.book = book;
        this.evidence = evidence;
        this.findings = findings;
        this.arrivals = arrivals;
        this.models = models;
    }

    Where where(long revisionId) {
        ModelStore.Revision revision = models.revision(revisionId);
        return new Where(
                revisionId, revision.modelId(), models.model(revision.modelId()).kind());
    }

    /** Its symptoms as the remedies left them, what was seen, tried and done. */
    Known known(long job) {
        Set<String> present = new TreeSet<>();
        Set<String> absent = new TreeSet<>();
        for (Arrival.Symptom symptom : arrivals.symptoms(job)) {
            (symptom.present() ? present : absent).add(symptom.name());
        }
        Change.Now now = new Change.Now(present, absent);
        List<FindingStore.FindingRow> standing = findings.ofJob(job).stream()
                .filter(FindingStore.FindingRow::stands)
                .toList();
        for (FindingStore.FindingRow row : standing) {
            now = now.after(row.done().changes());
        }
        return new Known(
                now.present(),
                now.absent(),
                evidence.looks(job).stream()
                        .map(look -> new Known.Look(look.component(), look.good(), look.means()))
                        .toList(),
                standing.stream()
                        .map(row -> new Known.Done(
                                new FaultName(
                                        row.fault().component(), row.fault().wrong()),
                                row.done().remedy(),
                                row.done().failed(),
                                row.done().changes().stream()
                                        .filter(after -> after.change() == Change.CAME)
                                        .map(Change.After::symptom)
                                        .collect(Collectors.toSet())))
                        .toList(),
                evidence.tries(job).stream().map(EvidenceStore.TriesRow::grid).toList());
    }

    /**
     * What a finding most likely is, before anybody says. A fault that closed jobs do not know well is taken for what the owner complained
     * of, if anything was told at all.
     */
    FindingKind likelyKind(Job job, FaultName said, Remedy remedy, boolean proved) {
        return FindingKind.likely(remedy, shown(job, Set.of(said)).contains(said), proved);
    }

    /** Which of some faults the unit shows: by what was told of it, or since the component was seen bad. */
    Set<FaultName> shown(Job job, Set<FaultName> said) {
        Names names = book.read((closed, now) -> now);
        Where where = where(job.revisionId());
        Known known = known(job.id())
                .called(name -> names.component(where.model(), name), one -> names.fault(where.model(), one));
        Set<String> seenBad = known.looks().stream()
                .filter(look -> !look.good())
                .map(Known.Look::component)
                .collect(Collectors.toSet());
        boolean told = !known.present().isEmpty() || !job.brought().complaint().isEmpty();
        Map<FaultName, FaultName> counted =
                said.stream().collect(Collectors.toMap(Function.identity(), one -> names.fault(where.model(), one)));
        Rates rates = book.ask(past -> past.history()
                .rates(
                        where,
                        Set.copyOf(counted.values()),
                        past.names().components(),
                        past.names().spoken()));
        return said.stream()
                .filter(one -> {
                    FaultName fault = counted.get(one);
                    return seenBad.contains(fault.component())
                            || (rates.knows(fault, WELL) ? rates.showsAny(fault, known.present()) : told);
                })
                .collect(Collectors.toSet());
    }
}
