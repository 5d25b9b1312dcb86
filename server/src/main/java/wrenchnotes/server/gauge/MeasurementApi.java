package wrenchnotes.server.gauge;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.gauge.Beside.BesideTable;
import wrenchnotes.core.gauge.GaugeAsked.GaugeKind;
import wrenchnotes.core.gauge.Reading;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.gauge.MeasurementStore.MeasurementRow;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.table.Table;

/** Gauges inside a job: readings that are kept, and laid beside those of a good unit. */
@RestController
@May(Act.MEASURE)
public class MeasurementApi {

    private final MeasurementService service;
    private final MeasurementStore measurements;
    private final Snapshot snapshot;

    MeasurementApi(MeasurementService service, MeasurementStore measurements, Snapshot snapshot) {
        this.service = service;
        this.measurements = measurements;
        this.snapshot = snapshot;
    }

    public record MeasuredPlace(GaugeKind gauge, String place, BesideTable table) {}

    /**
     * @param rows oldest first, struck ones too
     * @param compared those that stand, by gauge and place
     * @param stages that the work has come through, the last one last
     */
    public record MeasuredInJob(List<MeasurementRow> rows, List<MeasuredPlace> compared, List<String> stages) {}

    @GetMapping("/api/jobs/{job}/measurements")
    MeasuredInJob ofJob(@PathVariable long job) {
        return snapshot.read(() -> new MeasuredInJob(
                measurements.ofJob(job),
                service.beside(job).entrySet().stream()
                        .map(one -> new MeasuredPlace(
                                one.getKey().gauge(), one.getKey().place(), one.getValue()))
                        .toList(),
                service.stages(job)));
    }

    /** Every reading by itself, those that were struck too. */
    @GetMapping(
            value = "/api/jobs/{job}/measurements/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table(@PathVariable long job) {
        return new Table(
                "measured-" + job,
                List.of(
                        "at",
                        "by",
                        "gauge",
                        "where",
                        "stage",
                        "on a good unit",
                        "conditions",
                        "what",
                        "value",
                        "unit",
                        "state",
                        "verdict",
                        "with",
                        "struck"),
                snapshot.read(() -> measurements.ofJob(job)).stream()
                        .flatMap(row -> row.readings().stream().map(reading -> line(row, reading)))
                        .toList());
    }

    private static List<Object> line(MeasurementRow row, Reading reading) {
        return Table.row(
                row.at(),
                row.by(),
                row.gauge().name().toLowerCase(Locale.ROOT),
                row.place(),
                row.stage(),
                row.goodUnit(),
                row.conditions().words(),
                reading.what(),
                reading.value(),
                reading.unit(),
                reading.state(),
                reading.verdict()
                        .map(verdict -> verdict.name().toLowerCase(Locale.ROOT).replace('_', ' ')),
                row.instrument(),
                row.struckWhy());
    }

    /** What the notes and good units say is right on this unit, for one gauge. */
    @GetMapping("/api/jobs/{job}/measurements/expected")
    MeasurementService.Expected expected(@PathVariable long job, @RequestParam GaugeKind gauge) {
        return snapshot.read(() -> service.expected(job, gauge));
    }

    @PostMapping("/api/jobs/{job}/measurements")
    @ResponseStatus(HttpStatus.CREATED)
    MeasurementRow save(@PathVariable long job, @RequestBody Measured said, Pen pen) {
        return pen.once(said, by -> service.save(by, job, said), MeasurementRow::id, measurements::measurement);
    }

    /** Changes nothing. */
    @PostMapping("/api/jobs/{job}/measurements/beside")
    MeasurementService.MeasuredNow beside(@PathVariable long job, @RequestBody Measured said) {
        return snapshot.read(() -> service.besideNow(job, said));
    }

    public record StrikeSaid(@NotBlank @Size(max = 300) String why) {}

    @PostMapping("/api/measurements/{measurement}/strike")
    MeasurementRow strike(@PathVariable long measurement, @Valid @RequestBody StrikeSaid said, Pen pen) {
        return pen.once(
                said, by -> service.strike(by, measurement, said.why()), MeasurementRow::id, measurements::measurement);
    }
}
