package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Moment;

/**
 * The power of a unit in one stay, with its history: what was discharged is charged again by every test under power, so waits for
 * safety run from when somebody has said off and unplugged again (common practice, no source).
 *
 * @param entries in the order in which they were entered
 */
public record PowerLog(List<PowerEntry> entries) {

    public static final PowerLog NONE = new PowerLog(List.of());

    public PowerLog {
        entries = entries.stream()
                .sorted(Comparator.comparing(PowerEntry::moment))
                .toList();
    }

    /** With the runs, each of which began unplugged. */
    public static PowerLog of(List<PowerEntry> said, List<RunRecord> runs) {
        return new PowerLog(
                Stream.concat(runs.stream().map(PowerEntry::of), said.stream()).toList());
    }

    /** As it is; empty if nobody has said anything. */
    public Optional<PowerEntry> now() {
        return entries.isEmpty() ? Optional.empty() : Optional.of(entries.get(entries.size() - 1));
    }

    public boolean is(Power power) {
        return now().filter(entry -> entry.power() == power).isPresent();
    }

    /** Since when it is off and unplugged; empty while it is not. */
    public Optional<Instant> unpluggedSince() {
        return now().filter(entry -> entry.power() == Power.UNPLUGGED).map(PowerEntry::since);
    }

    /** When it was made live last; empty if it never was. */
    public Optional<Moment> lastLive() {
        Optional<Moment> last = Optional.empty();
        boolean live = false;
        for (PowerEntry entry : entries) {
            if (entry.power() == Power.LIVE && !live) {
                last = Optional.of(entry.moment());
            }
            live = entry.power() == Power.LIVE;
        }
        return last;
    }

    /** The last moment at which it is known not to have been unplugged; empty if it never was. */
    public Optional<Instant> lastWithPower() {
        return entries.stream()
                .filter(entry -> entry.power() != Power.UNPLUGGED)
                .map(entry -> entry.moment().at())
                .max(Comparator.naturalOrder());
    }

    /** Whether somebody has said since when it is unplugged, and did not just pull the plug. */
    public boolean sinceIsSaid() {
        return now().filter(PowerEntry::sinceSaid).isPresent();
    }
}
