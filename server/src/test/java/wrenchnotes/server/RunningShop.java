package wrenchnotes.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;

/** The real application on a port of its own, with a real database in a folder of its own. */
public final class RunningShop implements BeforeAllCallback, AfterAllCallback, AutoCloseable {

    private static final String DEMO = "--wrenchnotes.demo=true";

    private final List<String> options = new ArrayList<>();
    private final Class<?>[] sources;
    private Path data;
    private ConfigurableApplicationContext application;

    private RunningShop(Class<?>... sources) {
        this.sources = sources;
    }

    static RunningShop empty() {
        return new RunningShop(WrenchNotes.class);
    }

    public static RunningShop withDemo() {
        RunningShop shop = new RunningShop(WrenchNotes.class);
        shop.options.add(DEMO);
        return shop;
    }

    /** With parts that only a test brings along. */
    public static RunningShop with(Class<?>... extra) {
        Class<?>[] sources = new Class<?>[extra.length + 1];
        sources[0] = WrenchNotes.class;
        System.arraycopy(extra, 0, sources, 1, extra.length);
        return new RunningShop(sources);
    }

    /** One that is open already, on a folder that is somebody else's; it lasts until it is closed. */
    public static RunningShop in(Path data, String... options) {
        return open(empty(), data, options);
    }

    /** As {@link #in}, with a part that only a test brings along. */
    public static RunningShop on(Path data, Class<?> extra) {
        return open(with(extra), data);
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
            DemoMade.into(
                    folder, making -> open(empty(), making, DEMO.substring(2)).close());
        }
        open(folder);
    }

    private void open(Path folder) {
        data = folder;
        options.add("--server.port=0");
        options.add("--springdoc.api-docs.path=/live-openapi");
        options.add("--springdoc.default-produces-media-type=application/json");
        options.add("--wrenchnotes.data=" + data);
        options.add("--wrenchnotes.passwords.strength=4");
        if (options.stream().noneMatch(option -> option.contains("backups.nightly"))) {
            options.add("--wrenchnotes.backups.nightly=false");
        }
        // What only a test brings along was not there when the beans were worked out.
        System.setProperty("spring.aot.enabled", Boolean.toString(sources.length == 1));
        application =
                new SpringApplicationBuilder(sources).main(WrenchNotes.class).run(options.toArray(String[]::new));
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
