package wrenchnotes.server.paper;

import static wrenchnotes.server.paper.PaperKit.MM;
import static wrenchnotes.server.paper.PaperKit.NORMAL;
import static wrenchnotes.server.paper.PaperKit.bare;
import static wrenchnotes.server.paper.PaperKit.code;
import static wrenchnotes.server.paper.PaperKit.head;
import static wrenchnotes.server.paper.PaperKit.line;
import static wrenchnotes.server.paper.PaperKit.page;

import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.shop.TheShop;

/** The two papers of check-in: the slip that the owner takes home, and the tag that stays on the unit. */
@Component
class Slips {

    private static final float TAG_WIDTH = 70 * MM;
    private static final float TAG_HEIGHT = 30 * MM;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final ArrivalStore arrivals;
    private final TheShop shop;

    Slips(ArrivalStore arrivals, TheShop shop) {
        this.arrivals = arrivals;
        this.shop = shop;
    }

    /** A5: whose, what, what it does, in what state, what came with it, until when. */
    byte[] slip(Job job) {
        return page(new Rectangle(PageSize.A5), 14 * MM, (document, writer) -> {
            head(
                    document,
                    writer,
                    job,
                    "Taken in " + day(job.brought().checkedInAt()) + " by "
                            + job.brought().checkedInBy());
            line(
                    document,
                    "Owner",
                    job.brought().owner().map(Job.Owner::name).orElse(shop.now().name() + ", to be sold"));
            line(document, "Serial", job.unit().serial());
            line(document, "It does", symptoms(job.id()));
            line(document, "In your words", job.brought().complaint());
            line(document, "Its state", state(job));
            line(
                    document,
                    "Came with it",
                    arrivals.belongings(job.id()).stream()
                            .map(ArrivalStore.Belonging::name)
                            .collect(Collectors.joining("; ")));
            line(document, "Promised for", job.brought().dueAt().map(this::day).orElse("no day yet"));
            Paragraph foot = new Paragraph(shop.now().terms(), NORMAL);
            foot.setSpacingBefore(10);
            document.add(foot);
        });
    }

    /** 70 × 30 mm: the tag, as letters and as a code that a scanner types. */
    byte[] tag(Job job) {
        return page(new Rectangle(TAG_WIDTH, TAG_HEIGHT), 2 * MM, (document, writer) -> {
            PdfPTable tag = new PdfPTable(new float[] {26, 40});
            tag.setWidthPercentage(100);
            tag.addCell(bare(code(writer, job.tag(), 24 * MM)));
            PdfPCell words = bare(new Phrase(""));
            words.addElement(new Paragraph(job.tag(), new Font(Font.COURIER, 17, Font.BOLD)));
            words.addElement(
                    new Paragraph(job.unit().model() + " " + job.unit().revision(), new Font(Font.HELVETICA, 7.5f)));
            words.addElement(new Paragraph(
                    job.brought().owner().map(Job.Owner::name).orElse("to be sold"), new Font(Font.HELVETICA, 7.5f)));
            String dangers = ArrivalMark.dangers(arrivals.marks(job.id())).stream()
                    .map(ArrivalMark::words)
                    .collect(Collectors.joining(", "));
            job.onLoan()
                    .ifPresent(loan -> words.addElement(new Paragraph(
                            "ON LOAN. Not for: " + loan.notFor(), new Font(Font.HELVETICA, 8.5f, Font.BOLD))));
            if (!dangers.isEmpty()) {
                words.addElement(new Paragraph("MIND: " + dangers, new Font(Font.HELVETICA, 8.5f, Font.BOLD)));
            }
            tag.addCell(words);
            document.add(tag);
        });
    }

    private String symptoms(long job) {
        List<Arrival.Symptom> all = arrivals.symptoms(job);
        return all.stream()
                .map(symptom -> symptom.present() ? symptom.name() : "not: " + symptom.name())
                .collect(Collectors.joining("; "));
    }

    private String state(Job job) {
        var places = arrivals.places(job.id());
        String marks = arrivals.marks(job.id()).stream()
                .sorted()
                .map(mark -> words(mark) + (places.containsKey(mark) ? " (" + places.get(mark) + ")" : ""))
                .collect(Collectors.joining("; "));
        String missing = arrivals.missing(job.id()).stream()
                .map(thing -> thing.count() + " × " + thing.label() + " missing")
                .collect(Collectors.joining("; "));
        return List.of(marks, missing, job.brought().condition()).stream()
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining("; "));
    }

    private static String words(ArrivalMark mark) {
        return mark.words();
    }

    private String day(Instant at) {
        return DAY.format(shop.now().day(at));
    }
}
