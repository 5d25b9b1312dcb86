package wrenchnotes.server.meter;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What can be set of the bench meter from outside.
 *
 * @param host where the meter is, until somebody says otherwise on the screen
 * @param port 5025 is what instruments use for SCPI over TCP
 * @param patience how long a reading may take in all
 * @param standIn the simulated meter
 */
@ConfigurationProperties("wrenchnotes.meter")
public record MeterSettings(
        @DefaultValue("localhost") String host,
        @DefaultValue("5025") int port,
        @DefaultValue("4s") Duration patience,
        @DefaultValue StandIn standIn) {

    /**
     * @param on whether it runs; it always does in the demo
     * @param port 0 takes any that is free
     * @param noisePercent standard deviation of what it reads, in percent of the value
     * @param digits places that count in what it says
     * @param overloadAbove what it cannot read any more, in volts, amperes, ohms or farads
     * @param delay how long it takes to answer
     */
    public record StandIn(
            @DefaultValue("false") boolean on,
            @DefaultValue("5025") int port,
            @DefaultValue("0.05") double noisePercent,
            @DefaultValue("4") int digits,
            @DefaultValue("1000000000") double overloadAbove,
            @DefaultValue("150ms") Duration delay) {}
}
