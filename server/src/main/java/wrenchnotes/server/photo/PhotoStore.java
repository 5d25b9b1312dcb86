package wrenchnotes.server.photo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.DataFolder;

/**
 * Pictures in the data folder, each once. A file is on the disk under its name before its row is written, so that no row is ever
 * without its picture; if the row is not committed after all, the file goes again.
 */
@Component
public class PhotoStore {

    private static final Logger LOG = LoggerFactory.getLogger(PhotoStore.class);

    private final Path folder;
    private final JdbcClient jdbc;

    PhotoStore(DataFolder data, JdbcClient jdbc) {
        this.folder = data.photos();
        this.jdbc = jdbc;
    }

    public void keep(By by, Picture picture) {
        try {
            Path place = place(picture.hash());
            if (!Files.exists(place)) {
                Files.createDirectories(place.getParent());
                DataFolder.force(folder.getParent());
                DataFolder.force(folder);
                DataFolder.write(place, picture.jpeg());
                goesUnlessCommitted(place);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        jdbc.sql("""
                        INSERT INTO photo (hash, width, height, made_at, made_by)
                        VALUES (:hash, :width, :height, :at, :by)
                        ON CONFLICT (hash) DO NOTHING
                        """)
                .param("hash", picture.hash())
                .param("width", picture.width())
                .param("height", picture.height())
                .param("at", by.at().toEpochMilli())
                .param("by", by.person())
                .update();
    }

    private static void goesUnlessCommitted(Path place) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                if (status == STATUS_ROLLED_BACK) {
                    try {
                        Files.deleteIfExists(place);
                    } catch (IOException e) {
                        LOG.warn("The picture of a refused upload stayed: {}", place);
                    }
                }
            }
        });
    }

    public boolean has(String hash) {
        return jdbc.sql("SELECT EXISTS (SELECT 1 FROM photo WHERE hash = :hash)")
                .param("hash", hash)
                .query(Boolean.class)
                .single();
    }

    public Optional<byte[]> read(String hash) {
        try {
            Path place = place(hash);
            return Files.exists(place) ? Optional.of(Files.readAllBytes(place)) : Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path place(String hash) {
        return folder.resolve(hash.substring(0, 2)).resolve(hash + ".jpg");
    }
}
