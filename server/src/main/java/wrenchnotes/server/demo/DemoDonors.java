package wrenchnotes.server.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.drawer.donor.InDonor;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.diagnosis.EvidenceService;
import wrenchnotes.server.donor.DonorService;
import wrenchnotes.server.donor.Donors;
import wrenchnotes.server.ground.SignedIn;

/** The units that the demo shop keeps for parts: what was seen of them before they were put away, where they stand, what went out of them. */
@Component
class DemoDonors {

    private static final List<String> PLACES = List.of(
            "cellar, left of the door",
            "cellar, on the crate",
            "loft, second board",
            "under bench two",
            "hall, behind the scales");

    private final EvidenceService evidence;
    private final DonorService donors;

    DemoDonors(EvidenceService evidence, DonorService donors) {
        this.evidence = evidence;
        this.donors = donors;
    }

    /** Gone over before it is put away: what it came for is bad, most of the rest is tried. */
    void goneOver(DemoTurn turn) {
        String bad = turn.visit.seen().get(0).fault().component();
        int n = turn.visit.luck();
        for (Map.Entry<String, Long> one : turn.known.components().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .toList()) {
            n++;
            boolean good = !one.getKey().equals(bad);
            if (good && n % 4 == 0) {
                continue;
            }
            turn.later(2);
            evidence.look(
                    turn.by(turn.bencher),
                    turn.job(),
                    one.getValue(),
                    good,
                    n % 3 == 0 ? Means.LOOKED : Means.MEASURED,
                    good ? "" : turn.visit.seen().get(0).fault().wrong());
        }
    }

    /** The last few stand somewhere; of the older ones nothing is left. */
    void putAway(Instant now, SignedIn lead, Map<String, Long> parts, AtomicLong moments) {
        int n = 0;
        for (Donors.DonorRegister one : donors.all()) {
            By by = new By(
                    lead.id(), lead.name(), new Moment(moments.incrementAndGet(), now.minus(Duration.ofHours(30 + n))));
            donors.say(by, one.unitId(), n < PLACES.size() ? PLACES.get(n) : "", n >= PLACES.size());
            n++;
        }
        By by = new By(lead.id(), lead.name(), new Moment(moments.incrementAndGet(), now.minus(Duration.ofHours(20))));
        // A drive out of one of them lies in its drawer.
        donors.all().stream()
                .flatMap(one -> one.pieces().stream()
                        .filter(piece -> piece.name().equals("disc drive") && piece.state() == InDonor.GOOD)
                        .map(piece -> Map.entry(one.unitId(), piece.componentId())))
                .reduce((first, second) -> second)
                .ifPresent(drive -> donors.intoDrawer(
                        by, drive.getKey(), drive.getValue(), parts.get("drive, 3½ inch, high density")));
    }
}
