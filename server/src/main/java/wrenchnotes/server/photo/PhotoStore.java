package wrenchnotes.server.photo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Settings;

/** Pictures in the data folder, each once. A file is written whole beside its place and then moved into it. */
@Component
public class PhotoStore {

    private final Path folder;
    private final JdbcClient jdbc;

    PhotoStore(Settings settings, JdbcClient jdbc) {
        this.folder = settings.data().resolve("photos");
        this.jdbc = jdbc;
    }

    public void keep(By by, Picture picture) {
        try {
            Path place = place(picture.hash());
            if (!Files.exists(place)) {
                Files.createDirectories(place.getParent());
                Path whole = Files.createTempFile(place.getParent(), "coming", ".jpg");
                Files.write(whole, picture.jpeg());
                Files.move(whole, place, StandardCopyOption.ATOMIC_MOVE);
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
