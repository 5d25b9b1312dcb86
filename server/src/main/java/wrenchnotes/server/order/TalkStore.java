package wrenchnotes.server.order;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Sql;

/** How far each order has got with the address of its supplier. */
@Component
public class TalkStore {

    private static final String TALK = """
            SELECT part_order.id, supplier_id, asked_at, handed_at, heard, trouble, cannot, person.id AS person, person.name AS by
            FROM part_order JOIN person ON person.id = part_order.by
            """;

    private final JdbcClient jdbc;

    TalkStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param person who ordered: what the supplier answers is written down in that name
     * @param handedAt when the supplier's address took it; empty while it did not
     * @param heard the number of the last answer that was read; 0 before the first
     * @param trouble what came of the last try; empty if it went well
     */
    public record Talk(
            long order,
            long supplier,
            long person,
            String by,
            Optional<Instant> handedAt,
            long heard,
            String trouble) {}

    /** Those that somebody asked to hand over, and of which something is still to come. */
    public List<Talk> going() {
        return jdbc.sql(TALK + """
                        WHERE asked_at IS NOT NULL
                          AND EXISTS (SELECT 1 FROM order_line WHERE order_id = part_order.id AND open = 1)
                        ORDER BY part_order.id
                        """)
                .query((row, n) -> new Talk(
                        row.getLong("id"),
                        row.getLong("supplier_id"),
                        row.getLong("person"),
                        row.getString("by"),
                        Sql.when(row, "handed_at"),
                        row.getLong("heard"),
                        row.getString("trouble")))
                .list();
    }

    /** @param asked whether somebody asked to hand it over @param cannot what the supplier cannot send, and why */
    record TalkSeen(boolean asked, Optional<Instant> handedAt, String trouble, String cannot) {}

    Map<Long, TalkSeen> of(Collection<Long> orders) {
        return orders.isEmpty()
                ? Map.of()
                : jdbc
                        .sql(TALK + "WHERE part_order.id IN (:orders)")
                        .param("orders", orders)
                        .query((row, n) -> Map.entry(
                                row.getLong("id"),
                                new TalkSeen(
                                        Sql.when(row, "asked_at").isPresent(),
                                        Sql.when(row, "handed_at"),
                                        row.getString("trouble"),
                                        row.getString("cannot"))))
                        .stream()
                        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    public void ask(By by, long order) {
        jdbc.sql("UPDATE part_order SET asked_at = :at, trouble = '' WHERE id = :order")
                .param("at", by.at().toEpochMilli())
                .param("order", order)
                .update();
    }

    public void handed(long order, Instant at) {
        jdbc.sql("UPDATE part_order SET handed_at = :at, trouble = '' WHERE id = :order")
                .param("at", at.toEpochMilli())
                .param("order", order)
                .update();
    }

    public void heard(long order, long answer) {
        jdbc.sql("UPDATE part_order SET heard = :answer WHERE id = :order")
                .param("answer", answer)
                .param("order", order)
                .update();
    }

    public void cannot(long order, String words) {
        jdbc.sql(
                        "UPDATE part_order SET cannot = CASE cannot WHEN '' THEN :words ELSE cannot || '; ' || :words END WHERE id = :order")
                .param("words", words)
                .param("order", order)
                .update();
    }

    public void trouble(long order, String words) {
        jdbc.sql("UPDATE part_order SET trouble = :words WHERE id = :order")
                .param("words", words)
                .param("order", order)
                .update();
    }
}
