package wrenchnotes.server.paper;

import com.lowagie.text.Document;
import com.lowagie.text.PageSize;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Locale;
import wrenchnotes.core.gauge.StrobeDisc;
import wrenchnotes.core.gauge.StrobeDisc.DiscPlan;
import wrenchnotes.core.gauge.StrobeDisc.PointMm;
import wrenchnotes.core.gauge.StrobeDisc.StrobeRing;

/** A strobe disc on paper, to scale. A line of 50 mm beside it shows whether the printer kept the scale. */
public final class StrobePapers {

    private static final float MM = 72 / 25.4f;
    private static final double MARGIN_MM = 6;
    private static final double FOOT_MM = 14;
    private static final double RULE_MM = 50;
    private static final String KEPT = "This line is 50 mm long if it was printed to scale.";

    private StrobePapers() {}

    public static String svg(DiscPlan plan) {
        double wide = Math.max(plan.diameterMm(), RULE_MM + 20) + 2 * MARGIN_MM;
        double high =
                plan.diameterMm() + 2 * MARGIN_MM + FOOT_MM + 4 * plan.rings().size();
        double x = wide / 2;
        double y = MARGIN_MM + plan.diameterMm() / 2;
        StringBuilder svg = new StringBuilder(text(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.2fmm\" height=\"%2$.2fmm\""
                        + " viewBox=\"0 0 %1$.2f %2$.2f\">\n",
                wide, high));
        svg.append(text("<title>Strobe disc: %s</title>\n", String.join("; ", words(plan))));
        svg.append(text(
                "<g fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"><circle cx=\"%.3f\" cy=\"%.3f\" r=\"%.3f\"/>"
                        + "<circle cx=\"%.3f\" cy=\"%.3f\" r=\"%.3f\"/>"
                        + "<path d=\"M%.3f %.3fh4m-2 -2v4\"/></g>\n",
                x, y, plan.diameterMm() / 2, x, y, plan.holeMm() / 2, x - 2, y));
        for (StrobeRing ring : plan.rings()) {
            svg.append("<path d=\"");
            for (int bar = 0; bar < ring.bars(); bar++) {
                char pen = 'M';
                for (PointMm point : StrobeDisc.outline(ring, bar)) {
                    svg.append(text("%s%.3f %.3f", pen, x + point.x(), y - point.y()));
                    pen = 'L';
                }
                svg.append('Z');
            }
            svg.append("\"/>\n");
        }
        double foot = plan.diameterMm() + 2 * MARGIN_MM + 4;
        svg.append(text(
                "<path d=\"M%.2f %.2fv-2m0 1h%.2fm0 -1v2\" fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"/>\n",
                MARGIN_MM, foot, RULE_MM));
        svg.append("<g font-family=\"sans-serif\" font-size=\"3\">");
        svg.append(text("<text x=\"%.2f\" y=\"%.2f\">%s</text>", MARGIN_MM, foot + 4, KEPT));
        double line = foot + 8;
        for (String words : words(plan)) {
            svg.append(text("<text x=\"%.2f\" y=\"%.2f\">%s</text>", MARGIN_MM, line, words));
            line += 4;
        }
        return svg.append("</g>\n</svg>\n").toString();
    }

    /** A4, the disc in the upper half. */
    public static byte[] pdf(DiscPlan plan) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Document document = new Document(PageSize.A4);
        PdfWriter writer = PdfWriter.getInstance(document, out);
        // Printers that fit a page to their margins spoil the scale: the paper asks them not to.
        writer.addViewerPreference(PdfName.PRINTSCALING, PdfName.NONE);
        document.open();
        PdfContentByte page = writer.getDirectContent();
        float x = PageSize.A4.getWidth() / 2;
        float y = PageSize.A4.getHeight() - mm(10 + plan.diameterMm() / 2);
        page.setLineWidth(mm(0.2));
        page.circle(x, y, mm(plan.diameterMm() / 2));
        page.circle(x, y, mm(plan.holeMm() / 2));
        page.moveTo(x - mm(2), y);
        page.lineTo(x + mm(2), y);
        page.moveTo(x, y - mm(2));
        page.lineTo(x, y + mm(2));
        page.stroke();
        for (StrobeRing ring : plan.rings()) {
            for (int bar = 0; bar < ring.bars(); bar++) {
                List<PointMm> corners = StrobeDisc.outline(ring, bar);
                page.moveTo(x + mm(corners.get(0).x()), y + mm(corners.get(0).y()));
                corners.stream().skip(1).forEach(point -> page.lineTo(x + mm(point.x()), y + mm(point.y())));
                page.closePath();
            }
            page.fill();
        }
        float foot = y - mm(plan.diameterMm() / 2 + 9);
        float left = x - mm(RULE_MM / 2);
        page.moveTo(left, foot);
        page.lineTo(left + mm(RULE_MM), foot);
        page.stroke();
        write(page, left, foot, plan);
        document.close();
        return out.toByteArray();
    }

    private static void write(PdfContentByte page, float left, float foot, DiscPlan plan) {
        try {
            page.beginText();
            page.setFontAndSize(BaseFont.createFont(BaseFont.HELVETICA, BaseFont.WINANSI, false), 9);
            float line = foot - mm(4);
            page.showTextAligned(PdfContentByte.ALIGN_LEFT, KEPT, left, line, 0);
            for (String words : words(plan)) {
                line -= mm(4);
                page.showTextAligned(PdfContentByte.ALIGN_LEFT, words, left, line, 0);
            }
            page.endText();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** From the outer ring inwards. */
    private static List<String> words(DiscPlan plan) {
        return plan.rings().stream()
                .map(ring -> text(
                        "%d bars: %s rpm under %s flashes a second (stand still at %s)",
                        ring.bars(),
                        plain(ring.asked().rpm()),
                        plain(ring.asked().flashes()),
                        plain(ring.standsAtRpm())))
                .toList();
    }

    private static String plain(double value) {
        return new BigDecimal(value)
                .round(new MathContext(5))
                .stripTrailingZeros()
                .toPlainString();
    }

    private static String text(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }

    private static float mm(double mm) {
        return (float) (mm * MM);
    }
}
