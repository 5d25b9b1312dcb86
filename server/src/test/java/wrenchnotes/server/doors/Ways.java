package wrenchnotes.server.doors;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.server.doors.ApiWords.Door;

/** The way to a door: where its path or its query names something, something that is there. */
final class Ways {

    private final JdbcClient jdbc;
    private final Random random;

    Ways(JdbcClient jdbc, Random random) {
        this.jdbc = jdbc;
        this.random = random;
    }

    private List<Long> ids(String table) {
        return jdbc.sql("SELECT id FROM " + table + " ORDER BY random() LIMIT 12")
                .query(Long.class)
                .list();
    }

    private String value(String name) {
        Map<String, String> tables = Map.ofEntries(
                Map.entry("job", "job"),
                Map.entry("revision", "revision"),
                Map.entry("from", "revision"),
                Map.entry("model", "model"),
                Map.entry("part", "part"),
                Map.entry("lot", "lot"),
                Map.entry("word", "symptom"),
                Map.entry("component", "component"),
                Map.entry("targets", "component"),
                Map.entry("check", "check_entry"),
                Map.entry("finding", "finding"),
                Map.entry("hold", "hold"),
                Map.entry("measurement", "measurement"),
                Map.entry("proposal", "proposal"),
                Map.entry("unit", "unit"),
                Map.entry("entry", "entry"));
        if (name.equals("job") && random.nextInt(3) > 0) {
            List<Long> open = jdbc.sql("SELECT id FROM job WHERE handed_over_at IS NULL")
                    .query(Long.class)
                    .list();
            return open.get(random.nextInt(open.size())).toString();
        }
        if (tables.containsKey(name)) {
            List<Long> all = ids(tables.get(name));
            return all.isEmpty() ? "1" : all.get(random.nextInt(all.size())).toString();
        }
        return switch (name) {
            case "step" ->
                jdbc.sql("SELECT step FROM step_entry ORDER BY random() LIMIT 1")
                        .query(String.class)
                        .single();
            case "thing" ->
                jdbc.sql("SELECT thing FROM ledger_entry ORDER BY random() LIMIT 1")
                        .query(String.class)
                        .single();
            case "hash" ->
                jdbc.sql("SELECT hash FROM photo LIMIT 1").query(String.class).single();
            case "paper" -> "slip";
            case "rpm" -> "45";
            case "flashes" -> "100";
            case "diameterMm" -> "120";
            case "startSide" -> "TOP";
            case "token" -> "nobody";
            case "marks" -> "DENTS";
            case "resale" -> "true";
            case "present", "absent" -> "keys dead";
            case "find", "q" -> "a";
            default -> "1";
        };
    }

    /** @param optional whether what may be left out of the query is said too */
    String to(Door door, boolean optional) {
        String path = door.path();
        List<String> query = new ArrayList<>();
        for (ApiWords.Parameter one : door.parameters()) {
            String value = URLEncoder.encode(value(one.name()), StandardCharsets.UTF_8);
            if (one.place().equals("path")) {
                path = path.replace("{" + one.name() + "}", value.replace("+", "%20"));
            } else if (one.place().equals("query") && (one.required() || optional)) {
                query.add(one.name() + "=" + value);
            }
        }
        return query.isEmpty() ? path : path + "?" + String.join("&", query);
    }
}
