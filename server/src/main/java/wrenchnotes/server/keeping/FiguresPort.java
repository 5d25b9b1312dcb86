package wrenchnotes.server.keeping;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Figures for whoever looks after the machine, in Prometheus' text format, on a port of their own that only this machine reaches:
 * requests and presses, how long the writer is waited for, the age of the last backup, the heap. Requests wait for nothing here.
 */
@Component
class FiguresPort implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(FiguresPort.class);
    private static final String FORMAT = "text/plain; version=0.0.4; charset=utf-8";

    private final PrometheusMeterRegistry figures;
    private final int port;
    private HttpServer server;

    FiguresPort(PrometheusMeterRegistry figures, Backups backups, @Value("${wrenchnotes.figures.port:9480}") int port) {
        this.figures = figures;
        this.port = port;
        Gauge.builder("wrenchnotes.backup.age", backups, FiguresPort::ageInSeconds)
                .baseUnit("seconds")
                .description("How old the last backup is; NaN if there is none")
                .register(figures);
    }

    private static double ageInSeconds(Backups backups) {
        return backups.age().map(Duration::toSeconds).map(Long::doubleValue).orElse(Double.NaN);
    }

    @EventListener(ApplicationReadyEvent.class)
    void listen() {
        if (port == 0) {
            return;
        }
        try {
            server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 2);
            server.createContext("/metrics", this::tell);
            server.start();
        } catch (IOException e) {
            LOG.warn(
                    "No figures at port {}: {}. Another is said by --wrenchnotes.figures.port, none by 0.",
                    port,
                    e.getMessage());
        }
    }

    private void tell(HttpExchange asked) throws IOException {
        try (asked) {
            byte[] text = figures.scrape().getBytes(StandardCharsets.UTF_8);
            asked.getResponseHeaders().set("Content-Type", FORMAT);
            asked.sendResponseHeaders(200, text.length);
            asked.getResponseBody().write(text);
        }
    }

    @Override
    public void destroy() {
        if (server != null) {
            server.stop(0);
        }
    }
}
