package wrenchnotes.server.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.MatPlan;
import wrenchnotes.server.bench.BenchService;

/** The mat of a unit on paper, at its true size: laid under the screws where no screen is near. */
@Component
class MatPapers {

    /** About how wide a letter of the paper's font is, at the size of the words in a cell. */
    private static final double LETTER_MM = 1.75;

    private final PaperKit kit;
    private final PaperWords words;
    private final BenchService bench;

    MatPapers(PaperKit kit, PaperWords words, BenchService bench) {
        this.kit = kit;
        this.words = words;
        this.bench = bench;
    }

    /** @param page of how many, from 1 */
    public record MatSheet(int page, int of, String drawing, List<Lettering> words) {}

    /** @param style where it stands and how large */
    public record Lettering(String style, String words) {}

    /** A4 across, as many pages as it takes. */
    byte[] mat(Job job) {
        List<MatPlan.MatPage> pages = MatPlan.of(bench.onTheMat(job.id())).pages();
        return kit.pdf(
                "mat",
                Map.of(
                        "tag", job.tag(),
                        "what", words.printable(job.unit().named()),
                        "nothing", pages.get(0).cells().isEmpty(),
                        "pages",
                                IntStream.range(0, pages.size())
                                        .mapToObj(n -> new MatSheet(
                                                n + 1, pages.size(), svg(pages.get(n)), lettering(pages.get(n))))
                                        .toList()));
    }

    private static String svg(MatPlan.MatPage page) {
        double y = MatPlan.PAGE_HEIGHT - MatPlan.MARGIN - 3;
        return Svg.text(
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$.0fmm\" height=\"%2$.0fmm\""
                                + " viewBox=\"0 0 %1$.0f %2$.0f\">",
                        MatPlan.PAGE_WIDTH, MatPlan.PAGE_HEIGHT)
                + page.cells().stream().map(MatPapers::cell).collect(Collectors.joining())
                + Svg.ruler(MatPlan.MARGIN, y)
                + "</svg>";
    }

    private static String cell(MatPlan.MatCell cell) {
        StringBuilder svg = new StringBuilder(Svg.text(
                "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\" rx=\"1.2\" fill=\"none\" stroke=\"#555\" stroke-width=\"0.3\"/>",
                cell.x(), cell.y(), cell.width(), cell.height()));
        for (MatPlan.MatRow row : cell.rows()) {
            for (double left : row.lefts()) {
                svg.append(
                        row.thing() instanceof FastenerGroup group
                                ? FastenerDrawing.svg(group, left, row.middle())
                                : Svg.text(
                                        "<rect x=\"%.2f\" y=\"%.2f\" width=\"6\" height=\"6\" rx=\"0.6\" fill=\"none\" stroke=\"#111\" stroke-width=\"0.2\"/>",
                                        left, row.middle() - 3));
            }
        }
        return svg.toString();
    }

    /** Words are letters, not drawn: they can be found, copied, and have every letter that papers have. */
    private List<Lettering> lettering(MatPlan.MatPage page) {
        List<Lettering> all = new ArrayList<>();
        for (MatPlan.MatCell cell : page.cells()) {
            all.add(words(cell, cell.y() + 1, cell.label(), "font-weight: bold; font-size: 9pt"));
            cell.rows().stream()
                    .filter(MatPlan.MatRow::first)
                    .forEach(row -> all.add(words(cell, row.y(), row.thing().inAll(), "font-size: 7.5pt")));
        }
        return all;
    }

    /** As much of the words as there is room for. */
    private Lettering words(MatPlan.MatCell cell, double y, String said, String look) {
        String text = words.printable(said);
        int most = (int) ((cell.width() - 6) / LETTER_MM);
        return new Lettering(
                Svg.text("left: %.2fmm; top: %.2fmm; %s", cell.x() + 3, y, look),
                text.length() > most ? text.substring(0, most - 1) + "…" : text);
    }
}
