package wrenchnotes.server.ground.upgrade;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Lines of the journal as they were written before version 9, once and for all: an owner's name becomes {@code {owner:17}}, which
 * is read as the name that the owner has then; what an owner said lies beside the line.
 */
final class V9Lines {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private record Line(
            long id, String words, Optional<JsonNode> before, Optional<JsonNode> after, Long owner, String name) {}

    private final JdbcClient jdbc;

    V9Lines(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void nameOwnersById() {
        lines().forEach(this::rewrite);
    }

    private List<Line> lines() {
        return jdbc.sql("""
                        SELECT journal.id, words, before, after, owner.id AS owner, owner.name
                        FROM journal
                        JOIN job ON job.id = job_id
                        LEFT JOIN owner ON owner.id = owner_id
                        WHERE subject = 'job'
                        """)
                .query((row, n) -> new Line(
                        row.getLong("id"),
                        row.getString("words"),
                        Optional.ofNullable(row.getString("before")).map(JSON::readTree),
                        Optional.ofNullable(row.getString("after")).map(JSON::readTree),
                        row.getObject("owner") == null ? null : row.getLong("owner"),
                        row.getString("name")))
                .list();
    }

    private void rewrite(Line line) {
        String words = line.words();
        if (line.owner() != null) {
            String token = "{owner:" + line.owner() + "}";
            if (words.startsWith("Taken in: ") && words.endsWith(", " + line.name())) {
                words = words.substring(0, words.length() - line.name().length()) + token;
            }
            words = words.replace("Handed over to " + line.name(), "Handed over to " + token);
        }
        Optional<String> own = complaints(line);
        if (own.isPresent()) {
            words = words.replace(own.get() + " ", "").replace(own.get(), "").strip();
            jdbc.sql("INSERT INTO journal_private (journal_id, words) VALUES (:line, :words)")
                    .param("line", line.id())
                    .param("words", own.get().strip())
                    .update();
        }
        jdbc.sql("UPDATE journal SET words = :words, before = :before, after = :after WHERE id = :line")
                .param("words", words)
                .param("before", line.before().map(V9Lines::without).orElse(null))
                .param("after", line.after().map(V9Lines::without).orElse(null))
                .param("line", line.id())
                .update();
    }

    /** "Complaint: plays nothing → it stopped." as it stands in the words of a correction. */
    private static Optional<String> complaints(Line line) {
        if (line.before().isEmpty() || line.after().isEmpty()) {
            return Optional.empty();
        }
        String segment = "Complaint: " + said(line.before().get()) + " → "
                + said(line.after().get());
        return Optional.of(segment + ".").filter(line.words()::contains).or(() -> Optional.of(segment)
                .filter(line.words()::contains));
    }

    private static String said(JsonNode known) {
        String complaint = known.path("arrival").path("complaint").asString("");
        return complaint.isEmpty() ? "nothing" : complaint;
    }

    /** The owner by id alone, and nothing that the owner said. */
    private static String without(JsonNode tree) {
        for (JsonNode node : List.of(tree, tree.path("job"), tree.path("arrival"))) {
            if (node instanceof ObjectNode object) {
                object.remove("complaint");
                if (object.get("owner") instanceof ObjectNode owner) {
                    object.set("owner", owner.get("id"));
                }
            }
        }
        return JSON.writeValueAsString(tree);
    }
}
