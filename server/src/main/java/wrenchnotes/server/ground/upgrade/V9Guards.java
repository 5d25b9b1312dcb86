package wrenchnotes.server.ground.upgrade;

import java.util.ArrayList;
import java.util.List;

/**
 * Triggers that keep what is written once as it was written, whoever writes SQL: no UPDATE, no DELETE, and no inserting of a
 * row that is there, since INSERT OR REPLACE passes the other two.
 */
final class V9Guards {

    /** @param there when a new row would take the place of one that is there */
    private record Once(String table, String there) {

        static Once byId(String table) {
            return new Once(table, "id = NEW.id");
        }
    }

    private static final List<Once> ONCE = List.of(
            Once.byId("entry"),
            new Once("ledger_entry", "id = NEW.id OR undoes = NEW.undoes"),
            new Once("step_entry", "id = NEW.id OR undoes = NEW.undoes"),
            new Once("teardown", "id = NEW.id OR (revision_id = NEW.revision_id AND number = NEW.number)"),
            new Once("reading", "measurement_id = NEW.measurement_id AND place = NEW.place"),
            Once.byId("journal"),
            Once.byId("closing"),
            Once.byId("outcome_entry"),
            Once.byId("stock_entry"),
            Once.byId("skip"),
            Once.byId("triage"),
            Once.byId("sale"),
            Once.byId("overruling"));

    /** @param said the columns that never change; the others say that it was struck, or what came of it */
    private record Said(String table, String said) {}

    private static final List<Said> STRUCK = List.of(
            new Said(
                    "check_entry",
                    "id, job_id, stage, verdict, what, covers_on, load, times, remark, moment, at, by, corrects"),
            new Said(
                    "finding",
                    "id, job_id, unit_id, revision_id, component_id, fault_id, remedy, part_id, part_count, cost_minor, "
                            + "remark, proof, cause, cause_confirmed, moment, at, by, corrects"),
            new Said("component_look", "id, job_id, component_id, good, means, words, at, by"),
            new Said("crossed_tries", "id, job_id, grid, at, by"),
            new Said(
                    "measurement",
                    "id, job_id, gauge, place, stage, good_unit, instrument, asked, typed, verdict, words, at, by"));

    private static final List<String> NEED_NOTES = List.of("step_entry", "ledger_entry", "skip", "fitted");

    private V9Guards() {}

    static List<String> all() {
        List<String> guards = new ArrayList<>();
        for (Once once : ONCE) {
            guards.add(refuse(once.table(), "changed", "BEFORE UPDATE ON " + once.table()));
            guards.add(refuse(once.table(), "deleted", "BEFORE DELETE ON " + once.table()));
            guards.add(replaced(once.table(), once.there()));
        }
        for (Said said : STRUCK) {
            guards.add(refuse(said.table(), "changed", "BEFORE UPDATE OF " + said.said() + " ON " + said.table()));
            guards.add(refuse(said.table(), "deleted", "BEFORE DELETE ON " + said.table()));
            guards.add(replaced(said.table(), "id = NEW.id"));
        }
        for (String table : NEED_NOTES) {
            guards.add("""
                    CREATE TRIGGER %1$s_needs_notes BEFORE INSERT ON %1$s
                    WHEN (SELECT teardown_id FROM job WHERE id = NEW.job_id) IS NULL
                    BEGIN SELECT RAISE(ABORT, 'An entry of a job needs the notes that the job goes by'); END
                    """.formatted(table));
        }
        guards.add("""
                CREATE TRIGGER job_keeps_its_notes BEFORE UPDATE OF revision_id, teardown_id ON job
                WHEN (NEW.revision_id <> OLD.revision_id OR (OLD.teardown_id IS NOT NULL AND NEW.teardown_id IS NULL))
                 AND (EXISTS (SELECT 1 FROM step_entry WHERE job_id = OLD.id)
                      OR EXISTS (SELECT 1 FROM ledger_entry WHERE job_id = OLD.id)
                      OR EXISTS (SELECT 1 FROM skip WHERE job_id = OLD.id))
                BEGIN SELECT RAISE(ABORT, 'A job with entries keeps its revision and the notes that it goes by'); END
                """);
        return guards;
    }

    private static String refuse(String table, String what, String when) {
        return "CREATE TRIGGER %s_is_never_%s %s BEGIN SELECT RAISE(ABORT, 'What is in %s is written once'); END"
                .formatted(table, what, when, table);
    }

    private static String replaced(String table, String there) {
        return refuse(
                table,
                "replaced",
                "BEFORE INSERT ON " + table + " WHEN EXISTS (SELECT 1 FROM " + table + " WHERE " + there + ")");
    }
}
