package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** What was said of one job, and the next thing that somebody does. */
final class Slate {

    private static final List<String> STEPS = List.of("lid", "deck");

    private final Client bench;
    private final SmallShop shop;
    private final long job;
    private final Random random;
    private final Set<String> seen = new HashSet<>();
    private final List<Long> holds = new ArrayList<>();
    private boolean running;
    private boolean unplugged = true;
    private boolean heeded;
    private boolean failed;
    private boolean lent;
    private boolean gone;
    private Duration off = Duration.ZERO;
    private Instant holdEnds = Instant.MIN;

    Slate(Client bench, SmallShop shop, Random random) {
        this.bench = bench;
        this.shop = shop;
        this.job = shop.takenIn();
        this.random = random;
        SetClock.HANDS.off(off);
    }

    /** Whether it was handed over. */
    boolean gone() {
        return gone;
    }

    /** What was let through so far. */
    Set<String> seen() {
        return seen;
    }

    void press() {
        if (random.nextBoolean()) {
            sensibly();
        } else {
            anyhow();
        }
    }

    /** What the shop would ask for next, so that something is let through. */
    private void sensibly() {
        if (held()) {
            off = off.plus(Duration.ofMinutes(45));
            SetClock.HANDS.off(off);
            holdOrEnd();
        } else if (lent) {
            lendOrTakeBack();
        } else if (!running) {
            start();
        } else if (!unplugged) {
            power("UNPLUGGED");
        } else if (!heeded) {
            heed();
        } else {
            step(random.nextInt(3) == 0 ? "in" : "out");
            checked("BEFORE_CLOSING", true);
            close();
        }
    }

    private void anyhow() {
        switch (random.nextInt(17)) {
            case 0, 1 -> start();
            case 2, 3, 4 -> step("in");
            case 5, 6, 7 -> step("out");
            case 8 -> heed();
            case 9 -> power(random.nextBoolean() ? "LIVE" : "UNPLUGGED");
            case 10 -> checked("AFTER_CLOSING", random.nextInt(3) > 0);
            case 11 -> checked("BEFORE_CLOSING", true);
            case 12 -> close();
            case 13 -> holdOrEnd();
            case 14 -> lendOrTakeBack();
            case 15 -> skip();
            default -> time();
        }
    }

    private void time() {
        off = off.plus(Duration.ofMinutes(random.nextInt(90)));
        SetClock.HANDS.off(off);
        if (random.nextInt(6) == 0 && random.nextBoolean()) {
            handOver();
        }
    }

    private boolean held() {
        return !holds.isEmpty();
    }

    private void start() {
        if (shop.start(job).status() == 200) {
            assertThat(lent).as("out of the house").isFalse();
            running = true;
            unplugged = true;
            heeded = false;
        }
    }

    private void step(String way) {
        String id = STEPS.get(random.nextInt(STEPS.size()));
        Object said = way.equals("in") ? Map.of("found", List.of()) : Map.of("settled", List.of());
        if (bench.bench(job, "steps/" + id + "/" + way, said).status() == 200) {
            seen.add(way);
            assertThat(List.of(running, unplugged, heeded, !held(), !lent))
                    .as("%s %s: a run, unplugged, heeded since, nothing held, here", id, way)
                    .containsOnly(true);
        }
    }

    /** Passing the lid over takes the tube from nobody's hands: its caution goes on to the deck. */
    private void skip() {
        if (bench.bench(job, "steps/lid/skip", Map.of("reason", "is off already"))
                        .status()
                == 200) {
            seen.add("skip");
        }
    }

    private void heed() {
        if (bench.bench(job, "steps/lid/heed", "").status() == 200) {
            seen.add("heed");
            assertThat(unplugged && !lent).isTrue();
            heeded = true;
        }
    }

    private void power(String power) {
        if (bench.bench(job, "power", body("power", power, "why", "")).status() == 200) {
            live(power.equals("LIVE"));
        }
    }

    private void live(boolean now) {
        if (now) {
            seen.add("live");
            heeded = false;
        }
        unplugged = !now;
    }

    private void checked(String stage, boolean passed) {
        Client.Answer checked = bench.post(
                "/api/jobs/" + job + "/checks",
                body(
                        "stage",
                        stage,
                        "verdict",
                        passed ? "PASSED" : "FAILED",
                        "what",
                        stage.equals("AFTER_CLOSING") ? "plays" : "turns",
                        "powered",
                        true,
                        "load",
                        "",
                        "times",
                        1,
                        "remark",
                        ""));
        if (checked.status() == 201) {
            assertThat(lent).isFalse();
            if (stage.equals("AFTER_CLOSING")) {
                failed = !passed;
            }
            live(true);
        }
    }

    private void close() {
        boolean forNow = random.nextBoolean();
        Client.Answer closed = forNow
                ? bench.bench(job, "close-for-now", Map.of("reason", "needs it"))
                : bench.bench(job, "close", "");
        if (closed.status() == 200) {
            seen.add("close");
            assertThat(held() || lent).isFalse();
            running = false;
        }
    }

    private void holdOrEnd() {
        if (held() && !Instant.now().plus(off).isBefore(holdEnds)) {
            if (bench.post("/api/holds/" + holds.get(0) + "/end", body("answer", "YES", "why", ""))
                            .status()
                    == 200) {
                seen.add("ended");
                holds.clear();
            }
        } else if (!held()) {
            holdEnds = Instant.now().plus(off).plus(Duration.ofMinutes(40));
            holds.add(bench.post(
                            "/api/jobs/" + job + "/holds",
                            body("kind", "CURE", "why", "resin", "until", holdEnds.toString()))
                    .id());
            seen.add("hold");
        } else {
            assertThat(bench.post("/api/holds/" + holds.get(0) + "/end", body("answer", "YES", "why", "hard"))
                            .status())
                    .as("before its time, by a bench")
                    .isEqualTo(403);
        }
    }

    private void lendOrTakeBack() {
        if (lent) {
            assertThat(bench.post("/api/jobs/" + job + "/loan/back", "").status())
                    .isEqualTo(200);
            seen.add("back from loan");
            lent = false;
            return;
        }
        if (bench.post("/api/jobs/" + job + "/loan", body("notFor", "long use")).status() == 200) {
            seen.add("lend");
            assertThat(held()).isFalse();
            lent = true;
            live(true);
        }
    }

    private void handOver() {
        bench.post("/api/jobs/" + job + "/outcome", Map.of("outcome", "FIXED", "remark", ""));
        if (bench.post("/api/jobs/" + job + "/handover", "").status() == 200) {
            assertThat(failed || held() || lent).isFalse();
            gone = true;
        }
    }
}
