package wrenchnotes.server.schedule;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VAlarm;
import biweekly.component.VEvent;
import biweekly.parameter.Related;
import biweekly.property.Trigger;
import biweekly.util.Duration;
import java.util.Date;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.Snapshot;

/**
 * Ends of holds and promised days for any calendar program: iCalendar (published: RFC 5545) at a private address that can be
 * revoked.
 */
@RestController
@May(Act.REMARK)
class CalendarApi {

    private final CalendarStore store;
    private final Snapshot snapshot;

    CalendarApi(CalendarStore store, Snapshot snapshot) {
        this.store = store;
        this.snapshot = snapshot;
    }

    /** @param path said only once, when it is made; afterwards nobody can read it back */
    public record CalendarAddress(String path) {}

    public record CalendarStanding(boolean made) {}

    @GetMapping("/api/calendar")
    CalendarStanding standing() {
        long person = Session.current().id();
        return snapshot.read(() -> new CalendarStanding(store.has(person)));
    }

    @PostMapping("/api/calendar")
    CalendarAddress make(Pen pen) {
        return pen.eachTime(by -> new CalendarAddress("/api/calendar.ics?token=" + store.make(by)));
    }

    @DeleteMapping("/api/calendar")
    CalendarStanding revoke(Pen pen) {
        pen.once("revoke", store::revoke);
        return new CalendarStanding(false);
    }

    @GetMapping(value = "/api/calendar.ics", produces = "text/calendar;charset=utf-8")
    ResponseEntity<String> calendar(@RequestParam(defaultValue = "") String token) {
        List<CalendarStore.Date> dates = snapshot.read(() -> {
            if (!store.knows(token)) {
                throw new NotFound("This calendar address does not exist, or was revoked");
            }
            return store.dates();
        });
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Wrench Notes//EN");
        dates.forEach(date -> calendar.addEvent(event(date)));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(Biweekly.write(calendar).go());
    }

    private static VEvent event(CalendarStore.Date date) {
        VEvent event = new VEvent();
        event.setUid(date.id() + "@wrench-notes");
        event.setDateTimeStamp(Date.from(date.at()));
        event.setDateStart(Date.from(date.at()));
        event.setSummary(date.tag() + " "
                + date.kind().map(kind -> "no longer waits: " + kind.words()).orElse("is promised for today"));
        event.setDescription(date.model() + (date.words().isEmpty() ? "" : ". " + date.words()));
        event.addAlarm(VAlarm.display(
                new Trigger(Duration.builder().minutes(0).build(), Related.START),
                event.getSummary().getValue()));
        return event;
    }
}
