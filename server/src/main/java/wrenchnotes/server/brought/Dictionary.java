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

    /** Makes models, components, faults and words of these jobs that the shop has not got. */
    void learn(By by, Iterable<BroughtJob> jobs, Kind kind) {
        unknown(jobs).forEach(said -> {
            int space = said.indexOf(' ');
            String maker = space < 0 ? "?" : said.substring(0, space);
            service.atTheCounter(
                    by, maker, space < 0 ? said : said.substring(space + 1).strip(), kind);
        });
        Reader reader = reader();
        jobs.forEach(job -> {
            job.symptoms().forEach(store::symptom);
            if (!job.fault().isEmpty()) {
                long model = reader.model(reader.revision(job));
                SaidFault said = reader.said(model, job.fault());
                ModelStore.ModelComponent component = service.addComponent(by, model, said.component());
                models.fault(component.id(), said.wrong());
                reader.knows(model, component);
            }
        });
    }

    Reader reader() {
        return new Reader();
    }

    /** Looks up and keeps what it found; what was learned is all there. */
    final class Reader {

        private final Map<String, Long> revisions = store.revisions();
        private final Map<Long, Long> modelOf = new HashMap<>();
        private final Map<Long, Map<String, Long>> components = new HashMap<>();
        private final Map<String, Long> faults = new HashMap<>();
        private final Map<String, Long> symptoms = new HashMap<>();

        long revision(BroughtJob job) {
            return revisions.get(BroughtStore.key(job.model()));
        }

        long model(long revision) {
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

        void knows(long model, ModelStore.ModelComponent component) {
            components(model).put(component.name(), component.id());
        }

        SaidFault said(long model, String fault) {
            return SaidFault.of(fault, components(model).keySet());
        }

        BroughtStore.Resolved resolve(BroughtJob job) {
            long revision = revision(job);
            List<Long> words = job.symptoms().stream()
                    .map(name -> symptoms.computeIfAbsent(name, store::symptom))
                    .toList();
            if (job.fault().isEmpty()) {
                return new BroughtStore.Resolved(revision, words, Optional.empty(), Optional.empty());
            }
            long model = model(revision);
            SaidFault said = said(model, job.fault());
            long component = components(model).get(said.component());
            long fault = faults.computeIfAbsent(
                    component + " " + said.wrong(), key -> models.fault(component, said.wrong()));
            return new BroughtStore.Resolved(revision, words, Optional.of(component), Optional.of(fault));
        }
    }
}
