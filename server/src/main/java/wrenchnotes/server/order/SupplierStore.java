package wrenchnotes.server.order;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Who sells parts. */
@Component
public class SupplierStore {

    private final JdbcClient jdbc;

    SupplierStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param mail where orders go by mail; empty if they do not
     * @param address where orders go as JSON over HTTP; empty if they do not
     * @param number of the shop, as the supplier knows it
     */
    public record SupplierSaid(
            @NotBlank @Size(max = 80) String name,
            @Size(max = 120) String mail,
            @Size(max = 200) String address,
            @Size(max = 60) String number) {
        public SupplierSaid {
            mail = mail == null ? "" : mail.strip();
            address = address == null ? "" : address.strip();
            number = number == null ? "" : number.strip();
        }
    }

    public record Supplier(long id, String name, String mail, String address, String number, long version) {}

    List<Supplier> all() {
        return jdbc.sql("SELECT id, name, mail, address, number, version FROM supplier ORDER BY name")
                .query((row, n) -> supplier(row))
                .list();
    }

    Supplier supplier(long id) {
        return jdbc.sql("SELECT id, name, mail, address, number, version FROM supplier WHERE id = :id")
                .param("id", id)
                .query((row, n) -> supplier(row))
                .optional()
                .orElseThrow(() -> new NotFound("There is no supplier " + id));
    }

    boolean has(String name, long self) {
        return jdbc.sql("SELECT 1 FROM supplier WHERE name = :name AND id <> :self")
                .param("name", name)
                .param("self", self)
                .query(Integer.class)
                .optional()
                .isPresent();
    }

    long add(SupplierSaid said) {
        return Sql.inserted(said(
                jdbc.sql("INSERT INTO supplier (name, mail, address, number) VALUES (:name, :mail, :address, :number)"),
                said));
    }

    void change(long id, SupplierSaid said) {
        said(jdbc.sql("""
                        UPDATE supplier
                        SET name = :name, mail = :mail, address = :address, number = :number, version = version + 1
                        WHERE id = :id
                        """), said).param("id", id).update();
    }

    private static JdbcClient.StatementSpec said(JdbcClient.StatementSpec sql, SupplierSaid said) {
        return sql.param("name", said.name().strip())
                .param("mail", said.mail())
                .param("address", said.address())
                .param("number", said.number());
    }

    private static Supplier supplier(java.sql.ResultSet row) throws java.sql.SQLException {
        return new Supplier(
                row.getLong("id"),
                row.getString("name"),
                row.getString("mail"),
                row.getString("address"),
                row.getString("number"),
                row.getLong("version"));
    }
}
