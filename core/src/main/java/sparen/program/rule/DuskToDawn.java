package sparen.program.rule;

import java.util.Optional;
import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * A light from dusk to dawn, by the computed position of the sun.
 *
 * @param sunAltitudeDegrees height of the sun's centre at which night begins and ends (°), −18 to 10; −0.8 is sunset,
 *     −6 the end of civil twilight (common practice, no source)
 * @param delaySeconds how long the sun must have been past it, both ways (s), 0 to 7200
 */
public record DuskToDawn(double sunAltitudeDegrees, double delaySeconds) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "duskToDawn",
            DuskToDawn.class,
            Purpose.LIGHT_AND_TIME,
            "dusk to dawn",
            around -> Optional.of(new DuskToDawn(-4, 180)));

    public DuskToDawn {
        Bounds.within("sunAltitudeDegrees", sunAltitudeDegrees, -18, 10);
        Bounds.within("delaySeconds", delaySeconds, 0, 7200);
    }

    /** Whether the sun is at or below an altitude (°). */
    static Condition night(double sunAltitudeDegrees) {
        return new Condition.AtOrBelow(Signal.SUN_ALTITUDE_DEGREES, sunAltitudeDegrees);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        String past = Bounds.number(sunAltitudeDegrees) + "° for " + Sentence.duration(delaySeconds);
        return SwitchLogic.follows(
                night(sunAltitudeDegrees),
                delaySeconds,
                delaySeconds,
                "dusk: sun at or below " + past,
                "dawn: sun above " + past);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes from dusk, when the sun has been at or below ")
                .sun("sunAltitudeDegrees", sunAltitudeDegrees)
                .then(" for ")
                .seconds("delaySeconds", "delay", delaySeconds, 7200)
                .then(", to dawn.");
    }
}
