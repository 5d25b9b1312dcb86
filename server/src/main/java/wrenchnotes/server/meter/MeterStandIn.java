package wrenchnotes.server.meter;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.Settings;

/** The stand-in for a bench meter: a server of its own on this machine that speaks {@link Scpi} and nothing else. */
@Component
public class MeterStandIn implements SmartLifecycle, Scpi.Manners {

    private static final Logger LOG = LoggerFactory.getLogger(MeterStandIn.class);
    private static final int QUIET_MILLIS = 60_000;

    private final MeterSettings.StandIn set;
    private final boolean wanted;
    private StandInManner manner;
    private ServerSocket door;
    private ExecutorService talkers;

    MeterStandIn(MeterSettings settings, Settings shop) {
        this.set = settings.standIn();
        this.wanted = set.on() || shop.demo();
        this.manner = StandInManner.of(set);
    }

    /** The port it answers on; empty if it is not running. */
    public synchronized OptionalInt port() {
        return door == null ? OptionalInt.empty() : OptionalInt.of(door.getLocalPort());
    }

    @Override
    public synchronized StandInManner now() {
        return manner;
    }

    @Override
    public synchronized void change(UnaryOperator<StandInManner> how) {
        manner = how.apply(manner);
    }

    @Override
    public synchronized void start() {
        if (!wanted || door != null) {
            return;
        }
        door = open();
        talkers = Executors.newCachedThreadPool(work -> {
            Thread thread = new Thread(work, "meter-stand-in");
            thread.setDaemon(true);
            return thread;
        });
        ServerSocket open = door;
        Thread porter = new Thread(() -> letIn(open), "meter-stand-in-door");
        porter.setDaemon(true);
        porter.start();
    }

    /** Another shop on this machine may have the usual port: then any other will do. */
    private ServerSocket open() {
        try {
            return bound(set.port());
        } catch (BindException e) {
            LOG.info("Port {} is taken: the stand-in for a meter takes another one", set.port());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        try {
            return bound(0);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ServerSocket bound(int port) throws IOException {
        ServerSocket socket = new ServerSocket();
        socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        return socket;
    }

    private void letIn(ServerSocket open) {
        while (!open.isClosed()) {
            try {
                Socket caller = open.accept();
                talkers.execute(() -> talk(caller));
            } catch (IOException e) {
                if (!open.isClosed()) {
                    LOG.warn("The stand-in for a meter could not let somebody in", e);
                }
            }
        }
    }

    private void talk(Socket caller) {
        Scpi scpi = new Scpi(this, new Random());
        try (caller) {
            caller.setSoTimeout(QUIET_MILLIS);
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
            Writer out = new OutputStreamWriter(caller.getOutputStream(), StandardCharsets.UTF_8);
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                Optional<String> answer = scpi.line(line);
                if (answer.isPresent()) {
                    Thread.sleep(line.toUpperCase(Locale.ROOT).contains("MEAS") ? now().delayMillis() : 0);
                    out.write(answer.get() + "\n" + (now().talkative() ? (answer.get() + "\n").repeat(20) : ""));
                    out.flush();
                }
            }
        } catch (IOException e) {
            LOG.debug("Somebody hung up on the stand-in for a meter", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public synchronized void stop() {
        if (door != null) {
            try {
                door.close();
            } catch (IOException e) {
                LOG.debug("The stand-in's door did not close", e);
            }
            talkers.shutdownNow();
            door = null;
        }
    }

    @Override
    public synchronized boolean isRunning() {
        return door != null;
    }
}
