package wrenchnotes.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.drawer.DrawerService;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.team.DemoPeople;
import wrenchnotes.server.team.PersonStore;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;

/** Fills an empty data folder with Saltmarsh Quay Repairs before the first request is answered, or not at all. */
@Component
public class DemoShop implements SmartInitializingSingleton {

    private static final Logger LOG = LoggerFactory.getLogger(DemoShop.class);
    private static final List<Role> ROLES = List.of(Role.LEAD, Role.BENCH, Role.BENCH, Role.COUNTER);

    private final Settings settings;
    private final PersonStore people;
    private final PasswordEncoder passwords;
    private final ModelService models;
    private final PhotoStore photos;
    private final DrawerService drawers;
    private final DemoReplay replay;
    private final TransactionTemplate writing;
    private final Clock clock;

    DemoShop(
            Settings settings,
            PersonStore people,
            PasswordEncoder passwords,
            ModelService models,
            PhotoStore photos,
            DrawerService drawers,
            DemoReplay replay,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.settings = settings;
        this.people = people;
        this.passwords = passwords;
        this.models = models;
        this.photos = photos;
        this.drawers = drawers;
        this.replay = replay;
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
        By ines = new By(lead.id(), lead.name(), opening);
        Map<String, DemoReplay.Known> revisions = new HashMap<>();
        for (DemoModels.Model model : DemoModels.all()) {
            makeModel(ines, model, revisions);
        }
        Map<String, Long> parts = new HashMap<>();
        for (DemoParts.Part part : DemoParts.ALL) {
            parts.put(
                    part.name(),
                    drawers.add(ines, part.drawer(), part.name(), part.what(), part.eachMinor(), part.count())
                            .id());
        }
        replay.play(now, staff, revisions, parts);
        return true;
    }

    private void makeModel(By by, DemoModels.Model model, Map<String, DemoReplay.Known> revisions) {
        ModelStore.Model made = models.addModel(by, model.maker(), model.name(), model.kind());
        for (DemoModels.Revision revision : model.revisions()) {
            ModelStore.Revision added =
                    models.addRevision(by, made.id(), revision.name(), revision.tellApart(), Optional.empty());
            Map<String, Long> components = new HashMap<>();
            revision.notes()
                    .components()
                    .forEach(name -> components.put(
                            name, models.addComponent(by, made.id(), name).id()));
            models.saveNotes(
                    by,
                    added.id(),
                    Seen.of("0"),
                    pictured(by, revision.notes().teardown(components::get)),
                    "written down at last");
            revisions.put(model.name() + " " + revision.name(), new DemoReplay.Known(added.id(), revision.notes()));
        }
    }

    /** Each step that starts from the closed unit gets a picture of what it starts from. */
    private Teardown pictured(By by, Teardown notes) {
        return Teardown.of(notes.steps().stream()
                .map(step -> {
                    if (step.fasteners().isEmpty() || !step.needs().isEmpty()) {
                        return step;
                    }
                    DemoPictures.Drawn drawn = DemoPictures.of(step);
                    photos.keep(by, drawn.picture());
                    return step.showing(List.of(drawn.photo()));
                })
                .toList());
    }
}
