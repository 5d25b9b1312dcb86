package wrenchnotes.server.exchange;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.photo.Picture;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** Takes a teardown file in, in the caller's transaction. */
@Component
public class TeardownImportService {

    private final ModelStore models;
    private final ModelService service;
    private final PhotoStore photos;

    TeardownImportService(ModelStore models, ModelService service, PhotoStore photos) {
        this.models = models;
        this.service = service;
        this.photos = photos;
    }

    TeardownExchangeApi.Imported take(By by, TeardownFile.Content content) {
        long model = models.idOf(content.maker(), content.model())
                .orElseGet(() -> service.addModel(by, content.maker(), content.model(), content.kind())
                        .id());
        ModelStore.Revision revision = models.revisions(model).stream()
                .filter(one -> one.name().equals(content.revision()))
                .findFirst()
                .orElseGet(() ->
                        service.addRevision(by, model, content.revision(), content.tellApart(), Optional.empty()));
        content.photos().forEach((hash, jpeg) -> photos.keep(by, Picture.kept(hash, jpeg)));
        Map<Long, Long> ids = new HashMap<>();
        content.components()
                .forEach((id, name) ->
                        ids.put(id, service.addComponent(by, model, name).id()));
        NotesStore.Version saved = service.saveNotes(
                by, revision.id(), new Seen(revision.notes()), renamed(content.notes(), ids), "taken from a file");
        return new TeardownExchangeApi.Imported(model, revision.id(), saved.number());
    }

    private static Teardown renamed(Teardown notes, Map<Long, Long> ids) {
        return Teardown.of(notes.steps().stream()
                .map(step -> step.exposing(step.exposes().stream().map(ids::get).collect(Collectors.toSet())))
                .toList());
    }
}
