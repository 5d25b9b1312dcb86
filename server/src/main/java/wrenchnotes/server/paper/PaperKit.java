package wrenchnotes.server.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfTemplate;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.util.function.BiConsumer;
import wrenchnotes.core.job.Job;

/** What every paper is drawn with. */
final class PaperKit {

    static final float MM = 72 / 25.4f;
    static final Font NORMAL = new Font(Font.HELVETICA, 10);
    static final Font STRONG = new Font(Font.HELVETICA, 10, Font.BOLD);
    static final Font TITLE = new Font(Font.HELVETICA, 16, Font.BOLD);

    private PaperKit() {}

    /** The code of the unit, and beside it what it is, with a line under it. */
    static void head(Document document, PdfWriter writer, Job job, String under) {
        PdfPTable head = new PdfPTable(new float[] {3, 1});
        head.setWidthPercentage(100);
        PdfPCell title = bare(new Phrase(job.tag(), TITLE));
        title.addElement(new Paragraph(job.tag(), TITLE));
        title.addElement(
                new Paragraph(job.unit().model() + ", revision " + job.unit().revision(), STRONG));
        title.addElement(new Paragraph(under, NORMAL));
        head.addCell(title);
        head.addCell(bare(code(writer, job.tag(), 26 * MM)));
        document.add(head);
    }

    static void line(Document document, String name, String words) {
        if (!words.isEmpty()) {
            Paragraph line = new Paragraph();
            line.add(new Phrase(name + ": ", STRONG));
            // The built-in fonts have no such letter.
            line.add(new Phrase(words.replace("Ω", "ohm"), NORMAL));
            line.setSpacingBefore(5);
            document.add(line);
        }
    }

    static PdfPCell bare(Element element) {
        PdfPCell cell = new PdfPCell();
        cell.setBorder(Rectangle.NO_BORDER);
        cell.setPadding(1);
        if (!(element instanceof Phrase)) {
            cell.addElement(element);
        }
        return cell;
    }

    /** Drawn square by square, so that it stays sharp at any size. */
    static com.lowagie.text.Image code(PdfWriter writer, String text, float size) {
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

    static byte[] page(Rectangle size, float margin, BiConsumer<Document, PdfWriter> draw) {
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        Document document = new Document(size, margin, margin, margin, margin);
        PdfWriter writer = PdfWriter.getInstance(document, pdf);
        document.open();
        draw.accept(document, writer);
        document.close();
        return pdf.toByteArray();
    }
}
