package wrenchnotes.server.paper;

import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.server.bench.BenchService;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.shop.TheShop;

/** The paper that goes out with a unit, for good or on loan: what was done, how it ended, and what whoever uses it must know. */
@Component
class Leaving {

    private final PaperKit kit;
    private final PaperWords words;
    private final ArrivalStore arrivals;
    private final FactsStore facts;
    private final FindingStore findings;
    private final BenchService bench;
    private final TheShop shop;

    Leaving(
            PaperKit kit,
            PaperWords words,
            FactsStore facts,
            FindingStore findings,
            ArrivalStore arrivals,
            BenchService bench,
            TheShop shop) {
        this.kit = kit;
        this.words = words;
        this.arrivals = arrivals;
        this.facts = facts;
        this.findings = findings;
        this.bench = bench;
        this.shop = shop;
    }

    /** A5. */
    byte[] paper(Job job) {
        JobFacts known = facts.of(job);
        Sheet sheet = new Sheet(words, job, under(job))
                .line("owner", job.brought().owner().map(Job.Owner::name).orElse(words.say("tosell")));
        job.onLoan().ifPresent(loan -> sheet.warning("notfor", loan.notFor())
                .line("backby", loan.due().map(this::day).orElse(words.say("whenwecall")))
                .each("unfinished", bench.unfinished(job.id())));
        known.saidOnPaper().forEach(line -> sheet.warning("mind", line));
        ArrivalMark.cautions(arrivals.marks(job.id())).forEach(line -> sheet.warning("mind", line));
        sheet.each(
                "told",
                arrivals.symptoms(job.id()).stream()
                        .filter(Arrival.Symptom::present)
                        .map(Arrival.Symptom::name)
                        .toList());
        List<FindingStore.FindingRow> found = findings.ofJob(job.id()).stream()
                .filter(FindingStore.FindingRow::stands)
                .toList();
        sheet.each("done", said(found, false)).each("left", said(found, true));
        sheet.each("tried", known.checks().sinceArrival());
        known.outcome()
                .ifPresent(given -> sheet.line(
                        "ended", given.outcome().words() + (given.remark().isEmpty() ? "" : ". " + given.remark())));
        known.mains()
                .last()
                .ifPresent(made -> sheet.line(
                        "electrical",
                        shop.now().decimal().written(made.check().sentence()) + ", by " + made.by() + ", "
                                + day(made.at().at()) + rule()));
        belongings(job, sheet);
        return kit.pdf("sheet", sheet.with(shop.now().name(), shop.now().terms()));
    }

    private static List<String> said(List<FindingStore.FindingRow> found, boolean left) {
        return found.stream()
                .filter(row -> (row.done().remedy() == Remedy.LEFT_AS_IT_IS || row.kind() == FindingKind.SEEN) == left)
                .map(row -> row.said() + (row.remark().isEmpty() ? "" : ", " + row.remark()))
                .toList();
    }

    private void belongings(Job job, Sheet sheet) {
        List<ArrivalStore.Belonging> all = arrivals.belongings(job.id());
        sheet.each(
                "goesback",
                all.stream()
                        .filter(one -> one.back().orElse(!one.absent()))
                        .map(ArrivalStore.Belonging::name)
                        .toList());
        sheet.each(
                "staysHere",
                all.stream()
                        .filter(one -> !one.back().orElse(!one.absent()))
                        .map(one -> one.name() + (one.why().isEmpty() ? "" : ", " + one.why()))
                        .toList());
    }

    private String under(Job job) {
        return job.onLoan().map(loan -> words.say("lent", day(loan.from()))).orElseGet(() -> job.handedOverAt()
                .map(at -> words.say("handed", day(at)))
                .orElse(words.say("here", day(job.brought().checkedInAt()))));
    }

    private String rule() {
        String rule = shop.now().electrical().rule();
        return rule.isEmpty() ? "" : " (" + rule + ")";
    }

    private String day(Instant at) {
        return shop.now().dates().atLength(shop.now().day(at));
    }
}
