package wrenchnotes.server.drawer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.drawer.kind.InStead;
import wrenchnotes.core.drawer.kind.PartField;
import wrenchnotes.core.drawer.kind.PartKind;
import wrenchnotes.core.drawer.kind.PartSpec;
import wrenchnotes.core.drawer.kind.ReadPart;
import wrenchnotes.core.drawer.need.Advice;
import wrenchnotes.core.drawer.need.Reorder;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.teardown.ModelStore;

/** One part whole, what is found by what people type, and what parts can be. */
@RestController
class PartSheetApi {

    private static final int MOST_FOUND = 60;
    private static final int MOST_STAND_INS = 6;

    private final DrawerStore drawers;
    private final FitStore fits;
    private final PartHistoryStore history;
    private final OnTheWay onTheWay;
    private final ModelStore models;
    private final Journal journal;
    private final Snapshot snapshot;
    private final Clock clock;

    PartSheetApi(
            DrawerStore drawers,
            FitStore fits,
            PartHistoryStore history,
            OnTheWay onTheWay,
            ModelStore models,
            Journal journal,
            Snapshot snapshot,
            Clock clock) {
        this.drawers = drawers;
        this.fits = fits;
        this.history = history;
        this.onTheWay = onTheWay;
        this.models = models;
        this.journal = journal;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param unit of a figure; empty for words @param figure whether it is one @param choices the words it takes, by name; empty if any */
    public record FieldWords(PartField field, String words, String unit, boolean figure, Map<String, String> choices) {}

    public record KindWords(PartKind kind, String words, List<FieldWords> fields) {}

    /** What parts can be, and what can be said of each. */
    @GetMapping("/api/part-kinds")
    List<KindWords> kinds() {
        return Arrays.stream(PartKind.values())
                .map(kind -> new KindWords(
                        kind,
                        kind.words(),
                        kind.fields().stream().map(PartSheetApi::words).toList()))
                .toList();
    }

    private static FieldWords words(PartField field) {
        return new FieldWords(
                field,
                field.words(),
                field.unit(),
                field.isFigure(),
                field.choices().stream()
                        .collect(Collectors.toMap(
                                Spoken::name, Spoken::words, (one, other) -> one, LinkedHashMap::new)));
    }

    /** @param told in words; empty if nothing could be read */
    public record PartReading(Optional<PartSpec> spec, String told) {}

    /** What would be read of a label. */
    @GetMapping("/api/part-reading")
    PartReading reading(
            @RequestParam @Size(max = 120) String name, @RequestParam(defaultValue = "") @Size(max = 200) String what) {
        Optional<PartSpec> spec = ReadPart.of(name, what);
        return new PartReading(spec, spec.map(PartSpec::told).orElse(""));
    }

    /**
     * A part found, and what takes it.
     *
     * @param agrees how many of the things asked for it is known to have; 0 if only its words speak for it
     */
    public record PartFound(DrawersApi.Lies lies, int agrees, List<FitStore.Fit> fits) {}

    /** By what is typed: "belt 50 square", "47u 16V", "M2×5", or words on the label. Those that are there first. */
    @GetMapping("/api/parts/found")
    List<PartFound> found(@RequestParam @Size(max = 120) String q) {
        if (q.isBlank()) {
            throw new Invalid("q", "Say what is looked for: \"belt 50 square\", \"M2×5\", a word of its label");
        }
        return snapshot.read(() -> {
            Map<Long, DrawerStore.Part> parts = new LinkedHashMap<>();
            Map<Long, Integer> agrees = new HashMap<>();
            ReadPart.of(q).ifPresent(asked -> drawers.ofKind(asked.kind()).forEach(part -> part.spec()
                    .flatMap(spec -> spec.answers(asked))
                    .ifPresent(agree -> {
                        parts.put(part.id(), part);
                        agrees.put(part.id(), agree);
                    })));
            drawers.called(Arrays.asList(q.strip().split("\\s+")), MOST_FOUND)
                    .forEach(part -> parts.putIfAbsent(part.id(), part));
            List<DrawerStore.Part> best = parts.values().stream()
                    .sorted(Comparator.comparing((DrawerStore.Part part) -> -agrees.getOrDefault(part.id(), 0))
                            .thenComparing(part -> part.count() == 0)
                            .thenComparing(DrawerStore.Part::name))
                    .limit(MOST_FOUND)
                    .toList();
            Map<Long, List<FitStore.Fit>> takes = fits
                    .of(best.stream().map(DrawerStore.Part::id).toList())
                    .stream()
                    .collect(Collectors.groupingBy(FitStore.Fit::partId));
            return best.stream()
                    .map(part -> new PartFound(
                            DrawersApi.lies(part),
                            agrees.getOrDefault(part.id(), 0),
                            takes.getOrDefault(part.id(), List.of())))
                    .toList();
        });
    }

    @GetMapping("/api/parts/{part}")
    PartSheet sheet(@PathVariable long part) {
        return snapshot.read(() -> {
            Instant now = clock.instant();
            DrawerStore.Part one = drawers.part(part);
            PartHistoryStore.Told told = history.of(part, now);
            List<OnTheWay.ComingLine> coming = onTheWay.of(part);
            Optional<Advice> advice = one.care().gone() || one.care().temporary()
                    ? Optional.empty()
                    : Advice.of(
                            told.used(),
                            told.since(),
                            now,
                            one.count() + forTheDrawer(coming),
                            onTheWay.takes(part),
                            one.eachMinor(),
                            one.care().pack(),
                            one.care().minimum());
            return new PartSheet(
                    DrawersApi.lies(one),
                    one.spec().map(PartSpec::unknown).orElse(List.of()),
                    fits.of(List.of(part)),
                    standIns(one),
                    history.promised(part),
                    coming,
                    told.levels(),
                    advice);
        });
    }

    /** What comes for a unit is that unit's. */
    private static int forTheDrawer(List<OnTheWay.ComingLine> coming) {
        return coming.stream()
                .filter(line -> line.tag().isEmpty())
                .mapToInt(OnTheWay.ComingLine::left)
                .sum();
    }

    private List<PartSheet.InItsStead> standIns(DrawerStore.Part wanted) {
        if (wanted.spec().isEmpty()) {
            return List.of();
        }
        PartSpec spec = wanted.spec().get();
        Map<Long, InStead> best = new LinkedHashMap<>();
        drawers.lying(spec.kind()).entrySet().stream()
                .filter(other -> other.getKey() != wanted.id() && spec.comparesWith(other.getValue()))
                .map(other -> Map.entry(other.getKey(), InStead.of(spec, other.getValue())))
                .filter(other -> other.getValue().verdict() != Judgement.BAD)
                .sorted(Comparator.comparing(other -> other.getValue().verdict()))
                .limit(MOST_STAND_INS)
                .forEach(other -> best.put(other.getKey(), other.getValue()));
        Map<Long, DrawerStore.Part> parts = drawers.parts(best.keySet());
        return best.entrySet().stream()
                .map(one -> PartSheet.InItsStead.of(parts.get(one.getKey()), one.getValue()))
                .toList();
    }

    /** @param why how it was seen: "the notes", "too short, climbs off" */
    public record FitSaid(
            @NotNull Long componentId,
            @NotNull Boolean fits,
            @Size(max = 200) String why) {}

    @PostMapping("/api/parts/{part}/fits")
    @May(Act.PARTS)
    List<FitStore.Fit> say(@PathVariable long part, @Valid @RequestBody FitSaid said, Pen pen) {
        String why = Checked.text("why", said.why(), 200);
        pen.once(said, by -> {
            DrawerStore.Part one = drawers.part(part);
            String component = models.component(said.componentId()).name();
            fits.say(by, part, said.componentId(), said.fits(), why);
            String words = one.name() + (said.fits() ? " fits " : " does not fit ") + component + ": " + why;
            journal.write(by, Journal.Entry.ofShop("part", part, words, null, said));
        });
        return snapshot.read(() -> fits.of(List.of(part)));
    }

    /** Computed of what is sent, and nothing else. */
    @PostMapping("/api/parts/reorder")
    @May(Act.ASK)
    Reorder reorder(@RequestBody Reorder.ReorderAsked asked) {
        return Reorder.of(asked);
    }
}
