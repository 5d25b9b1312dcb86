package wrenchnotes.server.supplier;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * @param every how long after a round of all suppliers the next begins
 * @param standIn the supplier that is simulated
 */
@ConfigurationProperties("wrenchnotes.supplier")
record SupplierSettings(
        @DefaultValue("PT1M") Duration every, @DefaultValue StandInSupplier standIn) {

    /** In the data folder: a folder for each supplier that is spoken to by files. */
    static final String FOLDERS = "suppliers";

    /**
     * @param on whether there is one; the demo always has it
     * @param port on this machine
     * @param day how long one of its days takes here
     */
    record StandInSupplier(
            @DefaultValue("false") boolean on,
            @DefaultValue("9482") int port,
            @DefaultValue("PT20S") Duration day) {}
}
