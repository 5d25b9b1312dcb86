package wrenchnotes.server.outcome;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.job.JobView;
import wrenchnotes.server.shop.TheShop;

/** Out unfinished with its owner, and back. */
@RestController
@RequestMapping("/api/jobs/{job}/loan")
@May(Act.HAND_OVER)
class LoanApi {

    private final LoanService service;
    private final JobStore jobs;
    private final TheShop shop;

    LoanApi(LoanService service, JobStore jobs, TheShop shop) {
        this.service = service;
        this.jobs = jobs;
        this.shop = shop;
    }

    /**
     * @param notFor what it must not be used for
     * @param due the day by which it is to be back; left out if none was named
     */
    public record LoanSaid(@NotBlank @Size(max = 300) String notFor, Optional<LocalDate> due) {}

    @PostMapping
    JobView lend(@PathVariable long job, @Valid @RequestBody LoanSaid said, Pen pen) {
        return pen.once(
                said,
                by -> JobView.of(service.lend(by, job, said.notFor(), said.due().map(shop.now()::endOf))),
                JobView::id,
                id -> JobView.of(jobs.job(id)));
    }

    @PostMapping("/back")
    JobView cameBack(@PathVariable long job, Pen pen) {
        return pen.once(
                "back " + job,
                by -> JobView.of(service.cameBack(by, job)),
                JobView::id,
                id -> JobView.of(jobs.job(id)));
    }
}
