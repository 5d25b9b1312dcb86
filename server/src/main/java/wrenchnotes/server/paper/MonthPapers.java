package wrenchnotes.server.paper;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
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

    /** @param share and beforeShare of the longer of the two bars, 0 to 1 */
    public record MonthLine(String words, String now, String before, double share, double beforeShare, boolean marked) {

        /** In millimetres. */
        public String bar() {
            return Math.round(share * BAR_MM) + "mm";
        }

        public String beforeBar() {
            return Math.round(beforeShare * BAR_MM) + "mm";
        }
    }

    /** @param none what is said if there are no lines */
    public record MonthPart(String title, String none, List<MonthLine> lines) {}

    /** A4, one page of most months. */
    public byte[] month(String title, String before, List<MonthPart> parts) {
        return kit.pdf(
                "month",
                Map.of(
                        "title", words.printable(title),
                        "before", words.printable(before),
                        "shop", words.printable(shop.now().name()),
                        "parts",
                                parts.stream()
                                        .map(part -> new MonthPart(
                                                words.printable(part.title()),
                                                words.printable(part.none()),
                                                part.lines().stream()
                                                        .map(line -> new MonthLine(
                                                                words.printable(line.words()),
                                                                words.printable(line.now()),
                                                                words.printable(line.before()),
                                                                line.share(),
                                                                line.beforeShare(),
                                                                line.marked()))
                                                        .toList()))
                                        .toList()));
    }
}
