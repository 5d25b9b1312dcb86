package wrenchnotes.server.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.SignedIn;

/** One visit of one unit as it goes on: who is at it, what time it is, and what was seen last. */
final class DemoTurn {

    /** A revision and the notes it was given. */
    record Known(long revision, DemoNotes notes, Teardown teardown, Map<String, Long> components) {

        boolean waits() {
            return teardown.steps().stream().anyMatch(step -> step.waitHours() > 0);
        }
    }

    /** What is carried from one stay to the next. */
    record Shop(
            Instant now,
            Map<String, SignedIn> staff,
            Map<String, Known> revisions,
            Map<String, Long> parts,
            Map<Integer, Long> units,
            Map<String, Long> owners,
            Map<String, Long> crates,
            Set<String> takenSlots,
            AtomicLong moments) {

        Optional<String> freeSlot(int luck) {
            List<String> free = new ArrayList<>();
            for (char shelf = 'A'; shelf <= 'D'; shelf++) {
                for (int place = 1; place <= 6; place++) {
                    String slot = "" + shelf + place;
                    if (!takenSlots.contains(slot)) {
                        free.add(slot);
                    }
                }
            }
            return free.isEmpty() ? Optional.empty() : Optional.of(free.get(luck % free.size()));
        }
    }

    private static final int OPENS = 9;
    private static final int SHUTS = 17;
    private static final int BREAK = 60;

    final Shop shop;
    final DemoPlan.Visit visit;
    final Known known;
    final DemoTold told;
    final String bencher;
    private int times;
    private Instant at;
    private long job;
    private long benchVersion;

    DemoTurn(Shop shop, DemoPlan.Visit visit) {
        this.shop = shop;
        this.visit = visit;
        this.known =
                shop.revisions().get(visit.unit().model() + " " + visit.unit().revision());
        this.told = new DemoTold(visit);
        this.bencher = visit.luck() % 2 == 0 ? "tobias" : "wren";
        this.at = inHours(shop.now()
                .minus(Duration.ofMinutes((long) (visit.daysAgo() * 24 * 60)))
                .truncatedTo(ChronoUnit.MINUTES));
    }

    void taken(long id) {
        job = id;
    }

    long job() {
        return job;
    }

    Instant at() {
        return at;
    }

    /** Nobody else is at this bench: each press has seen all the presses before it. */
    Seen seen() {
        return new Seen(benchVersion++);
    }

    By by(String name) {
        SignedIn who = shop.staff().get(name);
        return new By(who.id(), who.name(), new Moment(shop.moments().incrementAndGet(), at));
    }

    /** Whoever comes while the shop is shut comes when it is open again; weekends are worked like other days. */
    private Instant inHours(Instant at) {
        ZonedDateTime there = at.atZone(ZoneId.systemDefault());
        int hour = there.getHour();
        if (hour >= OPENS && hour < SHUTS) {
            return at;
        }
        ZonedDateTime day = hour < OPENS ? there : there.plusDays(1);
        Instant open =
                day.withHour(OPENS).withMinute(visit.luck() % 60).withSecond(0).toInstant();
        return open.isBefore(shop.now()) ? open : at;
    }

    /** Time goes by, but never past today. What takes a while goes on in the hours of the shop; what is begun is finished. */
    Instant later(int minutes) {
        // Nobody works by whole minutes.
        long seconds = minutes == 0 ? 0 : Math.floorMod(31L * ++times + 17L * visit.luck() + 7L * minutes, 50);
        Instant next = at.plus(Duration.ofMinutes(minutes).plusSeconds(seconds));
        next = minutes >= BREAK ? inHours(next) : next;
        Instant latest = shop.now().minus(Duration.ofMinutes(2));
        at = next.isBefore(latest) ? next : at.isBefore(latest) ? latest : at.plusMillis(1);
        return at;
    }
}
