package wrenchnotes.server.post;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.paper.MonthPapers;
import wrenchnotes.server.pattern.MonthService;
import wrenchnotes.server.shop.TheShop;

/** A month of the shop on paper, and as a letter to whom it concerns. */
@RestController
@May(Act.SETTINGS)
class MonthPostApi {

    private final MonthService months;
    private final MonthPapers papers;
    private final Outbox outbox;
    private final LetterStore letters;
    private final Postman postman;
    private final TheShop shop;
    private final Snapshot snapshot;
    private final Clock clock;

    MonthPostApi(
            MonthService months,
            MonthPapers papers,
            Outbox outbox,
            LetterStore letters,
            Postman postman,
            TheShop shop,
            Snapshot snapshot,
            Clock clock) {
        this.months = months;
        this.papers = papers;
        this.outbox = outbox;
        this.letters = letters;
        this.postman = postman;
        this.shop = shop;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param month such as 2026-10 @param to whom it is written */
    public record MonthLetterSaid(
            @NotNull @Size(max = 7) String month,
            @NotBlank @Size(max = 200) String to) {}

    /** @param month such as 2026-10; the last one that is over if left out */
    @GetMapping(value = "/api/patterns/month.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(@RequestParam(defaultValue = "") String month) {
        MonthService.MonthSeen seen = snapshot.read(() -> months.seen(month, clock.instant()));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("month-" + seen.month() + ".pdf")
                                .build()
                                .toString())
                .body(papers.month(seen));
    }

    /** Into the outbox, with the page enclosed. */
    @PostMapping("/api/patterns/month/letter")
    @ResponseStatus(HttpStatus.CREATED)
    LetterStore.Letter write(@Valid @RequestBody MonthLetterSaid said, Pen pen) {
        LetterStore.Letter letter = pen.once(
                said,
                by -> {
                    MonthService.MonthSeen seen = months.seen(said.month(), clock.instant());
                    return letters.letter(outbox.write(
                            by,
                            said.to(),
                            seen.title() + " at " + shop.now().name(),
                            "What rose, what came back, what lasted, what we broke, and the money: " + seen.title()
                                    + ", beside " + seen.before() + ".\n\n"
                                    + shop.now().name() + "\n",
                            Optional.of(new Outbox.Enclosed(
                                    "month-" + seen.month() + ".pdf",
                                    MediaType.APPLICATION_PDF_VALUE,
                                    papers.month(seen))),
                            Optional.empty()));
                },
                LetterStore.Letter::id,
                letters::letter);
        postman.soon();
        return letter;
    }
}
