package wrenchnotes.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class KeptBackupsTest {

    private static final Instant FRIDAY = Instant.parse("2026-03-06T02:30:00Z");

    /** A year of nights, each with the rule applied to what the rule left: what stands at the end is what it says. */
    @Test
    void aYearOfNightsLeavesSevenDaysFiveWeeksTwelveMonths() {
        List<Instant> there = new ArrayList<>();
        for (int night = 0; night < 400; night++) {
            there.add(FRIDAY.plus(Duration.ofDays(night)));
            there = new ArrayList<>(KeptBackups.of(there, ZoneOffset.UTC));
            LocalDate today = LocalDate.ofInstant(FRIDAY.plus(Duration.ofDays(night)), ZoneOffset.UTC);
            assertThat(there).allSatisfy(kept -> assertThat(KeptBackups.lastDay(kept, ZoneOffset.UTC))
                    .isAfter(today));
        }
        Instant last = FRIDAY.plus(Duration.ofDays(399));
        assertThat(last).isEqualTo("2027-04-09T02:30:00Z");
        // The last 7 days; the Sundays of the 4 weeks before this one; the last days of the 11 months before this one.
        assertThat(there)
                .containsExactly(List.of(
                                "2026-05-31",
                                "2026-06-30",
                                "2026-07-31",
                                "2026-08-31",
                                "2026-09-30",
                                "2026-10-31",
                                "2026-11-30",
                                "2026-12-31",
                                "2027-01-31",
                                "2027-02-28",
                                "2027-03-14",
                                "2027-03-21",
                                "2027-03-28",
                                "2027-03-31",
                                "2027-04-03",
                                "2027-04-04",
                                "2027-04-05",
                                "2027-04-06",
                                "2027-04-07",
                                "2027-04-08",
                                "2027-04-09")
                        .stream()
                        .map(day -> Instant.parse(day + "T02:30:00Z"))
                        .toArray(Instant[]::new));
    }

    @Test
    void aShopThatWasShutLosesNone() {
        List<Instant> made = List.of(Instant.parse("2025-06-30T02:30:00Z"), FRIDAY, FRIDAY.plus(Duration.ofHours(9)));
        assertThat(KeptBackups.of(made, ZoneOffset.UTC))
                .as("of one day the last")
                .containsExactly(made.get(0), made.get(2));
        assertThat(KeptBackups.of(List.of(), ZoneOffset.UTC)).isEmpty();
    }

    /** Half past eleven in the evening, UTC, is the next day where the shop is. */
    @Test
    void daysBeginWhereTheShopIs() {
        List<Instant> made = List.of(Instant.parse("2026-03-06T23:30:00Z"), Instant.parse("2026-03-07T05:00:00Z"));
        assertThat(KeptBackups.of(made, ZoneOffset.UTC)).hasSize(2);
        assertThat(KeptBackups.of(made, ZoneId.of("Europe/Oslo"))).containsExactly(made.get(1));
    }
}
