package wrenchnotes.server.order;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Orders, their lines, and what happened to each. */
@Component
public class OrderStore {

    private static final String LINE = """
            SELECT order_line.id, order_id, part_id, part.name, part.drawer, part.place, part.supplier_number, part.pack,
                   order_line.count, order_line.each_minor, order_line.job_id, unit.tag, component.name AS component, hold_id,
                   order_line.why, order_line.at, part_order.supplier_id, served, proposed,
                   (SELECT found.name || ', ' || wrong
                    FROM finding JOIN fault ON fault.id = fault_id JOIN component AS found ON found.id = finding.component_id
                    WHERE finding.id = order_line.finding_id) AS finding
            FROM order_line
            JOIN part ON part.id = part_id
            LEFT JOIN component ON component.id = order_line.component_id
            LEFT JOIN part_order ON part_order.id = order_id
            LEFT JOIN job ON job.id = order_line.job_id
            LEFT JOIN unit ON unit.id = job.unit_id
            """;

    /** More is on order in no shop; who wants more than that orders first. */
    private static final int MOST_OPEN = 400;

    private final JdbcClient jdbc;

    OrderStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param drawer where it belongs, with its place there
     * @param component that it is for
     * @param finding that it is for, in words
     * @param proposed whether the shop's own figures proposed it
     * @param hold the wait that it ends
     */
    public record LineRow(
            long id,
            Optional<Long> order,
            long part,
            String name,
            String drawer,
            String place,
            String number,
            int pack,
            int count,
            long eachMinor,
            Optional<Long> job,
            Optional<String> tag,
            Optional<String> component,
            Optional<String> finding,
            boolean proposed,
            Optional<Long> hold,
            String why,
            Instant at,
            Optional<Long> supplier,
            int served) {}

    public record OrderRow(long id, long supplier, String words, long freightMinor, Instant at) {}

    /** What is still to come of, the oldest first. */
    List<LineRow> open() {
        return jdbc.sql(LINE + "WHERE order_line.open = 1 ORDER BY order_line.id LIMIT " + MOST_OPEN)
                .query((row, n) -> line(row))
                .list();
    }

    List<LineRow> openOf(long part) {
        return jdbc.sql(LINE + "WHERE order_line.open = 1 AND order_line.part_id = :part ORDER BY order_line.id")
                .param("part", part)
                .query((row, n) -> line(row))
                .list();
    }

    Optional<Long> lastSupplier(long part) {
        return jdbc.sql("""
                        SELECT supplier_id
                        FROM order_line JOIN part_order ON part_order.id = order_id
                        WHERE part_id = :part
                        ORDER BY order_line.id DESC LIMIT 1
                        """).param("part", part).query(Long.class).optional();
    }

    public List<LineRow> ofOrders(Collection<Long> orders) {
        return orders.isEmpty()
                ? List.of()
                : jdbc.sql(LINE + "WHERE order_id IN (:orders) ORDER BY order_line.id")
                        .param("orders", orders)
                        .query((row, n) -> line(row))
                        .list();
    }

    List<LineRow> ofJob(long job) {
        return jdbc.sql(LINE + "WHERE order_line.job_id = :job ORDER BY order_line.id")
                .param("job", job)
                .query((row, n) -> line(row))
                .list();
    }

    /** Lines of jobs that are still here and wait for more of a part, the oldest first. */
    List<LineRow> waiting(long part) {
        return jdbc.sql(LINE + """
                        WHERE order_line.part_id = :part AND order_line.job_id IS NOT NULL AND served < order_line.count
                          AND job.handed_over_at IS NULL
                        ORDER BY order_line.id
                        """)
                .param("part", part)
                .query((row, n) -> line(row))
                .list();
    }

    /** The wait that it ends. */
    void waits(long line, long hold) {
        jdbc.sql("UPDATE order_line SET hold_id = :hold WHERE id = :line")
                .param("hold", hold)
                .param("line", line)
                .update();
    }

