package wrenchnotes.server.meter;

import java.io.IOException;
import java.net.ConnectException;
import java.net.NoRouteToHostException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import wrenchnotes.core.gauge.MeterFunction;
import wrenchnotes.core.gauge.MeterReading;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.DeviceTrouble;

/** Takes readings from any meter that speaks SCPI over TCP: one conversation a reading, one reading at a time, and never for long. */
@Component
public class MeterClient {

    /** Maker, model, serial number, firmware (IEEE 488.2, 10.14). */
    private static final Pattern IDENTITY = Pattern.compile("[^,]{1,60}(,[^,]{0,60}){3}");

    /** A number and a sentence in quotes (SCPI-1999, 21.8). */
    private static final Pattern ERROR = Pattern.compile("[+-]?\\d{1,5},\"[^\"]{0,120}\"");

    private final MeterSettings settings;
    private final ReentrantLock oneAtATime = new ReentrantLock();

    MeterClient(MeterSettings settings) {
        this.settings = settings;
    }

    /** Where a meter is. */
    public record MeterAt(String host, int port) {
        @Override
        public String toString() {
            return host + ":" + port;
        }
    }

    /** @param identity what the meter calls itself */
    record Taken(String identity, MeterReading reading) {}

    /**
     * @param point where the probes are; said to the stand-in only, which has no hands
     * @throws DeviceTrouble with what to do, after the patience that is set at the latest
     */
    Taken take(MeterAt meter, MeterFunction function, Optional<String> point) {
        try {
            if (!oneAtATime.tryLock(settings.patience().toMillis(), TimeUnit.MILLISECONDS)) {
                throw new DeviceTrouble("Somebody else is taking a reading from this meter. Take yours after theirs.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new DeviceTrouble("The reading was stopped.");
        }
        try (MeterLine line = MeterLine.to(meter, settings.patience())) {
            return converse(line, function, point);
        } catch (UnknownHostException e) {
            throw new DeviceTrouble(
                    "Nobody in the network is called " + meter.host() + ". Look at the meter's address.");
        } catch (SocketTimeoutException e) {
            throw new DeviceTrouble("The meter at " + meter + " did not answer within "
                    + settings.patience().toSeconds()
                    + " s. Look at what it shows, then take the reading again, or type it.");
        } catch (ConnectException | NoRouteToHostException e) {
            throw new DeviceTrouble(
                    "No meter answers at " + meter + ". Is it on, in the network, and is the address right?");
        } catch (IOException e) {
            throw new DeviceTrouble("The meter at " + meter + " hung up. Take the reading again.");
        } finally {
            oneAtATime.unlock();
        }
    }

    private static Taken converse(MeterLine line, MeterFunction function, Optional<String> point) throws IOException {
        String identity = line.ask("*IDN?");
        if (!IDENTITY.matcher(identity).matches()) {
            // Not repeated: whoever may turn the meter's address must not read by it what other machines say.
            throw new DeviceTrouble(
                    "What answers there is no meter: it does not say what it is as meters do. Look at the address.");
        }
        if (identity.equals(Scpi.IDENTITY) && point.isPresent()) {
            line.say("SIM:POIN \"" + point.get().replaceAll("[\"\\p{Cntrl}]", "") + "\"");
        }
        String answer = line.ask(function.query());
        String error = line.ask("SYST:ERR?");
        if (!error.matches("[+-]?0\\b.*")) {
            throw new DeviceTrouble(
                    "The meter cannot do that" + (ERROR.matcher(error).matches() ? ": it says " + error : "") + ".");
        }
        MeterReading reading;
        try {
            reading = MeterReading.of(function, answer);
        } catch (Invalid e) {
            throw new DeviceTrouble(
                    "The meter answered with something else than a reading. Look at what it shows, then take it again.");
        }
        if (reading.value().isEmpty()) {
            throw new DeviceTrouble(
                    "The meter shows overload. Set it to a larger range, or look at what the probes touch.");
        }
        return new Taken(identity, reading);
    }
}
