package wrenchnotes.server.archive;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.May;

/** The whole shop as one file. */
@RestController
@May(value = Act.BACK_UP, toRead = true)
class ArchiveApi {

    private final ArchiveWriter archives;
    private final DataFolder folder;
    private final Clock clock;

    ArchiveApi(ArchiveWriter archives, DataFolder folder, Clock clock) {
        this.archives = archives;
        this.folder = folder;
        this.clock = clock;
    }

    /** Written first and sent then: a slow line holds no moment of the database open. */
    @GetMapping(value = "/api/archive.zip", produces = "application/zip")
    void archive(HttpServletResponse response) throws IOException {
        Instant now = clock.instant();
        Path file = Files.createTempFile(folder.path(), "archive", ".tmp");
        try {
            try (OutputStream out = Files.newOutputStream(file)) {
                archives.write(out, now);
            }
            response.setContentType("application/zip");
            response.setContentLengthLong(Files.size(file));
            response.setHeader(
                    HttpHeaders.CONTENT_DISPOSITION,
                    ContentDisposition.attachment()
                            .filename("shop-" + now.toString().substring(0, 10) + ".zip")
                            .build()
                            .toString());
            Files.copy(file, response.getOutputStream());
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
