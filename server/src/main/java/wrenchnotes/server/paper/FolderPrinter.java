package wrenchnotes.server.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.DataFolder;

/** The stand-in for a printer: papers come out as files in {@code printed/} of the data folder. */
@Component
public class FolderPrinter implements Printer {

    private final Path folder;

    FolderPrinter(DataFolder data) {
        this.folder = data.path().resolve("printed");
    }

    @Override
    public int throwAway(String beginning) {
        if (!Files.isDirectory(folder)) {
            return 0;
        }
        try (Stream<Path> papers = Files.list(folder)) {
            List<Path> these = papers.filter(one -> one.getFileName().toString().startsWith(beginning))
                    .toList();
            for (Path paper : these) {
                Files.delete(paper);
            }
            return these.size();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public String print(String name, byte[] pdf) {
        try {
            Files.createDirectories(folder);
            Path file = folder.resolve(name + ".pdf");
            DataFolder.write(file, pdf);
            return folder.getFileName() + "/" + file.getFileName();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
