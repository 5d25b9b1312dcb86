package wrenchnotes.server;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.Function;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;

/** A paper, read as people and scanners read it. */
final class PaperRead {

    private static final int DPI = 203;

    private PaperRead() {}

    static String text(byte[] pdf) {
        return of(pdf, paper -> {
            try {
                return new PDFTextStripper().getText(paper).replaceAll("\\s+", " ");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    /** What a scanner reads off it as a common label printer puts it down: 203 dots to the inch. */
    static String scanned(byte[] pdf) {
        return of(pdf, paper -> {
            try {
                BufferedImage page = new PDFRenderer(paper).renderImageWithDPI(0, DPI);
                int[] dots = page.getRGB(0, 0, page.getWidth(), page.getHeight(), null, 0, page.getWidth());
                return new MultiFormatReader()
                        .decode(new BinaryBitmap(
                                new HybridBinarizer(new RGBLuminanceSource(page.getWidth(), page.getHeight(), dots))))
                        .getText();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (NotFoundException e) {
                throw new AssertionError("No code can be read off the paper", e);
            }
        });
    }

    /** How wide the ink of the first page is, in mm. */
    static double inkWidthMm(byte[] pdf) {
        return of(pdf, paper -> {
            try {
                BufferedImage page = new PDFRenderer(paper).renderImageWithDPI(0, 254);
                int left = page.getWidth();
                int right = 0;
                for (int y = 0; y < page.getHeight(); y++) {
                    for (int x = 0; x < page.getWidth(); x++) {
                        if ((page.getRGB(x, y) & 0xff) < 128) {
                            left = Math.min(left, x);
                            right = Math.max(right, x);
                        }
                    }
                }
                return (right - left + 1) / 10.0;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    /** The longest level line of ink on the first page, in mm. */
    static double longestLineMm(byte[] pdf) {
        return of(pdf, paper -> {
            try {
                BufferedImage page = new PDFRenderer(paper).renderImageWithDPI(0, 254);
                int longest = 0;
                for (int y = 0; y < page.getHeight(); y++) {
                    int run = 0;
                    for (int x = 0; x < page.getWidth(); x++) {
                        run = (page.getRGB(x, y) & 0xff) < 160 ? run + 1 : 0;
                        longest = Math.max(longest, run);
                    }
                }
                return longest / 10.0;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    /** Its pages, how wide and high the first is in mm, and how it asks to be printed. */
    static String form(byte[] pdf) {
        return of(pdf, paper -> "%d page, %d × %d mm, scaling %s"
                .formatted(
                        paper.getNumberOfPages(),
                        mm(paper.getPage(0).getMediaBox().getWidth()),
                        mm(paper.getPage(0).getMediaBox().getHeight()),
                        paper.getDocumentCatalog().getViewerPreferences().getPrintScaling()));
    }

    private static long mm(float points) {
        return Math.round(points * 25.4 / 72);
    }

    private static <T> T of(byte[] pdf, Function<PDDocument, T> read) {
        try (PDDocument paper = Loader.loadPDF(pdf)) {
            return read.apply(paper);
        } catch (IOException e) {
            throw new AssertionError("No paper: " + new String(pdf, java.nio.charset.StandardCharsets.UTF_8), e);
        }
    }
}
