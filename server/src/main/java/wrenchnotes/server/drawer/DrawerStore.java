package wrenchnotes.server.drawer;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Parts and every change of their count. */
@Component
public class DrawerStore {

    private static final String PART = "SELECT id, drawer, name, what, count, each_minor, version FROM part ";

    private final JdbcClient jdbc;

    DrawerStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param eachMinor cost of one, in the shop's currency's minor units */
    public record Part(long id, String drawer, String name, String what, int count, long eachMinor, long version) {}

    /** One change of a part's count and why. */
    record Change(long part, int change, String why, Long job, Long finding) {}

    public List<Part> parts() {
        return jdbc.sql(PART + "ORDER BY drawer, name")
                .query((row, n) -> part(row))
                .list();
    }

    /** @throws NotFound if there is none */
    public Part part(long id) {
        return jdbc.sql(PART + "WHERE id = :id")
                .param("id", id)
                .query((row, n) -> part(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no part " + id));
    }

    Optional<Long> idOf(String drawer, String name) {
        return jdbc.sql("SELECT id FROM part WHERE drawer = :drawer AND name = :name")
                .param("drawer", drawer)
                .param("name", name)
                .query(Long.class)
                .optional();
    }

    Stock stock(Part part) {
        return new Stock(part.name(), part.count(), part.eachMinor());
    }

    long add(String drawer, String name, String what, long eachMinor) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO part (drawer, name, what, count, each_minor)
                                VALUES (:drawer, :name, :what, 0, :each)
                                """)
                .param("drawer", drawer)
                .param("name", name)
                .param("what", what)
                .param("each", eachMinor));
    }

    void change(long id, String drawer, String name, String what, long eachMinor) {
        jdbc.sql("""
                        UPDATE part
                        SET drawer = :drawer, name = :name, what = :what, each_minor = :each, version = version + 1
                        WHERE id = :id
                        """)
                .param("id", id)
                .param("drawer", drawer)
                .param("name", name)
                .param("what", what)
                .param("each", eachMinor)
                .update();
    }

    void setCount(By by, Stock after, Change change) {
        jdbc.sql("UPDATE part SET count = :count WHERE id = :id")
                .param("count", after.count())
                .param("id", change.part())
                .update();
        jdbc.sql("""
                        INSERT INTO stock_entry (part_id, change, why, job_id, finding_id, at, by)
                        VALUES (:part, :change, :why, :job, :finding, :at, :by)
                        """)
                .param("part", change.part())
                .param("change", change.change())
                .param("why", change.why())
                .param("job", change.job())
                .param("finding", change.finding())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    private static Part part(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Part(
                row.getLong("id"),
                row.getString("drawer"),
                row.getString("name"),
                row.getString("what"),
                row.getInt("count"),
                row.getLong("each_minor"),
                row.getLong("version"));
    }
}
