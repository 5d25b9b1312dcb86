package wrenchnotes.server.keeping;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.core.env.SimpleCommandLinePropertySource;
import org.springframework.core.env.StandardEnvironment;

/** What the program does from the command line without opening the shop: {@code backup [FOLDER]} and {@code restore FOLDER/<time>}. */
public final class Commands {

    private Commands() {}

    /** @return the exit code; empty if the arguments ask for no command */
    public static OptionalInt run(String... args) {
        List<String> words =
                Arrays.stream(args).filter(arg -> !arg.startsWith("--")).toList();
        if (words.isEmpty() || !List.of("backup", "restore").contains(words.get(0))) {
            return OptionalInt.empty();
        }
        Path shop = Path.of(setting("wrenchnotes.data", "./data", args));
        try {
            System.out.println(words.get(0).equals("backup") ? backup(words, shop, args) : restore(words, shop));
            return OptionalInt.of(0);
        } catch (BackupFailed e) {
            System.err.println(e.getMessage());
            return OptionalInt.of(1);
        }
    }

    private static String backup(List<String> words, Path shop, String... args) {
        Path into = words.size() > 1
                ? Path.of(words.get(1))
                : Path.of(setting(
                        "wrenchnotes.backups.folder",
                        shop.resolve(Backups.FOLDER).toString(),
                        args));
        Backup.Made made = Backup.make(shop, into, Clock.systemUTC().instant(), Backup.Progress.SILENT);
        return "Backed up to " + made.folder() + ": the database, the key and "
                + made.manifest().photos().size() + " pictures, all looked at.";
    }

    private static String restore(List<String> words, Path shop) {
        if (words.size() < 2) {
            throw new BackupFailed("Say which backup: restore FOLDER/<time> --wrenchnotes.data=DIR.");
        }
        BackupManifest manifest = Restore.into(shop, Path.of(words.get(1)));
        return "Restored into " + shop.toAbsolutePath() + " as it was at " + manifest.made() + ", with "
                + manifest.photos().size() + " pictures. Start the program with --wrenchnotes.data=" + shop + ".";
    }

    /** From the command line or the environment, as the application itself reads it. */
    private static String setting(String name, String otherwise, String... args) {
        StandardEnvironment environment = new StandardEnvironment();
        environment.getPropertySources().addFirst(new SimpleCommandLinePropertySource(args));
        return Binder.get(environment).bind(name, String.class).orElse(otherwise);
    }
}
