package wrenchnotes.server.teardown;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.ground.Snapshot;

/** Models, their revisions and components. */
@RestController
@RequestMapping("/api")
@May(Act.MODELS)
public class ModelApi {

    private final ModelStore models;
    private final ModelService service;
    private final ComponentService components;
    private final Snapshot snapshot;

    ModelApi(ModelStore models, ModelService service, ComponentService components, Snapshot snapshot) {
        this.models = models;
        this.service = service;
        this.components = components;
        this.snapshot = snapshot;
    }

    public record ModelSaid(
            @NotBlank @Size(max = 60) String maker,
            @NotBlank @Size(max = 60) String name,
            @NotNull Kind kind) {}

    /**
     * @param look a picture of what tells it apart
     * @param copyOf the revision of this model whose notes a new one starts with; left out when changing one
     */
    public record RevisionSaid(
            @NotBlank @Size(max = 60) String name,
            @Size(max = 300) String tellApart,
            Optional<Photo> look,
            Optional<Long> copyOf) {
        public RevisionSaid {
            look = look == null ? Optional.empty() : look;
            tellApart = tellApart == null ? "" : tellApart.strip();
            copyOf = copyOf == null ? Optional.empty() : copyOf;
        }
    }

    public record ComponentSaid(@NotBlank @Size(max = 80) String name) {}

    /**
     * @param aliases other names that people call it by
     * @param inside the model that it is, if it is one of its own
     */
    public record ComponentChange(
            @NotBlank @Size(max = 80) String name,
            @NotNull @Size(max = 8) List<@NotBlank @Size(max = 80) String> aliases,
            Optional<Long> inside) {
        public ComponentChange {
            aliases = aliases == null
                    ? null
                    : aliases.stream().map(String::strip).distinct().toList();
            inside = inside == null ? Optional.empty() : inside;
        }
    }

    public record ModelView(ModelStore.Model model, List<ModelStore.Revision> revisions) {}

    public record ModelSheet(
            ModelStore.Model model,
            List<ModelStore.Revision> revisions,
            List<ModelStore.ModelComponent> components,
            List<ModelStore.Fault> faults) {}

    @GetMapping("/models")
    List<ModelView> models() {
        return snapshot.read(() -> {
            Map<Long, List<ModelStore.Revision>> revisions =
                    models.revisions().stream().collect(Collectors.groupingBy(ModelStore.Revision::modelId));
            return models.models().stream()
                    .map(model -> new ModelView(model, revisions.getOrDefault(model.id(), List.of())))
                    .toList();
        });
    }

    @GetMapping("/models/{model}")
    ModelSheet model(@PathVariable long model) {
        return snapshot.read(() -> new ModelSheet(
                models.model(model), models.revisions(model), models.components(model), models.faults(model)));
    }

    @PostMapping("/models")
    @ResponseStatus(HttpStatus.CREATED)
    ModelStore.Model addModel(@Valid @RequestBody ModelSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.addModel(
                        by,
                        Checked.text("maker", said.maker(), 120),
                        Checked.text("name", said.name(), 120),
                        said.kind()),
                ModelStore.Model::id,
                models::model);
    }

    public record NotKnownSaid(@NotNull Kind kind) {}

    /** The one model of a kind that units are taken in as before anybody knows what they are; made when it is first asked for. */
    @PostMapping("/models/not-known")
    @May(Act.CHECK_IN)
    ModelStore.Revision notKnown(@Valid @RequestBody NotKnownSaid said, Pen pen) {
        return pen.once(said, by -> service.notKnown(by, said.kind()), ModelStore.Revision::id, models::revision);
    }

    /** A model that the shop has not had, made while a unit of it is taken in: which revision it is nobody asks before there is a second. */
    @PostMapping("/models/at-the-counter")
    @ResponseStatus(HttpStatus.CREATED)
    @May(Act.CHECK_IN)
    ModelStore.Revision atTheCounter(@Valid @RequestBody ModelSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.atTheCounter(
                        by,
                        Checked.text("maker", said.maker(), 120),
                        Checked.text("name", said.name(), 120),
                        said.kind()),
                ModelStore.Revision::id,
                models::revision);
    }

    @PutMapping("/models/{model}")
    ModelStore.Model changeModel(@PathVariable long model, Seen seen, @Valid @RequestBody ModelSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.changeModel(
                        by,
                        model,
                        seen,
                        Checked.text("maker", said.maker(), 120),
                        Checked.text("name", said.name(), 120),
                        said.kind()),
                ModelStore.Model::id,
                models::model);
    }

    @PostMapping("/models/{model}/revisions")
    @ResponseStatus(HttpStatus.CREATED)
    ModelStore.Revision addRevision(@PathVariable long model, @Valid @RequestBody RevisionSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.addRevision(
                        by,
                        model,
                        Checked.text("name", said.name(), 120),
                        said.tellApart(),
                        said.look(),
                        said.copyOf()),
                ModelStore.Revision::id,
                models::revision);
    }

    @PutMapping("/revisions/{revision}")
    ModelStore.Revision changeRevision(
            @PathVariable long revision, Seen seen, @Valid @RequestBody RevisionSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.changeRevision(
                        by, revision, seen, Checked.text("name", said.name(), 120), said.tellApart(), said.look()),
                ModelStore.Revision::id,
                models::revision);
    }

    @PostMapping("/models/{model}/components")
    @ResponseStatus(HttpStatus.CREATED)
    ModelStore.ModelComponent addComponent(@PathVariable long model, @Valid @RequestBody ComponentSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.addComponent(by, model, said.name()),
                ModelStore.ModelComponent::id,
                models::component);
    }

    @PutMapping("/components/{component}")
    ModelStore.ModelComponent changeComponent(
            @PathVariable long component, Seen seen, @Valid @RequestBody ComponentChange said, Pen pen) {
        return pen.once(
                said,
                by -> components.change(
                        by, component, seen, Checked.text("name", said.name(), 120), said.aliases(), said.inside()),
                ModelStore.ModelComponent::id,
                models::component);
    }
}
