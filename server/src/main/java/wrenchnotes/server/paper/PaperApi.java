package wrenchnotes.server.paper;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;

/** Slip and tag: to the shop's printer, or to the browser's. */
@RestController
@RequestMapping("/api/jobs/{job}/papers")
@May(Act.REMARK)
class PaperApi {

    private final Papers papers;

    PaperApi(Papers papers) {
        this.papers = papers;
    }

    /** @param place of a tag on a sheet of labels, from 1; the first if left out */
    public record PrintSaid(@NotNull Papers.Paper paper, Optional<@Min(1) @Max(24) Integer> place) {}

    /** @param where it came out */
    public record Printed(String where) {}

    @GetMapping(value = "/{paper}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(
            @PathVariable long job,
            @PathVariable String paper,
            @RequestParam(defaultValue = "1") @Min(1) @Max(24) int place) {
        Papers.Drawn drawn = papers.drawn(job, Papers.Paper.called(paper), place);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(drawn.name() + ".pdf")
                                .build()
                                .toString())
                .body(drawn.pdf());
    }

    @PostMapping
    Printed print(@PathVariable long job, @Valid @RequestBody PrintSaid said) {
        return new Printed(papers.print(job, said.paper(), said.place().orElse(1)));
    }
}
