package wrenchnotes.core.money;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wrenchnotes.core.pattern.lasts.Survival;
import wrenchnotes.core.pattern.lasts.SurvivalTold.RemedyStays;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What the warranties that run may still cost. A unit that has lasted so long comes back within what is left of its term by chance 1 − S(term)/S(age) on the
 * curve of what was done to it (Meeker & Escobar, Statistical Methods for Reliability Data, 1998: the conditional probability of failure). Units
 * fail independently of each other. Nothing is rounded.
 *
 * @param reserveMinor what is expected in all, in minor units
 * @param deviationMinor its standard deviation
 */
public record WarrantyRisk(List<UnitRisk> units, double reserveMinor, double deviationMinor) {

    private static final double MOST_DAYS = 36_500;
    private static final int MOST = 200_000;

    /** @param remedy by its name @param ageDays since handover, 0 or more @param costMinor what a comeback costs, 0 or more */
    public record UnitOut(String id, String remedy, Double ageDays, Double costMinor) {
        public UnitOut {
            id = Checked.text("id", id, 80);
            remedy = Checked.text("remedy", remedy, 80);
            Checked.within("ageDays", Checked.present("ageDays", ageDays), 0, MOST_DAYS);
            Checked.within("costMinor", Checked.present("costMinor", costMinor), 0, 1e12);
        }
    }

    /** @param warrantyDays the term, above 0 @param remedies the stays behind each curve */
    public record WarrantyAsked(Double warrantyDays, List<RemedyStays> remedies, List<UnitOut> units) {
        public WarrantyAsked {
            if (!(Checked.present("warrantyDays", warrantyDays) > 0 && warrantyDays <= MOST_DAYS)) {
                throw new Invalid("warrantyDays", "A term is above 0 and at most 36,500 days, not " + warrantyDays);
            }
            remedies = List.copyOf(Checked.present("remedies", remedies));
            Checked.within("remedies", remedies.size(), 0, 1_000);
            units = List.copyOf(Checked.present("units", units));
            Checked.within("units", units.size(), 0, MOST);
        }
    }

    /** @param chance that it comes back before its term is over, 0 to 1 */
    public record UnitRisk(String id, double chance, double expectedMinor) {}

    public static WarrantyRisk of(WarrantyAsked asked) {
        Map<String, Survival> curves = new HashMap<>();
        for (RemedyStays remedy : asked.remedies()) {
            if (curves.put(remedy.name(), Survival.of(remedy.stays())) != null) {
                throw new Invalid("remedies", "\"" + remedy.name() + "\" stands there twice: give each remedy once");
            }
        }
        List<UnitRisk> units = new ArrayList<>();
        List<Out> out = new ArrayList<>();
        for (UnitOut unit : asked.units()) {
            Survival curve = curves.get(unit.remedy());
            if (curve == null) {
                throw new Invalid(
                        "units",
                        "Unit " + unit.id() + ": there is no remedy \"" + unit.remedy() + "\" among those given");
            }
            double chance = chance(curve, unit.ageDays(), asked.warrantyDays());
            units.add(new UnitRisk(unit.id(), chance, chance * unit.costMinor()));
            out.add(new Out(curve, unit.ageDays(), unit.costMinor()));
        }
        Reserve reserve = reserve(asked.warrantyDays(), out);
        return new WarrantyRisk(List.copyOf(units), reserve.reserveMinor(), reserve.deviationMinor());
    }

    /** A unit that is out there. @param curve of what was done to it @param ageDays since handover @param costMinor of a comeback */
    public record Out(Survival curve, double ageDays, double costMinor) {}

    public record Reserve(double reserveMinor, double deviationMinor) {}

    /** What is expected in all. @param warrantyDays the term, above 0 */
    public static Reserve reserve(double warrantyDays, List<Out> units) {
        double reserve = 0;
        double variance = 0;
        for (Out unit : units) {
            double chance = chance(unit.curve(), unit.ageDays(), warrantyDays);
            reserve += chance * unit.costMinor();
            variance += chance * (1 - chance) * unit.costMinor() * unit.costMinor();
        }
        return new Reserve(reserve, Math.sqrt(variance));
    }

    /** @return 0 at or past the term; 1 if by the curve none lasts so long as this one has */
    static double chance(Survival curve, double age, double term) {
        if (age >= term) {
            return 0;
        }
        double now = curve.after(age);
        return now == 0 ? 1 : 1 - curve.after(term) / now;
    }
}
