package wrenchnotes.server.gauge;

import java.util.List;
import java.util.stream.IntStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.gauge.StrobeDisc;
import wrenchnotes.core.gauge.StrobeDisc.DiscPlan;
import wrenchnotes.core.gauge.StrobeDisc.RingAsked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.paper.StrobePapers;

/** Strobe discs to print: a ring for each pair of {@code rpm} and {@code flashes}, the first one outside. */
@RestController
@RequestMapping("/api/gauges/spindle")
public class StrobeApi {

    private final StrobePapers papers;

    StrobeApi(StrobePapers papers) {
        this.papers = papers;
    }

    @GetMapping(value = "/disc.svg", produces = "image/svg+xml")
    ResponseEntity<String> svg(
            @RequestParam List<Double> rpm,
            @RequestParam List<Double> flashes,
            @RequestParam(defaultValue = "100") double diameterMm,
            @RequestParam(defaultValue = "7") double holeMm) {
        return named("svg", MediaType.valueOf("image/svg+xml"))
                .body(papers.svg(plan(rpm, flashes, diameterMm, holeMm)));
    }

    @GetMapping(value = "/disc.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @RequestParam List<Double> rpm,
            @RequestParam List<Double> flashes,
            @RequestParam(defaultValue = "100") double diameterMm,
            @RequestParam(defaultValue = "7") double holeMm) {
        DiscPlan plan = plan(rpm, flashes, diameterMm, holeMm);
        if (plan.diameterMm() > 190) {
            throw new Invalid("diameterMm", "diameterMm is " + diameterMm + "; on A4 at most 190 fit: take the SVG");
        }
        return named("pdf", MediaType.APPLICATION_PDF).body(papers.pdf(plan));
    }

    private static ResponseEntity.BodyBuilder named(String ending, MediaType type) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("strobe-disc." + ending)
                                .build()
                                .toString());
    }

    private static DiscPlan plan(List<Double> rpm, List<Double> flashes, double diameterMm, double holeMm) {
        if (rpm.size() != flashes.size()) {
            throw new Invalid("flashes", "Say flashes for each rpm: " + rpm.size() + " and " + flashes.size());
        }
        return StrobeDisc.of(
                IntStream.range(0, rpm.size())
                        .mapToObj(at -> new RingAsked(rpm.get(at), flashes.get(at)))
                        .toList(),
                diameterMm,
                holeMm);
    }
}
