package wrenchnotes.server.pattern;

import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.LongStream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.job.Warranty;
import wrenchnotes.core.recurring.FaultCount;
import wrenchnotes.core.recurring.FaultStays;
import wrenchnotes.core.recurring.Narrowed;
import wrenchnotes.core.recurring.Recurring;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.pattern.MonthStore.Within;
import wrenchnotes.server.shop.TheShop;

/** One month of the shop on one page, beside the month before. Runs in the caller's transaction. */
@Component
public class MonthService {

    /** So many months, that one the last, say what rises. */
    private static final int LOOKED_BACK = 18;

    private static final int MOST = MonthRow.MOST;

    private final MonthStore store;
    private final PatternStore patterns;
    private final Book book;
    private final OurDoing doing;
    private final MonthMoney money;
    private final TheShop shop;

    MonthService(MonthStore store, PatternStore patterns, Book book, OurDoing doing, MonthMoney money, TheShop shop) {
        this.store = store;
        this.patterns = patterns;
        this.book = book;
        this.doing = doing;
        this.money = money;
        this.shop = shop;
    }

    /** @param none what is said if there are no rows */
    public record MonthSection(String title, String none, List<MonthRow> rows) {}

    /** @param month such as 2026-10 @param title such as "October 2026" */
    public record MonthSeen(String month, String title, String before, List<MonthSection> sections) {}

    /** @param asked such as 2026-10; empty for the last month that is over */
    public MonthSeen seen(String asked, Instant now) {
        ZoneId zone = shop.now().zoneId();
        YearMonth current = YearMonth.from(now.atZone(zone));
        YearMonth month = asked.isEmpty() ? current.minusMonths(1) : read(asked);
        if (month.isAfter(current) || month.isBefore(current.minusMonths(1_200))) {
            throw new Invalid("month", title(month) + " is not over, or too long ago: choose a month up to this one");
        }
        Within these = within(month, zone);
        Within those = within(month.minusMonths(1), zone);
        List<MonthStore.WorkOf> worked = store.work(these);
        List<MonthStore.WorkOf> workedBefore = store.work(those);
        List<Comeback.AtFault> here = patterns.openFaults();
        FaultStays stays = book.read(
                (closed, names) -> FaultStays.of(closed, fault -> true, Narrowed.NOT, here, now.toEpochMilli()));
        List<MonthSection> sections = List.of(
                cameAndWent(these, those, jobs(worked), jobs(workedBefore)),
                rose(month, zone),
                cameBack(these, those),
                lasted(stays, month, zone),
                doing.section(these, those),
                money.byKindOfWork(worked, workedBefore),
                money.warranties(stays, these.end().isBefore(now) ? these.end() : now, those.end()));
        return new MonthSeen(month.toString(), title(month), title(month.minusMonths(1)), sections);
    }

    private static YearMonth read(String asked) {
        try {
            return YearMonth.parse(asked);
        } catch (DateTimeParseException e) {
            throw new Invalid("month", "\"" + asked + "\" is no month: write it as 2026-10");
        }
    }

    private static Within within(YearMonth month, ZoneId zone) {
        return new Within(
                month.atDay(1).atStartOfDay(zone).toInstant(),
                month.plusMonths(1).atDay(1).atStartOfDay(zone).toInstant());
    }

    private static String title(YearMonth month) {
        return month.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " " + month.getYear();
    }

    private static int jobs(List<MonthStore.WorkOf> work) {
        return work.stream().mapToInt(MonthStore.WorkOf::jobs).sum();
    }

    private MonthSection cameAndWent(Within these, Within those, int left, int leftBefore) {
        return new MonthSection(
                "What came and went",
                "",
                List.of(
                        MonthRow.row("taken in", store.takenIn(these), store.takenIn(those), MonthRow::count),
                        MonthRow.row("handed over", left, leftBefore, MonthRow::count)));
    }

    /** What is called rising at the end of the month, and what was found more often than in the month before. */
    private MonthSection rose(YearMonth month, ZoneId zone) {
        List<Long> starts = LongStream.range(0, LOOKED_BACK)
                .mapToObj(n -> month.minusMonths(LOOKED_BACK - 1 - n)
                        .atDay(1)
                        .atStartOfDay(zone)
                        .toInstant()
                        .toEpochMilli())
                .toList();
        long end = within(month, zone).end().toEpochMilli();
        Recurring counted =
                book.read((closed, names) -> Recurring.of(closed, names, Narrowed.NOT, starts, end, List.of()));
        List<FaultCount> more = counted.faults().stream()
                .filter(one -> one.rising() || last(one, 1) - last(one, 2) >= 2)
                .sorted(Comparator.comparing((FaultCount one) -> !one.rising())
                        .thenComparing(one -> last(one, 2) - last(one, 1)))
                .limit(MOST)
                .toList();
        Map<Long, PatternStore.FaultName> named =
                patterns.faultNames(more.stream().map(one -> one.on().fault()).toList());
        Map<Long, String> revisions = patterns.revisionNames();
        return new MonthSection(
                "What rose",
                "Nothing was found more often than in the month before.",
                more.stream()
                        .map(one -> {
                            PatternStore.FaultName name = named.get(one.on().fault());
                            return MonthRow.row(
                                            name.component() + ", " + name.wrong() + ", "
                                                    + (name.model() + " "
                                                                    + revisions.get(one.on()
                                                                            .revision()))
                                                            .strip(),
                                            last(one, 1),
                                            last(one, 2),
                                            MonthRow::count)
                                    .marking(one.rising());
                        })
                        .toList());
    }

    private static int last(FaultCount one, int ago) {
        return one.byMonth().get(one.byMonth().size() - ago);
    }

    private MonthSection cameBack(Within these, Within those) {
        return new MonthSection(
                "What came back", "Nothing came back.", MonthRow.beside(store.back(these), store.back(those)));
    }

    /** Of what went out half a year before, how much has lasted half a year, by what was done. */
    private static MonthSection lasted(FaultStays stays, YearMonth month, ZoneId zone) {
        YearMonth out = month.minusMonths(6);
        Map<String, int[]> these = lasted(stays, within(out, zone));
        Map<String, int[]> those = lasted(stays, within(out.minusMonths(1), zone));
        List<MonthRow> rows = new ArrayList<>();
        new TreeMap<>(these).forEach((remedy, counts) -> {
            int[] before = those.getOrDefault(remedy, new int[2]);
            rows.add(new MonthRow(remedy, of(counts), of(before), part(counts), part(before), false));
        });
        return new MonthSection(
                "What lasted half a year, of what went out in " + title(out),
                "Nothing that was mended went out then.",
                rows);
    }

    private static Map<String, int[]> lasted(FaultStays stays, Within out) {
        Map<String, int[]> counts = new HashMap<>();
        stays.stays().stream()
                .filter(stay -> stay.from() >= out.from().toEpochMilli()
                        && stay.from() < out.end().toEpochMilli())
                .forEach(stay -> {
                    int[] one = counts.computeIfAbsent(stay.remedy().words(), remedy -> new int[2]);
                    boolean soon = stay.length().cameBack() && stay.length().days() <= Warranty.LENGTH.toDays();
                    one[0] += soon ? 0 : 1;
                    one[1]++;
                });
        return counts;
    }

    private static String of(int[] counts) {
        return counts[1] == 0 ? "none" : counts[0] + " of " + counts[1];
    }

    private static double part(int[] counts) {
        return counts[1] == 0 ? 0 : (double) counts[0] / counts[1];
    }
}
