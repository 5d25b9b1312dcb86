package wrenchnotes.server.checkin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** Lots: crates of units to be sold. */
@RestController
@RequestMapping("/api/lots")
@May(Act.CHECK_IN)
public class LotApi {

    private final LotStore lots;
    private final Journal journal;
    private final Snapshot snapshot;

    LotApi(LotStore lots, Journal journal, Snapshot snapshot) {
        this.lots = lots;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    /** @param cameAt now if left out */
    public record LotSaid(@NotBlank @Size(max = 120) String source, Optional<Instant> cameAt) {}

    @GetMapping
    List<LotStore.Lot> all() {
        return snapshot.read(lots::lots);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    LotStore.Lot add(@Valid @RequestBody LotSaid said, Pen pen) {
        String source = Checked.text("source", said.source(), 120);
        return pen.once(
                said,
                by -> {
                    long id = lots.add(by, source, said.cameAt().orElse(by.at()));
                    journal.write(by, Journal.Entry.ofShop("lot", id, "Lot: " + source, null, source));
                    return lots.lot(id);
                },
                LotStore.Lot::id,
                lots::lot);
    }
}
