package wrenchnotes.server.donor;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.drawer.donor.SaidOfDonor;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Sql;

/** Units whose last stay ended so that they are kept for parts, what was said of their components, and what was taken out of them. */
@Component
class DonorStore {

    private static final String DONOR = """
            WITH kept AS (
                SELECT job.unit_id, MAX(job.id) AS job_id
                FROM job
                WHERE unit_id IN (SELECT unit_id FROM job JOIN outcome_entry ON job_id = job.id AND outcome = 'KEPT_FOR_PARTS')
                GROUP BY job.unit_id
            )
            SELECT unit.id AS unit_id, unit.tag, kept.job_id, job.revision_id, model.id AS model_id,
                   RTRIM(model.name || ' ' || %s) AS model,
                   job.paid_minor, last.at AS kept_at,
                   COALESCE(word.place, CASE WHEN job.handed_over_at IS NULL THEN job.slot END, '') AS place
            FROM kept
            JOIN job ON job.id = kept.job_id
            JOIN unit ON unit.id = kept.unit_id
            JOIN revision ON revision.id = job.revision_id
            JOIN model ON model.id = revision.model_id
            JOIN outcome_entry AS last ON last.id = (
                SELECT id FROM outcome_entry WHERE job_id = kept.job_id ORDER BY moment DESC, id DESC LIMIT 1)
            LEFT JOIN donor_word AS word ON word.id = (SELECT MAX(id) FROM donor_word WHERE unit_id = kept.unit_id)
            WHERE last.outcome = 'KEPT_FOR_PARTS' AND COALESCE(word.gone, 0) = 0
            """.formatted(Sql.REVISION_SHOWN);

    private final JdbcClient jdbc;

    DonorStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param job the stay after which it was kept
     * @param place where it stands; empty if nobody said
     * @param paidMinor what was paid for it; 0 if nothing, or nobody said
     */
    record Donor(
            long unit,
            String tag,
            long job,
            long revision,
            long model,
            String named,
            String place,
            long paidMinor,
            Instant keptAt) {}

    /** The last kept first. */
    List<Donor> all() {
        return jdbc.sql(DONOR + "ORDER BY last.at DESC, unit.id DESC")
                .query((row, n) -> new Donor(
                        row.getLong("unit_id"),
                        Tag.of(row.getInt("tag")).text(),
                        row.getLong("job_id"),
                        row.getLong("revision_id"),
                        row.getLong("model_id"),
                        row.getString("model"),
                        row.getString("place"),
                        Sql.id(row, "paid_minor").orElse(0L),
                        Sql.instant(row, "kept_at")))
                .list();
    }

    void say(By by, long unit, String place, boolean gone) {
        jdbc.sql("INSERT INTO donor_word (unit_id, place, gone, at, by) VALUES (:unit, :place, :gone, :at, :by)")
                .param("unit", unit)
                .param("place", place)
                .param("gone", gone)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** Something said of a component of a unit. */
    record Said(long unit, long component, SaidOfDonor said) {}

    /** What was found and seen of some units' components, on all their stays; what was struck does not count. */
    List<Said> said(Collection<Long> units) {
        if (units.isEmpty()) {
            return List.of();
        }
        return jdbc.sql("""
                        SELECT finding.unit_id, finding.component_id, finding.at, wrong, remedy, failed, NULL AS good, NULL AS means
                        FROM finding JOIN fault ON fault.id = fault_id
                        WHERE finding.unit_id IN (:units) AND struck_at IS NULL
                        UNION ALL
                        SELECT job.unit_id, component_id, at, NULL, NULL, 0, good, means
                        FROM job CROSS JOIN component_look ON component_look.job_id = job.id
                        WHERE job.unit_id IN (:units) AND struck_at IS NULL
                        """)
                .param("units", units)
                .query((row, n) -> {
                    Instant at = Sql.instant(row, "at");
                    String remedy = row.getString("remedy");
                    SaidOfDonor said = remedy == null
                            ? SaidOfDonor.look(at, row.getBoolean("good"), Means.valueOf(row.getString("means")))
                            : SaidOfDonor.finding(
                                    at, row.getString("wrong"), Remedy.valueOf(remedy), row.getBoolean("failed"));
                    return new Said(row.getLong("unit_id"), row.getLong("component_id"), said);
                })
                .list();
    }

    /**
     * A part that went out of a unit, or came back into it.
     *
     * @param out whether it went out
     * @param tag of the unit that it went into; empty if it went into a drawer
     */
    record Move(
            long unit,
            long component,
            boolean out,
            int count,
            long valueMinor,
            Optional<String> tag,
            Optional<String> drawer,
            Instant at,
            String by) {}

    /** The oldest first. */
    List<Move> moves(Collection<Long> units) {
        if (units.isEmpty()) {
            return List.of();
        }
        return jdbc.sql("""
                        SELECT donor_unit_id, donor_component_id, from_account = 'DONOR' AS out, part_movement.count, value_minor,
                               unit.tag, part.drawer, part_movement.at, person.name AS by
                        FROM part_movement
                        JOIN person ON person.id = part_movement.by
                        LEFT JOIN part ON part.id = part_id
                        LEFT JOIN job ON job.id = job_id
                        LEFT JOIN unit ON unit.id = job.unit_id
                        WHERE donor_unit_id IN (:units)
                        ORDER BY part_movement.id
                        """)
                .param("units", units)
                .query((row, n) -> new Move(
                        row.getLong("donor_unit_id"),
                        row.getLong("donor_component_id"),
                        row.getBoolean("out"),
                        row.getInt("count"),
                        row.getLong("value_minor"),
                        Sql.id(row, "tag").map(tag -> Tag.of(tag.intValue()).text()),
                        Optional.ofNullable(row.getString("drawer")),
                        Sql.instant(row, "at"),
                        row.getString("by")))
                .list();
    }

    /** By component, what one of the drawers' part costs that went in there most often; what costs nothing says nothing. */
    Map<Long, Long> costNew(Collection<Long> components) {
        Map<Long, Long> cost = new HashMap<>();
        if (components.isEmpty()) {
            return cost;
        }
        jdbc.sql("""
                        SELECT told.component_id, part.each_minor
                        FROM part_told AS told JOIN part ON part.id = told.part_id
                        WHERE told.component_id IN (:components) AND told.back_at IS NULL AND told.donor_unit_id IS NULL
                          AND part.each_minor > 0
                        GROUP BY told.component_id, part.id
                        ORDER BY COUNT(DISTINCT told.job_id) DESC, part.id
                        """).param("components", components).query(row -> {
            cost.putIfAbsent(row.getLong("component_id"), row.getLong("each_minor"));
        });
        return cost;
    }

    /** Components, of whatever model, that take a part which this one took too, or of which somebody says that it fits both. */
    List<Long> alike(long component) {
        return jdbc.sql("""
                        WITH fits AS (
                            SELECT part_id, component_id FROM part_told
                            WHERE part_id IS NOT NULL AND component_id IS NOT NULL AND back_at IS NULL AND teller <> 'USE'
                            UNION
                            SELECT part_id, component_id FROM part_fit WHERE fits = 1
                        )
                        SELECT DISTINCT other.component_id
                        FROM fits AS mine JOIN fits AS other ON other.part_id = mine.part_id
                        WHERE mine.component_id = :component
                        """).param("component", component).query(Long.class).list();
    }
}
