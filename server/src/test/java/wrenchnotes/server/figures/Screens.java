package wrenchnotes.server.figures;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

/** What the screens of a large shop ask for, and how often it is asked to know how long that takes. */
final class Screens {

    private Screens() {}

    private static final List<String> SEARCHES = List.of(
            "choir",
            "keys dead",
            "ormeva",
            "WN-4711",
            "1234",
            "lan sch",
            "pellworth tern",
            "does not take disc",
            "resale",
            "q2 b",
            "belt slack",
            "glaz",
            "rivets",
            "spring tension",
            "fixed",
            "slacck",
            "pellwroth");

    /**
     * @param paths what a screen asks for; one after the other, again and again
     * @param times how often it is asked
     * @param warmUp how often before that: a shop's server has been running since the morning
     */
    record Screen(String name, List<String> paths, int times, int warmUp) {

        static Screen often(String name, List<String> paths) {
            return new Screen(name, paths, 400, 1200);
        }

        /** Each of them some ten times. */
        static Screen now(String name, List<String> paths) {
            return new Screen(name, paths, 100, 30);
        }

        static Screen seldom(String name, String path) {
            return new Screen(name, List.of(path), 30, 10);
        }
    }

    static List<Screen> of(Connection bare) throws SQLException {
        int most =
                GrownShop.single(bare.createStatement(), "SELECT COUNT(*) FROM job WHERE handed_over_at IS NOT NULL");
        Random random = new Random(42);
        List<String> sheets = new ArrayList<>();
        for (int n = 0; n < 50; n++) {
            int id = GrownShop.single(
                    bare.createStatement(),
                    "SELECT id FROM job WHERE handed_over_at IS NOT NULL LIMIT 1 OFFSET " + random.nextInt(most));
            sheets.add("/api/jobs/" + id);
        }
        return List.of(
                Screen.often("rack", List.of("/api/rack")),
                Screen.often(
                        "finder",
                        SEARCHES.stream()
                                .map(words -> "/api/find?q=" + words.replace(" ", "%20"))
                                .toList()),
                Screen.often("job sheet", sheets),
                Screen.often("counter's odds", outlooks(bare)),
                Screen.seldom("patterns, 18 months", "/api/patterns"),
                Screen.seldom("patterns, 20 years", "/api/patterns?months=240"),
                Screen.now("patterns, narrowed", narrowed(bare)),
                Screen.now("a picked fault", faults(bare, "picked")),
                Screen.now("the jobs behind it", faults(bare, "jobs")));
    }

    /** Twenty years by each thing that one can narrow by. */
    private static List<String> narrowed(Connection bare) throws SQLException {
        int owner = GrownShop.single(
                bare.createStatement(),
                "SELECT owner_id FROM job WHERE owner_id IS NOT NULL GROUP BY owner_id ORDER BY COUNT(*) DESC LIMIT 1");
        return Stream.of(
                        "kind=DRIVE",
                        "model=2",
                        "component=drawer%20belt",
                        "remedy=REPLACED",
                        "supplier=1",
                        "owner=" + owner,
                        "ownership=RESALE",
                        "revision=3")
                .map(by -> "/api/patterns?months=240&" + by)
                .toList();
    }

    /** The faults that are found most often, over twenty years. */
    private static List<String> faults(Connection bare, String what) throws SQLException {
        List<String> paths = new ArrayList<>();
        try (ResultSet often = bare.createStatement().executeQuery("""
                SELECT revision_id, fault_id FROM finding
                WHERE kind = 'FAULT' GROUP BY revision_id, fault_id ORDER BY COUNT(*) DESC LIMIT 10
                """)) {
            while (often.next()) {
                paths.add(
                        "/api/patterns/" + what + "?months=240&on=" + often.getLong(1) + "&fault=" + often.getLong(2));
            }
        }
        return paths;
    }

    /** Every revision with a symptom that is often told. */
    private static List<String> outlooks(Connection bare) throws SQLException {
        int revisions = GrownShop.single(bare.createStatement(), "SELECT COUNT(*) FROM revision");
        List<String> paths = new ArrayList<>();
        for (int id = 1; id <= revisions; id++) {
            paths.add("/api/revisions/" + id + "/outlook?present=does%20not%20read&absent=grinds");
        }
        return paths;
    }
}
