package wrenchnotes.server.paper;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import wrenchnotes.server.pattern.MonthRow;
import wrenchnotes.server.pattern.MonthService.MonthSeen;
import wrenchnotes.server.shop.TheShop;

/** A month of the shop on paper. */
@Component
public class MonthPapers {

    private static final int BAR_MM = 40;

    private final PaperKit kit;
    private final PaperWords words;
    private final TheShop shop;

    MonthPapers(PaperKit kit, PaperWords words, TheShop shop) {
        this.kit = kit;
        this.words = words;
        this.shop = shop;
    }

    /** A row as the paper draws it. @param bar and beforeBar in millimetres */
    public record MonthLine(String words, String now, String before, String bar, String beforeBar, boolean marked) {}

    /** @param none what is said if there are no lines */
    public record MonthPart(String title, String none, List<MonthLine> lines) {}

    /** A4, one page of most months. */
    public byte[] month(MonthSeen month) {
        return kit.pdf(
                "month",
                Map.of(
                        "title", words.printable(month.title()),
                        "before", words.printable(month.before()),
                        "shop", words.printable(shop.now().name()),
                        "parts",
                                month.sections().stream()
                                        .map(section -> new MonthPart(
                                                words.printable(section.title()),
                                                words.printable(section.none()),
                                                section.rows().stream()
                                                        .map(this::line)
                                                        .toList()))
                                        .toList()));
    }

    private MonthLine line(MonthRow row) {
        return new MonthLine(
                words.printable(row.words()),
                words.printable(row.now()),
                words.printable(row.before()),
                Math.round(row.share() * BAR_MM) + "mm",
                Math.round(row.beforeShare() * BAR_MM) + "mm",
                row.marked());
    }
}
