package wrenchnotes.server.paper;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.shop.TagSize;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.shop.TheShop;

/** The two papers of check-in: the slip that the owner takes home, and the tag that stays on the unit. */
@Component
class Slips {

    private final PaperKit kit;
    private final PaperWords words;
    private final ArrivalStore arrivals;
    private final TheShop shop;

    Slips(PaperKit kit, PaperWords words, ArrivalStore arrivals, TheShop shop) {
        this.kit = kit;
        this.words = words;
        this.arrivals = arrivals;
        this.shop = shop;
    }

    /** A5: whose, what, what it does, in what state, what came with it, until when. */
    byte[] slip(Job job) {
        String taken = words.say(
                "takenin", day(job.brought().checkedInAt()), job.brought().checkedInBy());
        Sheet sheet = new Sheet(words, job, taken)
                .line(
                        "owner",
                        job.brought()
                                .owner()
                                .map(Job.Owner::name)
                                .orElse(shop.now().name() + ", " + words.say("tosell")))
                .line("serial", job.unit().serial())
                .line("does", symptoms(job.id()))
                .line("complaint", job.brought().complaint())
                .line("state", state(job))
                .each("belongings", arrivals.cameWith(job.id()))
                .each("without", arrivals.cameWithout(job.id()))
                .line("due", job.brought().dueAt().map(this::day).orElse(words.say("nodue")));
        return kit.pdf("sheet", sheet.with(shop.now().name(), shop.now().terms()));
    }

    /**
     * What a tag says.
     *
     * @param code as a drawing
     */
    public record TagWords(String tag, String what, String owner, List<String> warnings, String code) {}

    /**
     * The tag, as letters and as a code that a scanner types, at the size that the shop has labels of.
     *
     * @param place on a sheet of labels, 1 to {@link TagSize#places()}
     */
    byte[] tag(Job job, int place) {
        TagSize size = shop.now().tags();
        List<String> warnings = new ArrayList<>();
        job.onLoan().ifPresent(loan -> warnings.add(words.say("onloan", loan.notFor())));
        String dangers = ArrivalMark.dangers(arrivals.marks(job.id())).stream()
                .map(ArrivalMark::words)
                .collect(Collectors.joining(", "));
        if (!dangers.isEmpty()) {
            warnings.add(words.say("danger", dangers));
        }
        TagWords one = new TagWords(
                job.tag(),
                words.printable(job.unit().named()),
                words.printable(job.brought().owner().map(Job.Owner::name).orElse(words.say("tosell"))),
                warnings.stream().map(words::printable).toList(),
                Code.svg(job.tag(), size.codeMm()));
        Map<String, Object> said = new HashMap<>(
                Map.of("one", one, "code", size.codeMm(), "width", size.widthMm(), "height", size.heightMm()));
        said.put("left", (place - 1) % size.columns() * size.widthMm() + 2);
        said.put("top", (place - 1) / size.columns() * size.heightMm() + 2);
        return kit.pdf(size.places() > 1 ? "tags" : "tag", said);
    }

    private String symptoms(long job) {
        List<Arrival.Symptom> all = arrivals.symptoms(job);
        return all.stream()
                .map(symptom -> symptom.present() ? symptom.name() : "not: " + symptom.name())
                .collect(Collectors.joining("; "));
    }

    private String state(Job job) {
        var places = arrivals.places(job.id());
        String marks = arrivals.marks(job.id()).stream()
                .sorted()
                .map(mark -> mark.words() + (places.containsKey(mark) ? " (" + places.get(mark) + ")" : ""))
                .collect(Collectors.joining("; "));
        String missing = arrivals.missing(job.id()).stream()
                .map(thing -> thing.count() + " × " + thing.label() + " missing")
                .collect(Collectors.joining("; "));
        return List.of(marks, missing, job.brought().condition()).stream()
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining("; "));
    }

    private String day(Instant at) {
        return shop.now().dates().atLength(shop.now().day(at));
    }
}
