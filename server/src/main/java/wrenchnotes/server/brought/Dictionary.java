package wrenchnotes.server.brought;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.brought.BroughtJob;
import wrenchnotes.core.brought.SaidFault;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.ModelStore;

/** Finds what the words of past jobs mean in the shop, and makes what it has not got. Each method runs in the caller's transaction. */
@Component
class Dictionary {

    private final BroughtStore store;
    private final ModelStore models;
    private final ModelService service;

    Dictionary(BroughtStore store, ModelStore models, ModelService service) {
        this.store = store;
        this.models = models;
        this.service = service;
    }

    /** Models of these jobs that the shop does not know, as they are called there. */
    List<String> unknown(Iterable<BroughtJob> jobs) {
        Map<String, Long> known = store.revisions();
        Map<String, String> unknown = new LinkedHashMap<>();
        jobs.forEach(job -> {
            String key = BroughtStore.key(job.model());
            if (!known.containsKey(key)) {
                unknown.putIfAbsent(key, job.model());
            }
        });
        return List.copyOf(unknown.values());
    }

    /** @param kind what models are that the shop has not got */
    Reader reader(Kind kind) {
        return new Reader(kind);
    }

    /** Looks up and keeps what it found, and makes what there is not: for one list, and no longer than nothing it wrote was undone. */
    final class Reader {

        private final Kind kind;

        private final Map<String, Long> revisions = store.revisions();
        private final Map<Long, Long> modelOf = new HashMap<>();
        private final Map<Long, Map<String, Long>> components = new HashMap<>();
        private final Map<String, Long> faults = new HashMap<>();
        private final Map<String, Long> symptoms = new HashMap<>();

        private Reader(Kind kind) {
            this.kind = kind;
        }

        private long revision(By by, String model) {
            return revisions.computeIfAbsent(BroughtStore.key(model), key -> {
                int space = model.indexOf(' ');
                String maker = space < 0 ? "?" : model.substring(0, space);
                String name = space < 0 ? model : model.substring(space + 1).strip();
                return service.atTheCounter(by, maker, name, kind).id();
            });
        }

        private long model(long revision) {
            return modelOf.computeIfAbsent(revision, id -> models.revision(id).modelId());
        }

        private Map<String, Long> components(long model) {
            return components.computeIfAbsent(model, id -> {
                Map<String, Long> names = new HashMap<>();
                models.components(id).forEach(component -> {
                    component.aliases().forEach(alias -> names.putIfAbsent(alias, component.id()));
                    names.put(component.name(), component.id());
                });
                return names;
            });
        }

        /** What a row's words stand for. */
        BroughtStore.Resolved resolve(By by, BroughtJob job) {
            long revision = revision(by, job.model());
            List<Long> words = job.symptoms().stream()
                    .map(name -> symptoms.computeIfAbsent(name, store::symptom))
                    .toList();
            if (job.fault().isEmpty()) {
                return new BroughtStore.Resolved(revision, words, Optional.empty(), Optional.empty());
            }
            long model = model(revision);
            Map<String, Long> known = components(model);
            SaidFault said = SaidFault.of(job.fault(), known.keySet());
            long component = known.computeIfAbsent(said.component(), name -> service.addComponent(by, model, name)
                    .id());
            long fault = faults.computeIfAbsent(
                    component + " " + said.wrong(), key -> models.fault(component, said.wrong()));
            return new BroughtStore.Resolved(revision, words, Optional.of(component), Optional.of(fault));
        }
    }
}
