package wrenchnotes.server.drawer;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.CameFrom;
import wrenchnotes.core.drawer.PartTold;
import wrenchnotes.core.drawer.Recipe;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** Who tells of parts that went into a job's unit. */
@Component
class ToldStore {

    private final JdbcClient jdbc;

    ToldStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A word that stands. @param press of the ledger's entry: its moment */
    record ToldRow(
            long id,
            MoveStore.What what,
            String name,
            CameFrom cameFrom,
            Optional<DonorParts.FromDonor> donor,
            PartTold told,
            Optional<Long> finding,
            Optional<Long> press,
            Optional<String> thing) {

        String teller() {
            return switch (told.teller()) {
                case FINDING -> "a finding says so";
                case LEDGER -> "put in at the bench";
                case USE -> "used up";
            };
        }

        boolean sameAs(MoveStore.What other, CameFrom from, Optional<DonorParts.FromDonor> of) {
            return cameFrom == from
                    && donor.equals(of)
                    && what.part().equals(other.part())
                    && what.words().equalsIgnoreCase(other.words());
        }
    }

    /** Oldest first. */
    List<ToldRow> ofJob(long job) {
        return jdbc.sql("""
                        SELECT part_told.id, part_id, words, COALESCE(part.name, words) AS name, came_from, teller, finding_id, press,
                               thing, component_id, count, donor_unit_id, donor_component_id
                        FROM part_told LEFT JOIN part ON part.id = part_id
                        WHERE job_id = :job AND back_at IS NULL
                        ORDER BY part_told.id
                        """)
                .param("job", job)
                .query((row, n) -> new ToldRow(
                        row.getLong("id"),
                        new MoveStore.What(Sql.id(row, "part_id"), row.getString("words")),
                        row.getString("name"),
                        CameFrom.valueOf(row.getString("came_from")),
                        donor(row),
                        new PartTold(
                                PartTold.Teller.valueOf(row.getString("teller")),
                                Sql.id(row, "component_id"),
                                row.getInt("count")),
                        Sql.id(row, "finding_id"),
                        Sql.id(row, "press"),
                        Optional.ofNullable(row.getString("thing"))))
                .list();
    }

    private static Optional<DonorParts.FromDonor> donor(ResultSet row) throws SQLException {
        Optional<Long> unit = Sql.id(row, "donor_unit_id");
        return unit.isEmpty()
                ? Optional.empty()
                : Optional.of(new DonorParts.FromDonor(unit.get(), row.getLong("donor_component_id")));
    }

