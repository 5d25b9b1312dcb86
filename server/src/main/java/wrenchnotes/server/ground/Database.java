package wrenchnotes.server.ground;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Clock;
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
import wrenchnotes.server.ground.upgrade.V9TheStore;

/**
 * One SQLite file, one connection that writes and several that read. SQLite has one writer at a time in any case; with
 * one connection the writers queue here, in order, instead of finding the file busy. Readers see a snapshot and never
 * wait for the writer (WAL).
 */
@Configuration(proxyBeanMethods = false)
public class Database {

    private static final int READERS = 6;

    @Bean(destroyMethod = "close")
    HikariDataSource writer(Settings settings) throws IOException {
        Files.createDirectories(settings.data());
        HikariDataSource writer =
                pool(settings, "writer", 1, "&journal_mode=WAL&synchronous=FULL&transaction_mode=IMMEDIATE", null);
        return writer;
    }

    @Bean(destroyMethod = "close", defaultCandidate = false)
    HikariDataSource readers(Settings settings, HikariDataSource writer) {
        // The writer is named so that it has made the file before the first reader opens it.
        return pool(
                settings,
                "readers",
                READERS,
                "&transaction_mode=DEFERRED&mmap_size=268435456",
                "PRAGMA query_only = true");
    }

    private static HikariDataSource pool(Settings settings, String name, int size, String options, String first) {
        HikariConfig config = new HikariConfig();
        config.setPoolName(name);
        config.setJdbcUrl("jdbc:sqlite:" + settings.data().resolve("wrench-notes.sqlite")
                + "?foreign_keys=on&busy_timeout=5000&cache_size=-65536" + options);
        config.setConnectionInitSql(first);
        config.setMaximumPoolSize(size);
        config.setMinimumIdle(1);
        return new HikariDataSource(config);
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
    FlywayMigrationStrategy upgrade() {
        return Upgrade::migrate;
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
