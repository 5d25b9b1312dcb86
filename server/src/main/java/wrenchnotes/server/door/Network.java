package wrenchnotes.server.door;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.util.Optional;
import java.util.Set;
import org.eclipse.jetty.server.HttpConfiguration;
import org.eclipse.jetty.server.HttpConnectionFactory;
import org.eclipse.jetty.server.SecureRequestCustomizer;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.util.ssl.SslContextFactory;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.jetty.JettyWebServer;
import org.springframework.boot.ssl.SslBundle;
import org.springframework.boot.ssl.pem.PemSslStoreBundle;
import org.springframework.boot.ssl.pem.PemSslStoreDetails;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.DataFolder;

/**
 * The shop in its own network. Without a word of a lead it listens on this machine only. Opened, it listens on all of the machine's
 * addresses besides, by TLS alone, since passwords and cookies would be read on the way, and cameras and notifications work on no device
 * that came by plain HTTP. That it is open is a file in the data folder: it holds over a restart, at once and without one.
 */
@Component
class Network {

    private static final Logger LOG = LoggerFactory.getLogger(Network.class);
    private static final String OPENED = "opened";

    private final ServletWebServerApplicationContext application;
    private final DoorSettings settings;
    private final Hosts hosts;
    private final Authority authority;
    private final Path opened;
    private final Clock clock;
    private ServerConnector connector;
    private SslContextFactory.Server tls;
    private volatile Optional<String> trouble = Optional.empty();

    Network(
            ServletWebServerApplicationContext application,
            DoorSettings settings,
            Hosts hosts,
            DataFolder folder,
            Clock clock) {
        this.application = application;
        this.settings = settings;
        this.hosts = hosts;
        this.authority = new Authority(folder.path());
        this.opened = folder.path().resolve("tls").resolve(OPENED);
        this.clock = clock;
    }

    /** Whether it listens to the network. */
    synchronized boolean isOpen() {
        return connector != null && connector.isRunning();
    }

    /** Why it does not, though a lead said so. */
    Optional<String> trouble() {
        return trouble;
    }

    int port() {
        return connector == null ? settings.tlsPort() : connector.getLocalPort();
    }

    Set<String> names() {
        return hosts.ofThisMachine();
    }

    Authority authority() {
        return authority;
    }

    @EventListener(ApplicationReadyEvent.class)
    void asItWas() {
        if (Files.exists(opened)) {
            try {
                listen();
            } catch (Refused e) {
                LOG.error(e.getMessage());
            }
        }
    }

    /** @throws Refused if it cannot be, with a sentence */
    synchronized void open() {
        if (isOpen()) {
            return;
        }
        listen();
        try {
            Files.createDirectories(opened.getParent());
            DataFolder.write(opened, new byte[0]);
        } catch (IOException e) {
            close();
            throw Refused.because("That the shop is open could not be kept: " + e.getMessage());
        }
    }

    private synchronized void listen() {
        try {
            Server server = ((JettyWebServer) application.getWebServer()).getServer();
            tls = new SslContextFactory.Server();
            tls.setSslContext(bundle().createSslContext());
            HttpConfiguration https = new HttpConfiguration();
            https.addCustomizer(new SecureRequestCustomizer(false));
            ServerConnector made = new ServerConnector(server, tls, new HttpConnectionFactory(https));
            made.setPort(settings.tlsPort());
            Gate.guard(made);
            made.start();
            server.addConnector(made);
            connector = made;
            trouble = Optional.empty();
            LOG.info("The shop's network reaches it at {}, port {}", names(), made.getLocalPort());
        } catch (Exception e) {
            trouble = Optional.of("The shop could not be opened to its network: " + e.getMessage()
                    + ". Another port is said by --wrenchnotes.door.tls-port.");
            throw Refused.because(trouble.get());
        }
    }

    private SslBundle bundle() throws IOException, GeneralSecurityException {
        Authority.Pair pair = authority.current(names(), clock.instant());
        return SslBundle.of(new PemSslStoreBundle(
                PemSslStoreDetails.forCertificate(Files.readString(pair.certificate()))
                        .withPrivateKey(Files.readString(pair.key())),
                null));
    }

    /** A machine gets another address, a certificate grows old. */
    @Scheduled(fixedDelayString = "PT6H", initialDelayString = "PT6H")
    synchronized void renew() {
        if (isOpen()) {
            try {
                SslBundle bundle = bundle();
                tls.reload(factory -> factory.setSslContext(bundle.createSslContext()));
            } catch (Exception e) {
                LOG.error("The certificate could not be renewed: {}", e.getMessage());
            }
        }
    }

    /** This machine only, again. */
    synchronized void close() {
        try {
            Files.deleteIfExists(opened);
            if (connector != null) {
                connector.stop();
                connector.getServer().removeConnector(connector);
                connector = null;
            }
            trouble = Optional.empty();
        } catch (Exception e) {
            throw Refused.because("The shop could not be closed to its network: " + e.getMessage());
        }
    }
}
