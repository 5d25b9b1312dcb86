package wrenchnotes.server.ground;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;

/** What is wrong with what lies under the shop now, a sentence each: said on every screen and in health until it is over. */
@Component
public class Troubles {

    private final ClockWatch watch;
    private final Clock clock;
    private final AtomicReference<StoreTrouble> writing = new AtomicReference<>();
    private final Map<String, String> standing = new LinkedHashMap<>();

    Troubles(ClockWatch watch, Clock clock) {
        this.watch = watch;
        this.clock = clock;
    }

    /** A write failed for this. Damage stays until the program is started on a sound file. */
    void writingFailed(StoreTrouble trouble) {
        if (trouble != StoreTrouble.BUSY) {
            writing.updateAndGet(now -> now == StoreTrouble.DAMAGED ? now : trouble);
        }
    }

    /** A write went through: whatever was in its way is over. */
    void written() {
        writing.updateAndGet(now -> now == StoreTrouble.DAMAGED ? now : null);
    }

    public void damaged() {
        writing.set(StoreTrouble.DAMAGED);
    }

    public Optional<StoreTrouble> ofWriting() {
        return Optional.ofNullable(writing.get());
    }

    /**
     * What somebody found who looks after the shop; said until the same one finds otherwise.
     *
     * @param sentence empty if nothing is wrong
     */
    public synchronized void found(String who, Optional<String> sentence) {
        standing.remove(who);
        sentence.ifPresent(said -> standing.put(who, said));
    }

    /** All that is wrong now, the worst first. */
    public List<String> all() {
        List<String> all = new ArrayList<>();
        ofWriting().map(StoreTrouble::sentence).ifPresent(all::add);
        watch.trouble(clock.instant()).ifPresent(all::add);
        synchronized (this) {
            all.addAll(standing.values());
        }
        return all;
    }
}
