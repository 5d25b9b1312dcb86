package wrenchnotes.server.ground;

import java.util.Set;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.team.NotAllowed;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.By;

/** What each person does in the shop, and so may do. */
public interface Rights {

    /** The roles that somebody has now: a lead may have changed them since they signed in. */
    Set<Role> of(long person);

    /** Whether somebody may do that. */
    default boolean may(By by, Act act) {
        return act.openTo(of(by.person()));
    }

    /** @throws NotAllowed if somebody else has to do that */
    default void must(By by, Act act) {
        if (!may(by, act)) {
            throw new NotAllowed(act);
        }
    }

    /**
     * @param author the name of whoever entered it
     * @throws NotAllowed if it is corrected by somebody who may correct their own only
     */
    default void mustBeOwn(By by, String author) {
        if (!author.equals(by.name())) {
            must(by, Act.CORRECT_OTHERS);
        }
    }
}
