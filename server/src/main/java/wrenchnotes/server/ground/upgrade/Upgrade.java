package wrenchnotes.server.ground.upgrade;

import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The way from any earlier version of the database to this one: the scripts under {@code db/migration}, and {@link V9TheStore}. */
public final class Upgrade {

    /** V8 was edited between two commits; shops that were made by the first lack indexes that V9 makes. */
    private static final int FIRST_V8 = 792166021;

    private static final int V8 = 1959162236;

    private Upgrade() {}

    public static Flyway of(DataSource shop) {
        return to(shop, "latest");
    }

    /** @param version as far as which, such as {@code 5}; {@code latest} for all of it */
    public static Flyway to(DataSource shop, String version) {
        return Flyway.configure()
                .dataSource(shop)
                .javaMigrations(new V9TheStore())
                .target(version)
                .load();
    }

    /** The version of a database that was written by a newer program; null if this one knows it. */
    public static MigrationVersion newerThanThis(Flyway flyway) {
        var current = flyway.info().current();
        var newest = newest(flyway);
        return current == null || current.getVersion().compareTo(newest) <= 0 ? null : current.getVersion();
    }

    private static MigrationVersion newest(Flyway flyway) {
        MigrationVersion newest = MigrationVersion.EMPTY;
        for (var one : flyway.info().all()) {
            if (one.getScript() != null
                    && !one.getState().name().startsWith("FUTURE")
                    && newest.compareTo(one.getVersion()) < 0) {
                newest = one.getVersion();
            }
        }
        return newest;
    }

    public static void migrate(Flyway flyway) {
        JdbcClient jdbc = JdbcClient.create(flyway.getConfiguration().getDataSource());
        boolean kept = jdbc.sql("SELECT COUNT(*) FROM sqlite_master WHERE name = 'flyway_schema_history'")
                        .query(Integer.class)
                        .single()
                > 0;
        if (kept) {
            jdbc.sql("UPDATE flyway_schema_history SET checksum = :now WHERE version = '8' AND checksum = :first")
                    .param("now", V8)
                    .param("first", FIRST_V8)
                    .update();
        }
        flyway.migrate();
    }
}
