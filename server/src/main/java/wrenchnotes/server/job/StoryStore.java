package wrenchnotes.server.job;

import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.job.EntryStore.EntryRow;
import wrenchnotes.server.shop.TheShop;

/** A job's story, read from the journal; a line of an entry reads as the entry does. */
@Component
public class StoryStore {

    /** The newest entries of a job; an entry whose subject was struck since says so. */
    public static final String STORY = """
            SELECT journal.id, journal.at, person.name AS by, journal.subject, journal.subject_id,
                   TRIM(journal.words || ' ' || COALESCE(journal_private.words, '')) AS words,
                   CASE journal.subject WHEN 'photo' THEN json_extract(journal.after, '$.photo') END AS photo,
                   COALESCE(finding.struck_why, check_entry.struck_why, measurement.struck_why) AS struck_why
            FROM journal
            JOIN person ON person.id = journal.by
            LEFT JOIN journal_private ON journal_id = journal.id
            LEFT JOIN finding ON journal.subject = 'finding' AND finding.id = journal.subject_id
            LEFT JOIN check_entry ON journal.subject = 'check' AND check_entry.id = journal.subject_id
            LEFT JOIN measurement ON journal.subject = 'measurement' AND measurement.id = journal.subject_id
            WHERE journal.job_id = :job
            ORDER BY journal.id DESC
            LIMIT :most
            """;

    private static final Pattern OWNER = Pattern.compile("\\{owner:(\\d+)}");

    private final JdbcClient jdbc;
    private final EntryStore entries;
    private final TheShop shop;

    StoryStore(JdbcClient jdbc, EntryStore entries, TheShop shop) {
        this.jdbc = jdbc;
        this.entries = entries;
        this.shop = shop;
    }

    /**
     * @param photo hash of a picture taken then
     * @param entry the entry that it tells, if that can be taken back
     * @param struckWhy why the entry was struck, if it was; it stays in the story
     */
    public record Line(
            long id,
            Instant at,
            String by,
            String subject,
            String words,
            Optional<String> photo,
            Optional<Long> entry,
            Optional<String> struckWhy) {

        private Line telling(EntryRow row, ZoneId zone) {
            return new Line(
                    id,
                    at,
                    by,
                    subject,
                    row.entry().words(zone),
                    row.entry().picture(),
                    row.entry().canBeTakenBack() ? Optional.of(row.id()) : Optional.empty(),
                    row.takenBack());
        }

        private Line saying(String others) {
            return new Line(id, at, by, subject, others, photo, entry, struckWhy);
        }
    }

    /** Newest first. */
    public List<Line> story(long job, int most) {
        Map<Long, Long> entryOf = new HashMap<>();
        List<Line> lines = jdbc.sql(STORY)
                .param("job", job)
                .param("most", most)
                .query((row, n) -> {
                    if (row.getString("subject").equals("entry")) {
                        entryOf.put(row.getLong("id"), row.getLong("subject_id"));
                    }
                    return new Line(
                            row.getLong("id"),
                            Sql.instant(row, "at"),
                            row.getString("by"),
                            row.getString("subject"),
                            row.getString("words"),
                            Optional.ofNullable(row.getString("photo")),
                            Optional.empty(),
                            Optional.ofNullable(row.getString("struck_why")));
                })
                .list();
        return namingOwners(entryOf.isEmpty() ? lines : telling(job, lines, entryOf));
    }

    private List<Line> telling(long job, List<Line> lines, Map<Long, Long> entryOf) {
        Map<Long, EntryRow> rows =
                entries.ofJob(job).stream().collect(Collectors.toMap(EntryRow::id, Function.identity()));
        return lines.stream()
                .map(line -> entryOf.containsKey(line.id())
                        ? line.telling(
                                rows.get(entryOf.get(line.id())), shop.now().zoneId())
                        : line)
                .toList();
    }

    private List<Line> namingOwners(List<Line> lines) {
        List<String> words = naming(lines.stream().map(Line::words).toList());
        return IntStream.range(0, lines.size())
                .mapToObj(at -> lines.get(at).saying(words.get(at)))
                .toList();
    }

    /** Sentences of the journal with the owners in them called as they are called now. */
    public List<String> naming(List<String> lines) {
        String ids = lines.stream()
                .flatMap(line -> OWNER.matcher(line).results())
                .map(found -> found.group(1))
                .distinct()
                .collect(Collectors.joining(",", "[", "]"));
        if (ids.equals("[]")) {
            return lines;
        }
        Map<String, String> names = new HashMap<>();
        jdbc.sql("SELECT id, name FROM owner WHERE id IN (SELECT value FROM json_each(:ids))")
                .param("ids", ids)
                .query(row -> {
                    names.put(row.getString("id"), row.getString("name"));
                });
        return lines.stream()
                .map(line -> OWNER.matcher(line)
                        .replaceAll(found -> Matcher.quoteReplacement(names.getOrDefault(found.group(1), "an owner"))))
                .toList();
    }
}
