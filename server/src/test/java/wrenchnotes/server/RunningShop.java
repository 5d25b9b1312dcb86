package wrenchnotes.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import org.eclipse.jetty.server.handler.StatisticsHandler;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.jetty.JettyWebServer;
import org.springframework.boot.logging.LoggingSystem;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.util.FileSystemUtils;

/** The real application on a port of its own, with a real database in a folder of its own. */
public final class RunningShop implements BeforeAllCallback, AfterAllCallback, AutoCloseable {

    private static final String DEMO = "--wrenchnotes.demo=true";
    /** Whether beans are those worked out at the build is said to the whole process: starts of one kind only go side by side. */
    private static final ReadWriteLock BEANS = new ReentrantReadWriteLock();

    static {
        // It is set up by logback-test.xml, once for all shops.
        System.setProperty(LoggingSystem.SYSTEM_PROPERTY, LoggingSystem.NONE);
    }

    private final List<String> options = new ArrayList<>();
    private final List<Class<?>> sources = new ArrayList<>(List.of(WrenchNotes.class));
    private final List<ApplicationContextInitializer<GenericApplicationContext>> brought = new ArrayList<>();
    private Path data;
    private ConfigurableApplicationContext application;

    private RunningShop() {}

    /** Nobody is in it yet; its folder is a copy, so that it is not the first start on it: {@link #in} has one that is. */
    static RunningShop empty() {
        return new RunningShop();
    }

    public static RunningShop withDemo() {
        RunningShop shop = new RunningShop();
        shop.options.add(DEMO);
        return shop;
    }

    /** With what only a test brings along, put in before the beans are made: those worked out at the build serve. */
    public static RunningShop with(ApplicationContextInitializer<GenericApplicationContext> brought) {
        RunningShop shop = new RunningShop();
        shop.brought.add(brought);
        return shop;
    }

    /** With a source of beans that was not there when they were worked out: it starts slowly. */
    static RunningShop withSource(Class<?> source) {
        RunningShop shop = new RunningShop();
        shop.sources.add(source);
        return shop;
    }

    /** One that is open already, on a folder that is somebody else's; it lasts until it is closed. */
    public static RunningShop in(Path data, String... options) {
        return open(empty(), data, options);
    }

    /** As {@link #in}, with a part that only a test brings along. */
    public static RunningShop on(Path data, ApplicationContextInitializer<GenericApplicationContext> brought) {
        return open(with(brought), data);
    }

    /** As {@link #in}, on a folder in which nothing is yet: what its first start would make is put there before. */
    public static RunningShop emptyIn(Path data) throws IOException, InterruptedException {
        putEmptyInto(data);
        return in(data);
    }

    private static void putEmptyInto(Path folder) throws IOException, InterruptedException {
        MadeOnce.EMPTY.into(folder, making -> in(making).close());
    }

    /** Puts the small shop that the eighth version left into a folder, brought up to date; that it can be is GoldenShopTest's to say. */
    public static void goldenIn(Path folder) throws IOException, InterruptedException {
        MadeOnce.GOLDEN.into(folder, making -> {
            FileSystemUtils.copyRecursively(Path.of("src/test/resources/golden/v8"), making);
            open(empty(), making).close();
        });
    }

    /** Makes the demo shop in a folder, and closes it again. */
    public static void demoIn(Path folder) throws IOException, InterruptedException {
        MadeOnce.DEMO.into(
                folder, making -> open(empty(), making, DEMO.substring(2)).close());
    }

    private static RunningShop open(RunningShop shop, Path data, String... options) {
        for (String option : options) {
            shop.set(option);
        }
        shop.open(data);
        return shop;
    }

    /** @param option as on the command line, "wrenchnotes.meter.patience=600ms" */
    public RunningShop set(String option) {
        options.add("--" + option);
        return this;
    }

    @Override
    public void beforeAll(ExtensionContext context) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("wrench-notes");
        if (options.contains(DEMO)) {
            demoIn(folder);
        } else {
            putEmptyInto(folder);
        }
        open(folder);
    }

    private void open(Path folder) {
        data = folder;
        options.add("--server.port=0");
        options.add("--springdoc.api-docs.path=/live-openapi");
        options.add("--springdoc.default-flat-param-object=true");
        options.add("--springdoc.default-produces-media-type=application/json");
        options.add("--wrenchnotes.data=" + data);
        options.add("--wrenchnotes.passwords.strength=4");
        options.add("--wrenchnotes.first-code=" + Client.CODE);
        if (options.stream().noneMatch(option -> option.contains("figures.port"))) {
            options.add("--wrenchnotes.figures.port=0");
        }
        options.add("--wrenchnotes.door.tls-port=0");
        if (options.stream().noneMatch(option -> option.contains("backups.nightly"))) {
            options.add("--wrenchnotes.backups.nightly=false");
        }
        boolean builtAhead = sources.size() == 1;
        Lock starting = builtAhead ? BEANS.readLock() : BEANS.writeLock();
        starting.lock();
        try {
            System.setProperty("spring.aot.enabled", Boolean.toString(builtAhead));
            application = new SpringApplicationBuilder(sources.toArray(Class<?>[]::new))
                    .main(WrenchNotes.class)
                    .initializers(brought.toArray(ApplicationContextInitializer[]::new))
                    .run(options.toArray(String[]::new));
        } finally {
            starting.unlock();
        }
    }

    @Override
    public void afterAll(ExtensionContext context) throws IOException {
        close();
        FileSystemUtils.deleteRecursively(data);
    }

    @Override
    public void close() {
        application.close();
    }

    public String url() {
        return "http://localhost:" + application.getEnvironment().getProperty("local.server.port");
    }

    /** Requests that came and are not answered yet. */
    int unanswered() {
        JettyWebServer server = (JettyWebServer) ((WebServerApplicationContext) application).getWebServer();
        return server.getServer().getDescendant(StatisticsHandler.class).getRequestsActive();
    }

    public Path data() {
        return data;
    }

    public <T> T bean(Class<T> type) {
        return application.getBean(type);
    }

    public <T> T bean(String name, Class<T> type) {
        return application.getBean(name, type);
    }

    /** A browser-like client that nobody is signed in on yet. */
    public Client client() {
        return new Client(url());
    }
}
