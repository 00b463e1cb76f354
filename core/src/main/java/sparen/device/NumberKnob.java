package sparen.device;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A number that a device lets be set, or has fixed.
 *
 * @param setting what it sets: kind of rule and field as in documents, such as {@code voltageDisconnect.lvdVolts}; or {@code charging},
 *     {@code ac}, {@code inverter}, {@code monitor} and the fields on the way, such as {@code charging.details.overVoltage.stopVolts}
 * @param label what the device calls it
 * @param unit what it counts in, such as V, min or %; may be empty
 * @param ofOurs how much of the document's unit one of its units is, above 0 to 1e6: 60 for minutes, 0.1 where 50 stands for 5.0
 * @param least smallest number it takes, −1e6 to 1e6
 * @param most largest, least to 1e6; the same as least where it is fixed
 * @param step between two numbers it takes, 0 to 1e6; 0 where it is fixed
 * @param relativeTo setting of the charger that it is counted from; absent where it stands for itself
 * @param forNominalVolts it wants the number for a bank of this voltage (V), 6 to 400, whatever the bank is; absent for the bank's own
 * @param needs what must be set or enabled first; absent for nothing
 * @param assumed whether its bounds are assumed until somebody has measured; absent for no
 * @param menu number or path of its menu, as the device shows it; absent where it has none
 * @param factory as it comes, in its own unit, least to most; absent where nobody knows
 * @param shown from when, with what and under what condition it is seen; absent for always, on the device itself
 */
public record NumberKnob(
        String setting,
        String label,
        String unit,
        double ofOurs,
        double least,
        double most,
        double step,
        Optional<String> relativeTo,
        Optional<Double> forNominalVolts,
        Optional<String> needs,
        Optional<Boolean> assumed,
        Optional<String> menu,
        Optional<Double> factory,
        Optional<Shown> shown)
        implements Knob, NumberKnobWith {
    private static final double MOST = 1e6;

    public NumberKnob {
        setting(setting);
        Bounds.name("label", label);
        Bounds.present("unit", unit);
        Bounds.above("ofOurs", ofOurs, "×", 0, MOST);
        Bounds.within("least", least, unit, -MOST, MOST);
        Bounds.within("most", most, unit, least, MOST);
        Bounds.within("step", step, unit, 0, MOST);
        if (step == 0 && most > least) {
            throw new InvalidQuantity("step", "0 " + unit + " is for a fixed number only; least and most differ");
        }
        relativeTo = Bounds.orEmpty(relativeTo);
        forNominalVolts = Bounds.optional("forNominalVolts", forNominalVolts, 6, 400);
        needs = Bounds.name("needs", needs);
        assumed = Bounds.orEmpty(assumed);
        menu = Bounds.name("menu", menu);
        factory = Bounds.optional("factory", factory, unit, least, most);
        shown = Bounds.orEmpty(shown);
    }

    /** Refuses what cannot name a setting of a plan. */
    static void setting(String setting) {
        if (Bounds.present("setting", setting).indexOf('.') < 1) {
            throw new InvalidQuantity(
                    "setting", "\"" + setting + "\" must name kind and field, like voltageDisconnect.lvdVolts");
        }
    }

    @Override
    public String key() {
        return setting;
    }

    @Override
    public List<MenuChoice> choices() {
        return List.of();
    }

    /** The number it takes that is nearest to one in its own unit. */
    public double nearest(double number) {
        double stepped = step == 0 ? least : least + Math.rint((number - least) / step) * step;
        double kept = Math.max(least, Math.min(most, stepped));
        return Math.rint(kept * MOST) / MOST;
    }

    /** Whether a number in its own unit is within half a step of one it takes. */
    public boolean reaches(double number) {
        return Math.abs(nearest(number) - number) <= step / 2 + 1e-9;
    }
}
