package wrenchnotes.server.outcome;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.checkin.GoesBack;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.JobView;

/** Outcome and handover of a job. */
@RestController
@RequestMapping("/api/jobs/{job}")
@May(Act.CHECK)
public class OutcomeApi {

    private final OutcomeService service;
    private final OutcomeStore outcomes;
    private final JobStore jobs;

    OutcomeApi(OutcomeService service, OutcomeStore outcomes, JobStore jobs) {
        this.service = service;
        this.outcomes = outcomes;
        this.jobs = jobs;
    }

    public record OutcomeSaid(
            @NotNull Outcome outcome, @Size(max = 500) String remark) {}

    @PostMapping("/outcome")
    @ResponseStatus(HttpStatus.CREATED)
    OutcomeStore.OutcomeRow give(@PathVariable long job, @Valid @RequestBody OutcomeSaid said, Pen pen) {
        return pen.once(
                said,
                by -> service.give(by, job, said.outcome(), said.remark()),
                OutcomeStore.OutcomeRow::id,
                outcomes::outcome);
    }

    /** @param belongings for each thing that came with it, whether it goes back; left out if nothing did */
    public record HandoverSaid(@Size(max = 40) List<GoesBack> belongings) {}

    @PostMapping("/handover")
    @May(Act.HAND_OVER)
    JobView handOver(@PathVariable long job, @Valid @RequestBody(required = false) HandoverSaid said, Pen pen) {
        List<GoesBack> belongings = said == null || said.belongings() == null ? List.of() : said.belongings();
        return pen.once(
                belongings,
                by -> JobView.of(service.handOver(by, job, belongings)),
                JobView::id,
                id -> JobView.of(jobs.job(id)));
    }
}
