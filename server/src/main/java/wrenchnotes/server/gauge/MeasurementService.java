package wrenchnotes.server.gauge;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.gauge.Beside;
import wrenchnotes.core.gauge.Beside.BesideColumn;
import wrenchnotes.core.gauge.Beside.BesideTable;
import wrenchnotes.core.gauge.GaugeAsked.GaugeKind;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.gauge.Measurement;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.teardown.TestPoint;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.bench.LivePower;
import wrenchnotes.server.diagnosis.EvidenceService;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.gauge.MeasurementStore.MeasurementRow;
import wrenchnotes.server.gauge.MeasurementStore.NewMeasurement;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Stale;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.NotesStore;

/** Saving what was measured in a job, striking it, and laying it beside a good unit. Each runs in the caller's transaction. */
@Component
public class MeasurementService {

    /** More columns than these fit no screen: the newest stay. */
    private static final int MOST_STAGES = 5;

    private final MeasurementStore measurements;
    private final ChipStore chips;
    private final JobStore jobs;
    private final LivePower live;
    private final FindingStore findings;
    private final EvidenceService evidence;
    private final NotesStore notes;
    private final Rights rights;
    private final Journal journal;

    MeasurementService(
            MeasurementStore measurements,
            ChipStore chips,
            JobStore jobs,
            LivePower live,
            FindingStore findings,
            EvidenceService evidence,
            NotesStore notes,
            Rights rights,
            Journal journal) {
        this.measurements = measurements;
        this.chips = chips;
        this.jobs = jobs;
        this.live = live;
        this.findings = findings;
        this.evidence = evidence;
        this.notes = notes;
        this.rights = rights;
        this.journal = journal;
    }

    public MeasurementRow save(By who, long job, Measured said) {
        Job of = jobs.job(job);
        By by = of.entered(who);
        said.componentId().ifPresent(component -> evidence.component(of, component));
        Measurement measured = said.asked().measured(chips.added());
        Optional<Long> look = said.means().map(good -> evidence(by, job, said, measured, good));
        long id = measurements.add(by, new NewMeasurement(job, said, measured, look));
        MeasurementRow row = measurements.measurement(id);
        if (said.asked().kind().powered()
                && !said.goodUnit()
                && !said.conditions().off()) {
            live.on(by, job, said.asked().kind().words());
        }
        journal.write(by, Journal.Entry.ofJob(job, "measurement", id, words(row), row));
        return row;
    }

    /** What cannot be told of a reading is no evidence of it either, and what it says is not turned round. */
    private long evidence(By by, long job, Measured said, Measurement measured, boolean good) {
        rights.must(by, Act.FIND);
        if (!measured.verdict().equals(Optional.of(good ? Judgement.GOOD : Judgement.BAD))) {
            throw new Invalid(
                    "means",
                    measured.verdict().equals(Optional.of(good ? Judgement.BAD : Judgement.GOOD))
                            ? "The reading says " + (good ? "bad" : "good")
                                    + ": measure again, or say what was seen on the job's sheet"
                            : "The reading leaves it open: measure what is missing, or say what was seen on the job's sheet");
        }
        String words = measured.words();
        return evidence.look(
                by,
                job,
                said.componentId().orElseThrow(),
                good,
                Means.MEASURED,
                words.length() <= 200 ? words : words.substring(0, 199) + "…");
    }

    private static String words(MeasurementRow row) {
        String verdict = row.verdict().map(one -> " (" + one.words() + ")").orElse("");
        return row.conditions().after(row.goodUnit() ? "Measured on a good unit" : "Measured " + row.stage())
                + (row.place().isEmpty() ? "" : ", " + row.place()) + ". "
                + (verdict.isEmpty() ? row.words() : row.words().replaceFirst("\\.$", "") + verdict)
                + (row.instrument().isEmpty() ? "" : ". With " + row.instrument());
    }

    public MeasurementRow strike(By who, long id, String why) {
        MeasurementRow before = measurements.measurement(id);
        By by = jobs.job(before.jobId()).entered(who);
        rights.mustBeOwn(by, before.by());
        if (before.struckWhy().isPresent()) {
            throw new Stale("Somebody else struck this meanwhile.", measurements.ofJob(before.jobId()));
        }
        measurements.strike(by, id, Checked.text("why", why, 300));
        measurements.lookOf(id).ifPresent(look -> evidence.strikeLook(by, look));
        MeasurementRow after = measurements.measurement(id);
        journal.write(
                by,
                new Journal.Entry(
                        before.jobId(),
                        "correction",
                        id,
                        "Struck: " + before.words() + ". Why: " + why,
                        before,
                        after));
        return after;
    }

