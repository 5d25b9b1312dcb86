package wrenchnotes.server.paper;

import static wrenchnotes.server.paper.PaperKit.MM;
import static wrenchnotes.server.paper.PaperKit.head;
import static wrenchnotes.server.paper.PaperKit.line;
import static wrenchnotes.server.paper.PaperKit.page;

import com.lowagie.text.Document;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Rectangle;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Loan;
import wrenchnotes.server.bench.BenchService;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.shop.TheShop;

/** The paper that goes out with a unit, for good or on loan: what was done, how it ended, and what whoever uses it must know. */
@Component
class Leaving {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final FactsStore facts;
    private final FindingStore findings;
    private final BenchService bench;
    private final TheShop shop;

    Leaving(FactsStore facts, FindingStore findings, BenchService bench, TheShop shop) {
        this.facts = facts;
        this.findings = findings;
        this.bench = bench;
        this.shop = shop;
    }

    /** A5. */
    byte[] paper(Job job) {
        JobFacts known = facts.of(job);
        return page(new Rectangle(PageSize.A5), 14 * MM, (document, writer) -> {
            head(document, writer, job, under(job));
            line(document, "Owner", job.brought().owner().map(Job.Owner::name).orElse("to be sold"));
            job.onLoan().ifPresent(loan -> onLoan(document, job, loan));
            known.saidOnPaper().forEach(words -> line(document, "Mind", words));
            each(
                    document,
                    "Done",
                    findings.ofJob(job.id()).stream()
                            .filter(FindingStore.FindingRow::stands)
                            .map(FindingStore.FindingRow::words)
                            .toList());
            each(document, "Tried again", known.checks().sinceArrival());
            known.outcome()
                    .ifPresent(given -> line(
                            document,
                            "How it ended",
                            given.outcome().words() + (given.remark().isEmpty() ? "" : ". " + given.remark())));
            known.mains()
                    .last()
                    .ifPresent(made -> line(
                            document,
                            "Electrical check",
                            made.check().sentence() + ", by " + made.by() + ", "
                                    + day(made.at().at()) + rule()));
            Paragraph foot = new Paragraph(shop.now().terms(), PaperKit.NORMAL);
            foot.setSpacingBefore(10);
            document.add(foot);
        });
    }

    private String under(Job job) {
        return job.onLoan()
                .map(loan -> "On loan since " + day(loan.from()) + ": not finished, comes back")
                .orElseGet(() -> job.handedOverAt()
                        .map(at -> "Handed over " + day(at))
                        .orElse("Here since " + day(job.brought().checkedInAt())));
    }

    private void onLoan(Document document, Job job, Loan loan) {
        line(document, "Not for", loan.notFor());
        line(document, "Back by", loan.due().map(this::day).orElse("when we call"));
        each(document, "Not finished", bench.unfinished(job.id()));
    }

    private String rule() {
        String rule = shop.now().electrical().rule();
        return rule.isEmpty() ? "" : " (" + rule + ")";
    }

    private String day(Instant at) {
        return DAY.format(shop.now().day(at));
    }

    private static void each(Document document, String name, List<String> lines) {
        line(document, name, String.join("; ", lines));
    }
}
