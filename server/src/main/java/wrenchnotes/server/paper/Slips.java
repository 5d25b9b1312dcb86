package wrenchnotes.server.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfTemplate;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
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

    private static final float MM = 72 / 25.4f;
    private static final float TAG_WIDTH = 70 * MM;
    private static final float TAG_HEIGHT = 30 * MM;
    private static final Font NORMAL = new Font(Font.HELVETICA, 10);
    private static final Font STRONG = new Font(Font.HELVETICA, 10, Font.BOLD);
    private static final Font TITLE = new Font(Font.HELVETICA, 16, Font.BOLD);
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
            PdfPTable head = new PdfPTable(new float[] {3, 1});
            head.setWidthPercentage(100);
            PdfPCell title = bare(new Phrase(job.tag(), TITLE));
            title.addElement(new Paragraph(job.tag(), TITLE));
            title.addElement(new Paragraph(
                    job.unit().model() + ", revision " + job.unit().revision(), STRONG));
            title.addElement(new Paragraph(
                    "Taken in " + day(job.brought().checkedInAt()) + " by "
                            + job.brought().checkedInBy(),
                    NORMAL));
            head.addCell(title);
            head.addCell(bare(code(writer, job.tag(), 26 * MM)));
            document.add(head);
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

    private static void line(Document document, String name, String words) {
        if (!words.isEmpty()) {
            Paragraph line = new Paragraph();
            line.add(new Phrase(name + ": ", STRONG));
            line.add(new Phrase(words, NORMAL));
            line.setSpacingBefore(5);
            document.add(line);
        }
    }

    private static PdfPCell bare(Element element) {
        PdfPCell cell = new PdfPCell();
        cell.setBorder(Rectangle.NO_BORDER);
        cell.setPadding(1);
        if (!(element instanceof Phrase)) {
            cell.addElement(element);
        }
        return cell;
    }

    /** Drawn square by square, so that it stays sharp at any size. */
    private static com.lowagie.text.Image code(PdfWriter writer, String text, float size) {
        try {
            BitMatrix squares = new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 1, 1);
            PdfContentByte page = writer.getDirectContent();
            PdfTemplate drawing = page.createTemplate(squares.getWidth(), squares.getHeight());
            for (int y = 0; y < squares.getHeight(); y++) {
                for (int x = 0; x < squares.getWidth(); x++) {
                    if (squares.get(x, y)) {
                        drawing.rectangle(x, squares.getHeight() - 1f - y, 1, 1);
                    }
                }
            }
            drawing.fill();
            com.lowagie.text.Image image = com.lowagie.text.Image.getInstance(drawing);
            image.scaleAbsolute(size, size);
            return image;
        } catch (WriterException e) {
            throw new IllegalStateException("A tag always fits a code", e);
        }
    }

    private static byte[] page(Rectangle size, float margin, BiConsumer<Document, PdfWriter> draw) {
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        Document document = new Document(size, margin, margin, margin, margin);
        PdfWriter writer = PdfWriter.getInstance(document, pdf);
        document.open();
        draw.accept(document, writer);
        document.close();
        return pdf.toByteArray();
    }
}