    void served(long line, int more) {
        jdbc.sql("UPDATE order_line SET served = served + :more WHERE id = :line")
                .param("more", more)
                .param("line", line)
                .update();
    }

    LineRow line(long id) {
        return jdbc.sql(LINE + "WHERE order_line.id = :id")
                .param("id", id)
                .query((row, n) -> line(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no order line " + id));
    }

    /** The last ones, the newest first. */
    List<OrderRow> last(int most) {
        return jdbc.sql("SELECT id, supplier_id, words, freight_minor, at FROM part_order ORDER BY id DESC LIMIT :most")
                .param("most", most)
                .query((row, n) -> order(row))
                .list();
    }

    public OrderRow order(long id) {
        return jdbc.sql("SELECT id, supplier_id, words, freight_minor, at FROM part_order WHERE id = :id")
                .param("id", id)
                .query((row, n) -> order(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no order " + id));
    }

    long wanted(By by, OrderService.Wanted wanted, long eachMinor) {
        return Sql.inserted(jdbc.sql("""
                        INSERT INTO order_line (part_id, count, each_minor, job_id, component_id, finding_id, proposed, why, at, by)
                        VALUES (:part, :count, :each, :job, :component, :finding, :proposed, :why, :at, :by)
                        """)
                .param("part", wanted.part())
                .param("count", wanted.count())
                .param("each", eachMinor)
                .param("job", wanted.job().orElse(null))
                .param("component", wanted.component().orElse(null))
                .param("finding", wanted.finding().orElse(null))
                .param("proposed", wanted.proposed())
                .param("why", wanted.why().strip())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }

    boolean isComponent(long id) {
        return jdbc.sql("SELECT COUNT(*) FROM component WHERE id = :id")
                        .param("id", id)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    boolean isOfJob(long finding, Optional<Long> job) {
        return jdbc.sql("SELECT COUNT(*) FROM finding WHERE id = :finding AND job_id = :job")
                        .param("finding", finding)
                        .param("job", job.orElse(null))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    long order(By by, long supplier, String words) {
        return Sql.inserted(
                jdbc.sql("INSERT INTO part_order (supplier_id, words, at, by) VALUES (:supplier, :words, :at, :by)")
                        .param("supplier", supplier)
                        .param("words", words)
                        .param("at", by.at().toEpochMilli())
                        .param("by", by.person()));
    }

    void gather(long order, Collection<Long> lines) {
        jdbc.sql("UPDATE order_line SET order_id = :order WHERE id IN (:lines)")
                .param("order", order)
                .param("lines", lines)
                .update();
    }

    void freight(long order, long minor) {
        jdbc.sql("UPDATE part_order SET freight_minor = :minor WHERE id = :order")
                .param("minor", minor)
                .param("order", order)
                .update();
    }

    private static LineRow line(ResultSet row) throws SQLException {
        return new LineRow(
                row.getLong("id"),
                Sql.id(row, "order_id"),
                row.getLong("part_id"),
                row.getString("name"),
                row.getString("drawer"),
                row.getString("place"),
                row.getString("supplier_number"),
                row.getInt("pack"),
                row.getInt("count"),
                row.getLong("each_minor"),
                Sql.id(row, "job_id"),
                Sql.id(row, "tag").map(tag -> Tag.of(tag.intValue()).text()),
                Optional.ofNullable(row.getString("component")),
                Optional.ofNullable(row.getString("finding")),
                row.getBoolean("proposed"),
                Sql.id(row, "hold_id"),
                row.getString("why"),
                Sql.instant(row, "at"),
                Sql.id(row, "supplier_id"),
                row.getInt("served"));
    }

    private static OrderRow order(ResultSet row) throws SQLException {
        return new OrderRow(
                row.getLong("id"),
                row.getLong("supplier_id"),
                row.getString("words"),
                row.getLong("freight_minor"),
                Sql.instant(row, "at"));
    }
}
