package wrenchnotes.server.paper;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.job.JobStore;

/** The papers of a job, drawn and printed. */
@Component
public class Papers {

    private static final Logger LOG = LoggerFactory.getLogger(Papers.class);

    private final Slips slips;
    private final Leaving leaving;
    private final MatPapers mats;
    private final JobStore jobs;
    private final Printer printer;
    private final Snapshot snapshot;

    Papers(Slips slips, Leaving leaving, MatPapers mats, JobStore jobs, Printer printer, Snapshot snapshot) {
        this.slips = slips;
        this.leaving = leaving;
        this.mats = mats;
        this.jobs = jobs;
        this.printer = printer;
        this.snapshot = snapshot;
    }

    /** Which of them. */
    public enum Paper {
        SLIP,
        TAG,
        LEAVING,
        MAT;

        /** @throws NotFound if there is none */
        static Paper called(String name) {
            return Stream.of(values())
                    .filter(paper -> paper.name().equalsIgnoreCase(name))
                    .findFirst()
                    .orElseThrow(() -> new NotFound("A job has no paper " + name));
        }
    }

    /**
     * A paper, not printed yet.
     *
     * @param name fit for a file: "WN-0042-7-slip"
     */
    record Drawn(String name, byte[] pdf) {}

    Drawn drawn(long job, Paper paper, int place) {
        return snapshot.read(() -> {
            Job row = jobs.job(job);
            return new Drawn(
                    row.tag() + "-" + job + "-" + paper.name().toLowerCase(Locale.ROOT),
                    switch (paper) {
                        case SLIP -> slips.slip(row);
                        case TAG -> slips.tag(row, place);
                        case LEAVING -> leaving.paper(row);
                        case MAT -> mats.mat(row);
                    });
        });
    }

    /** @return where it came out, in words */
    String print(long job, Paper paper, int place) {
        Drawn drawn = drawn(job, paper, place);
        return printer.print(drawn.name(), drawn.pdf());
    }

    /** Throws away what was printed of a job. @return how many papers */
    public int throwAway(long job) {
        return printer.throwAway(jobs.job(job).unit().tag() + "-" + job + "-");
    }

    /**
     * Prints slip and tag of a unit that was taken in.
     *
     * @return false if they did not come out: a printer that fails keeps nobody from taking units in
     */
    public boolean printAll(long job) {
        try {
            for (Paper paper : List.of(Paper.SLIP, Paper.TAG)) {
                print(job, paper, 1);
            }
            return true;
        } catch (RuntimeException e) {
            LOG.warn("Slip and tag of job {} did not print: {}", job, e.getMessage());
            return false;
        }
    }
}
