package wrenchnotes.server.order;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.order.OrderEvent;
import wrenchnotes.core.drawer.order.Takes;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** What happened to the lines of orders, and how long they took. */
@Component
class HappenedStore {

    private final JdbcClient jdbc;

    HappenedStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Of each line, in their order. */
    Map<Long, List<OrderEvent>> events(Collection<Long> lines) {
        Map<Long, List<OrderEvent>> events = new HashMap<>();
        if (!lines.isEmpty()) {
            jdbc.sql("SELECT line_id, what, count, day, at FROM order_event WHERE line_id IN (:lines) ORDER BY id")
                    .param("lines", lines)
                    .query(row -> {
                        events.computeIfAbsent(row.getLong("line_id"), id -> new ArrayList<>())
                                .add(new OrderEvent(
                                        OrderEvent.OrderHappening.valueOf(row.getString("what")),
                                        row.getInt("count"),
                                        Optional.ofNullable(row.getString("day"))
                                                .map(LocalDate::parse),
                                        Sql.instant(row, "at")));
                    });
        }
        return events;
    }

    void event(By by, long line, OrderEvent event, String words, boolean open) {
        jdbc.sql("""
                        INSERT INTO order_event (line_id, what, count, day, words, at, by)
                        VALUES (:line, :what, :count, :day, :words, :at, :by)
                        """)
                .param("line", line)
                .param("what", event.what().name())
                .param("count", event.count())
                .param("day", event.day().map(LocalDate::toString).orElse(null))
                .param("words", words)
                .param("at", event.at().toEpochMilli())
                .param("by", by.person())
                .update();
        jdbc.sql("UPDATE order_line SET open = :open WHERE id = :line")
                .param("open", open)
                .param("line", line)
                .update();
    }

    /** How long the last lines took that came, from the order to the last of it. */
    List<Takes.Came> came() {
        return jdbc.sql("""
                        SELECT supplier_id, part_id, took
                        FROM order_line JOIN part_order ON part_order.id = order_id
                        WHERE took IS NOT NULL
                        ORDER BY order_line.id DESC
                        LIMIT 1000
                        """)
                .query((row, n) ->
                        new Takes.Came(row.getLong("supplier_id"), row.getLong("part_id"), row.getDouble("took")))
                .list();
    }

    void took(long line, double days) {
        jdbc.sql("UPDATE order_line SET took = :days WHERE id = :line")
                .param("days", days)
                .param("line", line)
                .update();
    }
}
