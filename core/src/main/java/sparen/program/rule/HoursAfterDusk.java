package sparen.program.rule;

import java.util.Optional;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * A light for some hours after dusk.
 *
 * @param sunAltitudeDegrees height of the sun's centre at dusk (°), −18 to 10
 * @param hours for so long after (h), 0 to 24; never past dawn
 */
public record HoursAfterDusk(double sunAltitudeDegrees, double hours) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "hoursAfterDusk",
            HoursAfterDusk.class,
            Purpose.LIGHT_AND_TIME,
            "some hours after dusk",
            around -> Optional.of(new HoursAfterDusk(-4, 4)));

    public HoursAfterDusk {
        Bounds.within("sunAltitudeDegrees", sunAltitudeDegrees, -18, 10);
        Bounds.within("hours", hours, 0, 24);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        return SwitchLogic.follows(
                        DuskToDawn.night(sunAltitudeDegrees),
                        0,
                        0,
                        "dusk: sun at or below " + Bounds.number(sunAltitudeDegrees) + "°",
                        "dawn")
                .onAtMost(hours * 3600);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes at dusk, when the sun is at or below ")
                .sun("sunAltitudeDegrees", sunAltitudeDegrees)
                .then(", for ")
                .number("hours", "hours after dusk", hours, "h", 0.25, 1, 0, 24)
                .then(" and never past dawn.");
    }
}