    /** Stages that the work has come through, the last one last. */
    List<String> stages(long job) {
        List<String> stages = new ArrayList<>(List.of("before"));
        findings.ofJob(job).stream()
                .filter(FindingStore.FindingRow::stands)
                .map(finding -> "after " + finding.fault().component() + " "
                        + finding.done().remedy().words())
                .filter(stage -> !stages.contains(stage))
                .forEach(stages::add);
        return stages;
    }

    /** What stands in the job, by gauge and place, each beside the good unit if there is one. */
    Map<GaugeAndPlace, BesideTable> beside(long job) {
        Job row = jobs.job(job);
        List<MeasurementRow> standing = standing(job);
        Map<GaugeAndPlace, BesideTable> tables = new LinkedHashMap<>();
        for (MeasurementRow one : standing) {
            if (tables.keySet().stream().noneMatch(key -> key.has(one))) {
                GaugeAndPlace key = new GaugeAndPlace(one.gauge(), one.place());
                tables.put(key, Beside.of(columns(row, standing, key, Optional.empty())));
            }
        }
        return tables;
    }

    record GaugeAndPlace(GaugeKind gauge, String place) {

        boolean has(MeasurementRow row) {
            return row.gauge() == gauge && row.place().equalsIgnoreCase(place);
        }
    }

    /** What is being measured now: what it comes to, and the same table with it as the last column. */
    public record MeasuredNow(Optional<Judgement> verdict, String words, BesideTable table) {}

    MeasuredNow besideNow(long job, Measured said) {
        GaugeAndPlace key = new GaugeAndPlace(said.asked().kind(), said.place());
        Measurement now = said.asked().measured(chips.added());
        BesideColumn column = new BesideColumn("now", false, now.readings());
        return new MeasuredNow(
                now.verdict(), now.words(), Beside.of(columns(jobs.job(job), standing(job), key, Optional.of(column))));
    }

    /** What a good unit read at one place, and what is right there by it. */
    public record GoodPlace(MeasurementRow read, List<RightThere> right) {}

    /** @param limits empty where only a state was read */
    public record RightThere(String what, Optional<Limits> limits) {}

    /**
     * What is known of this unit before it is measured.
     *
     * @param points of the notes: rails for rails, the others for any other gauge
     * @param good by place, what was read last on a good unit of the revision
     */
    public record Expected(List<TestPoint> points, List<GoodPlace> good) {}

    Expected expected(long job, GaugeKind gauge) {
        long revision = jobs.job(job).revisionId();
        List<TestPoint> points = notes.newest(revision).teardown().overview().points();
        return new Expected(
                points.stream()
                        .filter(point -> point.kind().rail() == (gauge == GaugeKind.RAILS))
                        .toList(),
                measurements.goodUnits(revision, gauge).stream()
                        .map(row -> new GoodPlace(
                                row,
                                row.readings().stream()
                                        .map(reading -> new RightThere(reading.what(), Beside.rightBy(reading)))
                                        .toList()))
                        .toList());
    }

    private List<MeasurementRow> standing(long job) {
        return measurements.ofJob(job).stream()
                .filter(row -> row.struckWhy().isEmpty())
                .toList();
    }

    private List<BesideColumn> columns(
            Job job, List<MeasurementRow> standing, GaugeAndPlace key, Optional<BesideColumn> now) {
        List<BesideColumn> columns = new ArrayList<>();
        standing.stream()
                .filter(row -> key.has(row) && row.goodUnit())
                .reduce((earlier, later) -> later)
                .or(() -> measurements.goodUnit(job.revisionId(), key.gauge(), key.place(), job.id()))
                .ifPresent(good -> columns.add(new BesideColumn(
                        good.conditions()
                                .after("good unit" + (good.jobId() == job.id() ? "" : ", read with " + good.tag())),
                        true,
                        good.readings())));
        // The last of each stage, in the order in which the stages came.
        Map<String, MeasurementRow> stages = new LinkedHashMap<>();
        standing.stream().filter(row -> key.has(row) && !row.goodUnit()).forEach(row -> {
            String title = row.conditions().after(row.stage());
            stages.remove(title);
            stages.put(title, row);
        });
        stages.entrySet().stream()
                .skip(Math.max(0, stages.size() - MOST_STAGES))
                .map(one -> new BesideColumn(one.getKey(), false, one.getValue().readings()))
                .forEach(columns::add);
        now.ifPresent(columns::add);
        return columns;
    }
}
