package wrenchnotes.server.drawer;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** Which parts go where: what was fitted and how it lasted, and what people say of it. */
@Component
class FitStore {

    private final JdbcClient jdbc;

    FitStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * One part at one component, with its evidence.
     *
     * @param fitted into how many jobs' units it went there
     * @param cameBack of how many of them the same component was at fault on a later stay
     * @param fits what somebody said of it last; empty if nobody did
     */
    public record Fit(
            long partId,
            long modelId,
            String model,
            long componentId,
            String component,
            int fitted,
            int cameBack,
            Optional<Boolean> fits,
            String why,
            String by) {}

    /** The most often fitted first, what is refused last. */
    List<Fit> of(Collection<Long> parts) {
        if (parts.isEmpty()) {
            return List.of();
        }
        return jdbc.sql("""
                        WITH went AS (
                            SELECT told.part_id, told.component_id, COUNT(DISTINCT told.job_id) AS fitted,
                                   COUNT(DISTINCT CASE WHEN EXISTS (
                                       SELECT 1 FROM finding
                                       WHERE finding.unit_id = job.unit_id AND finding.component_id = told.component_id
                                         AND finding.job_id > told.job_id AND finding.kind = 'FAULT' AND finding.struck_at IS NULL)
                                       THEN told.job_id END) AS came_back
                            FROM part_told AS told JOIN job ON job.id = told.job_id
                            WHERE told.part_id IN (:parts) AND told.back_at IS NULL AND told.component_id IS NOT NULL
                            GROUP BY told.part_id, told.component_id
                        ), said AS (
                            SELECT part_id, component_id, fits, why, person.name AS by
                            FROM part_fit JOIN person ON person.id = part_fit.by
                            WHERE part_fit.id IN (SELECT MAX(id) FROM part_fit WHERE part_id IN (:parts) GROUP BY part_id, component_id)
                        ), both AS (
                            SELECT part_id, component_id FROM went UNION SELECT part_id, component_id FROM said
                        )
                        SELECT both.part_id, model.id AS model_id, model.name AS model, component.id AS component_id,
                               component.name AS component, COALESCE(fitted, 0) AS fitted, COALESCE(came_back, 0) AS came_back,
                               said.fits, COALESCE(said.why, '') AS why, COALESCE(said.by, '') AS by
                        FROM both
                        JOIN component ON component.id = both.component_id
                        JOIN model ON model.id = component.model_id
                        LEFT JOIN went ON went.part_id = both.part_id AND went.component_id = both.component_id
                        LEFT JOIN said ON said.part_id = both.part_id AND said.component_id = both.component_id
                        ORDER BY COALESCE(said.fits, 1) DESC, fitted DESC, model.name, component.name
                        """)
                .param("parts", parts)
                .query((row, n) -> new Fit(
                        row.getLong("part_id"),
                        row.getLong("model_id"),
                        row.getString("model"),
                        row.getLong("component_id"),
                        row.getString("component"),
                        row.getInt("fitted"),
                        row.getInt("came_back"),
                        Sql.id(row, "fits").map(fits -> fits == 1),
                        row.getString("why"),
                        row.getString("by")))
                .list();
    }

    void say(By by, long part, long component, boolean fits, String why) {
        jdbc.sql("""
                        INSERT INTO part_fit (part_id, component_id, fits, why, at, by)
                        VALUES (:part, :component, :fits, :why, :at, :by)
                        """)
                .param("part", part)
                .param("component", component)
                .param("fits", fits)
                .param("why", why)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
