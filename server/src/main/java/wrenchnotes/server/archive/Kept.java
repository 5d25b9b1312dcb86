package wrenchnotes.server.archive;

import java.util.List;
import java.util.Map;

/** Which tables of the database are in an archive, and which are not, and why. {@code ArchiveTest} holds that none is in neither. */
final class Kept {

    private Kept() {}

    /** In the order in which they are read in: whatever a row names stands in a table before it. */
    static final List<String> TABLES = List.of(
            ("person person_role api_token door_line shop slot meter owner model revision component fault symptom"
                            + " wrong_word photo part logic_chip lot brought bears teardown unit job past_job arrival_missing at_bench"
                            + " belonging check_entry closing component_look crossed_tries draft entry finding fitted fragment gap_said donor_word"
                            + " hold job_mark job_photo job_symptom journal loan notes_taken outcome_entry overruling pause proposal sale"
                            + " step_entry temporary triage entry_private finding_photo finding_symptom part_fit stock_take stock_count supplier part_order letter order_line order_event journal_private ledger_entry"
                            + " measurement part_movement part_told run opened_again reading skip watch_word")
                    .split(" "));

    static final Map<String, String> LEFT_OUT = Map.of(
            "flyway_schema_history", "the number of the tables' form stands in schema.json",
            "answered", "requests of this week, to notice a retry by",
            "part_balance", "sums, made anew by the movements as they come in",
            "sign_in", "opens the shop: everybody signs in anew",
            "calendar", "opens calendars: made anew by whoever had one");

    /** The finder's own tables are filled by what the others are filled with; SQLite's are its own. */
    static final List<String> WORKED_OUT = List.of("find_", "sqlite_");

    /** Columns that would open something: they leave empty, and come back, each with its row's number, as what opens nothing. */
    static final Map<String, String> SECRETS =
            Map.of("person.password_hash", "{bcrypt}none ", "api_token.token_hash", "none ");
}
