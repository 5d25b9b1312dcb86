package wrenchnotes.server.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.CameFrom;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.server.ground.Sql;

/**
 * What stays with a unit from one stay to the next: how it is not as made any more, and which of its components were revived, improvised,
 * made here or came out of another unit, until they are replaced again.
 */
@Component
public class UnitMarkStore {

    private static final String ALTERED = """
            SELECT entry.job_id, entry.said, entry.at
            FROM entry JOIN job ON job.id = entry.job_id
            WHERE job.unit_id = :unit AND entry.kind = 'ALTERED'
              AND NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id)
            ORDER BY entry.id
            """;

    private static final String MENDED = """
            SELECT finding.job_id, component.name AS component, remedy, finding.at,
                   (SELECT came_from FROM part_told
                    WHERE finding_id = finding.id AND came_from NOT IN ('DRAWER', 'ORDERED')
                    LIMIT 1) AS came_from
            FROM finding JOIN component ON component.id = component_id
            WHERE finding.unit_id = :unit AND struck_at IS NULL
              AND (remedy IN ('REVIVED', 'IMPROVISED')
                   OR EXISTS (SELECT 1 FROM part_told
                              WHERE finding_id = finding.id AND came_from NOT IN ('DRAWER', 'ORDERED')))
              AND NOT EXISTS (SELECT 1 FROM finding AS later
                              WHERE later.unit_id = finding.unit_id AND later.component_id = finding.component_id
                                AND later.id > finding.id AND later.struck_at IS NULL AND later.remedy = 'REPLACED')
            ORDER BY finding.id
            """;

    private final JdbcClient jdbc;

    UnitMarkStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param thing of the notes that it is about; empty if it is about none */
    public record UnitMark(String words, Optional<String> thing, long job, Instant at) {}

    /** Oldest first. */
    public List<UnitMark> of(long unit) {
        List<UnitMark> altered = jdbc.sql(ALTERED)
                .param("unit", unit)
                .query((row, n) -> {
                    JobEntry.Altered is = EntryStore.altered(row.getString("said"));
                    return new UnitMark(is.sentence(), is.thing(), row.getLong("job_id"), Sql.instant(row, "at"));
                })
                .list();
        List<UnitMark> mended = jdbc.sql(MENDED)
                .param("unit", unit)
                .query((row, n) -> new UnitMark(
                        row.getString("component") + ": "
                                + Optional.ofNullable(row.getString("came_from"))
                                        .map(from -> CameFrom.valueOf(from).mark())
                                        .orElse(row.getString("remedy").toLowerCase(java.util.Locale.ROOT)),
                        Optional.empty(),
                        row.getLong("job_id"),
                        Sql.instant(row, "at")))
                .list();
        return java.util.stream.Stream.concat(altered.stream(), mended.stream()).toList();
    }
}
