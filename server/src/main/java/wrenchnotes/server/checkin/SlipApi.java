package wrenchnotes.server.checkin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.server.ground.Printer;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** Slip and tag: to the shop's printer, or to the browser's. */
@RestController
@RequestMapping("/api/jobs/{job}/papers")
public class SlipApi {

    private final Slips slips;
    private final JobStore jobs;
    private final Printer printer;
    private final Snapshot snapshot;

    SlipApi(Slips slips, JobStore jobs, Printer printer, Snapshot snapshot) {
        this.slips = slips;
        this.jobs = jobs;
        this.printer = printer;
        this.snapshot = snapshot;
    }

    public enum Paper {
        SLIP,
        TAG;

        String ending() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public record PrintSaid(@NotNull Paper paper) {}

    /** @param where it came out */
    public record Printed(String where) {}

    @GetMapping(value = "/{paper}.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(@PathVariable long job, @PathVariable Paper paper) {
        JobStore.Job row = snapshot.read(() -> jobs.job(job));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name(row, paper) + ".pdf")
                                .build()
                                .toString())
                .body(drawn(row, paper));
    }

    @PostMapping
    Printed print(@PathVariable long job, @Valid @RequestBody PrintSaid said) {
        JobStore.Job row = snapshot.read(() -> jobs.job(job));
        return new Printed(printer.print(name(row, said.paper()), drawn(row, said.paper())));
    }

    private byte[] drawn(JobStore.Job job, Paper paper) {
        return snapshot.read(() -> paper == Paper.SLIP ? slips.slip(job) : slips.tag(job));
    }

    private static String name(JobStore.Job job, Paper paper) {
        return job.tag() + "-" + job.id() + "-" + paper.ending();
    }
}
