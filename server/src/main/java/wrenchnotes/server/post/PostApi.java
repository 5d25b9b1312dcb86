package wrenchnotes.server.post;

import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Orders as paper and as letters, and the outbox. */
@RestController
@May(Act.PARTS)
class PostApi {

    private static final int LAST = 100;

    private final OrderPost post;
    private final LetterStore letters;
    private final Outbox outbox;
    private final Postman postman;
    private final Snapshot snapshot;

    PostApi(OrderPost post, LetterStore letters, Outbox outbox, Postman postman, Snapshot snapshot) {
        this.post = post;
        this.letters = letters;
        this.outbox = outbox;
        this.postman = postman;
        this.snapshot = snapshot;
    }

    @GetMapping(value = "/api/orders/{order}/paper.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(@PathVariable long order) {
        return file("order-" + order + ".pdf", snapshot.read(() -> post.paper(order)));
    }

    /** A letter with the order enclosed, into the outbox. */
    @PostMapping("/api/orders/{order}/letter")
    @ResponseStatus(HttpStatus.CREATED)
    LetterStore.Letter write(@PathVariable long order, Pen pen) {
        LetterStore.Letter letter = pen.once(
                "letter", by -> letters.letter(post.letter(by, order)), LetterStore.Letter::id, letters::letter);
        postman.soon();
        return letter;
    }

    /** @param goes whether they leave by themselves; else somebody opens the files with a mail program */
    public record OutboxSeen(boolean goes, List<LetterStore.Letter> letters) {}

    /** The last letters, the newest first. */
    @GetMapping("/api/letters")
    OutboxSeen all() {
        return new OutboxSeen(postman.goes(), snapshot.read(() -> letters.last(LAST)));
    }

    @GetMapping(value = "/api/letters/{letter}/file.eml", produces = "message/rfc822")
    ResponseEntity<byte[]> letter(@PathVariable long letter) {
        LetterStore.Letter one = snapshot.read(() -> letters.letter(letter));
        return file(one.file(), outbox.bytes(one));
    }

    private static ResponseEntity<byte[]> file(String name, byte[] bytes) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(bytes);
    }
}
