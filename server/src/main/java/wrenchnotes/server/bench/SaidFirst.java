package wrenchnotes.server.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.bench.Acknowledgement;
import wrenchnotes.core.bench.PlaceMark;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.PowerEntry;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.job.EntryStore.SaidAt;

/** What has to be said before a step, as the core reads it: power, cautions, marks. */
final class SaidFirst {

    private SaidFirst() {}

    static List<PowerEntry> power(List<SaidAt> said) {
        return said.stream()
                .flatMap(one -> power(one.entry(), one.moment()).stream())
                .toList();
    }

    private static Optional<PowerEntry> power(JobEntry entry, Moment moment) {
        if (entry instanceof JobEntry.Powered is) {
            return Optional.of(new PowerEntry(is.power(), moment.at(), is.why(), false, moment));
        }
        return entry instanceof JobEntry.PowerOff is
                ? Optional.of(new PowerEntry(Power.UNPLUGGED, is.since(), "", true, moment))
                : Optional.empty();
    }

    static List<Acknowledgement> acknowledged(List<SaidAt> said) {
        return said.stream()
                .flatMap(one -> one.entry() instanceof JobEntry.Acknowledged is
                        ? Stream.of(new Acknowledgement(is.step(), one.moment()))
                        : Stream.empty())
                .toList();
    }

    static List<PlaceMark> marks(List<SaidAt> said) {
        return said.stream()
                .flatMap(one -> one.entry() instanceof JobEntry.Marked is
                        ? Stream.of(
                                new PlaceMark(is.step(), is.stays(), is.back(), is.how(), is.picture(), one.moment()))
                        : Stream.empty())
                .toList();
    }
}
