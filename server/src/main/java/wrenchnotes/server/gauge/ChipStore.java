package wrenchnotes.server.gauge;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.gauge.LogicChip;
import wrenchnotes.core.unit.By;

/** Chips beyond those that ship with the application. */
@Component
public class ChipStore {

    private final JdbcClient jdbc;

    ChipStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<LogicChip> added() {
        return jdbc.sql("SELECT chip FROM logic_chip ORDER BY number")
                .query((row, n) -> ChipForm.chip(row.getString("chip")))
                .list();
    }

    /** One that is there already is written anew. */
    void put(By by, LogicChip chip) {
        jdbc.sql("""
                        INSERT INTO logic_chip (number, chip, at, by)
                        VALUES (:number, :chip, :at, :by)
                        ON CONFLICT (number) DO UPDATE SET chip = excluded.chip, at = excluded.at, by = excluded.by
                        """)
                .param("number", chip.number())
                .param("chip", ChipForm.text(chip))
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
