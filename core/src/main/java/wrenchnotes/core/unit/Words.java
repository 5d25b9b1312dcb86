package wrenchnotes.core.unit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Counts in the words of the shop floor. */
public final class Words {

    private Words() {}

    /** {@code side up: top up → nothing}; empty if both are the same. */
    public static Optional<String> changed(String what, String was, String is) {
        return was.equals(is)
                ? Optional.empty()
                : Optional.of(
                        what + ": " + (was.isEmpty() ? "nothing" : was) + " → " + (is.isEmpty() ? "nothing" : is));
    }

    /** {@code 1 screw}, {@code 3 screws}. */
    public static String count(int n, String one, String many) {
        return n + " " + (n == 1 ? one : many);
    }

    /** {@code 15 screws, 2 plugs, 1 loose piece}; kinds of which there are none are left out. */
    public static String off(int fasteners, int connectors, int pieces) {
        List<String> said = new ArrayList<>();
        if (fasteners > 0) {
            said.add(count(fasteners, "fastener", "fasteners"));
        }
        if (connectors > 0) {
            said.add(count(connectors, "plug", "plugs"));
        }
        if (pieces > 0) {
            said.add(count(pieces, "loose piece", "loose pieces"));
        }
        return said.isEmpty() ? "nothing" : String.join(", ", said);
    }
}
