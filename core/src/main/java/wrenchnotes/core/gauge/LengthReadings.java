package wrenchnotes.core.gauge;

import static wrenchnotes.core.gauge.LimitGauge.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/** What belt, gear and thread leave in a job's record. */
public final class LengthReadings {

    private LengthReadings() {}

    /** A worn belt is judged by the way it runs, if that was measured: longer than the longest that grips is bad. */
    public static Measurement belt(BeltGauge.BeltAsked asked) {
        BeltGauge.BeltFound found = BeltGauge.of(asked, List.of());
        BeltGauge.BeltTarget target = found.target();
        List<Reading> readings = new ArrayList<>();
        found.pathMm().ifPresent(path -> readings.add(Reading.plain("way round", path, "mm")));
        Optional<Judgement> verdict = Optional.empty();
        if (found.wornCircumferenceMm().isPresent()) {
            double worn = found.wornCircumferenceMm().get();
            if (found.pathMm().isPresent()) {
                Limits limits = new Limits(Optional.of(target.minMm()), Optional.of(target.maxMm()));
                Judgement judged = LimitGauge.judge(worn, limits, 0, "mm", new ArrayList<>());
                readings.add(Reading.judged("worn belt, inside", worn, "mm", limits, 0, judged));
                verdict = Optional.of(judged);
            } else {
                readings.add(Reading.plain("worn belt, inside", worn, "mm"));
            }
        }
        readings.add(Reading.plain("a new one, inside", target.bestMm(), "mm"));
        String words = "Belt: " + readings.get(0).what() + " " + readings.get(0).words() + "; a new one of "
                + number(target.bestMm()) + " mm inside (" + number(target.minMm()) + " to " + number(target.maxMm())
                + ")";
        return new Measurement(readings, verdict, words);
    }

    public static Measurement gear(GearGauge.GearAsked asked) {
        GearGauge.GearFound found = GearGauge.of(asked);
        List<Reading> readings = new ArrayList<>();
        readings.add(Reading.plain("across the tips", asked.outsideDiameterMm(), "mm"));
        readings.add(Reading.plain("module", found.module(), ""));
        asked.centresMm().ifPresent(apart -> readings.add(Reading.plain("shaft to shaft", apart, "mm")));
        asked.boreMm().ifPresent(bore -> readings.add(Reading.plain("bore", bore, "mm")));
        asked.shaftMm().ifPresent(shaft -> readings.add(Reading.plain("shaft", shaft, "mm")));
        return new Measurement(
                readings, found.mesh(), "Gear of " + asked.teeth() + " teeth: " + String.join(" ", found.reasons()));
    }

    public static Measurement thread(ThreadGauge.ThreadAsked asked) {
        ThreadGauge.ThreadFound found = ThreadGauge.of(asked);
        List<Reading> readings = new ArrayList<>();
        readings.add(Reading.plain("across the thread", asked.diameterMm(), "mm"));
        found.pitchMm().ifPresent(pitch -> readings.add(Reading.plain("pitch", pitch, "mm")));
        asked.lengthMm().ifPresent(length -> readings.add(Reading.plain("long", length, "mm")));
        String into = found.goesInto().map(one -> ", goes into " + one.words()).orElse("");
        String names = found.designations().stream()
                .map(ThreadGauge.ThreadMatch::designation)
                .collect(Collectors.joining(" or "));
        return new Measurement(
                readings,
                Optional.empty(),
                "Thread: " + (names.isEmpty() ? "no thread of the tables is near" : names) + into);
    }
}
