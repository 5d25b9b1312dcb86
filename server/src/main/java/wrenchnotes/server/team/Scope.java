package wrenchnotes.server.team;

import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.ground.Stored;

/**
 * A room that a script may go into.
 *
 * @param room as its doors are sorted: the package they stand in
 * @param writing whether it may change things there; else it reads only
 */
public record Scope(String room, boolean writing) {

    boolean opens(String door, boolean toWrite) {
        return room.equals(door) && (writing || !toWrite);
    }

    /** How they are stored: {@code {"form":1,"read":["job"],"write":["drawer"]}}. */
    record ScopesForm(int form, List<String> read, List<String> write) {}

    static String written(List<Scope> scopes) {
        return Stored.text(new ScopesForm(1, rooms(scopes, false), rooms(scopes, true)));
    }

    private static List<String> rooms(List<Scope> scopes, boolean writing) {
        return scopes.stream()
                .filter(one -> one.writing() == writing)
                .map(Scope::room)
                .sorted()
                .toList();
    }

    static List<Scope> read(JsonNode stored) {
        return Stream.concat(read(stored, "read", false), read(stored, "write", true))
                .toList();
    }

    private static Stream<Scope> read(JsonNode stored, String which, boolean writing) {
        return stored.path(which).valueStream().map(room -> new Scope(room.asString(), writing));
    }
}
