package wrenchnotes.server.meter;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.By;

/** Where the shop's meter is. The last one said stands. */
@Component
public class MeterStore {

    private final JdbcClient jdbc;

    MeterStore(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<MeterClient.MeterAt> said() {
        return jdbc.sql("SELECT host, port FROM meter ORDER BY id DESC LIMIT 1")
                .query((row, n) -> new MeterClient.MeterAt(row.getString("host"), row.getInt("port")))
                .optional();
    }

    void say(By by, MeterClient.MeterAt meter) {
        jdbc.sql("INSERT INTO meter (host, port, at, by) VALUES (:host, :port, :at, :by)")
                .param("host", meter.host())
                .param("port", meter.port())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }
}
