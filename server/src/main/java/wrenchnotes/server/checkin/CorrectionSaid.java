package wrenchnotes.server.checkin;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Optional;
import wrenchnotes.core.checkin.Arrival;

/** What can be corrected of what was said at the counter, while the unit is here. */
public record CorrectionSaid(
        @Size(max = 60) String serial,
        @NotNull Long revisionId,
        Optional<String> slot,
        Optional<LocalDate> due,
        @NotNull Arrival arrival) {

    public CorrectionSaid {
        slot = slot == null ? Optional.empty() : slot.filter(name -> !name.isBlank());
    }
}
