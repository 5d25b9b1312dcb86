package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;

/** The shop's words for what is wrong, and which count as another. What was said of a unit is never changed by it. */
@Component
class WrongWordStore {

    private final JdbcClient jdbc;

    WrongWordStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param word in lower case; @param said of how many components; @param means the word that it counts as */
    public record WrongWord(String word, int said, Optional<String> means) {}

    /** Most used first. */
    List<WrongWord> words() {
        return jdbc.sql("""
                        SELECT LOWER(wrong) AS word, COUNT(*) AS said, means
                        FROM fault LEFT JOIN wrong_word ON wrong_word.said = LOWER(wrong)
                        GROUP BY LOWER(wrong)
                        ORDER BY said DESC, word
                        """)
                .query((row, n) -> new WrongWord(
                        row.getString("word"), row.getInt("said"), Optional.ofNullable(row.getString("means"))))
                .list();
    }

    /** What counted as the word counts as the other one too. */
    void merge(By by, String word, String into) {
        jdbc.sql("UPDATE wrong_word SET means = :into WHERE means = :word")
                .param("word", word)
                .param("into", into)
                .update();
        jdbc.sql("""
                        INSERT INTO wrong_word (said, means, at, by) VALUES (:word, :into, :at, :by)
                        ON CONFLICT (said) DO UPDATE SET means = :into, at = :at, by = :by
                        """)
                .param("word", word)
                .param("into", into)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    void split(String word) {
        jdbc.sql("DELETE FROM wrong_word WHERE said = :word")
                .param("word", word)
                .update();
    }
}
