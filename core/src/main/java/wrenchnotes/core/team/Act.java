package wrenchnotes.core.team;

import java.util.Collection;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.Spoken;

/**
 * What can be done in the shop, and who may. This is the whole table: every door of the API that writes names one of these. A lead
 * may do all of it. The division is ours; no source.
 */
public enum Act implements Spoken {
    CHECK_IN("take units in and correct what was said of them", Role.COUNTER),
    WORDS("merge and split the words for symptoms", Role.COUNTER),
    HAND_OVER("hand units over", Role.COUNTER),
    SELL("decide what becomes of units to be sold, and sell them", Role.COUNTER),
    MODELS("name models, revisions and components", Role.COUNTER, Role.BENCH),
    REMARK("make remarks, take pictures, print papers and keep a calendar", Role.COUNTER, Role.BENCH),
    RUN("open units and close them", Role.BENCH),
    FIND("say what is wrong and what was done about it", Role.BENCH),
    CHECK("check units and say how they ended", Role.BENCH),
    HOLD("say what units wait for", Role.BENCH),
    PARTS("book parts in and out", Role.BENCH),
    MEASURE("keep measurements", Role.BENCH),
    PROPOSE("propose changes to the notes", Role.BENCH),
    /** A bench only of a model that it knows: {@code NotesRight} in the server asks for closed jobs. */
    NOTES("change the notes without a proposal", Role.BENCH),
    ASK("have something computed", Role.COUNTER, Role.BENCH),
    SIGN_INS("choose their own password and end their own sign-ins", Role.COUNTER, Role.BENCH),
    IMPORT("read notes and past jobs from files"),
    PRICES("set prices"),
    PEOPLE("add people and say what they do"),
    TRUST("see who came in, read the whole journal and let scripts in"),
    FORGET("read all that is kept of an owner, and take their name out"),
    SETTINGS("set up the shop, its rack and its devices"),
    BACK_UP("make backups"),
    OVERRULE("end a wait before its time, say that a unit was off before, and do what is for a lead alone"),
    MAKE_SAFE("say what was done with what came in dangerous"),
    CORRECT_OTHERS("correct what somebody else entered");

    private final String does;
    private final Set<Role> roles;

    Act(String does, Role... roles) {
        this.does = does;
        this.roles = EnumSet.of(Role.LEAD, roles);
    }

    /** Whether somebody with these roles may. */
    public boolean openTo(Collection<Role> theirs) {
        return theirs.stream().anyMatch(roles::contains);
    }

    /** What it is, after "may": "take units in". */
    @Override
    public String words() {
        return does;
    }

    /** Those who may, in the order of the roles: "counter or lead". */
    public String who() {
        return roles.stream().map(Role::words).collect(Collectors.joining(" or "));
    }
}
