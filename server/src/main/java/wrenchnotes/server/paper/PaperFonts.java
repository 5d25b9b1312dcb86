package wrenchnotes.server.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PDFontSupplier;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * The fonts of all papers: to read them anew took a quarter of what it costs to draw a slip, and more of a tag. One set serves one paper
 * at a time, since a font that has been read is still read from; as many sets are kept as papers were ever drawn at once.
 */
final class PaperFonts {

    private static final String FILES = "/net/sf/jasperreports/fonts/dejavu/DejaVuSans";

    /** What all but headings is written in. */
    static final String PLAIN = FILES + ".ttf";

    private static final Queue<PaperFonts> FREE = new ConcurrentLinkedQueue<>();

    private record Face(String family, int weight, TrueTypeFont read) {

        static Face of(String family, int weight, String file) {
            try {
                byte[] bytes = PaperFonts.class.getResourceAsStream(file).readAllBytes();
                return new Face(family, weight, new TTFParser().parse(new RandomAccessReadBuffer(bytes)));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private final List<Face> faces = List.of(
            Face.of("Paper", 400, PLAIN),
            Face.of("Paper", 700, FILES + "-Bold.ttf"),
            Face.of("PaperMono", 700, FILES + "Mono-Bold.ttf"));

    private PaperFonts() {}

    /** A set that nobody else draws with until it is given back. */
    static PaperFonts take() {
        PaperFonts free = FREE.poll();
        return free == null ? new PaperFonts() : free;
    }

    void giveBack() {
        FREE.add(this);
    }

    /** Of each, what the paper uses is put into it. */
    void into(PdfRendererBuilder builder, PDDocument paper) {
        for (Face face : faces) {
            builder.useFont(new Used(paper, face.read), face.family, face.weight, FontStyle.NORMAL, true);
        }
    }

    /** A font that is put into the paper once something is written in it. */
    private static final class Used extends PDFontSupplier {

        private final PDDocument paper;
        private final TrueTypeFont font;

        Used(PDDocument paper, TrueTypeFont font) {
            super(null);
            this.paper = paper;
            this.font = font;
        }

        @Override
        public PDFont supply() {
            try {
                return PDType0Font.load(paper, font, true);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
