package wrenchnotes.server.keeping;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.context.properties.bind.Binder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.SimpleCommandLinePropertySource;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.server.WrenchNotes;
import wrenchnotes.server.archive.ArchiveFailed;
import wrenchnotes.server.archive.ArchiveReader;
import wrenchnotes.server.archive.ArchiveWriter;

/**
 * What the program does from the command line without opening the shop: {@code backup [FOLDER]}, {@code restore FOLDER/<time>}, {@code
 * export FILE} and {@code import FILE}.
 */
public final class Commands {

    private Commands() {}

    /** @return the exit code; empty if the arguments ask for no command */
    public static OptionalInt run(String... args) {
        List<String> words =
                Arrays.stream(args).filter(arg -> !arg.startsWith("--")).toList();
        if (words.isEmpty() || !List.of("backup", "restore", "export", "import").contains(words.get(0))) {
            return OptionalInt.empty();
        }
        Path shop = Path.of(setting("wrenchnotes.data", "./data", args));
        try {
            System.out.println(
                    switch (words.get(0)) {
                        case "backup" -> backup(words, shop, args);
                        case "restore" -> restore(words, shop);
                        case "export" -> exported(shop, file(words, "export"));
                        default -> imported(shop, file(words, "import"));
                    });
            return OptionalInt.of(0);
        } catch (BackupFailed | ArchiveFailed e) {
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

    private static Path file(List<String> words, String command) {
        if (words.size() < 2) {
            throw new BackupFailed("Say which file: " + command + " FILE.zip --wrenchnotes.data=DIR.");
        }
        return Path.of(words.get(1));
    }

    /** Of a copy that is opened apart, so that a shop that runs is not disturbed. */
    private static String exported(Path shop, Path file) {
        try {
            Path apart = Files.createTempDirectory("wrench-notes-export");
            try {
                Backup.Made made = Backup.make(
                        shop, apart.resolve("copy"), Clock.systemUTC().instant(), Backup.Progress.SILENT);
                Restore.into(apart.resolve("shop"), made.folder());
                SpringApplicationBuilder builder =
                        new SpringApplicationBuilder(WrenchNotes.class).main(WrenchNotes.class);
                try (ConfigurableApplicationContext opened = builder.run(
                                "--server.port=0",
                                "--wrenchnotes.figures.port=0",
                                "--wrenchnotes.backups.nightly=false",
                                "--wrenchnotes.data=" + apart.resolve("shop"));
                        OutputStream out = Files.newOutputStream(file)) {
                    opened.getBean(ArchiveWriter.class).write(out, made.at());
                }
            } finally {
                FileSystemUtils.deleteRecursively(apart);
            }
        } catch (IOException e) {
            throw new BackupFailed("No archive was written to " + file.toAbsolutePath() + ": " + Backup.why(e), e);
        }
        return "The whole shop is in " + file.toAbsolutePath() + ", in open formats; passwords and tokens are not.";
    }

    private static String imported(Path shop, Path file) {
        long rows = ArchiveReader.read(file, shop);
        return "Read " + rows + " rows into " + shop.toAbsolutePath() + ". Start the program with --wrenchnotes.data="
                + shop + " --reset-lead=NAME: passwords are in no archive.";
    }

    /** From the command line or the environment, as the application itself reads it. */
    private static String setting(String name, String otherwise, String... args) {
        StandardEnvironment environment = new StandardEnvironment();
        environment.getPropertySources().addFirst(new SimpleCommandLinePropertySource(args));
        return Binder.get(environment).bind(name, String.class).orElse(otherwise);
    }
}
