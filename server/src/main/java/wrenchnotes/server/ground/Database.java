package wrenchnotes.server.ground;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.time.Clock;
import java.time.Duration;
import javax.sql.DataSource;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.LazyConnectionDataSourceProxy;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.server.ground.upgrade.Upgrade;
import wrenchnotes.server.ground.upgrade.V11TimeWorked;
import wrenchnotes.server.ground.upgrade.V28PartsAreRead;
import wrenchnotes.server.ground.upgrade.V9TheStore;

/**
 * One SQLite file, one connection that writes and several that read. SQLite has one writer at a time in any case; with
 * one connection the writers queue here, in order, instead of finding the file busy. Readers see a snapshot and never
 * wait for the writer (WAL).
 */
@Configuration(proxyBeanMethods = false)
public class Database {

    private static final int READERS = 6;

    /** How long a write waits for its turn before its client is asked to come again. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    @Bean(destroyMethod = "close")
    DataFolder folder(Settings settings) {
        return DataFolder.open(settings.data());
    }

    @Bean(destroyMethod = "close")
    HikariDataSource writer(DataFolder folder) {
        HikariConfig config = pool(folder, "writer", "&journal_mode=WAL&synchronous=FULL", "BEGIN IMMEDIATE");
        config.setMaximumPoolSize(1);
        config.setConnectionTimeout(PATIENCE.toMillis());
        config.setMaxLifetime(0);
        return opened(folder, config);
    }

    @Bean(destroyMethod = "close", defaultCandidate = false)
    HikariDataSource readers(DataFolder folder, HikariDataSource writer) {
        // The writer is named so that it has made the file before the first reader opens it.
        HikariConfig config = pool(folder, "readers", "&mmap_size=268435456", "BEGIN");
        config.setConnectionInitSql("PRAGMA query_only = true");
        config.setMaximumPoolSize(READERS);
        return new HikariDataSource(config);
    }

    private static HikariConfig pool(DataFolder folder, String name, String options, String begin) {
        HikariConfig config = new HikariConfig();
        config.setPoolName(name);
        config.setDataSource(new SqliteConnections(
                "jdbc:sqlite:" + folder.database() + "?foreign_keys=on&busy_timeout=5000&cache_size=-65536" + options,
                begin));
        config.setMinimumIdle(1);
        return config;
    }

    private static HikariDataSource opened(DataFolder folder, HikariConfig config) {
        try {
            return new HikariDataSource(config);
        } catch (RuntimeException e) {
            throw new CannotStart(
                    StoreTrouble.of(e)
                            .map(trouble -> trouble.atStart(folder))
                            .orElseGet(() -> "The database " + folder.database() + " cannot be opened ("
                                    + e.getMessage() + ")."),
                    e);
        }
    }

    /** Transactions that only read go to the readers, all else to the writer. */
    @Bean
    @Primary
    DataSource shop(HikariDataSource writer, @Qualifier("readers") HikariDataSource readers) {
        LazyConnectionDataSourceProxy shop = new LazyConnectionDataSourceProxy(writer);
        shop.setReadOnlyDataSource(readers);
        return shop;
    }

    @Bean
    JavaMigration theStore() {
        return new V9TheStore();
    }

    @Bean
    JavaMigration timeWorked() {
        return new V11TimeWorked();
    }

    @Bean
    JavaMigration partsAreRead() {
        return new V28PartsAreRead();
    }

    @Bean
    FlywayMigrationStrategy upgrade(DataFolder folder) {
        return flyway -> {
            try {
                Upgrade.migrate(flyway, folder);
            } catch (CannotStart e) {
                throw e;
            } catch (RuntimeException e) {
                throw StoreTrouble.of(e)
                        .map(trouble -> new CannotStart(trouble.atStart(folder), e))
                        .orElseThrow(() -> e);
            }
        };
    }

    @Bean
    Snapshot snapshot(PlatformTransactionManager transactions) {
        TransactionTemplate reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
        return new Snapshot(reading);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
