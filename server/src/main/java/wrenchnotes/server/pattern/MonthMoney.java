package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.recurring.FaultStays;
import wrenchnotes.core.recurring.WarrantyNow;
import wrenchnotes.server.pattern.MonthService.MonthSection;
import wrenchnotes.server.shop.TheShop;

/** What a month brought and cost, by whose units they were, and what its warranties may still cost. */
@Component
class MonthMoney {

    private static final int HOUR_MINUTES = 60;
    private static final String WARRANTIES = "Warranties, at its end";

    private final TheShop shop;

    MonthMoney(TheShop shop) {
        this.shop = shop;
    }

    /** @param now and before, what was handed over in either month */
    MonthSection byKindOfWork(List<MonthStore.WorkOf> now, List<MonthStore.WorkOf> before) {
        List<MonthRow> rows = new ArrayList<>();
        for (Ownership ownership : Ownership.values()) {
            MonthStore.WorkOf one = of(now, ownership);
            MonthStore.WorkOf other = of(before, ownership);
            if (one.jobs() + other.jobs() == 0) {
                continue;
            }
            String whose = ownership.words() + ": ";
            rows.add(MonthRow.row(
                    whose + "hours at the bench",
                    one.worked(),
                    other.worked(),
                    minutes -> String.format(Locale.ROOT, "%.1f h", minutes / HOUR_MINUTES)));
            rows.add(MonthRow.row(whose + "work, by the hour", work(one), work(other), this::minor));
            rows.add(MonthRow.row(whose + "parts", one.partsMinor(), other.partsMinor(), this::minor));
            if (one.soldMinor() + other.soldMinor() > 0) {
                rows.add(MonthRow.row(whose + "fetched", one.soldMinor(), other.soldMinor(), this::minor));
                rows.add(MonthRow.row(whose + "left of it", left(one), left(other), this::minor));
            }
        }
        return new MonthSection("Money by kind of work", "Nothing was handed over.", rows);
    }

    /** What warranties of all that is out there may still cost, at the end of either month. */
    MonthSection warranties(FaultStays stays, Instant end, Instant endBefore) {
        WarrantyNow now = warranties(stays, end);
        WarrantyNow before = warranties(stays, endBefore);
        if (now.units() + before.units() == 0) {
            return new MonthSection(WARRANTIES, "No warranty runs.", List.of());
        }
        return new MonthSection(
                WARRANTIES,
                "",
                List.of(
                        MonthRow.row("repairs whose warranty runs", now.units(), before.units(), MonthRow::count),
                        MonthRow.row(
                                "comebacks, expected to cost", now.reserveMinor(), before.reserveMinor(), this::minor),
                        MonthRow.row("give or take", now.deviationMinor(), before.deviationMinor(), this::minor)));
    }

    private WarrantyNow warranties(FaultStays stays, Instant at) {
        return WarrantyNow.of(stays.stays(), at.toEpochMilli(), shop.now().hourMinor());
    }

    private String minor(double sum) {
        return shop.inMoney(Math.round(sum));
    }

    /** Of what units fetched, once they and their parts are paid. */
    private static long left(MonthStore.WorkOf one) {
        return one.soldMinor() - one.paidMinor() - one.partsMinor();
    }

    private double work(MonthStore.WorkOf one) {
        return (double) one.worked() / HOUR_MINUTES * shop.now().hourMinor();
    }

    private static MonthStore.WorkOf of(List<MonthStore.WorkOf> all, Ownership ownership) {
        return all.stream()
                .filter(one -> one.ownership() == ownership)
                .findFirst()
                .orElse(new MonthStore.WorkOf(ownership, 0, 0, 0, 0, 0));
    }
}
