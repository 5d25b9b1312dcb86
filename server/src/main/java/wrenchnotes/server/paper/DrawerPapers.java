package wrenchnotes.server.paper;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import wrenchnotes.core.shop.TagSize;
import wrenchnotes.server.shop.TheShop;

/** Papers of the drawers: an order, and labels with a code for drawers and for the bags in them. */
@Component
public class DrawerPapers {

    private final PaperKit kit;
    private final PaperWords words;
    private final TheShop shop;

    DrawerPapers(PaperKit kit, PaperWords words, TheShop shop) {
        this.kit = kit;
        this.words = words;
        this.shop = shop;
    }

    /** @param each in money, as the shop writes it */
    public record OrderPaperLine(int count, String number, String name, String each) {}

    /** @param number of the shop at the supplier; may be empty */
    public record OrderOnPaper(
            long order, Instant at, String supplier, String number, String remark, List<OrderPaperLine> lines) {}

    /** A4: who orders what from whom. */
    public byte[] order(OrderOnPaper said) {
        return kit.pdf(
                "order",
                Map.of(
                        "title", words.say("order", "" + said.order()),
                        "day", shop.now().dates().atLength(shop.now().day(said.at())),
                        "supplier", words.printable(said.supplier()),
                        "number", said.number().isEmpty() ? "" : words.say("ournumber", words.printable(said.number())),
                        "remark", words.printable(said.remark()),
                        "lines",
                                said.lines().stream()
                                        .map(line -> new OrderPaperLine(
                                                line.count(),
                                                words.printable(line.number()),
                                                words.printable(line.name()),
                                                line.each()))
                                        .toList(),
                        "shop", words.printable(shop.now().name())));
    }

    /** @param code what a scanner types @param head in large letters @param under a line or two */
    public record LabelSaid(String code, String head, List<String> under) {}

    /** A label on its place. @param left and top in millimetres on its page */
    public record PlacedLabel(int left, int top, Slips.TagWords one) {}

    /** At the size that the shop has labels of; as many pages as are needed. @param place of the first on its sheet, from 1 */
    public byte[] labels(List<LabelSaid> all, int place) {
        TagSize size = shop.now().tags();
        int first = size.places() > 1 ? place - 1 : 0;
        List<List<PlacedLabel>> pages = new ArrayList<>();
        for (int n = 0; n < all.size(); n++) {
            int at = (n + first) % size.places();
            if (pages.isEmpty() || at == 0) {
                pages.add(new ArrayList<>());
            }
            pages.get(pages.size() - 1)
                    .add(new PlacedLabel(
                            at % size.columns() * size.widthMm() + (size.places() > 1 ? 2 : 0),
                            at / size.columns() * size.heightMm() + (size.places() > 1 ? 2 : 0),
                            words(all.get(n), size)));
        }
        return kit.pdf(
                "labels",
                Map.of(
                        "pages",
                        pages,
                        "code",
                        size.codeMm(),
                        "width",
                        size.places() > 1 ? 210 : size.widthMm(),
                        "height",
                        size.places() > 1 ? 297 : size.heightMm(),
                        "wide",
                        size.widthMm() - 4,
                        "high",
                        size.heightMm() - 4));
    }

    private Slips.TagWords words(LabelSaid said, TagSize size) {
        return new Slips.TagWords(
                words.printable(said.head()),
                said.under().isEmpty() ? "" : words.printable(said.under().get(0)),
                said.under().size() < 2 ? "" : words.printable(said.under().get(1)),
                List.of(),
                Code.svg(said.code(), size.codeMm()));
    }
}
