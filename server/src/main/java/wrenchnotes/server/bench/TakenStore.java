package wrenchnotes.server.bench;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.bench.NotesTaken;
import wrenchnotes.core.bench.NotesTaken.Opening;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.ground.Stored;

/** By which newer notes open jobs went on. */
@Component
class TakenStore {

    private static final int FORM = 1;

    /** As it stands in the database; what is empty is left out. Never changed: docs/decisions/0013-the-store.md */
    record TakenForm(
            int form,
            Map<String, String> steps,
            List<String> goneSteps,
            Map<String, String> things,
            List<String> goneThings,
            Map<String, OpenedForm> opened) {

        record OpenedForm(int count, boolean counted) {}

        static TakenForm of(NotesTaken taken) {
            Map<String, OpenedForm> opened = new TreeMap<>();
            taken.opened()
                    .forEach((thing, opening) -> opened.put(thing, new OpenedForm(opening.count(), opening.counted())));
            return new TakenForm(
                    FORM,
                    renamed(taken.steps()),
                    gone(taken.steps()),
                    renamed(taken.things()),
                    gone(taken.things()),
                    opened);
        }

        private static Map<String, String> renamed(Map<String, String> names) {
            Map<String, String> renamed = new TreeMap<>(names);
            renamed.values().removeIf(String::isEmpty);
            return renamed;
        }

        private static List<String> gone(Map<String, String> names) {
            return names.keySet().stream()
                    .filter(id -> names.get(id).isEmpty())
                    .sorted()
                    .toList();
        }

        NotesTaken taken(Moment moment) {
            Map<String, Opening> openings = new TreeMap<>();
            if (opened != null) {
                opened.forEach((thing, one) -> openings.put(thing, new Opening(one.count(), one.counted())));
            }
            return new NotesTaken(names(steps, goneSteps), names(things, goneThings), openings, moment);
        }

        private static Map<String, String> names(Map<String, String> renamed, List<String> gone) {
            Map<String, String> names = new TreeMap<>(renamed == null ? Map.of() : renamed);
            if (gone != null) {
                gone.forEach(id -> names.put(id, ""));
            }
            return names;
        }
    }

    private final JdbcClient jdbc;

    TakenStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** In the order in which they were taken. */
    List<NotesTaken> of(long job) {
        return jdbc.sql("SELECT said, moment, at FROM notes_taken WHERE job_id = :job ORDER BY moment, id")
                .param("job", job)
                .query((row, n) -> {
                    JsonNode tree = Stored.tree(row.getString("said"));
                    if (Stored.number(tree) != FORM) {
                        throw Stored.unknown("By which notes a job went on", tree);
                    }
                    return Stored.read(tree, TakenForm.class).taken(Sql.moment(row));
                })
                .list();
    }

    long add(By by, long job, long from, long to, NotesTaken taken) {
        return Sql.inserted(jdbc.sql("""
                                INSERT INTO notes_taken (job_id, from_teardown, to_teardown, said, moment, at, by)
                                VALUES (:job, :from, :to, :said, :moment, :at, :by)
                                """)
                .param("job", job)
                .param("from", from)
                .param("to", to)
                .param("said", Stored.text(TakenForm.of(taken)))
                .param("moment", by.moment().number())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person()));
    }
}
