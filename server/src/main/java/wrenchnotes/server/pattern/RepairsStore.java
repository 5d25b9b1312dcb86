package wrenchnotes.server.pattern;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.Sql;
import wrenchnotes.server.table.Table;

/** Finished repairs as open data: what was repaired and what became of it, never whose it was nor what anybody wrote. */
@Component
class RepairsStore {

    static final List<String> COLUMNS = List.of(
            "id",
            "partner_product_category",
            "product_category",
            "brand",
            "year_of_manufacture",
            "product_age",
            "repair_status",
            "repair_barrier_if_end_of_life",
            "spare_parts_needed",
            "event_date",
            "problem");

    private final JdbcClient jdbc;

    RepairsStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Rows of {@link #COLUMNS}, the earliest first. @param zone of the days */
    List<List<Object>> all(ZoneId zone) {
        return jdbc.sql("""
                        SELECT job.id, kind, maker, handed_over_at,
                               (SELECT outcome FROM outcome_entry WHERE job_id = job.id ORDER BY moment DESC, outcome_entry.id DESC LIMIT 1)
                                   AS outcome,
                               EXISTS (SELECT 1 FROM part_movement WHERE job_id = job.id AND to_account = 'UNIT') AS parts,
                               (SELECT GROUP_CONCAT(words, '; ')
                                FROM (SELECT DISTINCT component.name || ', ' || wrong AS words
                                      FROM finding
                                      JOIN fault ON fault.id = fault_id
                                      JOIN component ON component.id = finding.component_id
                                      WHERE finding.job_id = job.id AND struck_at IS NULL AND failed = 0
                                        AND finding.kind = 'FAULT')) AS problem
                        FROM job
                        JOIN revision ON revision.id = job.revision_id
                        JOIN model ON model.id = model_id
                        WHERE handed_over_at IS NOT NULL
                        ORDER BY handed_over_at, job.id
                        """)
                .query((row, n) -> {
                    Kind kind = Kind.valueOf(row.getString("kind"));
                    Optional<Outcome> outcome =
                            Optional.ofNullable(row.getString("outcome")).map(Outcome::valueOf);
                    return Table.row(
                            row.getLong("id"),
                            kind.words(),
                            category(kind),
                            row.getString("maker"),
                            "",
                            "",
                            outcome.map(RepairsStore::status).orElse("Unknown"),
                            outcome.filter(Outcome.KEPT_FOR_PARTS::equals).isPresent() ? "Item too worn out" : "",
                            row.getBoolean("parts") ? "yes" : "no",
                            LocalDate.ofInstant(Sql.instant(row, "handed_over_at"), zone),
                            Optional.ofNullable(row.getString("problem")));
                })
                .list();
    }

    private static String category(Kind kind) {
        return switch (kind) {
            case CONSOLE -> "Games console";
            case COMPUTER -> "Desktop computer";
            case PLAYER -> "Hi-Fi separates";
            case DRIVE, OTHER -> "Misc";
        };
    }

    private static String status(Outcome outcome) {
        return switch (outcome) {
            case FIXED, FIXED_WITH_REMARK -> "Fixed";
            case PARTLY_FIXED, NOT_FIXED -> "Repairable";
            case NOT_WORTH_IT, KEPT_FOR_PARTS -> "End of life";
            case NO_FAULT_FOUND -> "Unknown";
        };
    }
}
