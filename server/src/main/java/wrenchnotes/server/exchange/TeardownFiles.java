package wrenchnotes.server.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.photo.PhotoStore;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.NotesStore;

/** The newest notes of each revision, with the names and pictures that make them readable elsewhere. */
@Component
public class TeardownFiles {

    private final ModelStore models;
    private final NotesStore notes;
    private final PhotoStore photos;
    private final TeardownFile file;
    private final Snapshot snapshot;

    TeardownFiles(ModelStore models, NotesStore notes, PhotoStore photos, TeardownFile file, Snapshot snapshot) {
        this.models = models;
        this.notes = notes;
        this.photos = photos;
        this.file = file;
        this.snapshot = snapshot;
    }

    /** All of the shop's, by the name of the file: each as it can be taken in elsewhere. */
    public Map<String, String> newest() {
        Map<String, String> files = new TreeMap<>();
        for (ModelStore.Model model : models.models()) {
            for (ModelStore.Revision revision : models.revisions(model.id())) {
                TeardownFile.Content content = content(revision.id());
                files.put(fileName(content) + "-" + revision.id() + ".json", file.write(content));
            }
        }
        return files;
    }

    static String fileName(TeardownFile.Content content) {
        return (content.model().maker() + " " + content.model().name() + " " + content.revision())
                .replaceAll("[^\\p{L}\\p{N}-]+", "-");
    }

    /** @param id of a revision */
    TeardownFile.Content content(long id) {
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
}
