package wrenchnotes.server.checkin;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.ContactWay;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.StoryStore;
import wrenchnotes.server.paper.Papers;

/** What is kept of an owner, for whoever asks for theirs, and taking their name out. */
@RestController
@RequestMapping("/api/owners/{owner}")
@May(value = Act.FORGET, toRead = true)
class OwnerDataApi {

    private static final int MOST_LINES = 2_000;

    private final OwnerDataStore store;
    private final JobStore jobs;
    private final StoryStore stories;
    private final Papers papers;
    private final Journal journal;
    private final Snapshot snapshot;

    OwnerDataApi(
            OwnerDataStore store,
            JobStore jobs,
            StoryStore stories,
            Papers papers,
            Journal journal,
            Snapshot snapshot) {
        this.store = store;
        this.jobs = jobs;
        this.stories = stories;
        this.papers = papers;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    public record OwnerLine(Instant at, String by, String words) {}

    /** @param handedOver when it went back; left out while it is here */
    public record OwnerStay(
            String tag,
            String model,
            String serial,
            Instant arrived,
            Optional<Instant> handedOver,
            String complaint,
            List<OwnerLine> story) {}

    /** All that the shop keeps of an owner. */
    public record OwnerData(String name, List<ContactWay> ways, List<OwnerStay> stays) {}

    /**
     * @param called what stands in the place of the name
     * @param papers how many printed papers were thrown away
     * @param stillNamed entries that were written once and have the name in their words: they are to be taken back by hand
     */
    public record OwnerForgotten(String called, int papers, int stillNamed) {}

    @GetMapping("/data")
    ResponseEntity<OwnerData> data(@PathVariable long owner) {
        OwnerData data = snapshot.read(() -> {
            OwnerDataStore.Row row = store.owner(owner);
            return new OwnerData(
                    row.name(),
                    ContactWay.of(row.contact()),
                    store.jobs(owner).stream().map(this::stay).toList());
        });
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("owner-" + owner + ".json")
                                .build()
                                .toString())
                .body(data);
    }

    private OwnerStay stay(long id) {
        Job job = jobs.job(id);
        return new OwnerStay(
                job.unit().tag(),
                job.unit().named(),
                job.unit().serial(),
                job.brought().checkedInAt(),
                job.handedOverAt(),
                job.brought().complaint(),
                stories.story(id, MOST_LINES).stream()
                        .map(line -> new OwnerLine(line.at(), line.by(), line.words()))
                        .toList());
    }

    /** Their name goes, and all that they said; what happened to their units stays. */
    @DeleteMapping
    OwnerForgotten forget(@PathVariable long owner, Pen pen) {
        String instead = "Owner " + owner;
        return pen.eachTime(by -> {
            OwnerDataStore.Row row = store.owner(owner);
            int stillNamed = store.stillNamed(row);
            store.forget(row, instead);
            journal.write(
                    by,
                    Journal.Entry.ofShop(
                            "owner",
                            owner,
                            "The name of " + instead.toLowerCase(Locale.ROOT) + " is taken out",
                            null,
                            owner));
            int thrown = store.jobs(owner).stream().mapToInt(papers::throwAway).sum();
            return new OwnerForgotten(instead, thrown, stillNamed);
        });
    }
}
