package wrenchnotes.server.diagnosis;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.FirstIn;
import wrenchnotes.core.drawer.PartAccount;

/** Whose parts went into units: of each part that a supplier is known to have sent, by its movements. */
@Component
class WhosePartsStore {

    private static final String MOVED = """
            SELECT part_id, count, from_account, to_account, finding_id, supplier_id
            FROM part_movement
            WHERE part_id IN (SELECT part_id FROM part_movement WHERE supplier_id IS NOT NULL) AND %s
            ORDER BY part_id, at, id
            """;

    private static final String OF_JOBS_SINCE = """
            part_id IN (SELECT part_id FROM part_movement
                        WHERE job_id IN (SELECT id FROM job WHERE handed_over_moment > :after))
            """;

    private final JdbcClient jdbc;

    WhosePartsStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** By finding, the supplier whose part went in, as far as that is known. @param after only parts of jobs that were closed after this moment; 0 for all */
    Map<Long, Long> of(long after) {
        Map<Long, Long> whose = new HashMap<>();
        Map<Long, FirstIn<Long>> drawers = new HashMap<>();
        (after == 0
                        ? jdbc.sql(MOVED.formatted("TRUE"))
                        : jdbc.sql(MOVED.formatted(OF_JOBS_SINCE)).param("after", after))
                .query(row -> {
                    FirstIn<Long> drawer = drawers.computeIfAbsent(row.getLong(1), part -> new FirstIn<>());
                    int count = row.getInt(2);
                    boolean out = kept(row.getString(3));
                    if (out == kept(row.getString(4))) {
                        return;
                    }
                    long finding = row.getLong(5);
                    long supplier = row.getLong(6);
                    if (out) {
                        drawer.out(count, finding)
                                .filter(from -> finding > 0)
                                .ifPresent(from -> whose.put(finding, from));
                    } else if (finding > 0) {
                        drawer.back(count, finding);
                        whose.remove(finding);
                    } else {
                        drawer.in(supplier > 0 ? Optional.of(supplier) : Optional.empty(), count);
                    }
                });
        return whose;
    }

    /** What is set aside for a job has not left its drawer yet. */
    private static boolean kept(String account) {
        return account.equals(PartAccount.DRAWER.name()) || account.equals(PartAccount.SHELF.name());
    }
}
