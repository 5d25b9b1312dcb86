package wrenchnotes.server.drawer;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Parts, and every movement of them. */
@Component
public class DrawerStore {

    private static final String HELD = """
            SELECT COALESCE(SUM(CASE WHEN to_account = :account THEN count ELSE -count END), 0) AS count,
                   COALESCE(SUM(CASE WHEN to_account = :account THEN value_minor ELSE -value_minor END), 0) AS value_minor
            FROM part_movement
            WHERE :account IN (from_account, to_account)
            """;

    private static final String PART = """
            SELECT id, drawer, name, what, each_minor, version, COALESCE(lies.count, 0) AS count,
                   COALESCE(lies.value_minor, 0) AS value_minor
            FROM part
            LEFT JOIN (SELECT part_id,
                              SUM(CASE WHEN to_account = 'DRAWER' THEN count ELSE -count END) AS count,
                              SUM(CASE WHEN to_account = 'DRAWER' THEN value_minor ELSE -value_minor END) AS value_minor
                       FROM part_movement
                       WHERE 'DRAWER' IN (from_account, to_account) AND part_id IS NOT NULL %s
                       GROUP BY part_id) AS lies ON lies.part_id = part.id
            """;

    private static final String ALL = PART.formatted("");
    private static final String ONE = PART.formatted("AND part_id = :id") + "WHERE id = :id";

    private final JdbcClient jdbc;

    DrawerStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param count how many lie in the drawer
     * @param eachMinor what one costs where it is bought, in the shop's currency's minor units
     * @param valueMinor what those in the drawer cost together
     */
    public record Part(
            long id,
            String drawer,
            String name,
            String what,
            int count,
            long eachMinor,
            long valueMinor,
            long version) {

        public Stock stock() {
            return new Stock(name, count, valueMinor);
        }
    }

    /** What is moved: a part of a drawer, or what is of none, by its name. */
    public record What(Optional<Long> part, String words) {

        public static What of(long part) {
            return new What(Optional.of(part), "");
        }
    }

    /** What some parts move for. @param finding that tells of it; @param thing of the ledger that they stand in place of */
    public record For(Optional<Long> job, Optional<Long> finding, Optional<String> thing, String why) {

        static For shop(String why) {
            return new For(Optional.empty(), Optional.empty(), Optional.empty(), why);
        }
    }

    /** From one account to another. */
    record Movement(What what, int count, PartAccount from, PartAccount to, long valueMinor) {}

    public List<Part> parts() {
        return jdbc.sql(ALL + "ORDER BY drawer, name")
                .query((row, n) -> part(row))
                .list();
    }

    /** @throws NotFound if there is none */
    public Part part(long id) {
        return jdbc.sql(ONE)
                .param("id", id)
                .query((row, n) -> part(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no part " + id));
    }

    Optional<Long> idOf(String drawer, String name) {
        return jdbc.sql("SELECT id FROM part WHERE drawer = :drawer AND name = :name")
                .param("drawer", drawer)
                .param("name", name)
                .query(Long.class)
                .optional();
    }

    /** What a job holds of something in one account. */
    Stock held(What what, String name, PartAccount account, long job) {
        return jdbc.sql(HELD + "AND job_id = :job AND part_id IS :part AND words = :words")
                .param("account", account.name())
                .param("job", job)
                .param("part", what.part().orElse(null))
                .param("words", what.words())
                .query((row, n) -> new Stock(name, row.getInt("count"), row.getLong("value_minor")))
                .single();
    }

    /** What is set aside for a job, by name. */
    List<ShelfOfJob.SetAside> aside(long job) {
        return jdbc.sql("""
                        SELECT part.id, part.name, part.drawer,
                               SUM(CASE WHEN to_account = 'SHELF' THEN count ELSE -count END) AS aside
                        FROM part_movement JOIN part ON part.id = part_id
                        WHERE job_id = :job AND 'SHELF' IN (from_account, to_account)
                        GROUP BY part.id
                        HAVING aside > 0
                        ORDER BY part.name
                        """)
                .param("job", job)
                .query((row, n) -> new ShelfOfJob.SetAside(
                        row.getLong("id"), row.getString("name"), row.getString("drawer"), row.getInt("aside")))
                .list();
    }

    long add(String drawer, String name, String what, long eachMinor) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO part (drawer, name, what, each_minor)
                                VALUES (:drawer, :name, :what, :each)
                                """)
                .param("drawer", drawer)
                .param("name", name)
                .param("what", what)
                .param("each", eachMinor));
    }

    void change(long id, String drawer, String name, String what, long eachMinor) {
        jdbc.sql("""
                        UPDATE part
                        SET drawer = :drawer, name = :name, what = :what, each_minor = :each, version = version + 1
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("drawer", drawer)
                .param("name", name)
                .param("what", what)
                .param("each", eachMinor)
                .update();
    }

    void move(By by, Movement movement, For what) {
        jdbc.sql("""
                        INSERT INTO part_movement (part_id, words, count, from_account, to_account, value_minor, job_id,
                                                   finding_id, thing, why, at, by)
                        VALUES (:part, :words, :count, :from, :to, :value, :job, :finding, :thing, :why, :at, :by)
                        """)
                .param("part", movement.what().part().orElse(null))
                .param("words", movement.what().words())
                .param("count", movement.count())
                .param("from", movement.from().name())
                .param("to", movement.to().name())
                .param("value", movement.valueMinor())
                .param("job", what.job().orElse(null))
                .param("finding", what.finding().orElse(null))
                .param("thing", what.thing().orElse(null))
                .param("why", what.why())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    private static Part part(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Part(
                row.getLong("id"),
                row.getString("drawer"),
                row.getString("name"),
                row.getString("what"),
                row.getInt("count"),
                row.getLong("each_minor"),
                row.getLong("value_minor"),
                row.getLong("version"));
    }
}
