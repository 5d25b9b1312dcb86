package wrenchnotes.server.journal;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.DoorKind;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.job.EntryStore;
import wrenchnotes.server.job.StoryStore;

/** The journal of the whole shop and what happened at its door, one list, newest first. */
@Component
class JournalStore {

    private static final String WRITTEN = """
            SELECT journal.id, journal.at, person.name AS by, journal.job_id, unit.tag, journal.subject, journal.subject_id,
                   TRIM(journal.words || ' ' || COALESCE(journal_private.words, '')) AS words, api_token.name AS token
            FROM journal
            JOIN person ON person.id = journal.by
            LEFT JOIN journal_private ON journal_id = journal.id
            LEFT JOIN job ON job.id = journal.job_id
            LEFT JOIN unit ON unit.id = job.unit_id
            LEFT JOIN api_token ON api_token.id = journal.token_id
            WHERE journal.at >= :from AND journal.at < :until
              AND (:person IS NULL OR journal.by = :person)
              AND (:kind IS NULL OR journal.subject = :kind)
              %s
            ORDER BY journal.at DESC, journal.id DESC
            LIMIT :most
            """;

    private static final String AT_THE_DOOR = """
            SELECT door_line.id, door_line.at, COALESCE(person.name, '') AS by, kind, address, words
            FROM door_line LEFT JOIN person ON person.id = person_id
            WHERE door_line.at >= :from AND door_line.at < :until
              AND (:person IS NULL OR person_id = :person)
            ORDER BY door_line.at DESC, door_line.id DESC
            LIMIT :most
            """;

    private static final String OF_TAG =
            "(SELECT job.id FROM unit JOIN job ON job.unit_id = unit.id WHERE unit.tag = :tag)";

    /** What happened at the door, among the kinds of lines. */
    static final String DOOR = "door";

    private final JdbcClient jdbc;
    private final StoryStore stories;
    private final EntryStore entries;

    JournalStore(JdbcClient jdbc, StoryStore stories, EntryStore entries) {
        this.jdbc = jdbc;
        this.stories = stories;
        this.entries = entries;
    }

    /**
     * Which lines are asked for.
     *
     * @param until before then
     * @param kind what they are about, as the journal calls it; {@link #DOOR} for what happened at the door
     */
    record Asked(
            Instant from,
            Instant until,
            Optional<Long> person,
            Optional<Long> job,
            Optional<Integer> tag,
            Optional<String> kind) {

        boolean ofAUnit() {
            return job.isPresent() || tag.isPresent();
        }
    }

    /**
     * @param by who; empty if nobody is known
     * @param kind what it is about: {@code door} for what happened at the door
     * @param token the script that wrote it
     * @param address where from, of what happened at the door
     */
    public record JournalLine(
            Instant at,
            String by,
            String kind,
            String words,
            Optional<Long> job,
            Optional<String> tag,
            Optional<String> token,
            Optional<String> address) {

        private JournalLine saying(String others) {
            return new JournalLine(at, by, kind, others, job, tag, token, address);
        }
    }

    /** The newest of those asked for, at most so many of each sort. */
    List<JournalLine> lines(Asked asked, ZoneId zone, int most) {
        List<JournalLine> lines = new ArrayList<>();
        boolean doorOnly = asked.kind().filter(DOOR::equals).isPresent();
        if (!doorOnly) {
            lines.addAll(written(asked, zone, most));
        }
        if (!asked.ofAUnit() && (doorOnly || asked.kind().isEmpty())) {
            lines.addAll(query(AT_THE_DOOR, asked, most)
                    .query((row, n) -> atTheDoor(row))
                    .list());
        }
        return lines.stream()
                .sorted(Comparator.comparing(JournalLine::at).reversed())
                .limit(most)
                .toList();
    }

    private List<JournalLine> written(Asked asked, ZoneId zone, int most) {
        String ofUnit = (asked.job().isPresent() ? " AND journal.job_id = :job" : "")
                + (asked.tag().isPresent() ? " AND journal.job_id IN " + OF_TAG : "");
        JdbcClient.StatementSpec query = query(WRITTEN.formatted(ofUnit), asked, most)
                .param("kind", asked.kind().orElse(null));
        if (asked.job().isPresent()) {
            query = query.param("job", asked.job().get());
        }
        if (asked.tag().isPresent()) {
            query = query.param("tag", asked.tag().get());
        }
        List<JournalLine> lines = query.query((row, n) -> written(row, zone)).list();
        List<String> words =
                stories.naming(lines.stream().map(JournalLine::words).toList());
        return IntStream.range(0, lines.size())
                .mapToObj(at -> lines.get(at).saying(words.get(at)))
                .toList();
    }

    private JdbcClient.StatementSpec query(String sql, Asked asked, int most) {
        return jdbc.sql(sql)
                .param("from", asked.from().toEpochMilli())
                .param("until", asked.until().toEpochMilli())
                .param("person", asked.person().orElse(null))
                .param("most", most);
    }

    private JournalLine written(ResultSet row, ZoneId zone) throws SQLException {
        String subject = row.getString("subject");
        // What was said of a job stands with the job; the journal has that it was said.
        String words = subject.equals("entry")
                ? entries.entry(row.getLong("subject_id")).entry().words(zone)
                : row.getString("words");
        Optional<Long> job = Sql.id(row, "job_id");
        return new JournalLine(
                Sql.instant(row, "at"),
                row.getString("by"),
                subject,
                words,
                job,
                job.isPresent() ? Optional.of(Tag.of(row.getInt("tag")).text()) : Optional.empty(),
                Optional.ofNullable(row.getString("token")),
                Optional.empty());
    }

    private static JournalLine atTheDoor(ResultSet row) throws SQLException {
        DoorKind kind = DoorKind.valueOf(row.getString("kind"));
        String who = row.getString("by").isEmpty() ? "Somebody" : row.getString("by");
        String about = row.getString("words");
        return new JournalLine(
                Sql.instant(row, "at"),
                row.getString("by"),
                DOOR,
                who + " " + kind.words() + (about.isEmpty() ? "" : ": " + about),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(row.getString("address")));
    }
}
