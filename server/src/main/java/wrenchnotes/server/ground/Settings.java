package wrenchnotes.server.ground;

import java.nio.file.Path;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What can be set from outside.
 *
 * @param data the one folder that holds all data
 * @param demo fill an empty folder with the demo shop and show its people on the sign-in page
 * @param currency the shop's one currency, as ISO 4217 code
 * @param hourMinor what an hour at the bench costs, in minor units
 */
@ConfigurationProperties("wrenchnotes")
public record Settings(Path data, boolean demo, String currency, long hourMinor) {

    public CurrencyUnit money() {
        return CurrencyUnit.of(currency);
    }

    /** A sum in words, such as {@code EUR 48.00}. */
    public String inMoney(long minor) {
        return Money.ofMinor(money(), minor).toString();
    }
}
