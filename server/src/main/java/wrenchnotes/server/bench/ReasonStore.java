package wrenchnotes.server.bench;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Reasons that were given at the benches, so that they need not be typed again. */
@Component
class ReasonStore {

    /** Of so many of the last ones; what was said longer ago is hardly said again. */
    private static final int LATEST = 400;

    private static final int OFFERED = 6;

    private final JdbcClient jdbc;

    ReasonStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What a reason is given for. */
    enum For {
        SKIP("SELECT reason AS words FROM skip ORDER BY id DESC"),
        LIVE(
                "SELECT said ->> 'why' AS words FROM entry WHERE kind = 'POWER' AND said ->> 'power' = 'LIVE' ORDER BY id DESC"),
        CLOSE_FOR_NOW("SELECT for_now AS words FROM closing WHERE for_now IS NOT NULL ORDER BY id DESC"),
        LEFT_OUT(
                "SELECT reason AS words FROM ledger_entry WHERE to_account = 'LEFT_OUT' AND reason <> '' ORDER BY id DESC");

        private final String latest;

        For(String latest) {
            this.latest = latest;
        }
    }

    /** The most frequent first. */
    List<String> offered(For what) {
        return jdbc.sql("""
                        SELECT words FROM (%s LIMIT %d)
                        WHERE words <> ''
                        GROUP BY words
                        ORDER BY COUNT(*) DESC, words
                        LIMIT %d
                        """.formatted(what.latest, LATEST, OFFERED))
                .query(String.class)
                .list();
    }
}
