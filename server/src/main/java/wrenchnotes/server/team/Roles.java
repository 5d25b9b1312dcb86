package wrenchnotes.server.team;

import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import wrenchnotes.core.team.Role;
import wrenchnotes.server.ground.Rights;

/** Kept at hand: every write asks for them. */
@Component
class Roles implements Rights {

    private final PersonStore people;
    private final Map<Long, Set<Role>> known = new ConcurrentHashMap<>();

    Roles(PersonStore people) {
        this.people = people;
    }

    @Override
    public Set<Role> of(long person) {
        return known.computeIfAbsent(person, id -> people.person(id).roles());
    }

    /** Those of a person were changed. */
    void changed(long person) {
        known.remove(person);
    }
}
