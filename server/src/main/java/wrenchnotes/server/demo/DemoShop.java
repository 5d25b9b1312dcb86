package wrenchnotes.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.team.DemoPeople;
import wrenchnotes.server.team.PersonStore;

/** Fills an empty data folder with Saltmarsh Quay Repairs before the first request is answered, or not at all. */
@Component
public class DemoShop implements SmartInitializingSingleton {

    private static final Logger LOG = LoggerFactory.getLogger(DemoShop.class);
    private static final List<Set<Role>> ROLES =
            List.of(Set.of(Role.LEAD), Set.of(Role.BENCH), Set.of(Role.BENCH), Set.of(Role.COUNTER));

    private final Settings settings;
    private final PersonStore people;
    private final PasswordEncoder passwords;
    private final DemoTeardowns teardowns;
    private final DrawerService drawers;
    private final DemoReplay replay;
    private final DemoDonors donors;
    private final DemoOrders orders;
    private final TransactionTemplate writing;
    private final Clock clock;

    DemoShop(
            Settings settings,
            PersonStore people,
            PasswordEncoder passwords,
            DemoTeardowns teardowns,
            DrawerService drawers,
            DemoReplay replay,
            DemoDonors donors,
            DemoOrders orders,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.settings = settings;
        this.people = people;
        this.passwords = passwords;
        this.teardowns = teardowns;
        this.drawers = drawers;
        this.replay = replay;
        this.donors = donors;
        this.orders = orders;
        this.writing = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (!settings.demo()) {
            return;
        }
        long start = System.nanoTime();
        // One transaction: a shop that is killed while it is being made is still empty.
        boolean filled =
                Boolean.TRUE.equals(writing.execute(status -> people.all().isEmpty() && fill()));
        if (filled) {
            LOG.info("The demo shop is made, in {} ms", (System.nanoTime() - start) / 1_000_000);
        }
    }

    private boolean fill() {
        Instant now = clock.instant();
        Instant opening = now.minus(Duration.ofDays(560));
        String hash = passwords.encode(DemoPeople.PASSWORD);
        Map<String, SignedIn> staff = new HashMap<>();
        for (int n = 0; n < DemoPeople.NAMES.size(); n++) {
            String name = DemoPeople.NAMES.get(n);
            staff.put(name, people.add(opening, name, hash, ROLES.get(n)));
        }
        SignedIn lead = staff.get("ines");
        AtomicLong moments = new AtomicLong(1);
        By ines = new By(lead.id(), lead.name(), new Moment(moments.get(), opening));
        Map<String, DemoTurn.Known> revisions = new HashMap<>();
        DemoModels.all().forEach(model -> revisions.putAll(teardowns.write(ines, model)));
        DemoModels.all().forEach(model -> teardowns.nameParts(ines, model));
        Map<String, Long> parts = new HashMap<>();
        for (DemoParts.Part part : DemoParts.ALL) {
            parts.put(
                    part.name(),
                    drawers.add(ines, part.drawer(), part.name(), part.what(), part.eachMinor(), part.count())
                            .id());
        }
        DemoOrders.Suppliers suppliers = orders.begin(now, lead, parts, moments);
        replay.play(now, staff, revisions, parts, moments);
        donors.putAway(now, lead, parts, moments);
        orders.play(suppliers, now, lead, parts, moments);
        SignedIn wren = staff.get("wren");
        By yesterday =
                new By(wren.id(), wren.name(), new Moment(moments.incrementAndGet(), now.minus(Duration.ofHours(21))));
        teardowns.propose(yesterday, revisions.get("CD-5 first series").revision());
        return true;
    }
}
