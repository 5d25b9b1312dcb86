package wrenchnotes.server.keeping;

import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.PenResolver;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.ground.Soundness;
import wrenchnotes.server.ground.Troubles;

/** What a shop's database wants from day to day: statistics for its planner, old answers forgotten, its books looked at, a backup. */
@Component
public class Upkeep {

    private static final Logger LOG = LoggerFactory.getLogger(Upkeep.class);
    private static final Duration DAY = Duration.ofDays(1);

    private final BooksStore books;
    private final DataFolder folder;
    private final Backups backups;
    private final Optional<LocalTime> nightly;
    private final PenResolver penResolver;
    private final Troubles troubles;
    private final Snapshot snapshot;
    private final TransactionTemplate writing;
    private final HikariDataSource readers;
    private final Clock clock;
    private Instant looked = Instant.MIN;
    private LocalDate backedUp;

    Upkeep(
            BooksStore books,
            DataFolder folder,
            Backups backups,
            BackupSettings settings,
            Settings shop,
            PenResolver penResolver,
            Troubles troubles,
            Snapshot snapshot,
            PlatformTransactionManager transactions,
            @Qualifier("readers") HikariDataSource readers,
            Clock clock) {
        this.books = books;
        this.folder = folder;
        this.backups = backups;
        // Practice data is made anew by one command, and is not worth the disk.
        this.nightly = settings.nightly() && !shop.demo() ? Optional.of(settings.at()) : Optional.empty();
        this.penResolver = penResolver;
        this.troubles = troubles;
        this.snapshot = snapshot;
        this.writing = new TransactionTemplate(transactions);
        this.readers = readers;
        this.clock = clock;
    }

    /** Before the first answer: a planner without statistics reads whole tables. */
    @EventListener(ApplicationStartedEvent.class)
    void onceStarted() {
        try {
            optimize(true);
        } catch (RuntimeException e) {
            // A shop that can be read is opened all the same, and says what is wrong with it.
            LOG.error("The planner has no new statistics: {}", e.getMessage());
            look();
        }
    }

    private void optimize(boolean all) {
        writing.executeWithoutResult(status -> books.optimize(all));
        // A connection reads the statistics when it is opened.
        readers.getHikariPoolMXBean().softEvictConnections();
    }

    /** When a backup is made by itself; empty if none is. */
    Optional<LocalTime> nightly() {
        return nightly;
    }

    /** Half a minute after the start, and every ten minutes. */
    @Scheduled(initialDelayString = "${wrenchnotes.upkeep-after:PT30S}", fixedDelayString = "PT10M")
    void now() {
        try {
            if (Duration.between(looked, clock.instant()).compareTo(DAY) >= 0) {
                look();
                penResolver.forgetOldAnswers();
                optimize(false);
                looked = clock.instant();
            }
        } catch (RuntimeException e) {
            LOG.error("The books could not be looked at: {}", e.getMessage());
        }
        backUpIfItIsTime();
        backups.tellAge();
    }

    /** Looks at the books and says what it found. */
    void look() {
        Optional<String> damage = Soundness.damage(folder.database());
        if (damage.isPresent()) {
            LOG.error("The database is damaged: {}", damage.get());
            troubles.damaged();
            return;
        }
        List<String> wrong = snapshot.read(books::wrong);
        wrong.forEach(LOG::error);
        troubles.found("books", wrong.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", wrong)));
    }

    /** The first time after the hour each day; at once if the machine slept through it and the last one is older than a day. */
    private void backUpIfItIsTime() {
        if (nightly.isEmpty() || troubles.ofWriting().isPresent()) {
            return;
        }
        var now = clock.instant().atZone(ZoneId.systemDefault());
        if (now.toLocalDate().equals(backedUp)) {
            return;
        }
        boolean hour = !now.toLocalTime().isBefore(nightly.get());
        boolean late = backups.age().map(age -> age.compareTo(DAY) > 0).orElse(hour);
        if (hour
                        && backups.age()
                                .map(age -> age.compareTo(DAY.dividedBy(2)) > 0)
                                .orElse(true)
                || late) {
            backedUp = now.toLocalDate();
            backups.now();
        }
    }
}
