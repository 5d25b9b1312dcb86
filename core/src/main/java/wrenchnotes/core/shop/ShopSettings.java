package wrenchnotes.core.shop;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import wrenchnotes.core.check.ElectricalLimits;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What a lead sets for the whole shop.
 *
 * @param name as it stands on papers; 1 to 80 characters
 * @param currency ISO 4217 code of the one currency of all sums
 * @param hourMinor what an hour at the bench costs, in minor units, 0 and up
 * @param zone IANA name of the time zone that all dates and times are shown in
 * @param terms what stands at the foot of the slip; up to 1,000 characters
 * @param tags on what labels tags are printed
 * @param dates in which order days are written
 * @param electrical what is asked of a unit after work on its mains side
 */
public record ShopSettings(
        String name,
        String currency,
        long hourMinor,
        String zone,
        OpeningHours open,
        DecimalMark decimal,
        String terms,
        ElectricalLimits electrical,
        TagSize tags,
        DateOrder dates) {

    private static final int MOST_HOUR_MINOR = 100_000_000;

    public ShopSettings {
        name = Checked.text("name", name, 80);
        currency = Checked.text("currency", currency, 3);
        Checked.within("hourMinor", hourMinor, 0, MOST_HOUR_MINOR);
        zone = Checked.text("zone", zone, 60);
        Checked.present("open", open);
        Checked.present("decimal", decimal);
        terms = Checked.optionalText("terms", terms, 1000);
        Checked.present("electrical", electrical);
        Checked.present("tags", tags);
        Checked.present("dates", dates);
        if (!isMoney(currency)) {
            throw new Invalid(
                    "currency", "There is no currency " + currency + ": give the three letters of one, such as EUR");
        }
        try {
            ZoneId.of(zone);
        } catch (DateTimeException e) {
            throw new Invalid("zone", "There is no time zone " + zone + ": give one such as Europe/Lisbon");
        }
    }

    /** ISO 4217 has codes for gold and for tests too, which have no minor units. */
    private static boolean isMoney(String code) {
        try {
            return Currency.getInstance(code).getDefaultFractionDigits() >= 0;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }

    /** The day of a moment where the shop is. */
    public LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, zoneId());
    }

    /** The end of a day that somebody was promised. */
    public Instant endOf(LocalDate day) {
        return open.endOf(day, zoneId());
    }
}
