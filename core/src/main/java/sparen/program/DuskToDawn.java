package sparen.program;

import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.quantity.Bounds;
import sparen.site.Site;

/**
 * A light from dusk to dawn, by the computed position of the sun.
 *
 * @param sunAltitudeDegrees height of the sun's centre at which night begins and ends (°), −18 to 10; −0.8 is sunset,
 *     −6 the end of civil twilight (common practice, no source)
 * @param delaySeconds how long the sun must have been past it, both ways (s), 0 to 7200
 */
public record DuskToDawn(double sunAltitudeDegrees, double delaySeconds) implements Rule {
    public DuskToDawn {
        Bounds.within("sunAltitudeDegrees", sunAltitudeDegrees, "°", -18, 10);
        Bounds.within("delaySeconds", delaySeconds, "s", 0, 7200);
    }

    @Override
    public SwitchLogic compile(Site site) {
        return new SwitchLogic(
                new Condition.AtOrBelow(Signal.SUN_ALTITUDE_DEGREES, sunAltitudeDegrees),
                delaySeconds,
                new Condition.AtOrAbove(Signal.SUN_ALTITUDE_DEGREES, Math.nextUp(sunAltitudeDegrees)),
                delaySeconds,
                false);
    }

    @Override
    public Sentence sentence(Site site) {
        return Sentence.start("Closes from dusk, when the sun has been at or below ")
                .number("sunAltitudeDegrees", "sun altitude", sunAltitudeDegrees, "°", 0.1, 1, -18, 10)
                .then(" for ")
                .seconds("delaySeconds", "delay", delaySeconds, 7200)
                .then(", to dawn.");
    }

    @Override
    public String reason(Site site, boolean on, double[] signals) {
        String past = on ? "dusk: sun at or below " : "dawn: sun above ";
        return past + Bounds.number(sunAltitudeDegrees) + "° for " + Sentence.duration(delaySeconds);
    }
}
