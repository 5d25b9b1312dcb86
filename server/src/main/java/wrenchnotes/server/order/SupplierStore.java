package wrenchnotes.server.order;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.Invalid;
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
     * @param mail where orders may be written to; may be empty
     * @param number of the shop, as the supplier knows it
     * @param address that takes orders as docs/formats.md says, or {@code folder:name} of a folder that does; may be empty
     */
    public record SupplierSaid(
            @NotBlank @Size(max = 80) String name,
            @Size(max = 120) String mail,
            @Size(max = 60) String number,
            @Size(max = 200) String address) {

        private static final Pattern ADDRESS = Pattern.compile("https?://[^\\s?#]{1,180}|folder:[a-z0-9-]{1,40}");

        public SupplierSaid {
            address = address == null ? "" : address.strip();
            if (!address.isEmpty() && !ADDRESS.matcher(address).matches()) {
                throw new Invalid(
                        "address",
                        "Write where it takes orders: http://…, https://…, or folder: and a name in small letters");
            }
            mail = mail == null ? "" : mail.strip();
            number = number == null ? "" : number.strip();
        }
    }

    public record Supplier(long id, String name, String mail, String number, String address, long version) {}

    List<Supplier> all() {
        return jdbc.sql("SELECT id, name, mail, number, address, version FROM supplier ORDER BY name")
                .query((row, n) -> supplier(row))
                .list();
    }

    /** @throws NotFound if there is none */
    public Supplier supplier(long id) {
        return jdbc.sql("SELECT id, name, mail, number, address, version FROM supplier WHERE id = :id")
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
                jdbc.sql("INSERT INTO supplier (name, mail, number, address) VALUES (:name, :mail, :number, :address)"),
                said));
    }

    void change(long id, SupplierSaid said) {
        said(jdbc.sql("""
                        UPDATE supplier
                        SET name = :name, mail = :mail, number = :number, address = :address, version = version + 1
                        WHERE id = :id
                        """), said).param("id", id).update();
    }

    private static JdbcClient.StatementSpec said(JdbcClient.StatementSpec sql, SupplierSaid said) {
        return sql.param("name", said.name().strip())
                .param("mail", said.mail())
                .param("number", said.number())
                .param("address", said.address());
    }

    private static Supplier supplier(ResultSet row) throws SQLException {
        return new Supplier(
                row.getLong("id"),
                row.getString("name"),
                row.getString("mail"),
                row.getString("number"),
                row.getString("address"),
                row.getLong("version"));
    }
}
