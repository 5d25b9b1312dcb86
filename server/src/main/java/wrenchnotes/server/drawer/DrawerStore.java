package wrenchnotes.server.drawer;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.drawer.Stock;
import wrenchnotes.core.drawer.kind.PartKind;
import wrenchnotes.core.drawer.kind.PartSpec;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Sql;

/** Parts, and every movement of them. */
@Component
public class DrawerStore {

    private static final String NOTHING_KNOWN = "{\"form\":1}";

    private static final String PART = """
            SELECT part.id, drawer, name, what, each_minor, version, kind, fields, place, supplier_number, pack, minimum, gone,
                   temporary, photo, COALESCE(lies.count, 0) AS count, COALESCE(lies.value_minor, 0) AS value_minor,
                   COALESCE(aside.count, 0) AS promised
            FROM part
            LEFT JOIN part_balance AS lies ON lies.part_id = part.id AND lies.account = 'DRAWER'
            LEFT JOIN part_balance AS aside ON aside.part_id = part.id AND aside.account = 'SHELF'
            """;

    /** Specs by what stands in the database: the same words are read once. */
    private final Cache<String, PartSpec> specs =
            Caffeine.newBuilder().maximumSize(20_000).build();

    private final JdbcClient jdbc;

    DrawerStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param count how many lie in the drawer
     * @param promised how many are set aside for jobs; they lie there no more
     * @param eachMinor what one costs where it is bought, in the shop's currency's minor units
     * @param valueMinor what those in the drawer cost together
     * @param spec what is known of it; empty if nobody could read its label and nobody said
     * @param told the same in words
     * @param low whether there are no more than somebody said is least, or none
     */
    public record Part(
            long id,
            String drawer,
            String name,
            String what,
            int count,
            int promised,
            long eachMinor,
            long valueMinor,
            Optional<PartSpec> spec,
            String told,
            PartCare care,
            boolean low,
            long version) {

        public Stock stock() {
            return new Stock(name, count, valueMinor);
        }
    }

    public List<Part> parts() {
        return jdbc.sql(PART + "ORDER BY drawer, name")
                .query((row, n) -> part(row))
                .list();
    }

    /** Some of them in the order of {@link #parts}. */
    List<Part> parts(int from, int most) {
        return jdbc.sql(PART + "ORDER BY drawer, name LIMIT :most OFFSET :from")
                .param("most", most)
                .param("from", from)
                .query((row, n) -> part(row))
                .list();
    }

    /** Those of a kind that lie in a drawer and may leave the shop: number and what each is known to be. */
    Map<Long, PartSpec> lying(PartKind kind) {
        Map<Long, PartSpec> lying = new LinkedHashMap<>();
        jdbc.sql("""
                        SELECT part.id, fields
                        FROM part JOIN part_balance AS lies ON lies.part_id = part.id AND lies.account = 'DRAWER'
                        WHERE kind = :kind AND lies.count > 0 AND temporary = 0
                        ORDER BY drawer, name
                        """).param("kind", kind.name()).query(row -> {
            lying.put(row.getLong("id"), spec(kind.name(), row.getString("fields")));
        });
        return lying;
    }

    public List<Part> ofKind(PartKind kind) {
        return jdbc.sql(PART + "WHERE kind = :kind ORDER BY drawer, name")
                .param("kind", kind.name())
                .query((row, n) -> part(row))
                .list();
    }

    /** Those whose drawer, name or label hold all of some words. */
    List<Part> called(Collection<String> words, int most) {
        StringBuilder where = new StringBuilder("WHERE 1");
        List<String> patterns = new ArrayList<>();
        for (String word : words) {
            where.append(" AND drawer || ' ' || name || ' ' || what LIKE ? ESCAPE '!'");
            patterns.add("%" + word.replaceAll("([!%_])", "!$1") + "%");
        }
        return jdbc.sql(PART + where + " ORDER BY drawer, name LIMIT " + most)
                .params(patterns)
                .query((row, n) -> part(row))
                .list();
    }

    List<Part> unread() {
        return jdbc.sql(PART + "WHERE kind IS NULL ORDER BY drawer, name")
                .query((row, n) -> part(row))
                .list();
    }

    public List<Part> inDrawers(Collection<String> names) {
        return jdbc.sql(PART + "WHERE drawer IN (:names) ORDER BY drawer, name")
                .param("names", names)
                .query((row, n) -> part(row))
                .list();
    }

    /** By number. */
    public Map<Long, Part> parts(Collection<Long> ids) {
        return ids.isEmpty()
                ? Map.of()
                : jdbc.sql(PART + "WHERE part.id IN (:ids)").param("ids", ids).query((row, n) -> part(row)).stream()
                        .collect(Collectors.toMap(Part::id, part -> part));
    }

    /** @throws NotFound if there is none */
    public Part part(long id) {
        return jdbc.sql(PART + "WHERE part.id = :id")
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

    long add(PartSaid said) {
        return Sql.inserted(said(jdbc.sql("""
                        INSERT INTO part (drawer, name, what, each_minor, kind, fields, place, supplier_number, pack, minimum, gone,
                                          temporary, photo)
                        VALUES (:drawer, :name, :what, :each, :kind, :fields, :place, :number, :pack, :minimum, :gone,
                                :temporary, :photo)
                        """), said));
    }

    void change(long id, PartSaid said) {
        said(jdbc.sql("""
                        UPDATE part
                        SET drawer = :drawer, name = :name, what = :what, each_minor = :each, kind = :kind, fields = :fields,
                            place = :place, supplier_number = :number, pack = :pack, minimum = :minimum, gone = :gone,
                            temporary = :temporary, photo = :photo, version = version + 1
                        WHERE id = :id
                        """), said).param("id", id).update();
    }

    private static JdbcClient.StatementSpec said(JdbcClient.StatementSpec sql, PartSaid said) {
        Optional<PartSpec> spec = said.known();
        PartCare care = said.care();
        return sql.param("drawer", said.drawer())
                .param("name", said.name())
                .param("what", said.what())
                .param("each", said.eachMinor())
                .param("kind", spec.map(one -> one.kind().name()).orElse(null))
                .param("fields", spec.map(PartForm::text).orElse(NOTHING_KNOWN))
                .param("place", care.place())
                .param("number", care.supplierNumber())
                .param("pack", care.pack())
                .param("minimum", care.minimum().orElse(null))
                .param("gone", care.gone())
                .param("temporary", care.temporary())
                .param("photo", care.photo().orElse(null));
    }

    private Part part(ResultSet row) throws SQLException {
        String kind = row.getString("kind");
        Optional<PartSpec> spec = kind == null ? Optional.empty() : Optional.of(spec(kind, row.getString("fields")));
        PartCare care = new PartCare(
                row.getString("place"),
                row.getString("supplier_number"),
                row.getInt("pack"),
                Sql.id(row, "minimum").map(Long::intValue),
                row.getBoolean("gone"),
                row.getBoolean("temporary"),
                Optional.ofNullable(row.getString("photo")));
        int count = row.getInt("count");
        return new Part(
                row.getLong("id"),
                row.getString("drawer"),
                row.getString("name"),
                row.getString("what"),
                count,
                row.getInt("promised"),
                row.getLong("each_minor"),
                row.getLong("value_minor"),
                spec,
                spec.map(PartSpec::told).orElse(""),
                care,
                !care.gone() && count <= care.minimum().orElse(0),
                row.getLong("version"));
    }

    private PartSpec spec(String kind, String fields) {
        return specs.get(kind + fields, both -> PartForm.spec(kind, fields));
    }
}
