package wrenchnotes.server.practice;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.WrenchNotes;
import wrenchnotes.server.ground.Settings;

/** Runs the demo shop beside the shop, on a port and a folder of its own; its cookies are its own too, so that nobody is signed out of either. */
@Component
class PracticeShop implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(PracticeShop.class);

    enum PracticeState {
        /** There is none. */
        NONE,
        MAKING,
        OPEN,
        /** It did not start. */
        FAILED,
        /** This is the practice shop itself. */
        HERE
    }

    /** @param port where it can be reached, on the shop's own host; 0 unless it is open */
    record Now(PracticeState state, int port, Optional<String> trouble) {
        static Now of(PracticeState state) {
            return new Now(state, 0, Optional.empty());
        }
    }

    private final Environment environment;
    private volatile Now now;
    private ConfigurableApplicationContext shop;
    private Path folder;

    PracticeShop(Environment environment, Settings settings) {
        this.environment = environment;
        this.now = Now.of(settings.practice() ? PracticeState.HERE : PracticeState.NONE);
    }

    Now now() {
        return now;
    }

    /** @throws Refused if there is one already */
    synchronized void open() {
        switch (now.state()) {
            case HERE -> throw Refused.because("This is the practice shop.");
            case OPEN, MAKING -> throw Refused.because("There is a practice shop already: throw that away first.");
            default -> {}
        }
        now = Now.of(PracticeState.MAKING);
        Thread making = new Thread(this::make, "practice shop");
        making.setDaemon(true);
        making.start();
    }

    private void make() {
        try {
            folder = Files.createTempDirectory("practice-shop");
            int port = freePort();
            ConfigurableApplicationContext made = new SpringApplicationBuilder(WrenchNotes.class)
                    .main(WrenchNotes.class)
                    .run(
                            "--server.port=" + port,
                            "--wrenchnotes.figures.port=0",
                            "--wrenchnotes.data=" + folder,
                            "--wrenchnotes.demo=true",
                            "--wrenchnotes.practice=true",
                            "--wrenchnotes.backups.nightly=false");
            opened(made);
        } catch (IOException | RuntimeException e) {
            LOG.warn("The practice shop did not start", e);
            now = new Now(PracticeState.FAILED, 0, Optional.ofNullable(e.getMessage()));
            throwFolderAway();
        }
    }

    private synchronized void opened(ConfigurableApplicationContext made) {
        shop = made;
        now = new Now(PracticeState.OPEN, port(made.getEnvironment()), Optional.empty());
    }

    private static int port(Environment of) {
        return of.getProperty("local.server.port", Integer.class, 8080);
    }

    /** One of the next ten after the shop's own, if one is free: a port that is open for it in the house is likely among them. Else any. */
    private int freePort() {
        int own = port(environment);
        return IntStream.rangeClosed(own + 1, own + 10)
                .filter(PracticeShop::isFree)
                .findFirst()
                .orElse(0);
    }

    private static boolean isFree(int port) {
        try (ServerSocket socket = new ServerSocket(port)) {
            return socket.isBound();
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    /** Nothing of it stays. @throws Refused while it is being made */
    synchronized void throwAway() {
        if (now.state() == PracticeState.MAKING) {
            throw Refused.because("It is just being made: wait until it stands.");
        }
        if (shop != null) {
            shop.close();
            shop = null;
        }
        throwFolderAway();
        if (now.state() != PracticeState.HERE) {
            now = Now.of(PracticeState.NONE);
        }
    }

    private void throwFolderAway() {
        try {
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException e) {
            LOG.warn("Left over of a practice shop: {}", folder);
        }
        folder = null;
    }

    @Override
    public synchronized void destroy() {
        if (shop != null) {
            shop.close();
            throwFolderAway();
        }
    }
}
