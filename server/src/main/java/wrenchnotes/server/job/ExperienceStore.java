package wrenchnotes.server.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What was decided and observed on units of a revision, for whoever stands there next. */
@Component
class ExperienceStore {

    private static final String OF_REVISION = """
            FROM entry JOIN job ON job.id = entry.job_id
            WHERE job.revision_id = :revision AND entry.kind = '%s'
            """;

    private static final String STANDS = "NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id)";

    private final JdbcClient jdbc;

    ExperienceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param times it was chosen; @param regretted how often it was taken back after; @param why the last reason that was given */
    public record Chosen(String choice, int times, int regretted, String why) {}

    /** @param times somebody stood there */
    public record Fork(String fork, int times, List<Chosen> choices) {}

    /** @param found what a good unit did, the last time that it was tried */
    public record GoodOne(String what, String found, String condition) {}

    /** @param except the job that asks */
    List<Fork> forks(long revision, long except) {
        Map<String, List<Chosen>> choices = new LinkedHashMap<>();
        jdbc.sql("SELECT entry.said ->> 'fork' AS fork, entry.said ->> 'choice' AS choice, COUNT(*) AS times, SUM(NOT "
                        + STANDS + ") AS regretted, MAX(entry.id) AS last, entry.said ->> 'why' AS why "
                        + OF_REVISION.formatted("DECIDED")
                        + "AND entry.job_id <> :except "
                        + "GROUP BY LOWER(entry.said ->> 'fork'), LOWER(entry.said ->> 'choice') "
                        + "ORDER BY times DESC, last DESC LIMIT 60")
                .param("revision", revision)
                .param("except", except)
                .query(row -> {
                    choices.computeIfAbsent(
                                    row.getString("fork").toLowerCase(java.util.Locale.ROOT), fork -> new ArrayList<>())
                            .add(new Chosen(
                                    row.getString("choice"),
                                    row.getInt("times"),
                                    row.getInt("regretted"),
                                    row.getString("why") == null ? "" : row.getString("why")));
                });
        return choices.entrySet().stream()
                .map(entry -> new Fork(
                        entry.getKey(),
                        entry.getValue().stream().mapToInt(Chosen::times).sum(),
                        entry.getValue()))
                .toList();
    }

    List<GoodOne> good(long revision) {
        return jdbc.sql("SELECT entry.said ->> 'what' AS what, entry.said ->> 'found' AS found, "
                        + "COALESCE(entry.said ->> 'condition', '') AS condition, MAX(entry.id) AS last "
                        + OF_REVISION.formatted("OBSERVED")
                        + "AND entry.said ->> 'good' = 1 AND " + STANDS
                        + " GROUP BY LOWER(entry.said ->> 'what') ORDER BY last DESC LIMIT 40")
                .param("revision", revision)
                .query((row, n) ->
                        new GoodOne(row.getString("what"), row.getString("found"), row.getString("condition")))
                .list();
    }

    boolean hasFinding(long job, long finding) {
        return jdbc.sql(
                        "SELECT EXISTS (SELECT 1 FROM finding WHERE id = :finding AND job_id = :job AND struck_at IS NULL)")
                .param("finding", finding)
                .param("job", job)
                .query(Boolean.class)
                .single();
    }
}
