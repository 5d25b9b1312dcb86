package wrenchnotes.server.shop;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.check.ElectricalLimits;
import wrenchnotes.core.shop.DateOrder;
import wrenchnotes.core.shop.DecimalMark;
import wrenchnotes.core.shop.FirstThing;
import wrenchnotes.core.shop.OpeningHours;
import wrenchnotes.core.shop.ShopSettings;
import wrenchnotes.core.shop.TagSize;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.ground.Sql;

/** The one row of settings, and the slots of the rack. */
@Component
class ShopStore {

    private static final TypeReference<Map<String, String>> HOURS = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json;

    ShopStore(JdbcClient jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    /** What was done of the first hour's things. */
    Set<FirstThing> begun() {
        return jdbc.sql("""
                        SELECT (SELECT version > 1 OR name <> 'Our shop' FROM shop) AS shop, (SELECT COUNT(*) FROM person) > 1 AS people,
                               (SELECT MAX(id) FROM part) IS NOT NULL AS parts, (SELECT MAX(id) FROM job) IS NOT NULL AS unit,
                               (SELECT MAX(id) FROM step_entry) IS NOT NULL AS bench
                        """)
                .query((row, n) -> {
                    Set<FirstThing> done = EnumSet.noneOf(FirstThing.class);
                    for (FirstThing thing : FirstThing.values()) {
                        if (row.getBoolean(thing.name().toLowerCase(Locale.ROOT))) {
                            done.add(thing);
                        }
                    }
                    return done;
                })
                .single();
    }

    record Versioned(ShopSettings said, long version) {}

    Versioned settings() {
        return jdbc.sql("""
                        SELECT name, currency, hour_minor, zone, open, decimal, terms, electrical_asked, earth_ohm,
                               earthed_mohm, double_mohm, electrical_rule, tags, dates, version
                        FROM shop
                        """)
                .query((row, n) -> new Versioned(
                        new ShopSettings(
                                row.getString("name"),
                                row.getString("currency"),
                                row.getLong("hour_minor"),
                                row.getString("zone"),
                                hours(row.getString("open")),
                                DecimalMark.valueOf(row.getString("decimal")),
                                row.getString("terms"),
                                new ElectricalLimits(
                                        row.getBoolean("electrical_asked"),
                                        row.getDouble("earth_ohm"),
                                        row.getDouble("earthed_mohm"),
                                        row.getDouble("double_mohm"),
                                        row.getString("electrical_rule")),
                                TagSize.valueOf(row.getString("tags")),
                                DateOrder.valueOf(row.getString("dates"))),
                        row.getLong("version")))
                .single();
    }

    private OpeningHours hours(String kept) {
        Map<DayOfWeek, OpeningHours.Span> days = new EnumMap<>(DayOfWeek.class);
        json.readValue(kept, HOURS).forEach((day, span) -> {
            String[] times = span.split("-");
            days.put(
                    DayOfWeek.valueOf(day),
                    new OpeningHours.Span(LocalTime.parse(times[0]), LocalTime.parse(times[1])));
        });
        return new OpeningHours(days);
    }

    private String kept(OpeningHours hours) {
        Map<DayOfWeek, String> days = new EnumMap<>(DayOfWeek.class);
        hours.days().forEach((day, span) -> days.put(day, span.from() + "-" + span.to()));
        return json.writeValueAsString(days);
    }

    void addIfNone(ShopSettings first) {
        write("""
                INSERT INTO shop (id, name, currency, hour_minor, zone, open, decimal, terms, electrical_asked, earth_ohm,
                                  earthed_mohm, double_mohm, electrical_rule, tags, dates)
                VALUES (1, :name, :currency, :hour, :zone, :open, :decimal, :terms, :asked, :earth, :earthed, :double, :rule, :tags, :dates)
                ON CONFLICT DO NOTHING
                """, first);
    }

    void change(ShopSettings said) {
        write("""
                UPDATE shop
                SET name = :name, currency = :currency, hour_minor = :hour, zone = :zone, open = :open,
                    decimal = :decimal, terms = :terms, electrical_asked = :asked, earth_ohm = :earth,
                    earthed_mohm = :earthed, double_mohm = :double, electrical_rule = :rule, tags = :tags, dates = :dates, version = version + 1
                """, said);
    }

    private void write(String sql, ShopSettings said) {
        jdbc.sql(sql)
                .param("name", said.name())
                .param("currency", said.currency())
                .param("hour", said.hourMinor())
                .param("zone", said.zone())
                .param("open", kept(said.open()))
                .param("decimal", said.decimal().name())
                .param("terms", said.terms())
                .param("asked", said.electrical().asked() ? 1 : 0)
                .param("earth", said.electrical().earthOhm())
                .param("earthed", said.electrical().earthedMohm())
                .param("double", said.electrical().doubleMohm())
                .param("rule", said.electrical().rule())
                .param("tags", said.tags().name())
                .param("dates", said.dates().name())
                .update();
    }

    /** Whether any sum is kept that would mean something else in another currency. */
    boolean hasSums() {
        return jdbc.sql("""
                        SELECT EXISTS (SELECT 1 FROM part WHERE each_minor > 0)
                            OR (SELECT MAX(paid_minor) FROM job WHERE paid_minor > 0) IS NOT NULL
                            OR (SELECT MAX(job_id) FROM sale) IS NOT NULL
                        """).query(Boolean.class).single();
    }

    /**
     * A place on the rack.
     *
     * @param shelf that it belongs to
     * @param tag of the unit that stands in it; empty if none does
     */
    public record RackSlot(String name, String shelf, Optional<String> tag) {}

    List<RackSlot> slots() {
        return jdbc.sql("""
                        SELECT slot.name, shelf, tag
                        FROM slot
                        LEFT JOIN job ON job.slot = slot.name AND handed_over_at IS NULL
                        LEFT JOIN unit ON unit.id = unit_id
                        WHERE gone = 0
                        ORDER BY shelf, place
                        """)
                .query((row, n) -> new RackSlot(
                        row.getString("name"),
                        row.getString("shelf"),
                        Sql.id(row, "tag").map(tag -> Tag.of(tag.intValue()).text())))
                .list();
    }

    void addSlot(String name, String shelf) {
        jdbc.sql("""
                        INSERT INTO slot (name, shelf, place)
                        SELECT :name, :shelf, COALESCE(MAX(place), 0) + 1 FROM slot WHERE shelf = :shelf
                        ON CONFLICT (name) DO UPDATE SET gone = 0, shelf = :shelf, place = excluded.place
                        """).param("name", name).param("shelf", shelf).update();
    }

    /** For the jobs that stood in it too; one of that name that was taken away before is the same place from now on. */
    void renameSlot(String name, String to, String shelf) {
        jdbc.sql("PRAGMA defer_foreign_keys = ON").update();
        jdbc.sql("UPDATE job SET slot = :to WHERE slot = :name")
                .param("name", name)
                .param("to", to)
                .update();
        jdbc.sql("DELETE FROM slot WHERE name = :to AND gone = 1")
                .param("to", to)
                .update();
        jdbc.sql("""
                        UPDATE slot
                        SET name = :to, shelf = :shelf,
                            place = CASE shelf WHEN :shelf THEN place
                                    ELSE (SELECT COALESCE(MAX(place), 0) + 1 FROM slot WHERE shelf = :shelf) END
                        WHERE name = :name
                        """).param("name", name).param("to", to).param("shelf", shelf).update();
    }

    void removeSlot(String name) {
        jdbc.sql("UPDATE slot SET gone = 1 WHERE name = :name")
                .param("name", name)
                .update();
    }
}
