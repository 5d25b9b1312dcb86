package wrenchnotes.server.money;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.Job;
import wrenchnotes.core.money.Triage;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.server.checkin.LotStore;
import wrenchnotes.server.diagnosis.DiagnosisService;
import wrenchnotes.server.diagnosis.UnitOdds;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.ArrivalStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.JobView;
import wrenchnotes.server.table.Table;

/** What a job costs and is worth; what becomes of units to be sold. */
@RestController
@May(Act.SELL)
public class MoneyApi {

    private final WorthService service;
    private final MoneyStore money;
    private final DiagnosisService diagnosis;
    private final JobStore jobs;
    private final ArrivalStore arrivals;
    private final LotStore lots;
    private final Snapshot snapshot;
    private final Clock clock;

    MoneyApi(
            WorthService service,
            MoneyStore money,
            DiagnosisService diagnosis,
            JobStore jobs,
            ArrivalStore arrivals,
            LotStore lots,
            Snapshot snapshot,
            Clock clock) {
        this.service = service;
        this.money = money;
        this.diagnosis = diagnosis;
        this.jobs = jobs;
        this.arrivals = arrivals;
        this.lots = lots;
        this.snapshot = snapshot;
        this.clock = clock;
    }

    /** @param expectedMinor what the person who decides thinks it will fetch; left out to go by the shop's sales */
    public record TriageSaid(
            @NotNull Triage way, @Size(max = 200) String why, Optional<@PositiveOrZero Long> expectedMinor) {}

    public record SaleSaid(@NotNull @PositiveOrZero Long minor) {}

    /** @param likeliest the first of the odds; empty if nothing is likely @param trusted whether they are to be gone by */
    public record UnitOfLot(
            JobView job,
            Set<ArrivalMark> marks,
            List<String> symptoms,
            Optional<UnitOdds.LikelyFault> likeliest,
            boolean trusted,
            WorthService.Money money) {}

    public record LotView(LotStore.Lot lot, List<UnitOfLot> units) {}

    @GetMapping("/api/jobs/{job}/money")
    WorthService.Money ofJob(@PathVariable long job, @RequestParam(required = false) Long expected) {
        return snapshot.read(() -> ofJob(jobs.job(job), Optional.ofNullable(expected)));
    }

    private WorthService.Money ofJob(Job job, Optional<Long> expected) {
        return service.ofJob(job, diagnosis.onBench(job, clock.instant()), expected);
    }

    @PostMapping("/api/jobs/{job}/triage")
    @ResponseStatus(HttpStatus.CREATED)
    WorthService.Money decide(@PathVariable long job, @Valid @RequestBody TriageSaid said, Pen pen) {
        pen.once(said, by -> {
            Job row = jobs.job(job);
            service.decide(by, row, said.way(), said.why(), diagnosis.onBench(row, by.at()), said.expectedMinor());
        });
        return ofJob(job, said.expectedMinor().orElse(null));
    }

    @PostMapping("/api/jobs/{job}/sale")
    @ResponseStatus(HttpStatus.CREATED)
    MoneyStore.SaleRow sold(@PathVariable long job, @Valid @RequestBody SaleSaid said, Pen pen) {
        pen.once(said, by -> service.sold(by, job, said.minor()));
        return snapshot.read(() -> money.sale(job).orElseThrow());
    }

    @GetMapping("/api/lots/{lot}")
    LotView lot(@PathVariable long lot) {
        return snapshot.read(() -> new LotView(
                lots.lot(lot), lots.jobs(lot).stream().map(this::unit).toList()));
    }

    @GetMapping(
            value = "/api/lots/{lot}/table.csv",
            produces = {"text/csv", "text/tab-separated-values"})
    Table table(@PathVariable long lot) {
        LotView view = lot(lot);
        return new Table(
                "lot-" + lot,
                List.of("tag", "model", "revision", "does", "likeliest", "probability", "paid", "decided", "sold for"),
                view.units().stream()
                        .map(unit -> Table.row(
                                unit.job().unit().tag(),
                                unit.job().unit().model(),
                                unit.job().unit().revision(),
                                unit.symptoms(),
                                unit.likeliest()
                                        .map(likely -> likely.fault().component() + ", "
                                                + likely.fault().wrong()),
                                unit.likeliest()
                                        .map(likely -> Figures.rounded(likely.probability(), 2))
                                        .map(BigDecimal::new),
                                unit.money().paidMinor().map(Table.MinorUnits::new),
                                unit.money().triage().map(row -> row.way().words()),
                                unit.money().sale().map(row -> new Table.MinorUnits(row.minor()))))
                        .toList());
    }

    private UnitOfLot unit(long id) {
        Job job = jobs.job(id);
        DiagnosisService.Judged judged = diagnosis.onBench(job, clock.instant());
        return new UnitOfLot(
                JobView.of(job),
                arrivals.marks(id),
                arrivals.symptoms(id).stream()
                        .filter(symptom -> symptom.present())
                        .map(symptom -> symptom.name())
                        .toList(),
                judged.odds().faults().stream().findFirst(),
                judged.odds().trusted(),
                service.ofJob(job, judged, Optional.empty()));
    }
}
