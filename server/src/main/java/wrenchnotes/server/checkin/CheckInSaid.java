package wrenchnotes.server.checkin;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Optional;
import wrenchnotes.core.checkin.Arrival;
import wrenchnotes.core.checkin.Ownership;

/**
 * What was said of a unit at the counter.
 *
 * @param unitId the unit if it was found again; empty for a new one
 * @param due the day it is promised for, where the shop is
 * @param ownerId the owner if known; else a new one with this name, if it has one
 */
public record CheckInSaid(
        Optional<Long> unitId,
        @Size(max = 60) String serial,
        @NotNull Long revisionId,
        @NotNull Ownership ownership,
        Optional<Long> ownerId,
        @Size(max = 120) String ownerName,
        @Size(max = 800) String ownerContact,
        Optional<Long> lotId,
        Optional<@PositiveOrZero Long> paidMinor,
        Optional<String> slot,
        Optional<LocalDate> due,
        @NotNull Arrival arrival) {

    public CheckInSaid {
        slot = slot == null ? Optional.empty() : slot.filter(name -> !name.isBlank());
    }
}
