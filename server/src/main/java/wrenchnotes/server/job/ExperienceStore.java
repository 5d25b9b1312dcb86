package wrenchnotes.server.job;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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

    /** What was decided longer ago says little of what one does today. */
    private static final int LAST_TAKEN = 500;

    private final JdbcClient jdbc;

    ExperienceStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param times it was chosen; @param regretted how often it was taken back after; @param why the last reason that was given */
    public record Chosen(String choice, int times, int regretted, String why) {}

    /**
     * @param times somebody stood there
     * @param after ids of the steps that were open last when somebody stood there; empty for before any
     * @param here what was chosen on the job that asks
     */
    public record Fork(String fork, int times, List<Chosen> choices, List<String> after, Optional<String> here) {}

    /** @param found what a good unit did, the last time that it was tried */
    public record GoodOne(String what, String found, String condition) {}

    private record Taken(long job, String fork, String choice, String why, Optional<String> after, boolean back) {

        private String at() {
            return fork.toLowerCase(Locale.ROOT);
        }
    }

    /** What was decided on units of a revision, the likeliest fork first. @param asks the job that asks */
    List<Fork> forks(long revision, long asks) {
        List<Taken> all = jdbc.sql(
                        "SELECT entry.job_id, entry.said ->> 'fork' AS fork, entry.said ->> 'choice' AS choice, "
                                + "COALESCE(entry.said ->> 'why', '') AS why, entry.said ->> 'after' AS after, NOT "
                                + STANDS
                                + " AS back "
                                + OF_REVISION.formatted("DECIDED")
                                + "ORDER BY entry.id DESC LIMIT " + LAST_TAKEN)
                .param("revision", revision)
                .query((row, n) -> new Taken(
                        row.getLong("job_id"),
                        row.getString("fork"),
                        row.getString("choice"),
                        row.getString("why"),
                        Optional.ofNullable(row.getString("after")),
                        row.getBoolean("back")))
                .list();
        return all.stream()
                .collect(Collectors.groupingBy(Taken::at, LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .map(one -> fork(one.getKey(), one.getValue(), asks))
                .filter(fork -> fork.times() > 0)
                .sorted(Comparator.comparing(Fork::times).reversed())
                .toList();
    }

    private static Fork fork(String name, List<Taken> its, long asks) {
        List<Taken> others = its.stream().filter(one -> one.job() != asks).toList();
        Map<String, List<Taken>> byChoice = others.stream()
                .collect(Collectors.groupingBy(
                        one -> one.choice().toLowerCase(Locale.ROOT), LinkedHashMap::new, Collectors.toList()));
        return new Fork(
                name,
                others.size(),
                byChoice.values().stream()
                        .map(same -> new Chosen(
                                same.get(0).choice(),
                                same.size(),
                                (int) same.stream().filter(Taken::back).count(),
                                same.get(0).why()))
                        .sorted(Comparator.comparing(Chosen::times).reversed())
                        .toList(),
                others.stream().map(one -> one.after().orElse("")).distinct().toList(),
                its.stream()
                        .filter(one -> one.job() == asks && !one.back())
                        .map(Taken::choice)
                        .findFirst());
    }

    /** The step that was opened last and is open. */
    Optional<String> openLast(long job) {
        return jdbc.sql("""
                        SELECT step FROM step_entry AS opened
                        WHERE job_id = :job AND direction = 'IN'
                          AND NOT EXISTS (SELECT 1 FROM step_entry AS closed
                                          WHERE closed.job_id = :job AND closed.step = opened.step AND closed.direction = 'OUT'
                                            AND closed.id > opened.id)
                        ORDER BY id DESC LIMIT 1
                        """).param("job", job).query(String.class).optional();
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
