package wrenchnotes.server.check;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.check.ElectricalCheck;
import wrenchnotes.core.check.Protection;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.shop.TheShop;

/** The electrical check after work on the mains side, judged by the shop's limits. */
@RestController
@May(Act.CHECK)
class ElectricalApi {

    private final EntryService entries;
    private final JobStore jobs;
    private final TheShop shop;

    ElectricalApi(EntryService entries, JobStore jobs, TheShop shop) {
        this.entries = entries;
        this.jobs = jobs;
        this.shop = shop;
    }

    /** @param earthOhm left out for a double insulated unit */
    public record ElectricalSaid(
            @NotNull Protection protection,
            Optional<Double> earthOhm,
            @NotNull Double insulationMohm,
            boolean leadSound,
            @Size(max = 300) String words) {}

    /** @param sentence what was measured, and what of it failed */
    public record ElectricalJudged(boolean passed, String sentence) {

        static ElectricalJudged of(ElectricalCheck check) {
            return new ElectricalJudged(check.passed(), check.sentence());
        }
    }

    @PostMapping("/api/jobs/{job}/electrical")
    @ResponseStatus(HttpStatus.CREATED)
    ElectricalJudged record(@PathVariable long job, @Valid @RequestBody ElectricalSaid said, Pen pen) {
        ElectricalCheck check = ElectricalCheck.judged(
                shop.now().electrical(),
                said.protection(),
                said.earthOhm(),
                said.insulationMohm(),
                said.leadSound(),
                said.words());
        pen.once(said, by -> {
            entries.say(jobs.job(job).entered(by), job, new JobEntry.Electrical(check));
        });
        return ElectricalJudged.of(check);
    }
}
