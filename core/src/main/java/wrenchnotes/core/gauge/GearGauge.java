package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Spoken;

/**
 * Full-depth spur gears: module m = outside diameter / (teeth + 2); centre distance a = m(z₁ + z₂)/2; diametral pitch = 25.4/m.
 * Preferred modules: ISO 54 from 1 up (published), DIN 780 series 1 below (from memory); tooth proportions ISO 53 (published). Small
 * inch gears: outside diameter = (teeth + 2)/DP inches, of 24 to 96 per inch (common practice).
 */
public final class GearGauge {

    private static final double[] PREFERRED = {
        0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10
    };
    private static final double[] PITCHES = {24, 32, 48, 64, 72, 80, 96};
    private static final double INCH = 25.4;
    /** Two that measure so nearly alike are of one pitch, whatever it is called. Ours, no source. */
    private static final double ALIKE_PERCENT = 2;
    /** A plastic gear splits beyond this, now or next year, as a share of its bore (common practice: about 1 to 3 percent hold). */
    private static final double SPLITS = 0.03;

    /** As a share of the module. Ours, no source. */
    private static final double MESHES = 0.12;

    private static final double DOES_NOT_MESH = 0.35;
    /** A module that is farther off than this is not that module. */
    private static final double OFF_PERCENT = 4;

    private static final double TRANSITION_MM = 0.02;

    public enum GearFit implements Spoken {
        /** So much that a plastic gear splits. */
        TOO_TIGHT,
        INTERFERENCE,
        TRANSITION,
        CLEARANCE
    }

    public record GearWheel(int teeth, double outsideDiameterMm) {
        public GearWheel {
            Checked.within("mate.teeth", teeth, 5, 2000);
            Checked.within("mate.outsideDiameterMm", outsideDiameterMm, 0.5, 5000);
        }
    }

    /**
     * @param teeth 5 to 2000
     * @param centresMm distance of the two shafts, measured
     * @param boreMm of this gear @param shaftMm that it sits on
     * @param splined whether the shaft has splines or a knurl
     */
    public record GearAsked(
            int teeth,
            double outsideDiameterMm,
            Optional<GearWheel> mate,
            Optional<Double> centresMm,
            Optional<Double> boreMm,
            Optional<Double> shaftMm,
            boolean splined) {
        public GearAsked {
            Checked.within("teeth", teeth, 5, 2000);
            Checked.within("outsideDiameterMm", outsideDiameterMm, 0.5, 5000);
            centresMm.ifPresent(value -> Checked.within("centresMm", value, 0.5, 5000));
            boreMm.ifPresent(value -> Checked.within("boreMm", value, 0.1, 1000));
            shaftMm.ifPresent(value -> Checked.within("shaftMm", value, 0.1, 1000));
        }
    }

    /**
     * @param preferredModule the nearest, metric @param offPercent of the measured module from it
     * @param preferredPitch teeth per inch of the diameter, if that is as near as a metric module can be; empty otherwise
     * @param expectedCentresMm with the preferred module; empty without a mate
     * @param centresErrorMm measured less expected
     * @param mesh empty without a mate
     * @param gapMm bore less shaft; below 0 it has to be pressed on
     * @param ratio turns of this gear for one of its mate
     */
    public record GearFound(
            double module,
            double preferredModule,
            double offPercent,
            double diametralPitch,
            Optional<Double> preferredPitch,
            Optional<Double> mateModule,
            Optional<Double> expectedCentresMm,
            Optional<Double> centresErrorMm,
            Optional<Judgement> mesh,
            Optional<GearFit> fit,
            Optional<Double> gapMm,
            Optional<Double> ratio,
            List<String> reasons) {}

    private GearGauge() {}

    public static GearFound of(GearAsked asked) {
        double module = module(asked.teeth(), asked.outsideDiameterMm());
        double preferred = nearest(PREFERRED, module);
        double inch = INCH / nearest(PITCHES, INCH / module);
        double off = off(module, preferred);
        Optional<Double> pitch = near(module, inch) ? Optional.of(Math.rint(INCH / inch)) : Optional.empty();
        List<String> reasons = new ArrayList<>();
        reasons.add(called(module, preferred, pitch));
        Optional<Double> mateModule = asked.mate().map(mate -> module(mate.teeth(), mate.outsideDiameterMm()));
        Optional<Double> common = mateModule.flatMap(other -> common(module, other, asked));
        Optional<Double> expected =
                asked.mate().map(mate -> common.orElse(preferred) * (asked.teeth() + mate.teeth()) / 2.0);
        Optional<Double> error = expected.flatMap(centres -> asked.centresMm().map(measured -> measured - centres));
        Optional<Judgement> mesh = mateModule.map(other -> mesh(common, other, error, reasons));
        Optional<Double> gap = asked.boreMm().flatMap(bore -> asked.shaftMm().map(shaft -> bore - shaft));
        Optional<GearFit> fit = gap.map(one -> fit(one, asked.boreMm().orElseThrow()));
        fit.ifPresent(one -> reasons.add(what(one, asked.splined(), gap.orElseThrow())));
        return new GearFound(
                module,
                preferred,
                off,
                INCH / module,
                pitch,
                mateModule,
                expected,
                error,
                mesh,
                fit,
                gap,
                asked.mate().map(mate -> (double) mate.teeth() / asked.teeth()),
                List.copyOf(reasons));
    }

