package wrenchnotes.server.finder;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Sql;

/** Finds jobs by words. */
@Component
public class FinderStore {

    private static final int MOST_WORDS = 8;

    private static final String JOB = """
            SELECT job.id, unit.tag, unit.serial, model.maker || ' ' || model.name AS model, %s AS revision,
                   COALESCE(owner.name, '') AS owner, job.ownership, complaint, checked_in_at,
                   handed_over_at IS NULL AS open
            """.formatted(Sql.REVISION_SHOWN);

    private static final String JOINS = """
            JOIN unit ON unit.id = job.unit_id
            JOIN revision ON revision.id = job.revision_id
            JOIN model ON model.id = revision.model_id
            LEFT JOIN owner ON owner.id = job.owner_id
            """;

    /** Newest jobs whose words all begin so. The index is read from its end, so the size of the shop does not matter. */
    public static final String BY_WORDS = JOB + "FROM finder JOIN job ON job.id = finder.rowid\n" + JOINS
            + "WHERE finder MATCH :words ORDER BY finder.rowid DESC LIMIT :most";

    private static final String BY_TAG =
            JOB + "FROM job\n" + JOINS + "WHERE unit.tag = :tag ORDER BY job.id DESC LIMIT :most";

    private final JdbcClient jdbc;

    FinderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public record Found(
            long jobId,
            String tag,
            String serial,
            String model,
            String revision,
            String owner,
            String ownership,
            String complaint,
            Instant checkedInAt,
            boolean open) {}

    List<Found> byTag(Tag tag, int most) {
        return jdbc.sql(BY_TAG)
                .param("tag", tag.number())
                .param("most", most)
                .query((row, n) -> found(row))
                .list();
    }

    List<Found> byWords(String text, int most) {
        String words = matchOf(text);
        return words.isEmpty()
                ? List.of()
                : jdbc.sql(BY_WORDS)
                        .param("words", words)
                        .param("most", most)
                        .query((row, n) -> found(row))
                        .list();
    }

    /** Each word as the beginning of a word, quoted, so that nothing typed is read as query syntax. */
    public static String matchOf(String text) {
        return Arrays.stream(text.split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isBlank())
                .limit(MOST_WORDS)
                .map(word -> "\"" + word + "\"*")
                .collect(Collectors.joining(" "));
    }

    private static Found found(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Found(
                row.getLong("id"),
                Tag.of(row.getInt("tag")).text(),
                row.getString("serial"),
                row.getString("model"),
                row.getString("revision"),
                row.getString("owner"),
                row.getString("ownership"),
                row.getString("complaint"),
                Sql.instant(row, "checked_in_at"),
                row.getBoolean("open"));
    }
}
