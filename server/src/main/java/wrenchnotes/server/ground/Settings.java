package wrenchnotes.server.ground;

import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.boot.context.properties.ConfigurationProperties;
import wrenchnotes.core.check.ElectricalLimits;
import wrenchnotes.core.shop.DateOrder;
import wrenchnotes.core.shop.DecimalMark;
import wrenchnotes.core.shop.OpeningHours;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.shop.TagSize;

/**
 * What can be set from outside.
 *
 * @param data the one folder that holds all data
 * @param demo fill an empty folder with the demo shop and show its people on the sign-in page
 * @param practice whether this is the practice shop of another: its cookies must not meet those of that one
 * @param currency the shop's one currency, as ISO 4217 code; only until a lead has set it
 * @param hourMinor what an hour at the bench costs, in minor units; only until a lead has set it
 */
@ConfigurationProperties("wrenchnotes")
public record Settings(Path data, boolean demo, boolean practice, String currency, long hourMinor) {

    private static final String TERMS =
            "What came with the unit goes back with it. We ask before the work costs more than we agreed.";

    /** What a shop begins with. */
    public ShopSettings atFirst() {
        OpeningHours.Span day = new OpeningHours.Span(LocalTime.of(9, 0), LocalTime.of(18, 0));
        Map<DayOfWeek, OpeningHours.Span> week = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY).stream()
                .collect(Collectors.toMap(Function.identity(), weekday -> day));
        return new ShopSettings(
                demo ? practice ? "Practice shop" : "Saltmarsh Quay Repairs" : "Our shop",
                currency,
                hourMinor,
                ZoneId.systemDefault().getId(),
                new OpeningHours(week),
                DecimalMark.POINT,
                TERMS,
                ElectricalLimits.USUAL,
                TagSize.W70_H30,
                DateOrder.DAY_FIRST);
    }
}
