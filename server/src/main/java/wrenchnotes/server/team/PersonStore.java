package wrenchnotes.server.team;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** The people of the shop. */
@Component
public class PersonStore {

    private static final String COLUMNS = """
            SELECT id, name, password_hash,
                   (SELECT json_group_array(role) FROM person_role WHERE person_id = person.id) AS roles
            FROM person
            """;

    private final JdbcClient jdbc;

    PersonStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    record Person(SignedIn signedIn, String passwordHash) {}

    /** Somebody who works here. */
    Optional<Person> find(String name) {
        return jdbc.sql(COLUMNS + "WHERE name = :name AND left_at IS NULL")
                .param("name", name)
                .query((row, n) -> new Person(signedIn(row), row.getString("password_hash")))
                .optional();
    }

    private static SignedIn signedIn(ResultSet row) throws SQLException {
        Set<Role> roles = EnumSet.noneOf(Role.class);
        Stored.tree(row.getString("roles")).forEach(role -> roles.add(Role.valueOf(role.asString())));
        return new SignedIn(row.getLong("id"), row.getString("name"), roles);
    }

    /** Everybody who works here, by name. */
    public List<SignedIn> all() {
        return listed("WHERE left_at IS NULL ORDER BY name");
    }

    /** Those who were put out, by name. */
    List<SignedIn> gone() {
        return listed("WHERE left_at IS NOT NULL ORDER BY name");
    }

    private List<SignedIn> listed(String which) {
        return jdbc.sql(COLUMNS + which).query((row, n) -> signedIn(row)).list();
    }

    /**
     * Whoever has that id, put out or not.
     *
     * @throws NotFound if there is nobody of that id
     */
    SignedIn person(long id) {
        return withHash(id).signedIn();
    }

    /** @throws NotFound if there is nobody of that id */
    Person withHash(long id) {
        return jdbc.sql(COLUMNS + "WHERE id = :id")
                .param("id", id)
                .query((row, n) -> new Person(signedIn(row), row.getString("password_hash")))
                .optional()
                .orElseThrow(() -> new NotFound("There is nobody " + id));
    }

    void password(long person, String hash) {
        jdbc.sql("UPDATE person SET password_hash = :hash WHERE id = :person")
                .param("hash", hash)
                .param("person", person)
                .update();
    }

    /** @param at when somebody was put out; null if they work here again */
    void left(long person, Instant at) {
        jdbc.sql("UPDATE person SET left_at = :at WHERE id = :person")
                .param("at", Sql.millis(at))
                .param("person", person)
                .update();
    }

    boolean isEmpty() {
        return jdbc.sql("SELECT NOT EXISTS (SELECT 1 FROM person)")
                .query(Boolean.class)
                .single();
    }

    /** @throws Invalid if somebody has that name */
    public SignedIn add(Instant at, String name, String passwordHash, Set<Role> roles) {
        boolean taken = jdbc.sql("SELECT EXISTS (SELECT 1 FROM person WHERE name = :name)")
                .param("name", name)
                .query(Boolean.class)
                .single();
        if (taken) {
            throw new Invalid("name", "There is already somebody called " + name + ", perhaps one who was put out");
        }
        long id = Sql.inserted(jdbc.sql("INSERT INTO person (name, password_hash, made_at) VALUES (:name, :hash, :at)")
                .param("name", name)
                .param("hash", passwordHash)
                .param("at", at.toEpochMilli()));
        does(id, roles);
        return new SignedIn(id, name, roles);
    }

    /** Somebody does these things from now on. */
    void does(long person, Set<Role> roles) {
        jdbc.sql("DELETE FROM person_role WHERE person_id = :person")
                .param("person", person)
                .update();
        for (Role role : roles) {
            jdbc.sql("INSERT INTO person_role (person_id, role) VALUES (:person, :role)")
                    .param("person", person)
                    .param("role", role.name())
                    .update();
        }
    }
}
