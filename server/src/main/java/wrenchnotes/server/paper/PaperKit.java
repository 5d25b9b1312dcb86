package wrenchnotes.server.paper;

import com.openhtmltopdf.pdfboxout.PdfBoxRenderer;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.logging.Level;
import java.util.regex.Pattern;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences.PRINT_SCALING;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/**
 * What every paper is made with: a template in {@code papers/}, one file of words, one style, fonts that ship. Papers are to scale: they ask
 * whoever prints them not to fit them to the page.
 */
@Component
class PaperKit {

    /** What no document of text may hold (published: XML 1.0, production Char), wherever it was pasted from. */
    private static final Pattern NO_TEXT =
            Pattern.compile("[^\\t\\n\\r\\x{20}-\\x{D7FF}\\x{E000}-\\x{FFFD}\\x{10000}-\\x{10FFFF}]");

    private final TemplateEngine templates = new TemplateEngine();
    private final String style = resource("/papers/paper.css");

    PaperKit(PaperWords words) {
        // It tells of every font of every paper.
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
        ClassLoaderTemplateResolver files = new ClassLoaderTemplateResolver();
        files.setPrefix("papers/");
        files.setSuffix(".html");
        files.setTemplateMode(TemplateMode.HTML);
        files.setCharacterEncoding(StandardCharsets.UTF_8.name());
        templates.setTemplateResolver(files);
        templates.setMessageResolver(words);
    }

    /**
     * @param template its name in {@code papers/}, without the ending
     * @param said what stands on it
     */
    byte[] pdf(String template, Map<String, Object> said) {
        Map<String, Object> all = new HashMap<>(said);
        all.put("style", style);
        String html = NO_TEXT.matcher(templates.process(template, new Context(Locale.ENGLISH, all)))
                .replaceAll("");
        PaperFonts fonts = PaperFonts.take();
        try (BatikSVGDrawer drawings = new BatikSVGDrawer();
                PDDocument paper = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useSVGDrawer(drawings);
            builder.usePDDocument(paper);
            fonts.into(builder, paper);
            builder.withHtmlContent(html, null);
            try (PdfBoxRenderer renderer = builder.buildPdfRenderer()) {
                renderer.createPDFWithoutClosing();
                PDViewerPreferences asks = new PDViewerPreferences(new COSDictionary());
                asks.setPrintScaling(PRINT_SCALING.None);
                paper.getDocumentCatalog().setViewerPreferences(asks);
                paper.save(out);
            }
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            fonts.giveBack();
        }
    }

    private static String resource(String name) {
        try (InputStream file = PaperKit.class.getResourceAsStream(name)) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
