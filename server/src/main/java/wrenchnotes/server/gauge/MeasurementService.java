package wrenchnotes.server.gauge;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.gauge.Beside;
import wrenchnotes.core.gauge.Beside.BesideColumn;
import wrenchnotes.core.gauge.Beside.BesideTable;
import wrenchnotes.core.gauge.GaugeAsked;
import wrenchnotes.core.gauge.GaugeAsked.GaugeKind;
import wrenchnotes.core.gauge.Measurement;
import wrenchnotes.core.gauge.Reading;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.bench.LivePower;
import wrenchnotes.server.diagnosis.FindingStore;
import wrenchnotes.server.gauge.MeasurementStore.MeasurementRow;
import wrenchnotes.server.gauge.MeasurementStore.NewMeasurement;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Rights;
import wrenchnotes.server.ground.Stale;
import wrenchnotes.server.job.JobStore;

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
    private final Rights rights;
    private final Journal journal;

    MeasurementService(
            MeasurementStore measurements,
            ChipStore chips,
            JobStore jobs,
            LivePower live,
            FindingStore findings,
            Rights rights,
            Journal journal) {
        this.measurements = measurements;
        this.chips = chips;
        this.jobs = jobs;
        this.live = live;
        this.findings = findings;
        this.rights = rights;
        this.journal = journal;
    }

    /**
     * @param typed what was typed, as it was typed
     * @param place where on the unit, up to 60 characters; may be empty
     * @param stage of the work, up to 80 characters
     * @param instrument that it was read with; may be empty
     */
    public record Measured(
            GaugeAsked asked,
            Map<String, Object> typed,
            String place,
            String stage,
            boolean goodUnit,
            String instrument) {
        public Measured {
            Checked.present("asked", asked);
            typed = typed == null ? Map.of() : typed;
            Checked.within("typed", typed.toString().length(), 0, 20_000);
            place = Checked.optionalText("place", place, 60);
            stage = Checked.text("stage", stage, 80);
            instrument = Checked.optionalText("instrument", instrument, 80);
        }
    }

    public MeasurementRow save(By who, long job, Measured said) {
        By by = jobs.job(job).entered(who);
        Measurement measured = said.asked().measured(chips.added());
        long id = measurements.add(
                by,
                new NewMeasurement(
                        job,
                        said.asked(),
                        said.typed(),
                        said.place(),
                        said.stage(),
                        said.goodUnit(),
                        said.instrument(),
                        measured));
        MeasurementRow row = measurements.measurement(id);
        if (said.asked().kind().powered() && !said.goodUnit()) {
            live.on(by, job, said.asked().kind().words());
        }
        journal.write(by, Journal.Entry.ofJob(job, "measurement", id, words(row), row));
        return row;
    }

    private static String words(MeasurementRow row) {
        String verdict = row.verdict().map(one -> " (" + one.words() + ")").orElse("");
        return (row.goodUnit() ? "Measured on a good unit" : "Measured " + row.stage())
                + (row.place().isEmpty() ? "" : ", " + row.place()) + ". " + row.words() + verdict
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

    /** The same with what is being measured now as the last column. */
    BesideTable besideNow(long job, Measured said) {
        GaugeAndPlace key = new GaugeAndPlace(said.asked().kind(), said.place());
        List<Reading> now = said.asked().measured(chips.added()).readings();
        return Beside.of(columns(jobs.job(job), standing(job), key, Optional.of(new BesideColumn("now", false, now))));
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
                        "good unit" + (good.jobId() == job.id() ? "" : ", read with " + good.tag()),
                        true,
                        good.readings())));
        // The last of each stage, in the order in which the stages came.
        Map<String, MeasurementRow> stages = new LinkedHashMap<>();
        standing.stream().filter(row -> key.has(row) && !row.goodUnit()).forEach(row -> {
            stages.remove(row.stage());
            stages.put(row.stage(), row);
        });
        stages.values().stream()
                .skip(Math.max(0, stages.size() - MOST_STAGES))
                .map(row -> new BesideColumn(row.stage(), false, row.readings()))
                .forEach(columns::add);
        now.ifPresent(columns::add);
        return columns;
    }
}
