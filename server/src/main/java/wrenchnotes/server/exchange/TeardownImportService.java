package wrenchnotes.server.exchange;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.photo.Picture;
import wrenchnotes.server.teardown.ComponentService;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** Takes a teardown file in, in the caller's transaction. */
@Component
public class TeardownImportService {

    private final ModelStore models;
    private final ModelService service;
    private final ComponentService components;
    private final PhotoStore photos;
    private final NotesStore notes;

    TeardownImportService(
            ModelStore models, ModelService service, ComponentService components, PhotoStore photos, NotesStore notes) {
        this.models = models;
        this.service = service;
        this.components = components;
        this.photos = photos;
        this.notes = notes;
    }

    /** @param pictures of the content, looked at: nobody else writes while this does */
    TeardownExchangeApi.Imported take(By by, TeardownFile.Content content, List<Picture> pictures) {
        long model = model(by, content.model());
        pictures.forEach(picture -> photos.keep(by, picture));
        ModelStore.Revision revision = models.revisions(model).stream()
                .filter(one -> one.name().equals(content.revision()))
                .findFirst()
                .orElseGet(() -> service.addRevision(
                        by, model, content.revision(), content.tellApart(), content.look(), Optional.empty()));
        Map<Long, Long> ids = new HashMap<>();
        content.components().forEach((id, part) -> ids.put(id, component(by, model, part)));
        NotesStore.Version saved = service.saveNotes(
                by, revision.id(), new Seen(revision.notes()), renamed(content.notes(), ids), "taken from a file");
        return imported(model, saved);
    }

    /** What a file became: the version of this id. */
    TeardownExchangeApi.Imported taken(long version) {
        NotesStore.Version saved = notes.version(version);
        return imported(models.revision(saved.revision()).modelId(), saved);
    }

    private static TeardownExchangeApi.Imported imported(long model, NotesStore.Version saved) {
        return new TeardownExchangeApi.Imported(model, saved.revision(), saved.number(), saved.id());
    }

    private long model(By by, TeardownFile.ModelName name) {
        return models.idOf(name.maker(), name.name())
                .orElseGet(() -> service.addModel(by, name.maker(), name.name(), name.kind())
                        .id());
    }

    /** What the shop knows of it already stays; what the file knows more is added. */
    private long component(By by, long model, TeardownFile.Part part) {
        ModelStore.ModelComponent known = service.addComponent(by, model, part.name());
        List<String> aliases = Stream.concat(known.aliases().stream(), part.aliases().stream())
                .distinct()
                .toList();
        Optional<Long> inside = known.inside().or(() -> part.inside().map(name -> model(by, name)));
        if (!aliases.equals(known.aliases()) || !inside.equals(known.inside())) {
            components.change(by, known.id(), new Seen(known.version()), known.name(), aliases, inside);
        }
        return known.id();
    }

    private static Teardown renamed(Teardown notes, Map<Long, Long> ids) {
        Overview overview = notes.overview();
        return Teardown.of(
                new Overview(
                        overview.before(),
                        overview.modes(),
                        overview.checks(),
                        renamed(overview.watch(), ids),
                        renamed(overview.lookOver(), ids),
                        overview.points().stream()
                                .map(point -> point.about(ids.get(point.component())))
                                .toList()),
                notes.steps().stream()
                        .map(step -> step.exposing(
                                step.exposes().stream().map(ids::get).collect(Collectors.toSet())))
                        .toList());
    }

    private static List<Overview.WatchPoint> renamed(List<Overview.WatchPoint> points, Map<Long, Long> ids) {
        return points.stream()
                .map(point -> new Overview.WatchPoint(ids.get(point.component()), point.words()))
                .toList();
    }
}
