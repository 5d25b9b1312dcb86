package wrenchnotes.server.door;

import java.time.Duration;
import java.util.Set;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where the shop may be reached.
 *
 * @param hosts names it answers to beside those of this machine, such as "repairs.example"
 * @param proxies addresses whose word is taken for where a request came from
 * @param tlsPort where the shop's network reaches it, once a lead has opened it
 * @param patience what a small body may take to arrive: at 20 s, 64 kB on a line of 3 kB a second
 */
@ConfigurationProperties("wrenchnotes.door")
record DoorSettings(
        @DefaultValue Set<String> hosts,
        @DefaultValue Set<String> proxies,
        @DefaultValue("8443") int tlsPort,
        @DefaultValue("20s") Duration patience) {}
