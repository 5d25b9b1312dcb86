package wrenchnotes.server.drawer;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.unit.By;

/** Every movement of parts from one account to another. */
@Component
public class MoveStore {

    private static final String HELD = """
            SELECT COALESCE(SUM(CASE WHEN to_account = :account THEN count ELSE -count END), 0) AS count,
                   COALESCE(SUM(CASE WHEN to_account = :account THEN value_minor ELSE -value_minor END), 0) AS value_minor
            FROM part_movement
            WHERE :account IN (from_account, to_account)
            """;

    private final JdbcClient jdbc;

    MoveStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
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

    /** From one account to another. @param donor the unit that it came out of, or went back into @param supplier whose it is, if it came with an order */
    record Movement(
            What what,
            int count,
            PartAccount from,
            PartAccount to,
            long valueMinor,
            Optional<DonorParts.FromDonor> donor,
            Optional<Long> supplier) {

        Movement(What what, int count, PartAccount from, PartAccount to, long valueMinor) {
            this(what, count, from, to, valueMinor, Optional.empty());
        }

        Movement(
                What what,
                int count,
                PartAccount from,
                PartAccount to,
                long valueMinor,
                Optional<DonorParts.FromDonor> donor) {
            this(what, count, from, to, valueMinor, donor, Optional.empty());
        }
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
                        SELECT part.id, part.name, part.drawer, part.temporary,
                               SUM(CASE WHEN to_account = 'SHELF' THEN count ELSE -count END) AS aside
                        FROM part_movement JOIN part ON part.id = part_id
                        WHERE job_id = :job AND 'SHELF' IN (from_account, to_account)
                        GROUP BY part.id
                        HAVING aside > 0
                        ORDER BY part.name
                        """)
                .param("job", job)
                .query((row, n) -> new ShelfOfJob.SetAside(
                        row.getLong("id"),
                        row.getString("name"),
                        row.getString("drawer"),
                        row.getBoolean("temporary"),
                        row.getInt("aside")))
                .list();
    }

    void move(By by, Movement movement, For what) {
        jdbc.sql("""
                        INSERT INTO part_movement (part_id, words, count, from_account, to_account, value_minor, job_id,
                                                   finding_id, thing, donor_unit_id, donor_component_id,
                                                   supplier_id, why, at, by)
                        VALUES (:part, :words, :count, :from, :to, :value, :job,
                                :finding, :thing, :donor, :component, :supplier, :why, :at, :by)
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
                .param("donor", movement.donor().map(DonorParts.FromDonor::unit).orElse(null))
                .param(
                        "component",
                        movement.donor().map(DonorParts.FromDonor::component).orElse(null))
                .param("supplier", movement.supplier().orElse(null))
                .param("why", what.why())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
