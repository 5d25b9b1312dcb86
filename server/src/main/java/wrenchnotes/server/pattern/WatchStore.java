package wrenchnotes.server.pattern;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.recurring.WatchSaid;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** What was said of watch points that the shop's figures proposed, and what looking found since. */
@Component
class WatchStore {

    /** The last word on what is watched. */
    public record WatchTold(
            long id,
            long revision,
            long component,
            WatchSaid word,
            String words,
            int events,
            long missMinor,
            Instant at) {}

    /** @param looked jobs in which somebody looked @param found in how many of them it was at fault */
    record LookedSince(int looked, int found) {}

    private final JdbcClient jdbc;

    WatchStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private static final String WORDS =
            "SELECT id, revision_id, component_id, word, words, events, miss_minor, at FROM watch_word AS said ";

    /** Of each thing, the last. */
    List<WatchTold> last() {
        return words(jdbc.sql(WORDS + """
                        WHERE id = (SELECT MAX(id) FROM watch_word
                                    WHERE revision_id = said.revision_id AND component_id = said.component_id)
                        ORDER BY id
                        """));
    }

    WatchTold word(long id) {
        return words(jdbc.sql(WORDS + "WHERE id = :id").param("id", id)).get(0);
    }

    private static List<WatchTold> words(JdbcClient.StatementSpec of) {
        return of.query((row, n) -> new WatchTold(
                        row.getLong("id"),
                        row.getLong("revision_id"),
                        row.getLong("component_id"),
                        WatchSaid.valueOf(row.getString("word")),
                        row.getString("words"),
                        row.getInt("events"),
                        row.getLong("miss_minor"),
                        Sql.instant(row, "at")))
                .list();
    }

    long say(By by, long revision, long component, WatchSaid word, String words, int events, long missMinor) {
        return Sql.inserted(jdbc.sql("""
                        INSERT INTO watch_word (revision_id, component_id, word, words, events, miss_minor, at, by)
                        VALUES (:revision, :component, :word, :words, :events, :miss, :at, :by)
                        """)
                .param("revision", revision)
                .param("component", component)
                .param("word", word.name())
                .param("words", words)
                .param("events", events)
                .param("miss", missMinor)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    /** On jobs of a revision that came in since: a look that said good or bad, or a finding. */
    LookedSince since(long revision, long component, Instant since) {
        return jdbc.sql("""
                        SELECT COUNT(*) AS looked, COALESCE(SUM(found), 0) AS found
                        FROM (SELECT EXISTS (SELECT 1 FROM finding
                                             WHERE job_id = job.id AND component_id = :component AND struck_at IS NULL
                                               AND finding.kind = 'FAULT') AS found,
                                     EXISTS (SELECT 1 FROM component_look
                                                WHERE job_id = job.id AND component_id = :component AND struck_at IS NULL)
                                         AS looked
                              FROM job
                              WHERE revision_id = :revision AND checked_in_at >= :since)
                        WHERE looked OR found
                        """)
                .param("revision", revision)
                .param("component", component)
                .param("since", since.toEpochMilli())
                .query((row, n) -> new LookedSince(row.getInt("looked"), row.getInt("found")))
                .single();
    }
}
