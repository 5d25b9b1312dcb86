package wrenchnotes.server.exchange;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
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
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Sha256;
import wrenchnotes.server.ground.Takes;
import wrenchnotes.server.paper.TeardownSheets;
import wrenchnotes.server.photo.Picture;

/** Teardown notes out of the shop and into it. */
@RestController
@May(Act.IMPORT)
public class TeardownExchangeApi {

    private final TeardownFiles files;
    private final TeardownFile file;
    private final TeardownPapers papers;
    private final TeardownSheets sheets;
    private final TeardownImportService imports;

    TeardownExchangeApi(
            TeardownFiles files,
            TeardownFile file,
            TeardownPapers papers,
            TeardownSheets sheets,
            TeardownImportService imports) {
        this.files = files;
        this.file = file;
        this.papers = papers;
        this.sheets = sheets;
        this.imports = imports;
    }

    /**
     * @param notes number of the version that the file became
     * @param version its id
     */
    public record Imported(long modelId, long revisionId, long notes, long version) {}

    @GetMapping(value = "/api/schemas/teardown-1.json", produces = "application/schema+json")
    Resource schema() {
        return new ClassPathResource(TeardownFile.SCHEMA);
    }

    @GetMapping(value = "/api/revisions/{revision}/export.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> asJson(@PathVariable long revision) {
        TeardownFile.Content content = files.content(revision);
        return attached(content, ".json", file.write(content));
    }

    @GetMapping(value = "/api/revisions/{revision}/export.md", produces = "text/markdown;charset=UTF-8")
    ResponseEntity<String> asMarkdown(@PathVariable long revision) {
        TeardownFile.Content content = files.content(revision);
        return attached(content, ".md", papers.markdown(content));
    }

    @GetMapping(value = "/api/revisions/{revision}/export.jsonld", produces = "application/ld+json")
    ResponseEntity<String> asHowTo(@PathVariable long revision) {
        TeardownFile.Content content = files.content(revision);
        return attached(content, ".jsonld", papers.howTo(content));
    }

    /** A4, to be laid beside the work: cautions first, what comes off drawn at its true size. */
    @GetMapping(value = "/api/revisions/{revision}/export.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> asSheet(@PathVariable long revision) {
        TeardownFile.Content content = files.content(revision);
        byte[] sheet = sheets.pdf(new TeardownSheets.SheetOf(
                content.model().maker() + " " + content.model().name() + ", " + content.revision(),
                content.tellApart(),
                content.notes(),
                content::name,
                content.photos()));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(TeardownFiles.fileName(content) + ".pdf", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(sheet);
    }

    /** The whole file or nothing: a model and revision are made if they are not there; else it is a new version. */
    @PostMapping(value = "/api/import/teardown", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Takes(megabytes = 60)
    Imported take(@RequestBody String text, Pen pen) {
        TeardownFile.Content content = file.read(text);
        // All of it is looked at before the writer is taken: whoever presses at a bench meanwhile waits for no picture.
        List<Picture> pictures = content.photos().entrySet().stream()
                .map(photo -> Picture.kept(photo.getKey(), photo.getValue()))
                .toList();
        return pen.once(
                Sha256.of(text.getBytes(StandardCharsets.UTF_8)),
                by -> imports.take(by, content, pictures),
                Imported::version,
                imports::taken);
    }

    private static ResponseEntity<String> attached(TeardownFile.Content content, String ending, String text) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(TeardownFiles.fileName(content) + ending, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(text);
    }
}
