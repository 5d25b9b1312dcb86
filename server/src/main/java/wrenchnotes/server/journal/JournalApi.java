package wrenchnotes.server.journal;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.journal.JournalStore.JournalLine;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.table.Table;

/** The journal of the whole shop: by person, day, job and kind. */
@RestController
@RequestMapping("/api/journal")
@May(value = Act.TRUST, toRead = true)
class JournalApi {

    private static final int SHOWN = 200;
    private static final int MOST = 20_000;
    private static final int DAYS = 7;
    private static final int MOST_DAYS = 3_700;

    private final JournalStore store;
    private final TheShop shop;
    private final Snapshot snapshot;
    private final Clock clock;

    JournalApi(JournalStore store, TheShop shop, Snapshot snapshot, Clock clock) {
        this.store = store;
        this.shop = shop;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /**
     * @param from first day of what was looked through
     * @param until last day
     * @param older ask for those before this moment, if there are more; left out if these are all
     */
    public record JournalPage(LocalDate from, LocalDate until, List<JournalLine> lines, Optional<Instant> older) {}

    /** Newest first. Without days the last week is looked through. */
    @GetMapping
    JournalPage lines(
            @RequestParam Optional<Long> person,
            @RequestParam Optional<LocalDate> from,
            @RequestParam Optional<LocalDate> until,
            @RequestParam Optional<Long> job,
            @RequestParam Optional<String> unit,
            @RequestParam Optional<String> kind,
            @RequestParam Optional<Instant> before) {
        Days days = days(from, until);
        Instant end = before.filter(moment -> moment.isBefore(days.end())).orElse(days.end());
        List<JournalLine> found = read(days, end, new Of(person, job, unit.map(JournalApi::tag), kind), SHOWN);
        List<JournalLine> shown = whole(found);
        Optional<Instant> older = shown.size() < found.size()
                ? Optional.of(shown.get(shown.size() - 1).at())
                : Optional.empty();
        return new JournalPage(days.from(), days.until(), shown, older);
    }

    /** What was written in one moment is not torn apart, so that the next page can begin before it. */
    private static List<JournalLine> whole(List<JournalLine> found) {
        if (found.size() < SHOWN) {
            return found;
        }
        Instant torn = found.get(found.size() - 1).at();
        List<JournalLine> whole =
                found.stream().filter(line -> line.at().isAfter(torn)).toList();
        return whole.isEmpty() ? found : whole;
    }

    @GetMapping(
            value = "/table",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table(
            @RequestParam Optional<Long> person,
            @RequestParam Optional<LocalDate> from,
            @RequestParam Optional<LocalDate> until,
            @RequestParam Optional<Long> job,
            @RequestParam Optional<String> unit,
            @RequestParam Optional<String> kind) {
        Days days = days(from, until);
        return new Table(
                "journal",
                List.of("When", "Who", "About", "What", "Unit", "Script", "From where"),
                read(days, days.end(), new Of(person, job, unit.map(JournalApi::tag), kind), MOST).stream()
                        .map(line -> Table.row(
                                line.at(),
                                line.by(),
                                line.kind(),
                                line.words(),
                                line.tag(),
                                line.token(),
                                line.address()))
                        .toList());
    }

    private record Of(Optional<Long> person, Optional<Long> job, Optional<Tag> unit, Optional<String> kind) {}

    private static Tag tag(String said) {
        return Tag.parse(said).orElseThrow(() -> new Invalid("unit", said + " is no tag: such as WN-0042"));
    }

    private List<JournalLine> read(Days days, Instant end, Of what, int most) {
        JournalStore.Asked asked = new JournalStore.Asked(
                days.start(), end, what.person(), what.job(), what.unit().map(Tag::number), what.kind());
        return snapshot.read(() -> store.lines(asked, days.zone(), most));
    }

    /** Days of the shop, both included. */
    private record Days(LocalDate from, LocalDate until, ZoneId zone) {
        Instant start() {
            return from.atStartOfDay(zone).toInstant();
        }

        Instant end() {
            return until.plusDays(1).atStartOfDay(zone).toInstant();
        }
    }

    private Days days(Optional<LocalDate> from, Optional<LocalDate> until) {
        ZoneId zone = shop.now().zoneId();
        LocalDate last = until.orElseGet(() -> LocalDate.ofInstant(clock.instant(), zone));
        LocalDate first = from.orElse(last.minusDays(DAYS - 1));
        if (first.isAfter(last) || first.isBefore(last.minusDays(MOST_DAYS))) {
            throw new Invalid("from", "The journal is read from a day to a later one, ten years at most");
        }
        return new Days(first, last, zone);
    }
}
