package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.unit.Invalid;

/** What is said about a job, as its story tells it, and how long the shop stands for it. */
class SaidOfAJobTest {

    private static final String PHOTO = "ab".repeat(32);

    @Test
    void theStoryReadsEachAsItWasSaid() {
        assertThat(new JobEntry.Remark("rubber foot is loose", Optional.empty(), "", Optional.empty(), List.of())
                        .words(ZoneOffset.UTC))
                .isEqualTo("rubber foot is loose");
        assertThat(new JobEntry.Remark("", Optional.of(PHOTO), "Lid off", Optional.of("lid"), List.of())
                        .words(ZoneOffset.UTC))
                .isEqualTo("A picture (at: lid off)");
        assertThatThrownBy(() -> new JobEntry.Remark(" ", Optional.empty(), "Lid off", Optional.empty(), List.of()))
                .isInstanceOf(Invalid.class);
        assertThat(new JobEntry.Acknowledged("tube", "Tube out", "").words(ZoneOffset.UTC))
                .isEqualTo("Heeded, for \"Tube out\": the wait was kept");
        assertThat(new JobEntry.Acknowledged("tube", "Tube out", "Have it discharged.").words(ZoneOffset.UTC))
                .isEqualTo("Heeded, for \"Tube out\": Have it discharged.");
        assertThat(new JobEntry.Powered(Power.LIVE, "plays a disc").words(ZoneOffset.UTC))
                .isEqualTo("Power: live, plays a disc");
        assertThat(new JobEntry.MadeSafe(ArrivalMark.SWOLLEN_CELL, "out, in sand").words(ZoneOffset.UTC))
                .isEqualTo("Swollen cell, seen to: out, in sand");
        assertThat(new JobEntry.TakenBack("wrong unit").words(ZoneOffset.UTC)).isEqualTo("Taken back: wrong unit");
    }

    /** By the clock of the shop: Lisbon is an hour ahead of UTC in summer (tzdata). */
    @Test
    void timesAreThoseOfTheShop() {
        Instant since = Instant.parse("2026-07-31T23:30:00Z");
        assertThat(new JobEntry.PowerOff(since).words(ZoneId.of("Europe/Lisbon")))
                .isEqualTo("Off since 2026-08-01 00:30");
    }

    @Test
    void aRepairIsCoveredForSixMonthsAndNotALittleLonger() {
        Instant handedOver = Instant.parse("2026-01-01T12:00:00Z");
        Instant end = handedOver.plus(Warranty.LENGTH);
        assertThat(Warranty.covers(handedOver, handedOver)).isTrue();
        assertThat(Warranty.covers(handedOver, end)).isTrue();
        assertThat(Warranty.covers(handedOver, end.plusSeconds(1))).isFalse();
    }
}
