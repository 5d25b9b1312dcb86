package wrenchnotes.core.gauge;

import static wrenchnotes.core.gauge.LimitGauge.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/** What rails, logic, chain, bleed and capacitor leave in a job's record. */
public final class ElectricReadings {

    private ElectricReadings() {}

    /** Rails that were not measured leave nothing. */
    public static Measurement rails(RailsGauge.RailsAsked asked) {
        RailsGauge.RailsFound found = RailsGauge.of(asked);
        List<Reading> readings = new ArrayList<>();
        asked.mains().measured().ifPresent(volts -> readings.add(Reading.plain("mains", volts, "V")));
        for (int at = 0; at < asked.rails().size(); at++) {
            RailsGauge.RailRead read = found.rails().get(at);
            asked.rails()
                    .get(at)
                    .measured()
                    .ifPresent(volts -> readings.add(of(read, volts, asked.uncertaintyOf(volts))));
        }
        List<Judgement> verdicts = new ArrayList<>(List.of(found.mains()));
        found.rails().forEach(read -> verdicts.add(read.verdict()));
        Judgement verdict = Judgement.worst(verdicts);
        String said = found.culprit().isPresent()
                ? String.join(" ", found.reasons())
                : verdict == Judgement.GOOD
                        ? asked.rails().size() + " measured, all as they should be"
                        : "not all of them can be told";
        return new Measurement(readings, Optional.of(verdict), "Rails: " + said);
    }

    private static Reading of(RailsGauge.RailRead read, double volts, double u) {
        return read.minVolts().isPresent()
                ? Reading.judged(
                        read.name(), volts, "V", new Limits(read.minVolts(), read.maxVolts()), u, read.verdict())
                : Reading.plain(read.name(), volts, "V");
    }

    /** The pins that were read; an output carries the verdict of its gate. */
    public static Measurement logic(LogicGauge.LogicAsked asked, List<LogicChip> added) {
        LogicGauge.LogicFound found = LogicGauge.of(asked, added);
        Map<Integer, Judgement> ofGates = found.gates().stream()
                .collect(Collectors.toMap(gate -> gate.gate().output(), LogicGauge.GateRead::verdict));
        List<Reading> readings = new TreeMap<>(found.levels())
                .entrySet().stream()
                        .map(level -> Reading.state(
                                "pin " + level.getKey(),
                                level.getValue().words()
                                        + Optional.ofNullable(found.then().get(level.getKey()))
                                                .map(then -> ", then " + then.words())
                                                .orElse(""),
                                asked.pins().get(level.getKey()).volts(),
                                "V",
                                Optional.ofNullable(ofGates.get(level.getKey()))))
                        .toList();
        String said =
                switch (found.verdict()) {
                    case GOOD -> "good";
                    case SUSPECT -> "suspect";
                    case CAN_NOT_SAY -> "cannot say";
                };
        String why = found.gates().stream()
                .filter(gate -> gate.verdict() == Judgement.BAD)
                .map(LogicGauge.GateRead::why)
                .findFirst()
                .orElse(found.reasons().get(found.reasons().size() - 1));
        Judgement verdict = found.verdict() == LogicGauge.ChipVerdict.SUSPECT
                ? Judgement.BAD
                : found.verdict() == LogicGauge.ChipVerdict.GOOD ? Judgement.GOOD : Judgement.CAN_NOT_SAY;
        return new Measurement(
                readings,
                Optional.of(verdict),
                "Chip " + asked.chip().strip().toUpperCase(Locale.ROOT) + ": " + said + ". " + why);
    }

    public static Measurement chain(ChainGauge.ChainAsked asked) {
        ChainGauge.ChainFound found = ChainGauge.of(asked);
        List<Reading> readings = asked.stages().stream()
                .filter(stage -> stage.out() != ChainGauge.Signal.UNKNOWN)
                .map(stage -> Reading.state(
                        "after " + stage.name(),
                        stage.out().words(),
                        Optional.empty(),
                        "",
                        Optional.of(stage.out() == ChainGauge.Signal.GOOD ? Judgement.GOOD : Judgement.BAD)))
                .toList();
        return new Measurement(
                readings,
                Optional.of(found.faulty().isPresent() ? Judgement.BAD : Judgement.CAN_NOT_SAY),
                "Chain: " + String.join(" ", found.reasons()));
    }

    /** Nothing here says that a part may be touched: it says when to measure. */
    public static Measurement bleed(BleedGauge.BleedAsked asked) {
        BleedGauge.BleedFound found = BleedGauge.of(asked);
        return new Measurement(
                List.of(
                        Reading.plain("capacitor", asked.microfarads(), "µF"),
                        Reading.plain("charged to", asked.volts(), "V"),
                        Reading.plain("through", asked.ohms(), "Ω"),
                        Reading.plain("measure after", found.secondsToMeasure(), "s")),
                Optional.empty(),
                "Bleed: " + number(asked.microfarads()) + " µF at " + number(asked.volts()) + " V through "
                        + number(asked.ohms()) + " Ω: measure after " + number(found.secondsToMeasure()) + " s");
    }

    public static Measurement capacitor(CapacitorGauge.CapacitorAsked asked) {
        CapacitorGauge.CapacitorFound found = CapacitorGauge.of(asked);
        List<Reading> readings = new ArrayList<>();
        readings.add(Reading.plain("original", asked.original().microfarads(), "µF"));
        readings.add(Reading.plain("original stands", asked.original().volts(), "V"));
        asked.candidate().ifPresent(candidate -> {
            readings.add(Reading.judged(
                    "instead",
                    candidate.microfarads(),
                    "µF",
                    found.microfarads(),
                    0,
                    LimitGauge.judge(candidate.microfarads(), found.microfarads(), 0, "µF", new ArrayList<>())));
            Limits volts = new Limits(Optional.of(found.leastVolts()), Optional.empty());
            readings.add(Reading.judged(
                    "instead stands",
                    candidate.volts(),
                    "V",
                    volts,
                    0,
                    LimitGauge.judge(candidate.volts(), volts, 0, "V", new ArrayList<>())));
        });
        String said = found.verdict()
                .map(verdict -> switch (verdict) {
                    case GOOD -> "it fits";
                    case BAD -> "it does not fit";
                    case CAN_NOT_SAY -> "a person has to say";
                })
                .map(words -> words + ". " + String.join(". ", found.reasons()))
                .orElse("what would do is known");
        return new Measurement(
                readings,
                found.verdict(),
                "Capacitor for " + number(asked.original().microfarads()) + " µF, "
                        + number(asked.original().volts()) + " V: " + said);
    }
}
