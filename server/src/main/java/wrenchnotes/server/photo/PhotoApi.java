package wrenchnotes.server.photo;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Takes;

/** Pictures in and out. */
@RestController
@May(Act.REMARK)
public class PhotoApi {

    private final PhotoStore photos;

    PhotoApi(PhotoStore photos) {
        this.photos = photos;
    }

    public record Kept(String hash, int width, int height) {}

    @PostMapping(value = "/api/photos", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Takes(megabytes = 25)
    Kept keep(@RequestBody byte[] file, Pen pen) {
        Picture picture = Picture.of(file);
        pen.once(picture.hash(), by -> photos.keep(by, picture));
        return new Kept(picture.hash(), picture.width(), picture.height());
    }

    @GetMapping(value = "/api/photos/{hash:[0-9a-f]{64}}", produces = MediaType.IMAGE_JPEG_VALUE)
    ResponseEntity<byte[]> photo(@PathVariable String hash) {
        // Named by what it holds: it can never be another picture.
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePrivate().immutable())
                .body(photos.read(hash).orElseThrow(() -> new NotFound("There is no photo " + hash)));
    }
}
