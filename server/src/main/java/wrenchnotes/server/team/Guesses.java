package wrenchnotes.server.team;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.TooSoon;

/**
 * Slows down whoever tries passwords, codes and tokens: what fits costs nothing, what does not is counted by address and by name. The
 * first five tries of a minute are free, then one comes in twelve seconds, then one in a minute, then one in five; nobody is locked out
 * for good. Where somebody came in from before, their name is counted apart, so that a stranger cannot keep them out of their own bench.
 */
@Component
class Guesses {

    private static final List<Bandwidth> OF_A_NAME = List.of(
            tries(5, 5, Duration.ofMinutes(1)),
            tries(10, 10, Duration.ofMinutes(10)),
            tries(20, 20, Duration.ofMinutes(100)));
    /** A whole shop may stand behind one: seven at once, then three a minute, so never more than ten in any minute. */
    private static final List<Bandwidth> OF_AN_ADDRESS =
            List.of(tries(7, 3, Duration.ofMinutes(1)), tries(60, 60, Duration.ofHours(1)));

    private static final int MOST_KNOWN = 20_000;

    /** So many of an address are looked at together: fewer than the free tries, so that a whole shop that comes in at once is not refused. */
    private static final int AT_ONCE = 3;

    private static final int WAITING = 30;
    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private final LoadingCache<String, Bucket> addresses = counted(OF_AN_ADDRESS);
    private final LoadingCache<String, Bucket> names = counted(OF_A_NAME);
    private final LoadingCache<String, Semaphore> atOnce =
            Caffeine.newBuilder().maximumSize(MOST_KNOWN).build(key -> new Semaphore(AT_ONCE, true));

    private static Bandwidth tries(int atOnce, int again, Duration in) {
        return Bandwidth.builder().capacity(atOnce).refillGreedy(again, in).build();
    }

    private static LoadingCache<String, Bucket> counted(List<Bandwidth> by) {
        return Caffeine.newBuilder()
                .maximumSize(MOST_KNOWN)
                .expireAfterAccess(Duration.ofHours(2))
                .build(key -> {
                    var bucket = Bucket.builder();
                    by.forEach(bucket::addLimit);
                    return bucket.build();
                });
    }

    /**
     * One try. It counts until it is said to have been {@link Try#right}.
     *
     * @param name whose; empty if it is nobody's in particular
     * @param known whether that person came in from this address before
     * @throws TooSoon if it has to wait; then nothing may be looked at
     */
    Try begin(String address, String name, boolean known) {
        Semaphore turns = atOnce.get(address);
        try {
            if (turns.getQueueLength() >= WAITING || !turns.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
                throw TooSoon.inACrowd(PATIENCE);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw TooSoon.inACrowd(PATIENCE);
        }
        try {
            return new Try(counted(address, name, known), turns);
        } catch (TooSoon e) {
            turns.release();
            throw e;
        }
    }

    private List<Bucket> counted(String address, String name, boolean known) {
        Bucket byAddress = addresses.get(address);
        take(byAddress);
        if (name.isEmpty()) {
            return List.of(byAddress);
        }
        Bucket byName = names.get(name.strip().toLowerCase(Locale.ROOT) + (known ? " at " + address : ""));
        try {
            take(byName);
        } catch (TooSoon e) {
            byAddress.addTokens(1);
            throw e;
        }
        return List.of(byAddress, byName);
    }

    private static void take(Bucket bucket) {
        ConsumptionProbe probe = bucket.tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw TooSoon.afterTries(Duration.ofNanos(probe.getNanosToWaitForRefill()));
        }
    }

    /** One that is under way: it counts before it is answered. To be closed once it is. */
    record Try(List<Bucket> counted, Semaphore turns) implements AutoCloseable {
        /** It was no guess. */
        void right() {
            counted.forEach(bucket -> bucket.addTokens(1));
        }

        @Override
        public void close() {
            turns.release();
        }
    }
}
