package wrenchnotes.server.shop;

import java.util.Currency;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.typed.Sum;
import wrenchnotes.server.ground.Settings;

/** The shop's settings as they are now. The first start makes them of what the flags say; after that the flags say nothing. */
@Component
public class TheShop {

    private final ShopStore store;
    private final AtomicReference<ShopSettings> now = new AtomicReference<>();

    TheShop(ShopStore store, Settings flags, PlatformTransactionManager transactions) {
        this.store = store;
        new TransactionTemplate(transactions).executeWithoutResult(status -> store.addIfNone(flags.atFirst()));
        renew();
    }

    public ShopSettings now() {
        return now.get();
    }

    /** Reads them again: they were changed. */
    void renew() {
        now.set(store.settings().said());
    }

    /** A sum in words, such as {@code EUR 48.00}. */
    public String inMoney(long minor) {
        return now().decimal().written(Sum.words(minor, Currency.getInstance(now().currency())));
    }
}
