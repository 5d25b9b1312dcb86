package wrenchnotes.server.drawer;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.kind.PartKind;

/** All drawers at once, in sums: what is in each is not read. */
@Component
class WallStore {

    private final JdbcClient jdbc;

    WallStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * The parts of one kind that belong in a drawer.
     *
     * @param kind empty for those of which nobody has said what they are
     * @param low how many of them are out, or at their least
     * @param promised how many pieces are set aside for jobs
     */
    record KindIn(String drawer, Optional<PartKind> kind, int parts, int low, int promised) {}

    List<KindIn> kinds() {
        return jdbc.sql("""
                        SELECT drawer, kind, COUNT(*) AS parts, COALESCE(SUM(aside.count), 0) AS promised,
                               SUM(gone = 0 AND COALESCE(lies.count, 0) <= COALESCE(minimum, 0)) AS low
                        FROM part
                        LEFT JOIN part_balance AS lies ON lies.part_id = part.id AND lies.account = 'DRAWER'
                        LEFT JOIN part_balance AS aside ON aside.part_id = part.id AND aside.account = 'SHELF'
                        GROUP BY drawer, kind
                        """)
                .query((row, n) -> new KindIn(
                        row.getString("drawer"),
                        Optional.ofNullable(row.getString("kind")).map(PartKind::valueOf),
                        row.getInt("parts"),
                        row.getInt("low"),
                        row.getInt("promised")))
                .list();
    }
}
