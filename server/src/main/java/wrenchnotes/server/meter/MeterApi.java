package wrenchnotes.server.meter;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.gauge.MeterFunction;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** The bench meter: where it is, and what it reads. */
@RestController
@RequestMapping("/api/meter")
@May(Act.SETTINGS)
public class MeterApi {

    private static final Set<String> HERE = Set.of("localhost", "127.0.0.1", "::1");

    private final MeterClient client;
    private final MeterStandIn standIn;
    private final MeterStore meters;
    private final MeterSettings settings;
    private final Journal journal;
    private final Snapshot snapshot;

    MeterApi(
            MeterClient client,
            MeterStandIn standIn,
            MeterStore meters,
            MeterSettings settings,
            Journal journal,
            Snapshot snapshot) {
        this.client = client;
        this.standIn = standIn;
        this.meters = meters;
        this.settings = settings;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    /** @param standIn how the stand-in behaves; left out if another meter is asked */
    public record MeterNow(String host, int port, Optional<StandInManner> standIn) {}

    public record MeterSaid(
            @NotNull @Size(max = 200) String host, @NotNull Integer port) {}

    /** @param at where the probes are held, as the gauge calls it: "rails/5 V"; only the stand-in needs to know */
    public record ReadingAsked(@NotNull MeterFunction function, Optional<@Size(max = 100) String> at) {}

    /**
     * @param meter what it calls itself
     * @param value in volts, amperes, ohms or farads
     * @param words the same to be written down, "12.05 V"
     */
    public record ReadingTaken(String meter, MeterFunction function, double value, String words) {}

    @GetMapping
    MeterNow now() {
        return told(where());
    }

    @PutMapping
    MeterNow say(@Valid @RequestBody MeterSaid said, Pen pen) {
        Checked.within("port", said.port(), 1, 65_535);
        MeterClient.MeterAt meter = new MeterClient.MeterAt(Checked.text("host", said.host(), 200), said.port());
        MeterClient.MeterAt before = where();
        pen.once(said, by -> {
            meters.say(by, meter);
            journal.write(by, Journal.Entry.ofShop("meter", 1, "The meter is at " + meter, before, meter));
        });
        return told(meter);
    }

    /** Nothing is written: the reading is the caller's. */
    @PostMapping("/readings")
    @May(Act.MEASURE)
    ReadingTaken take(@Valid @RequestBody ReadingAsked asked) {
        MeterClient.Taken taken = client.take(where(), asked.function(), asked.at());
        return new ReadingTaken(
                taken.identity(),
                asked.function(),
                taken.reading().value().orElseThrow(),
                taken.reading().words());
    }

    /** For trying out what happens on a bad day. */
    @PutMapping("/stand-in")
    @May(Act.MEASURE)
    MeterNow behave(@Valid @RequestBody StandInManner manner) {
        if (!standIn.isRunning()) {
            throw Refused.because("The stand-in is not running here: start with wrenchnotes.meter.stand-in.on=true.");
        }
        standIn.change(before -> manner);
        return now();
    }

    private MeterClient.MeterAt where() {
        return snapshot.read(meters::said)
                .orElseGet(() -> standIn.port().isPresent()
                        ? new MeterClient.MeterAt("localhost", standIn.port().getAsInt())
                        : new MeterClient.MeterAt(settings.host(), settings.port()));
    }

    private MeterNow told(MeterClient.MeterAt meter) {
        boolean here = HERE.contains(meter.host()) && standIn.port().orElse(-1) == meter.port();
        return new MeterNow(meter.host(), meter.port(), here ? Optional.of(standIn.now()) : Optional.empty());
    }
}
