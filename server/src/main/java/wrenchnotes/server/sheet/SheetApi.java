package wrenchnotes.server.sheet;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.job.JobFacts;
import wrenchnotes.core.job.Status;
import wrenchnotes.server.check.CheckStore;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.drawer.OnTheWay;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.drawer.ShelfOfJob;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.FactsStore;
import wrenchnotes.server.job.HoldStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.JobView;
import wrenchnotes.server.job.StoryStore;
import wrenchnotes.server.job.UnitMarkStore;
import wrenchnotes.server.outcome.LoanService;
import wrenchnotes.server.outcome.OutcomeStore;
import wrenchnotes.server.table.Table;

/** One page a job. */
@RestController
public class SheetApi {

    private static final int STORY_LINES = 200;
    private static final int MOST_OF_A_STORY = 20_000;

    private final JobStore jobs;
    private final FactsStore facts;
    private final ArrivalStore arrivals;
    private final HoldStore holds;
    private final FindingStore findings;
    private final CheckStore checks;
    private final OutcomeStore outcomes;
    private final PartsOfJob parts;
    private final ShelfOfJob shelf;
    private final OnTheWay onTheWay;
    private final UnitMarkStore marks;
    private final LoanService loans;
    private final StoryStore stories;
    private final Snapshot snapshot;
    private final Clock clock;

    SheetApi(
            JobStore jobs,
            FactsStore facts,
            ArrivalStore arrivals,
            HoldStore holds,
            FindingStore findings,
            CheckStore checks,
            OutcomeStore outcomes,
            PartsOfJob parts,
            ShelfOfJob shelf,
            OnTheWay onTheWay,
            UnitMarkStore marks,
            LoanService loans,
            StoryStore stories,
            Snapshot snapshot,
            Clock clock) {
        this.jobs = jobs;
        this.facts = facts;
        this.arrivals = arrivals;
        this.holds = holds;
        this.findings = findings;
        this.checks = checks;
        this.outcomes = outcomes;
        this.parts = parts;
        this.shelf = shelf;
        this.onTheWay = onTheWay;
        this.marks = marks;
        this.loans = loans;
        this.stories = stories;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /**
     * @param active whether its time is not over
     * @param asks what has to be answered now that it is; empty if it asks nothing
     * @param expected when what it waits for should come; empty if that is on no order
     */
    public record HoldOnSheet(
            HoldStore.HoldRow hold, boolean active, Optional<String> asks, Optional<OnTheWay.ExpectedHere> expected) {

        static HoldOnSheet of(HoldStore.HoldRow row, Map<Long, OnTheWay.ExpectedHere> expected, Instant now) {
            Hold hold = row.hold();
            return new HoldOnSheet(
                    row,
                    hold.activeAt(now),
                    hold.kind().question().filter(question -> hold.asksAt(now)),
                    Optional.ofNullable(expected.get(row.id())));
        }
    }

    /**
     * @param notTested what goes out untested, and why
     * @param sinceArrival what went and what stayed of what was tried as it came
     * @param hazards what came with it and can hurt, a caution each
     * @param inTheWay what keeps the unit from being handed over
     * @param inTheWayOfLending what keeps it from going out unfinished with its owner
     * @param mains what was done on its mains side and asks for an electrical check, a sentence; empty if nothing does
     * @param electrical the last electrical check, in words
     * @param parts what the job took, wherever it was told
     * @param partsMinor what that cost
     * @param aside parts that are set aside for it and not used yet
     * @param unitMarks what stays with the unit: not as made any more, revived, made here, second-hand
     * @param story newest first
     * @param storyIsLonger whether older lines were left out
     */
    public record JobSheet(
            JobView job,
            Status status,
            List<String> inTheWay,
            List<String> inTheWayOfLending,
            Optional<String> mains,
            Optional<String> electrical,
            List<String> notTested,
            List<String> sinceArrival,
            Tally tally,
            boolean closed,
            boolean forNow,
            int rework,
            List<Arrival.Symptom> symptoms,
            Set<ArrivalMark> marks,
            List<String> hazards,
            List<ArrivalStore.MissingThing> missing,
            Map<ArrivalMark, String> places,
            List<Arrival.ArrivalPhoto> photos,
            List<ArrivalStore.Belonging> belongings,
            List<HoldOnSheet> holds,
            List<FindingStore.FindingRow> findings,
            List<CheckStore.CheckRow> checks,
            List<OutcomeStore.OutcomeRow> outcomes,
            List<PartsOfJob.JobPart> parts,
            long partsMinor,
            List<ShelfOfJob.SetAside> aside,
            List<UnitMarkStore.UnitMark> unitMarks,
            List<JobStore.Stay> otherStays,
            List<StoryStore.Line> story,
            boolean storyIsLonger) {}

    @GetMapping("/api/jobs/{job}")
    JobSheet sheet(@PathVariable("job") long id) {
        return snapshot.read(() -> gather(jobs.job(id)));
    }

    private JobSheet gather(Job job) {
        long id = job.id();
        Instant now = clock.instant();
        JobFacts known = facts.of(job);
        Map<Long, OnTheWay.ExpectedHere> expected = onTheWay.expected(id);
        List<FindingStore.FindingRow> found = findings.ofJob(id);
        List<PartsOfJob.JobPart> took = parts.ofJob(id);
        List<StoryStore.Line> story = stories.story(id, STORY_LINES + 1);
        return new JobSheet(
                JobView.of(job),
                Status.of(known, now),
                known.inTheWayOfHandover(now),
                loans.inTheWay(job, known, now),
                known.mains().inTheWay(known.lastIn()),
                known.mains().last().map(made -> made.check().sentence() + ", by " + made.by()),
                known.sinceOpened().notTested().stream().map(Check::whyNot).toList(),
                known.checks().sinceArrival(),
                known.tally(),
                known.closed(),
                known.standsForNow().isPresent(),
                known.rework(),
                arrivals.symptoms(id),
                arrivals.marks(id),
                ArrivalMark.cautions(arrivals.marks(id)),
                arrivals.missing(id),
                arrivals.places(id),
                arrivals.photos(id),
                arrivals.belongings(id),
                holds.ofJob(id).stream()
                        .map(hold -> HoldOnSheet.of(hold, expected, now))
                        .toList(),
                found,
                checks.ofJob(id),
                outcomes.ofJob(id),
                took,
                took.stream().mapToLong(PartsOfJob.JobPart::costMinor).sum(),
                shelf.ofJob(id),
                marks.of(job.unitId()),
                jobs.otherStays(job),
                story.stream().limit(STORY_LINES).toList(),
                story.size() > STORY_LINES);
    }

    /** All of a job's story, oldest first. */
    @GetMapping(
            value = "/api/jobs/{job}/story/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table story(@PathVariable long job) {
        List<StoryStore.Line> lines = new ArrayList<>(snapshot.read(() -> stories.story(job, MOST_OF_A_STORY)));
        Collections.reverse(lines);
        return new Table(
                "story-" + job,
                List.of("at", "by", "what", "struck"),
                lines.stream()
                        .map(line -> Table.row(line.at(), line.by(), line.words(), line.struckWhy()))
                        .toList());
    }
}