    void add(By by, long job, PartsOfJob.Fitted fitted, PartsOfJob.Place place) {
        jdbc.sql("""
                        INSERT INTO part_told (job_id, part_id, words, came_from, teller, finding_id, press, thing, component_id,
                                               count, recipe, donor_unit_id, donor_component_id, at, by)
                        VALUES (:job, :part, :words, :from, :teller, :finding, :press, :thing, :component,
                                :count, :recipe, :donor, :donorComponent, :at, :by)
                        """)
                .param("job", job)
                .param("part", fitted.what().part().orElse(null))
                .param("words", fitted.what().words())
                .param("from", fitted.cameFrom().name())
                .param("teller", place.teller().name())
                .param("finding", place.finding().orElse(null))
                .param("press", place.press().orElse(null))
                .param("thing", place.thing().orElse(null))
                .param("component", place.component().orElse(null))
                .param("count", fitted.count())
                .param("recipe", fitted.recipe().map(Stored::text).orElse(null))
                .param("donor", fitted.donor().map(DonorParts.FromDonor::unit).orElse(null))
                .param(
                        "donorComponent",
                        fitted.donor().map(DonorParts.FromDonor::component).orElse(null))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    void back(By by, Collection<Long> told) {
        jdbc.sql("UPDATE part_told SET back_at = :at, back_by = :by WHERE id IN (:told)")
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .param("told", told)
                .update();
    }

    /** The drawer's part that the ledger told of last at a thing of a revision's notes. */
    Optional<Long> lastAt(long revision, String thing) {
        return jdbc.sql("""
                        SELECT part_id FROM job JOIN part_told ON part_told.job_id = job.id
                        WHERE revision_id = :revision AND thing = :thing AND part_id IS NOT NULL AND back_at IS NULL
                        ORDER BY part_told.id DESC LIMIT 1
                        """)
                .param("revision", revision)
                .param("thing", thing)
                .query(Long.class)
                .optional();
    }

    /** What a job holds of one part, in its unit and used up. */
    record HeldRow(MoveStore.What what, String name, boolean temporary, int count, long valueMinor) {}

    /** In the order in which they were first taken. */
    List<HeldRow> held(long job) {
        return jdbc.sql("""
                        SELECT part_id, words, COALESCE(part.name, words) AS name, COALESCE(part.temporary, 0) AS temporary,
                               SUM(CASE WHEN to_account IN ('UNIT', 'JOB') THEN count ELSE -count END) AS count,
                               SUM(CASE WHEN to_account IN ('UNIT', 'JOB') THEN value_minor ELSE -value_minor END) AS value_minor
                        FROM part_movement LEFT JOIN part ON part.id = part_id
                        WHERE job_id = :job
                          AND (to_account IN ('UNIT', 'JOB')) <> (from_account IN ('UNIT', 'JOB'))
                        GROUP BY part_id, words
                        HAVING SUM(CASE WHEN to_account IN ('UNIT', 'JOB') THEN count ELSE -count END) > 0
                        ORDER BY MIN(part_movement.id)
                        """)
                .param("job", job)
                .query((row, n) -> new HeldRow(
                        new MoveStore.What(Sql.id(row, "part_id"), row.getString("words")),
                        row.getString("name"),
                        row.getBoolean("temporary"),
                        row.getInt("count"),
                        row.getLong("value_minor")))
                .list();
    }

    /** By component, the drawers' parts that went in for some components before, those used most often first. */
    Map<Long, List<UsedBefore>> usedBefore(Collection<Long> components) {
        Map<Long, List<UsedBefore>> used = new HashMap<>();
        if (components.isEmpty()) {
            return used;
        }
        jdbc.sql("""
                        SELECT told.component_id, part.id, part.name, part.drawer, part.temporary, told.used,
                               COALESCE(lies.count, 0) AS there
                        FROM (SELECT component_id, part_id, COUNT(DISTINCT job_id) AS used
                              FROM part_told
                              WHERE component_id IN (:components) AND part_id IS NOT NULL AND back_at IS NULL
                              GROUP BY component_id, part_id) AS told
                        CROSS JOIN part ON part.id = told.part_id
                        LEFT JOIN part_balance AS lies ON lies.part_id = part.id AND lies.account = 'DRAWER'
                        ORDER BY told.used DESC, part.name
                        """).param("components", components).query(row -> {
            used.computeIfAbsent(row.getLong("component_id"), id -> new ArrayList<>())
                    .add(new UsedBefore(
                            row.getLong("id"),
                            row.getString("name"),
                            row.getString("drawer"),
                            row.getInt("there"),
                            row.getBoolean("temporary"),
                            row.getInt("used")));
        });
        return used;
    }

    /** How parts in place of a component were made before, the last first. */
    List<Recipe> recipes(long component) {
        return jdbc.sql("""
                        SELECT recipe
                        FROM part_told
                        WHERE component_id = :component AND recipe IS NOT NULL AND back_at IS NULL
                        ORDER BY id DESC
                        LIMIT 5
                        """)
                .param("component", component)
                .query((row, n) -> Stored.read(Stored.tree(row.getString("recipe")), Recipe.class))
                .list();
    }

    /** How many of a part were used at a time, the last time that somebody did so without a finding. */
    Optional<Integer> usualAmount(long part) {
        return jdbc.sql("""
                        SELECT count
                        FROM part_told
                        WHERE part_id = :part AND teller = 'USE' AND back_at IS NULL
                        ORDER BY id DESC
                        LIMIT 1
                        """).param("part", part).query(Integer.class).optional();
    }
}