    private static double module(int teeth, double outside) {
        return outside / (teeth + 2);
    }

    private static double nearest(double[] all, double value) {
        double best = all[0];
        for (double one : all) {
            if (Math.abs(Math.log(one / value)) < Math.abs(Math.log(best / value))) {
                best = one;
            }
        }
        return best;
    }

    private static double off(double module, double from) {
        return 100 * (module / from - 1);
    }

    private static boolean near(double module, double from) {
        return Math.abs(off(module, from)) <= OFF_PERCENT;
    }

    private static String called(double module, double preferred, Optional<Double> pitch) {
        String inch = pitch.map(teeth -> LimitGauge.number(teeth) + " teeth per inch, "
                        + LimitGauge.number(Math.abs(off(module, INCH / teeth))) + " % off")
                .orElse("");
        if (near(module, preferred)) {
            return "Module " + LimitGauge.number(preferred) + ", "
                    + LimitGauge.number(Math.abs(off(module, preferred))) + " % off"
                    + (inch.isEmpty() ? "." : "; or " + inch + ".");
        }
        return inch.isEmpty()
                ? "No preferred module or pitch is near " + LimitGauge.number(module)
                        + ": count the teeth again, or it is not full depth."
                : Character.toUpperCase(inch.charAt(0)) + inch.substring(1) + ".";
    }

    /**
     * The module that both are of: a preferred one that is near both, or their own if they measure alike; of several, the one that the
     * shafts are apart for.
     */
    private static Optional<Double> common(double one, double other, GearAsked asked) {
        double middle = Math.sqrt(one * other);
        int teeth = asked.teeth() + asked.mate().orElseThrow().teeth();
        return DoubleStream.of(nearest(PREFERRED, middle), INCH / nearest(PITCHES, INCH / middle), middle)
                .filter(named -> named == middle
                        ? Math.abs(off(one, other)) <= ALIKE_PERCENT
                        : near(one, named) && near(other, named))
                .boxed()
                .min(Comparator.comparingDouble(named -> asked.centresMm()
                        .map(apart -> Math.abs(apart - named * teeth / 2))
                        .orElse(Math.abs(Math.log(named / middle)) + (named == middle ? 1 : 0))));
    }

    private static Judgement mesh(Optional<Double> common, double other, Optional<Double> error, List<String> reasons) {
        if (common.isEmpty()) {
            reasons.add("The mate has module " + LimitGauge.number(other) + ": these two do not mesh.");
            return Judgement.BAD;
        }
        if (error.isEmpty()) {
            reasons.add("The same module; measure the distance of the shafts to be sure.");
            return Judgement.CAN_NOT_SAY;
        }
        double share = error.get() / common.get();
        if (share > DOES_NOT_MESH) {
            reasons.add("The shafts are too far apart: the teeth touch at their tips and will slip.");
            return Judgement.BAD;
        }
        if (share < -DOES_NOT_MESH / 2) {
            reasons.add("The shafts are too near: the teeth jam.");
            return Judgement.BAD;
        }
        if (share < -MESHES / 2 || share > MESHES) {
            reasons.add("The distance is " + LimitGauge.number(Math.abs(error.get()))
                    + " mm off: turn it by hand and listen.");
            return Judgement.CAN_NOT_SAY;
        }
        reasons.add("They mesh: the distance is right to " + LimitGauge.number(Math.abs(error.get())) + " mm.");
        return Judgement.GOOD;
    }

    private static GearFit fit(double gap, double bore) {
        if (-gap > SPLITS * bore + 1e-9) {
            return GearFit.TOO_TIGHT;
        }
        return gap < 0 ? GearFit.INTERFERENCE : gap < TRANSITION_MM ? GearFit.TRANSITION : GearFit.CLEARANCE;
    }

    /** Common practice: a split press-fit gear no longer grips; glue does not hold it; resin fills a bore that is too large. */
    private static String what(GearFit fit, boolean splined, double gap) {
        return switch (fit) {
            case TOO_TIGHT ->
                LimitGauge.number(-gap)
                        + " mm more than its bore is too much for plastic: it splits, now or next year. Another gear, or the bore reamed.";
            case INTERFERENCE ->
                splined
                        ? "Press it on straight: the splines bite " + LimitGauge.number(-gap) + " mm."
                        : "A press fit of " + LimitGauge.number(-gap)
                                + " mm: warm the gear, press it on straight, and look for a split.";
            case TRANSITION ->
                "Hardly any grip: a drop of retaining compound that plastic stands, or a gear with a smaller bore.";
            case CLEARANCE ->
                "A gap of " + LimitGauge.number(gap)
                        + " mm: it turns on its shaft. Another gear, or resin around it, kept concentric and cured overnight.";
        };
    }
}
