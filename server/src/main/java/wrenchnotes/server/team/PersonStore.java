package wrenchnotes.server.team;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Component;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** The people of the shop. */
@Component
public class PersonStore implements UserDetailsService {

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

    Optional<Person> find(String name) {
        return jdbc.sql(COLUMNS + "WHERE name = :name")
                .param("name", name)
                .query((row, n) -> new Person(signedIn(row), row.getString("password_hash")))
                .optional();
    }

    private static SignedIn signedIn(ResultSet row) throws SQLException {
        Set<Role> roles = EnumSet.noneOf(Role.class);
        Stored.tree(row.getString("roles")).forEach(role -> roles.add(Role.valueOf(role.asString())));
        return new SignedIn(row.getLong("id"), row.getString("name"), roles);
    }

    /** Everybody, by name. */
    public List<SignedIn> all() {
        return jdbc.sql(COLUMNS + "ORDER BY name")
                .query((row, n) -> signedIn(row))
                .list();
    }

    /** @throws NotFound if there is nobody of that id */
    SignedIn person(long id) {
        return all().stream()
                .filter(one -> one.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("There is nobody " + id));
    }

    boolean isEmpty() {
        return jdbc.sql("SELECT NOT EXISTS (SELECT 1 FROM person)")
                .query(Boolean.class)
                .single();
    }

    /** @throws Invalid if somebody has that name */
    public SignedIn add(Instant at, String name, String passwordHash, Set<Role> roles) {
        if (find(name).isPresent()) {
            throw new Invalid("name", "There is already somebody called " + name);
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

    /** For the cookie that outlives a restart. */
    @Override
    public UserDetails loadUserByUsername(String name) {
        Person person = find(name).orElseThrow(() -> new UsernameNotFoundException(name));
        return new Account(person.signedIn(), person.passwordHash());
    }

    /** A person as the sign-in machinery wants it. */
    record Account(SignedIn person, String hash) implements UserDetails, Session {

        @Override
        public List<org.springframework.security.core.GrantedAuthority> getAuthorities() {
            return List.of();
        }

        @Override
        public String getPassword() {
            return hash;
        }

        @Override
        public String getUsername() {
            return person.name();
        }
    }
}
