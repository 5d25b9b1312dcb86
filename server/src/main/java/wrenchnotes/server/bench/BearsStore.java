package wrenchnotes.server.bench;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;

/** Which thing of a revision's notes bears which component, as somebody said. */
@Component
class BearsStore {

    private final JdbcClient jdbc;

    BearsStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param thing empty if no thing of the notes bears it */
    void say(By by, long revision, long component, Optional<String> thing) {
        jdbc.sql("""
                        INSERT INTO bears (revision_id, component_id, thing, at, by)
                        VALUES (:revision, :component, :thing, :at, :by)
                        ON CONFLICT (revision_id, component_id) DO UPDATE SET thing = :thing, at = :at, by = :by
                        """)
                .param("revision", revision)
                .param("component", component)
                .param("thing", thing.orElse(null))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
