package wrenchnotes.server.drawer;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.drawer.need.Advice;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Sql;

/** What happened to one part, movement by movement. */
@Component
class PartHistoryStore {

    private final JdbcClient jdbc;

    PartHistoryStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record Moved(Instant at, int count, PartAccount from, PartAccount to) {

        int into(PartAccount account) {
            return to == account ? count : from == account ? -count : 0;
        }

        /** Into a job, or back out of it. */
        int used() {
            return from.onJob() == to.onJob() ? 0 : to.onJob() ? count : -count;
        }
    }

    /** @param since its first movement; empty lists if there is none */
    record Told(List<PartSheet.LevelAt> levels, List<Advice.Used> used, Instant since) {}

    Told of(long part, Instant now) {
        List<Moved> moved = jdbc.sql(
                        "SELECT at, count, from_account, to_account FROM part_movement WHERE part_id = :part ORDER BY id")
                .param("part", part)
                .query((row, n) -> new Moved(
                        Sql.instant(row, "at"),
                        row.getInt("count"),
                        PartAccount.valueOf(row.getString("from_account")),
                        PartAccount.valueOf(row.getString("to_account"))))
                .list();
        List<PartSheet.LevelAt> levels = new ArrayList<>();
        List<Advice.Used> used = new ArrayList<>();
        int level = 0;
        for (Moved one : moved) {
            int into = one.into(PartAccount.DRAWER);
            if (into != 0) {
                level += into;
                levels.add(new PartSheet.LevelAt(one.at(), level));
            }
            if (one.used() != 0) {
                used.add(new Advice.Used(one.at(), one.used()));
            }
        }
        return new Told(levels, used, moved.isEmpty() ? now : moved.get(0).at());
    }

    /** Whom some of a part are set aside for. */
    List<PartSheet.Promised> promised(long part) {
        return jdbc.sql("""
                        SELECT job.id, unit.tag, SUM(CASE WHEN to_account = 'SHELF' THEN count ELSE -count END) AS aside
                        FROM part_movement JOIN job ON job.id = job_id JOIN unit ON unit.id = job.unit_id
                        WHERE part_id = :part AND 'SHELF' IN (from_account, to_account)
                        GROUP BY job.id
                        HAVING aside > 0
                        ORDER BY job.id
                        """)
                .param("part", part)
                .query((row, n) -> new PartSheet.Promised(
                        row.getLong("id"), Tag.of(row.getInt("tag")).text(), row.getInt("aside")))
                .list();
    }
}
