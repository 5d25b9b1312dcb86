package wrenchnotes.server.gauge;

import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.gauge.LogicChip;
import wrenchnotes.core.gauge.LogicChips;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** The chips that the logic gauge knows, as data that can be taken along. */
@RestController
@RequestMapping("/api/chips")
@May(Act.MEASURE)
public class ChipApi {

    private final ChipStore chips;
    private final Journal journal;
    private final Snapshot snapshot;

    ChipApi(ChipStore chips, Journal journal, Snapshot snapshot) {
        this.chips = chips;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    /** @param added by this shop; the others ship with the application */
    public record KnownChips(List<LogicChip> shipped, List<LogicChip> added) {}

    @GetMapping
    KnownChips known() {
        return new KnownChips(LogicChips.shipped(), snapshot.read(chips::added));
    }

    /** Adds a chip, or corrects one that was added. */
    @PutMapping
    KnownChips put(@RequestBody LogicChip chip, Pen pen) {
        if (LogicChips.shipped().stream().anyMatch(one -> one.number().equals(chip.number()))) {
            throw new Invalid("number", "74" + chip.number() + " ships with Wrench Notes and stays as it is");
        }
        pen.once(chip, by -> {
            Optional<LogicChip> before = chips.added().stream()
                    .filter(one -> one.number().equals(chip.number()))
                    .findFirst();
            chips.put(by, chip);
            journal.write(
                    by,
                    Journal.Entry.ofShop(
                            "chip",
                            Long.parseLong(chip.number()),
                            "Chip 74" + chip.number() + (before.isPresent() ? " corrected" : " added"),
                            before.orElse(null),
                            chip));
        });
        return known();
    }
}
