package wrenchnotes.server.door;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The names that this shop answers to: this machine's own, and those that were set. */
@Component
class Hosts {

    private static final Set<String> ALWAYS = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private static final Duration LOOKED_EVERY = Duration.ofSeconds(10);

    private final Set<String> set;
    private final Clock clock;
    private volatile Set<String> own = Set.of();
    private volatile Instant looked = Instant.EPOCH;

    Hosts(DoorSettings settings, Clock clock) {
        this.clock = clock;
        this.set = settings.hosts().stream()
                .map(host -> host.strip().toLowerCase(Locale.ROOT))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Every request asks. Addresses may change while the program runs: a name that is not known is looked for again, now and then. */
    boolean answersTo(String host) {
        String name = host.toLowerCase(Locale.ROOT);
        if (ALWAYS.contains(name) || set.contains(name) || own.contains(name)) {
            return true;
        }
        Instant now = clock.instant();
        if (now.isBefore(looked.plus(LOOKED_EVERY))) {
            return false;
        }
        looked = now;
        own = ofThisMachine();
        return own.contains(name);
    }

    /** Names and addresses by which others in the network can reach this machine. */
    Set<String> ofThisMachine() {
        Set<String> names = new LinkedHashSet<>(set);
        try {
            String own = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
            names.add(own);
            names.add(own.contains(".") ? own : own + ".local");
            NetworkInterface.networkInterfaces()
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(address -> !address.isLoopbackAddress() && !address.isLinkLocalAddress())
                    .map(address -> address.getHostAddress().replaceAll("%.*", ""))
                    .forEach(names::add);
        } catch (UnknownHostException | SocketException e) {
            // A machine that does not know its own name is reached by its addresses, or by those that were set.
            return names;
        }
        return names;
    }
}
