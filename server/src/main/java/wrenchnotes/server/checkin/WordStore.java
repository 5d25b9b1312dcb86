package wrenchnotes.server.checkin;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** The shop's words for what units do wrong. A merged word stays as it was said; it counts as another. */
@Component
public class WordStore {

    /**
     * @param said how many jobs it was said of, so or not so
     * @param mergedInto the word it counts as; empty if it stands for itself
     */
    public record Word(long id, String area, String name, int said, Optional<Long> mergedInto) {}

    private static final String WORD = """
            SELECT id, area, name, merged_into,
                   (SELECT COUNT(*) FROM job_symptom WHERE symptom_id = symptom.id) AS said
            FROM symptom
            """;

    private final JdbcClient jdbc;

    WordStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<Word> words() {
        return jdbc.sql(WORD + "ORDER BY area, name")
                .query((row, n) -> word(row))
                .list();
    }

    Word word(long id) {
        return jdbc.sql(WORD + "WHERE id = :id")
                .param("id", id)
                .query((row, n) -> word(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no word " + id));
    }

    private static Word word(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Word(
                row.getLong("id"),
                row.getString("area"),
                row.getString("name"),
                row.getInt("said"),
                Sql.id(row, "merged_into"));
    }

    /** What was merged into the word before follows it. */
    void merge(long word, long into) {
        jdbc.sql("UPDATE symptom SET merged_into = :into WHERE id = :word OR merged_into = :word")
                .param("word", word)
                .param("into", into)
                .update();
    }

    void split(long word) {
        jdbc.sql("UPDATE symptom SET merged_into = NULL WHERE id = :word")
                .param("word", word)
                .update();
    }
}
