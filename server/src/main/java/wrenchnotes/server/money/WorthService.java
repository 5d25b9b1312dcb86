package wrenchnotes.server.money;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.LikeSale;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.money.Estimate;
import wrenchnotes.core.money.Triage;
import wrenchnotes.core.money.Worth;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.diagnosis.DiagnosisService;
import wrenchnotes.server.diagnosis.UnitOdds;
import wrenchnotes.server.drawer.OnTheWay;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.outcome.OutcomeStore;
import wrenchnotes.server.shop.TheShop;

/** What a unit will take, what it may fetch, and what to do with it. Runs in the caller's transaction. */
@Component
public class WorthService {

    private static final double WORTH_NAMING = 0.1;

    private final MoneyStore money;
    private final Book book;
    private final OnTheWay onTheWay;
    private final OutcomeStore outcomes;
    private final JobStore jobs;
    private final TheShop shop;
    private final Journal journal;

    WorthService(
            MoneyStore money,
            Book book,
            OnTheWay onTheWay,
            OutcomeStore outcomes,
            JobStore jobs,
            TheShop shop,
            Journal journal) {
        this.money = money;
        this.book = book;
        this.onTheWay = onTheWay;
        this.outcomes = outcomes;
        this.jobs = jobs;
        this.shop = shop;
        this.journal = journal;
    }

    /**
     * @param count in the drawer now
     * @param daysToGet half of its orders came within; empty if it is there
     * @param daysAtMost four in five of them did
     */
    public record PartNeeded(
            FaultName fault,
            double probability,
            long partId,
            String part,
            String drawer,
            int count,
            Optional<Long> daysToGet,
            Optional<Long> daysAtMost) {}

    /** @param worth only for units to be sold */
    public record Money(
            Estimate estimate,
            long hourMinor,
            List<PartNeeded> parts,
            Optional<Worth> worth,
            Optional<Long> paidMinor,
            Optional<MoneyStore.TriageRow> triage,
            Optional<MoneyStore.SaleRow> sale) {}

    public Estimate estimate(DiagnosisService.Judged judged) {
        return Estimate.of(
                judged.diagnosis(), judged.found(), judged.work(), shop.now().hourMinor());
    }

    public Money atCounter(
            long revision, long model, Kind kind, DiagnosisService.Judged judged, boolean resale, Optional<Long> paid) {
        Estimate estimate = estimate(judged);
        Optional<Worth> worth = resale
                ? Optional.of(Worth.of(
                        sales(new Where(revision, model, kind)), Optional.empty(), judged.success(), estimate, paid))
                : Optional.empty();
        return new Money(
                estimate, shop.now().hourMinor(), parts(judged), worth, paid, Optional.empty(), Optional.empty());
    }

    /** @param expected what a person thinks it will fetch */
    public Money ofJob(Job job, DiagnosisService.Judged judged, Optional<Long> expected) {
        Estimate estimate = estimate(judged);
        Optional<Long> paid = money.paid(job.id());
        Optional<Worth> worth = job.ownership() == Ownership.RESALE
                ? Optional.of(worth(job, judged, estimate, expected, paid))
                : Optional.empty();
        return new Money(
                estimate,
                shop.now().hourMinor(),
                parts(judged),
                worth,
                paid,
                money.triage(job.id()),
                money.sale(job.id()));
    }

    private Worth worth(
            Job job, DiagnosisService.Judged judged, Estimate estimate, Optional<Long> expected, Optional<Long> paid) {
        Where where =
                new Where(job.revisionId(), job.unit().modelId(), job.unit().kind());
        return Worth.of(sales(where), expected, judged.success(), estimate, paid);
    }

    private List<LikeSale> sales(Where where) {
        return book.read((closed, names) -> closed.sales(where, names));
    }

    private List<PartNeeded> parts(DiagnosisService.Judged judged) {
        List<UnitOdds.LikelyFault> likely = judged.odds().faults().stream()
                .filter(fault -> fault.probability() >= WORTH_NAMING && !fault.out())
                .filter(fault -> fault.faultId().isPresent())
                .limit(4)
                .toList();
        return money
                .usualParts(likely.stream().map(fault -> fault.faultId().get()).toList())
                .stream()
                .map(entry -> {
                    UnitOdds.LikelyFault fault = likely.stream()
                            .filter(one -> one.faultId().get().equals(entry.getKey()))
                            .findFirst()
                            .orElseThrow();
                    MoneyStore.UsualPart part = entry.getValue();
                    Optional<Takes> takes =
                            part.count() > 0 ? Optional.empty() : Optional.of(onTheWay.takes(part.partId()));
                    return new PartNeeded(
                            fault.fault(),
                            fault.probability(),
                            part.partId(),
                            part.name(),
                            part.drawer(),
                            part.count(),
                            takes.map(one -> Math.max(1, Math.round(one.half()))),
                            takes.map(one -> Math.max(1, Math.round(one.fourFifths()))));
                })
                .toList();
    }

    void decide(By who, Job job, Triage way, String why, DiagnosisService.Judged judged, Optional<Long> expected) {
        By by = job.told(who);
        if (job.ownership() != Ownership.RESALE) {
            throw Refused.because(job.tag() + " is a customer's: what becomes of it is for its owner to say.");
        }
        Worth figures = worth(job, judged, estimate(judged), expected, money.paid(job.id()));
        String reason = Checked.optionalText("why", why, 200);
        boolean best = figures.ways().isEmpty() || figures.ways().get(0).way() == way;
        money.addTriage(by, job.id(), way, reason, figures);
        journal.write(
                by,
                Journal.Entry.ofJob(
                        job.id(),
                        "triage",
                        job.id(),
                        "Decided: " + way.words() + (best ? "" : ", against the figures")
                                + (reason.isEmpty() ? "" : ". " + reason),
                        figures));
    }

    /** A unit may be sold long after it left the bench. */
    public void sold(By who, long id, long minor) {
        Job job = jobs.job(id);
        By by = job.dated(who);
        if (job.ownership() != Ownership.RESALE) {
            throw Refused.because(job.tag() + " is a customer's: it is not for sale.");
        }
        boolean worked = outcomes.ofJob(id).stream()
                .findFirst()
                .map(row -> row.given().outcome().saysItWorks())
                .orElseThrow(() -> Refused.because("Say how the job ended before it is sold: working, or as it is."));
        money.addSale(by, id, minor, worked);
        journal.write(
                by,
                Journal.Entry.ofJob(
                        id,
                        "sale",
                        id,
                        "Sold " + (worked ? "working" : "as it is") + " for " + shop.inMoney(minor),
                        minor));
    }
}
