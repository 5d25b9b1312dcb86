package wrenchnotes.server.team;

import java.util.List;

/** Who works in the demo shop; the sign-in page shows them in demo mode. */
public final class DemoPeople {

    public static final List<String> NAMES = List.of("ines", "tobias", "wren", "marit");
    public static final String PASSWORD = "quay";

    private DemoPeople() {}
}
