package wrenchnotes.server.drawer;

import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.list.PartsList;
import wrenchnotes.core.drawer.list.PartsList.ListedPart;
import wrenchnotes.core.drawer.list.PartsList.RowOfParts;
import wrenchnotes.core.shop.DecimalMark;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Sha256;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.Takes;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.table.CsvText;

/** A list of parts from elsewhere: looked through first, then taken in whole. */
@RestController
@May(Act.PARTS)
class PartsInApi {

    private static final int MOST_ROWS = 5_000;
    private static final int SHOWN = 40;

    private final DrawerStore drawers;
    private final DrawerService service;
    private final TheShop shop;
    private final Snapshot snapshot;

    PartsInApi(DrawerStore drawers, DrawerService service, TheShop shop, Snapshot snapshot) {
        this.drawers = drawers;
        this.service = service;
        this.shop = shop;
        this.snapshot = snapshot;
    }

    /** A row that cannot be taken. @param why a sentence each */
    public record RowRefused(int row, List<String> why) {}

    /**
     * What a list says.
     *
     * @param fresh how many parts are not in the drawers yet: they are put in with what the list counts
     * @param known how many are there already, by drawer and name: they stay as they are, a stock-take counts them
     * @param refused the first rows that cannot be taken
     * @param wrong how many those are in all
     * @param first the first parts that are new
     */
    public record PartsRead(
            int rows,
            int fresh,
            int known,
            int wrong,
            List<RowRefused> refused,
            List<ListedPart> first,
            boolean taken) {}

    /** @param take whether it is taken in; else it is only looked through. A list with wrong rows is taken without them */
    @PostMapping(value = "/api/parts/list", consumes = "application/octet-stream")
    @ResponseStatus(HttpStatus.OK)
    @Takes(megabytes = 5)
    PartsRead list(@RequestParam(defaultValue = "false") boolean take, @NotNull @RequestBody byte[] file, Pen pen) {
        CsvText table = CsvText.read(CsvText.text(file));
        if (table.rows().size() > MOST_ROWS) {
            throw new Invalid("file", "More than " + MOST_ROWS + " rows: bring it in in parts");
        }
        boolean point = shop.now().decimal() == DecimalMark.POINT;
        List<RowOfParts> rows = PartsList.of(
                        table.header(),
                        table.rows(),
                        Currency.getInstance(shop.now().currency()),
                        point)
                .read();
        if (!take) {
            return snapshot.read(() -> sorted(rows).read(false));
        }
        // A retry is answered by what is there then: all of it is known.
        pen.once(Sha256.of(file), by -> put(by, sorted(rows).fresh()));
        return snapshot.read(() -> sorted(rows).read(true));
    }

    private void put(By by, List<ListedPart> fresh) {
        for (ListedPart part : fresh) {
            service.add(
                    by,
                    new PartSaid(
                            part.drawer(),
                            part.name(),
                            part.what(),
                            part.eachMinor(),
                            Optional.empty(),
                            new PartCare(
                                    part.place(),
                                    part.number(),
                                    part.pack(),
                                    part.least(),
                                    false,
                                    false,
                                    Optional.empty())),
                    part.count());
        }
    }

    private record Sorted(int rows, List<ListedPart> fresh, int known, List<RowRefused> wrong) {

        PartsRead read(boolean taken) {
            return new PartsRead(
                    rows,
                    fresh.size(),
                    known,
                    wrong.size(),
                    wrong.stream().limit(SHOWN).toList(),
                    fresh.stream().limit(SHOWN).toList(),
                    taken);
        }
    }

    private Sorted sorted(List<RowOfParts> rows) {
        List<ListedPart> fresh = new ArrayList<>();
        List<RowRefused> wrong = new ArrayList<>();
        Set<String> here = new HashSet<>();
        int known = 0;
        for (RowOfParts row : rows) {
            if (row.part().isEmpty()) {
                wrong.add(new RowRefused(row.row(), row.wrong()));
                continue;
            }
            ListedPart part = row.part().get();
            if (!here.add((part.drawer() + "\n" + part.name()).toLowerCase(Locale.ROOT))) {
                wrong.add(new RowRefused(row.row(), List.of("It stands twice in this list")));
            } else if (drawers.idOf(part.drawer(), part.name()).isPresent()) {
                known++;
            } else {
                fresh.add(part);
            }
        }
        return new Sorted(rows.size(), fresh, known, wrong);
    }
}
