package wrenchnotes.server.diagnosis;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;

/** What faults looked like. */
@Component
class FindingPhotoStore {

    private final JdbcClient jdbc;

    FindingPhotoStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The same picture of a finding is kept once. */
    void add(By by, long finding, String hash) {
        jdbc.sql("""
                        INSERT INTO finding_photo (finding_id, fault_id, hash, at, by)
                        SELECT id, fault_id, :hash, :at, :by FROM finding WHERE id = :finding
                        ON CONFLICT (finding_id, hash) DO NOTHING
                        """)
                .param("finding", finding)
                .param("hash", hash)
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    /** By fault, the hash of the last picture of it; what was struck shows nothing. */
    Map<Long, String> last(Collection<Long> faults) {
        Map<Long, String> last = new HashMap<>();
        if (faults.isEmpty()) {
            return last;
        }
        jdbc.sql("""
                        SELECT finding_photo.fault_id, hash
                        FROM finding_photo CROSS JOIN finding ON finding.id = finding_id
                        WHERE finding_photo.fault_id IN (:faults) AND struck_at IS NULL
                        ORDER BY finding_id, finding_photo.at
                        """).param("faults", faults).query(row -> {
            last.put(row.getLong("fault_id"), row.getString("hash"));
        });
        return last;
    }
}
