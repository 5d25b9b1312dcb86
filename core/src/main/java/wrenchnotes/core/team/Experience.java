package wrenchnotes.core.team;

import java.util.Set;
import wrenchnotes.core.unit.Checked;

/**
 * How well somebody knows a model: how many units of it they have closed up here. A bench with five or more is
 * experienced with it and may decide what goes into its notes (the number is ours; common practice has none).
 *
 * @param closings 0 or more
 */
public record Experience(int closings) {

    public static final int ENOUGH = 5;

    public Experience {
        Checked.within("closings", closings, 0, Integer.MAX_VALUE);
    }

    /** Whether they may decide about what somebody proposes for the notes of the model. */
    public boolean decides(Set<Role> roles, boolean ownProposal) {
        return roles.contains(Role.LEAD) || writes(roles) && !ownProposal;
    }

    /** Whether they may change the notes of the model without a proposal. */
    public boolean writes(Set<Role> roles) {
        return roles.contains(Role.LEAD) || roles.contains(Role.BENCH) && closings >= ENOUGH;
    }
}
