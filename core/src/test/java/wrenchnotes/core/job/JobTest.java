package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Kind;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/** Who may still write on a job, and how it is dated. */
class JobTest {

    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

    private static Job job(Optional<Instant> handedOver) {
        return job(handedOver, Optional.empty());
    }

    private static Job job(Optional<Instant> handedOver, Optional<Loan> loan) {
        return new Job(
                7,
                new Job.UnitHere(3, "WN-0003", "", 1, "a player", Kind.PLAYER, 11, "A"),
                new Job.Brought(
                        Ownership.CUSTOMER,
                        Optional.of(new Job.Owner(5, "somebody", List.of())),
                        Optional.empty(),
                        "grinds",
                        "",
                        NOON,
                        "ada",
                        Optional.empty()),
                handedOver,
                Optional.empty(),
                1,
                4,
                loan,
                Optional.of(NOON));
    }

    private static By at(Instant when) {
        return new By(1, "ada", new Moment(9, when));
    }

    @Test
    void whatIsWrittenIsNeverOlderThanTheLastEntry() {
        Job here = job(Optional.empty());
        assertThat(here.entered(at(NOON.minusSeconds(60))).at()).isEqualTo(NOON);
        assertThat(here.entered(at(NOON.plusSeconds(60))).at()).isEqualTo(NOON.plusSeconds(60));
        assertThat(here.dated(at(NOON.minusSeconds(60))).at()).isEqualTo(NOON);
    }

    @Test
    void theRecordOfAUnitThatHasLeftStandsAsItIs() {
        Job gone = job(Optional.of(NOON));
        assertThatThrownBy(gone::mustBeHere)
                .isInstanceOf(Refused.class)
                .hasMessageContaining("WN-0003 has been handed over");
        assertThatThrownBy(() -> gone.entered(at(NOON))).isInstanceOf(Refused.class);
        // A unit may be sold, and a wait ended, after it has left.
        assertThat(gone.dated(at(NOON)).at()).isEqualTo(NOON);
    }

    @Test
    void onLoanNothingIsDoneToItAndTheJobIsStillSpokenOf() {
        Loan out = new Loan(NOON, "discs", Optional.empty(), Optional.empty());
        Job lent = job(Optional.empty(), Optional.of(out));
        assertThatThrownBy(() -> lent.entered(at(NOON)))
                .hasMessageContaining("on loan")
                .hasMessageContaining("WN-0003");
        assertThat(lent.told(at(NOON)).at()).isEqualTo(NOON);
        assertThatThrownBy(() -> job(Optional.of(NOON)).told(at(NOON))).hasMessageContaining("handed over");
        Job back = job(
                Optional.empty(),
                Optional.of(new Loan(NOON, "discs", Optional.empty(), Optional.of(NOON.plusSeconds(9)))));
        assertThat(back.entered(at(NOON)).at()).isEqualTo(NOON);
        assertThat(back.hereSince())
                .as("nobody knows what it stood under there")
                .isEqualTo(NOON.plusSeconds(9));
        assertThat(job(Optional.empty()).hereSince()).isEqualTo(NOON);
    }

    @Test
    void aPressCountsAndDatesAndNotesArePinned() {
        Job pressed = job(Optional.empty()).pressed(at(NOON.plusSeconds(5)));
        assertThat(pressed.benchVersion()).isEqualTo(5);
        assertThat(pressed.lastAt()).contains(NOON.plusSeconds(5));
        assertThat(pressed.openedWith()).isEmpty();
        Job opened = pressed.openedWith(40);
        assertThat(opened.openedWith()).contains(40L);
        assertThat(opened.benchVersion()).isEqualTo(5);
        assertThat(opened)
                .extracting(Job::tag, Job::unitId, Job::revisionId, Job::ownership)
                .containsExactly("WN-0003", 3L, 11L, Ownership.CUSTOMER);
    }
}
