package wrenchnotes.server.exchange;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
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
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.paper.TeardownSheets;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** Teardown notes out of the shop and into it. */
@RestController
@May(Act.IMPORT)
public class TeardownExchangeApi {

    private final ModelStore models;
    private final NotesStore notes;
    private final PhotoStore photos;
    private final TeardownFile file;
    private final TeardownPapers papers;
    private final TeardownSheets sheets;
    private final TeardownImportService imports;
    private final Snapshot snapshot;

    TeardownExchangeApi(
            ModelStore models,
            NotesStore notes,
            PhotoStore photos,
            TeardownFile file,
            TeardownPapers papers,
            TeardownSheets sheets,
            TeardownImportService imports,
            Snapshot snapshot) {
        this.models = models;
        this.notes = notes;
        this.photos = photos;
        this.file = file;
        this.papers = papers;
        this.sheets = sheets;
        this.imports = imports;
        this.snapshot = snapshot;
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
        TeardownFile.Content content = content(revision);
        return attached(content, ".json", file.write(content));
    }

    @GetMapping(value = "/api/revisions/{revision}/export.md", produces = "text/markdown;charset=UTF-8")
    ResponseEntity<String> asMarkdown(@PathVariable long revision) {
        TeardownFile.Content content = content(revision);
        return attached(content, ".md", papers.markdown(content));
    }

    @GetMapping(value = "/api/revisions/{revision}/export.jsonld", produces = "application/ld+json")
    ResponseEntity<String> asHowTo(@PathVariable long revision) {
        TeardownFile.Content content = content(revision);
        return attached(content, ".jsonld", papers.howTo(content));
    }

    /** A4, to be laid beside the work: cautions first, what comes off drawn at its true size. */
    @GetMapping(value = "/api/revisions/{revision}/export.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> asSheet(@PathVariable long revision) {
        TeardownFile.Content content = content(revision);
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
                                .filename(fileName(content) + ".pdf", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(sheet);
    }

    /** The whole file or nothing: a model and revision are made if they are not there; else it is a new version. */
    @PostMapping(value = "/api/import/teardown", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Imported take(@RequestBody String text, Pen pen) {
        TeardownFile.Content content = file.read(text);
        return pen.once(text, by -> imports.take(by, content), Imported::version, imports::taken);
    }

    private TeardownFile.Content content(long id) {
        return snapshot.read(() -> {
            ModelStore.Revision revision = models.revision(id);
            ModelStore.Model model = models.model(revision.modelId());
            Map<Long, TeardownFile.Part> components = new LinkedHashMap<>();
            models.components(model.id())
                    .forEach(one -> components.put(
                            one.id(),
                            new TeardownFile.Part(
                                    one.name(),
                                    one.aliases(),
                                    one.inside().map(inside -> named(models.model(inside))))));
            Teardown newest = notes.newest(id).teardown();
            Map<String, byte[]> pictures = new TreeMap<>();
            Stream.concat(newest.steps().stream().flatMap(step -> step.photos().stream()), revision.look().stream())
                    .forEach(photo -> photos.read(photo.hash()).ifPresent(jpeg -> pictures.put(photo.hash(), jpeg)));
            return new TeardownFile.Content(
                    named(model), revision.name(), revision.tellApart(), revision.look(), components, pictures, newest);
        });
    }

    private static TeardownFile.ModelName named(ModelStore.Model model) {
        return new TeardownFile.ModelName(model.maker(), model.name(), model.kind());
    }

    private static String fileName(TeardownFile.Content content) {
        return (content.model().maker() + " " + content.model().name() + " " + content.revision())
                .replaceAll("[^\\p{L}\\p{N}-]+", "-");
    }

    private static ResponseEntity<String> attached(TeardownFile.Content content, String ending, String text) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(fileName(content) + ending, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(text);
    }
}
