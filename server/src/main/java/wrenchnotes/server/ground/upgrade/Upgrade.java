package wrenchnotes.server.ground.upgrade;

import java.nio.file.Path;
import java.util.List;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.server.ground.CannotStart;
import wrenchnotes.server.ground.CopyOfDatabase;
import wrenchnotes.server.ground.DataFolder;

/** The way from any earlier version of the database to this one: the scripts under {@code db/migration}, and what Java does between them. */
public final class Upgrade {

    private static final Logger LOG = LoggerFactory.getLogger(Upgrade.class);

    private static final int WITHOUT_COLUMNS = -711006370;

    /** A script that was edited between two commits: shops that were made by the first open too. */
    private record Edited(String version, int then, int now) {}

    /**
     * V8 first lacked indexes that V9 makes. What V20 first had of its own stands in V21 and V24 now, so that whoever has run all of them has the same tables
     * either way. V27 went without two columns for some commits: {@link #asItLanded} puts them back before V29 asks for them; whoever had gone on to V29 as it
     * was then has the tables that it makes now.
     */
    private static final List<Edited> EDITED = List.of(
            new Edited("8", 792166021, 1959162236),
            new Edited("20", -1501376059, 916174635),
            new Edited("21", -848282546, -2071718215),
            new Edited("24", 1154112806, 1277569849),
            new Edited("27", WITHOUT_COLUMNS, 1433180997),
            new Edited("29", 377180897, 1529862022));

    private Upgrade() {}

    public static Flyway of(DataSource shop) {
        return to(shop, "latest");
    }

    /** @param version as far as which, such as {@code 5}; {@code latest} for all of it */
    public static Flyway to(DataSource shop, String version) {
        return Flyway.configure()
                .dataSource(shop)
                .javaMigrations(new V9TheStore(), new V11TimeWorked(), new V28PartsAreRead())
                .target(version)
                .load();
    }

    /**
     * Brings a shop up to date; a copy of its database is made before anything is changed.
     *
     * @throws CannotStart if a newer program wrote it, or if the copy or the upgrade failed: the database is then as it was
     */
    public static void migrate(Flyway flyway, DataFolder folder) {
        JdbcClient jdbc = JdbcClient.create(flyway.getConfiguration().getDataSource());
        if (!isAShop(jdbc)) {
            migrate(flyway);
            return;
        }
        refuseNewer(flyway, folder);
        prepare(flyway.getConfiguration().getDataSource());
        MigrationInfo[] pending = flyway.info().pending();
        if (pending.length == 0) {
            flyway.validate();
            return;
        }
        String from = flyway.info().current().getVersion().getVersion();
        Path copy = folder.path().resolve("before-upgrade-from-" + from + ".sqlite");
        try {
            CopyOfDatabase.make(folder.database(), copy);
        } catch (CopyOfDatabase.Failed e) {
            throw new CannotStart(
                    "The database must be brought up to date, and the copy that is made of it first failed: "
                            + e.getMessage() + " It was left as it is.",
                    e);
        }
        LOG.info("Bringing the database up from version {}; a copy of it as it was is {}", from, copy);
        try {
            flyway.migrate();
        } catch (RuntimeException e) {
            LOG.error("Upgrade failed", e);
            throw new CannotStart(
                    "The database could not be brought up to date and was left as it was; the copy made before is "
                            + copy
                            + ". Start the version that you had, and tell whoever looks after the program: "
                            + rootOf(e).getMessage(),
                    e);
        }
    }

    private static Throwable rootOf(Throwable e) {
        return e.getCause() == null ? e : rootOf(e.getCause());
    }

    /** For a database that is nobody's yet, and for tests. */
    public static void migrate(Flyway flyway) {
        JdbcClient jdbc = JdbcClient.create(flyway.getConfiguration().getDataSource());
        if (isAShop(jdbc)) {
            prepare(flyway.getConfiguration().getDataSource());
        }
        flyway.migrate();
    }

    private static boolean isAShop(JdbcClient jdbc) {
        return jdbc.sql("SELECT COUNT(*) FROM sqlite_master WHERE name = 'flyway_schema_history'")
                        .query(Integer.class)
                        .single()
                > 0;
    }

    private static void prepare(DataSource shop) {
        JdbcClient jdbc = JdbcClient.create(shop);
        asItLanded(shop, jdbc);
        for (Edited one : EDITED) {
            jdbc.sql("UPDATE flyway_schema_history SET checksum = :now WHERE version = :version AND checksum = :then")
                    .param("now", one.now())
                    .param("version", one.version())
                    .param("then", one.then())
                    .update();
        }
        // Each migration undoes itself if it fails: what is on record as failed is simply still to be done.
        jdbc.sql("DELETE FROM flyway_schema_history WHERE success = 0").update();
    }

    private static void asItLanded(DataSource shop, JdbcClient jdbc) {
        boolean without = jdbc.sql("""
                                SELECT COUNT(*) FROM flyway_schema_history
                                WHERE version = '27' AND checksum = :checksum
                                  AND NOT EXISTS (SELECT 1 FROM flyway_schema_history WHERE version = '29' AND success = 1)
                                """)
                        .param("checksum", WITHOUT_COLUMNS)
                        .query(Integer.class)
                        .single()
                > 0;
        if (without) {
            JdbcTemplate tables = new JdbcTemplate(shop);
            tables.execute("ALTER TABLE supplier ADD COLUMN address TEXT NOT NULL DEFAULT ''");
            tables.execute("ALTER TABLE part_order ADD COLUMN their_number TEXT NOT NULL DEFAULT ''");
        }
    }

    private static void refuseNewer(Flyway flyway, DataFolder folder) {
        MigrationVersion newest = MigrationVersion.EMPTY;
        MigrationVersion there = MigrationVersion.EMPTY;
        for (MigrationInfo one : flyway.info().all()) {
            MigrationVersion version = one.getVersion();
            if (one.getState().isResolved() && version.compareTo(newest) > 0) {
                newest = version;
            }
            if (one.getState().isApplied() && version.compareTo(there) > 0) {
                there = version;
            }
        }
        if (there.compareTo(newest) > 0) {
            throw new CannotStart(
                    "The database " + folder.database() + " was written by a newer version of the program (" + there
                            + "; this one knows " + newest + "): start that version. Nothing was changed.");
        }
    }
}
