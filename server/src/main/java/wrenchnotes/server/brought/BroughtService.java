package wrenchnotes.server.brought;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.brought.BroughtJob;
import wrenchnotes.core.brought.Field;
import wrenchnotes.core.brought.Sheet;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.brought.BroughtStore.Brought;
import wrenchnotes.server.brought.BroughtStore.State;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.table.CsvText;

/** Reads lists of past jobs, looks them through and begins or undoes them. Each method runs in the caller's transaction. */
@Component
class BroughtService {

    private static final int LONGEST_FILE = 20_000_000;

    private final BroughtStore store;
    private final Dictionary dictionary;
    private final TheShop shop;
    private final Journal journal;
    private final Clock clock;

    BroughtService(BroughtStore store, Dictionary dictionary, TheShop shop, Journal journal, Clock clock) {
        this.store = store;
        this.dictionary = dictionary;
        this.shop = shop;
        this.journal = journal;
        this.clock = clock;
    }

    Brought read(By by, String name, byte[] file) {
        if (file.length > LONGEST_FILE) {
            throw new Invalid("file", "More than 20 MB: bring it in in parts");
        }
        String text = CsvText.text(file);
        CsvText table = CsvText.read(text);
        Map<Field, Integer> columns = Sheet.matched(table.header(), table.rows(), habits());
        long id = store.add(
                by, Checked.text("name", name, 120), text, table.rows().size(), columns);
        return store.brought(id);
    }

    Brought means(long id, Map<Field, Integer> columns, Kind kind) {
        mustBe(id, List.of(State.READ), "Its columns are settled: undo it and read the file anew to change them.");
        CsvText table = CsvText.read(store.said(id));
        Sheet.of(table.header(), table.rows(), columns, habits());
        store.means(id, columns, kind);
        return store.brought(id);
    }

    private Brought mustBe(long id, List<State> states, String otherwise) {
        Brought brought = store.brought(id);
        if (!states.contains(brought.state())) {
            throw Refused.because(otherwise);
        }
        return brought;
    }

    /** What can be read of the list may be taken from now on. */
    Brought begin(By by, long id) {
        Brought brought = mustBe(
                id,
                List.of(State.READ, State.STOPPED, State.UNDONE),
                "It is brought in already, or just being brought in.");
        Sheet.mustSay(brought.columns());
        store.is(id, State.GOING);
        journal.write(by, Journal.Entry.ofShop("brought", id, "Past jobs from " + brought.name(), null, id));
        return store.brought(id);
    }

    Brought undo(By by, long id) {
        Brought brought = mustBe(id, List.of(State.DONE, State.STOPPED), "Only what was brought in can be undone.");
        store.is(id, State.UNDONE);
        journal.write(by, Journal.Entry.ofShop("brought", id, "Past jobs undone: " + brought.name(), null, id));
        return store.brought(id);
    }

    private static List<BroughtJob> readable(Sheet sheet) {
        return IntStream.range(0, sheet.size())
                .mapToObj(sheet::row)
                .flatMap(row -> row.job().stream())
                .toList();
    }

    /** @throws Invalid if its columns cannot be */
    Sheet sheet(Brought brought) {
        CsvText table = CsvText.read(store.said(brought.id()));
        return Sheet.of(table.header(), table.rows(), brought.columns(), habits());
    }

    List<String> header(long id) {
        return CsvText.read(store.said(id)).header();
    }

    List<String> newModels(Sheet sheet) {
        return dictionary.unknown(readable(sheet));
    }

    /** Takes so many rows, and makes what they name that the shop has not got. @param from row of the sheet, 0 and up */
    void take(By by, long id, Sheet sheet, Dictionary.Reader reader, int from, int rows) {
        ZoneId zone = shop.now().zoneId();
        int end = Math.min(from + rows, sheet.size());
        List<BroughtStore.Taken> portion = new ArrayList<>();
        for (int at = from; at < end; at++) {
            int line = at + 1;
            sheet.row(at)
                    .job()
                    .ifPresent(job -> portion.add(new BroughtStore.Taken(
                            line,
                            job.day()
                                    .atTime(LocalTime.NOON)
                                    .atZone(zone)
                                    .toInstant()
                                    .toEpochMilli(),
                            job,
                            reader.resolve(by, job))));
        }
        store.take(id, end, portion);
    }

    private Sheet.Habits habits() {
        ShopSettings now = shop.now();
        return new Sheet.Habits(
                now.dates(),
                now.decimal(),
                Currency.getInstance(now.currency()),
                LocalDate.ofInstant(clock.instant(), now.zoneId()));
    }
}
