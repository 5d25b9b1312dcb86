package wrenchnotes.server.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import wrenchnotes.core.keeping.KeptBackups;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Troubles;

/** The backups of the shop that is open: made one at a time, kept by the rule, and told of. */
@Component
public class Backups {

    static final String FOLDER = "backups";
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final Duration OLD = Duration.ofHours(50);

    private final DataFolder shop;
    private final BackupSettings settings;
    private final Troubles troubles;
    private final Clock clock;
    private final AtomicReference<Going> going = new AtomicReference<>();
    private volatile Optional<String> failed = Optional.empty();

    Backups(DataFolder shop, BackupSettings settings, Troubles troubles, Clock clock) {
        this.shop = shop;
        this.settings = settings;
        this.troubles = troubles;
        this.clock = clock;
    }

    /**
     * How far one is that is being made.
     *
     * @param pictures copied so far
     * @param ofPictures 0 while the database is copied
     */
    public record Going(Instant since, int pictures, int ofPictures) {}

    /**
     * @param bytes of its database
     * @param until when it is thrown away at the latest: what was taken out of the shop since is in it until then
     */
    public record BackupMade(String name, Instant at, long bytes, int pictures, LocalDate until) {}

    Path folder() {
        return settings.folder() == null ? shop.path().resolve(FOLDER) : settings.folder();
    }

    Optional<Going> going() {
        return Optional.ofNullable(going.get());
    }

    /** Why the last one came to nothing; empty if it did not. */
    Optional<String> failed() {
        return failed;
    }

    /** Newest first. */
    List<BackupMade> made() {
        try {
            return Backup.all(folder()).stream()
                    .sorted((one, other) -> other.at().compareTo(one.at()))
                    .map(one -> new BackupMade(
                            one.folder().getFileName().toString(),
                            one.at(),
                            one.manifest().database().bytes(),
                            one.manifest().photos().size(),
                            KeptBackups.lastDay(one.at(), ZoneId.systemDefault())))
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** Begins one, in a thread of its own. */
    void begin() {
        if (!going.compareAndSet(null, new Going(clock.instant(), 0, 0))) {
            throw Refused.because("A backup is being made already.");
        }
        Thread making = new Thread(this::make, "backup");
        making.start();
    }

    /** Makes one now, unless one is being made. */
    void now() {
        if (going.compareAndSet(null, new Going(clock.instant(), 0, 0))) {
            make();
        }
    }

    private void make() {
        try {
            Backup.Made made = Backup.make(
                    shop.path(),
                    folder(),
                    clock.instant(),
                    (done, of) -> going.updateAndGet(now -> new Going(now.since(), done, of)));
            Backup.tidy(folder());
            failed = Optional.empty();
            LOG.info("Backed up to {}", made.folder());
        } catch (BackupFailed | IOException e) {
            failed = Optional.of(e.getMessage());
            LOG.error("{}", e.getMessage());
        } finally {
            going.set(null);
            tellAge();
        }
    }

    /** Says on screen and in health if the last one failed, or is too old. */
    void tellAge() {
        troubles.found("backup", failed.or(this::tooOld));
    }

    private Optional<String> tooOld() {
        return settings.nightly()
                ? age().filter(age -> age.compareTo(OLD) > 0)
                        .map(age -> "The last backup is " + age.toDays() + " days old. A lead can make one under Team.")
                : Optional.empty();
    }

    /** Since the last one was made; empty if there is none. */
    Optional<Duration> age() {
        List<BackupMade> made = made();
        return made.isEmpty()
                ? Optional.empty()
                : Optional.of(Duration.between(made.get(0).at(), clock.instant()));
    }

    /** Whether the backups lie on the disk of the shop itself, where they are lost with it. */
    boolean besideTheShop() {
        try {
            return Files.exists(folder()) && Files.getFileStore(folder()).equals(Files.getFileStore(shop.path()));
        } catch (IOException e) {
            return false;
        }
    }
}
