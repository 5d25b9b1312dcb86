package wrenchnotes.server.paper;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import wrenchnotes.core.gauge.StrobeDisc;
import wrenchnotes.core.gauge.StrobeDisc.DiscPlan;
import wrenchnotes.core.gauge.StrobeDisc.PointMm;
import wrenchnotes.core.gauge.StrobeDisc.StrobeRing;
import wrenchnotes.core.typed.Figures;

/** A strobe disc on paper, to scale. A line of 50 mm beside it shows whether the printer kept the scale. */
@Component
public class StrobePapers {

    private static final double MARGIN_MM = 6;
    private static final double FOOT_MM = 14;
    private static final String KEPT = "This line is 50 mm long if it was printed to scale.";

    private final PaperKit kit;

    StrobePapers(PaperKit kit) {
        this.kit = kit;
    }

    public String svg(DiscPlan plan) {
        return drawn(plan, true);
    }

    /** @param worded whether its words are drawn too: on paper they are letters */
    private static String drawn(DiscPlan plan, boolean worded) {
        double wide = Math.max(plan.diameterMm(), Svg.RULE_MM + 20) + 2 * MARGIN_MM;
        double high =
                plan.diameterMm() + 2 * MARGIN_MM + FOOT_MM + 4 * plan.rings().size();
        double x = wide / 2;
        double y = MARGIN_MM + plan.diameterMm() / 2;
        StringBuilder svg = new StringBuilder(Svg.text(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.2fmm\" height=\"%2$.2fmm\""
                        + " viewBox=\"0 0 %1$.2f %2$.2f\">\n",
                wide, high));
        svg.append(Svg.text("<title>Strobe disc: %s</title>\n", String.join("; ", words(plan))));
        svg.append(Svg.text(
                "<g fill=\"none\" stroke=\"black\" stroke-width=\"0.2\"><circle cx=\"%.3f\" cy=\"%.3f\" r=\"%.3f\"/>"
                        + "<circle cx=\"%.3f\" cy=\"%.3f\" r=\"%.3f\"/>"
                        + "<path d=\"M%.3f %.3fh4m-2 -2v4\"/></g>\n",
                x, y, plan.diameterMm() / 2, x, y, plan.holeMm() / 2, x - 2, y));
        for (StrobeRing ring : plan.rings()) {
            svg.append("<path d=\"");
            for (int bar = 0; bar < ring.bars(); bar++) {
                char pen = 'M';
                for (PointMm point : StrobeDisc.outline(ring, bar)) {
                    svg.append(Svg.text("%s%.3f %.3f", pen, x + point.x(), y - point.y()));
                    pen = 'L';
                }
                svg.append('Z');
            }
            svg.append("\"/>\n");
        }
        double foot = plan.diameterMm() + 2 * MARGIN_MM + 4;
        svg.append(Svg.ruler(MARGIN_MM, foot)).append("\n");
        if (worded) {
            svg.append("<g font-family=\"sans-serif\" font-size=\"3\">");
            svg.append(Svg.text("<text x=\"%.2f\" y=\"%.2f\">%s</text>", MARGIN_MM, foot + 4, KEPT));
            double line = foot + 8;
            for (String words : words(plan)) {
                svg.append(Svg.text("<text x=\"%.2f\" y=\"%.2f\">%s</text>", MARGIN_MM, line, words));
                line += 4;
            }
            svg.append("</g>\n");
        }
        return svg.append("</svg>\n").toString();
    }

    /** A4. */
    public byte[] pdf(DiscPlan plan) {
        return kit.pdf("disc", Map.of("disc", drawn(plan, false), "kept", KEPT, "rings", words(plan)));
    }

    /** From the outer ring inwards. */
    private static List<String> words(DiscPlan plan) {
        return plan.rings().stream()
                .map(ring -> Svg.text(
                        "%d bars: %s rpm under %s flashes a second (stand still at %s)",
                        ring.bars(),
                        Figures.of(ring.asked().rpm(), 5),
                        Figures.of(ring.asked().flashes(), 5),
                        Figures.of(ring.standsAtRpm(), 5)))
                .toList();
    }
}
