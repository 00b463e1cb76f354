package sparen.program.rule;

import java.util.Optional;
import sparen.logic.Condition;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * A sun-relative schedule: from dusk until an hour of the evening, and from an hour of the morning until dawn.
 *
 * @param sunAltitudeDegrees height of the sun's centre at dusk and dawn (°), −18 to 10
 * @param eveningUntilHour off at this hour (h), 12 to 24
 * @param morningFromHour on again at this hour (h), 0 to 12
 */
public record SunAndClock(double sunAltitudeDegrees, double eveningUntilHour, double morningFromHour) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "sunAndClock",
            SunAndClock.class,
            Purpose.LIGHT_AND_TIME,
            "dusk to an hour, an hour to dawn",
            around -> Optional.of(new SunAndClock(-4, 23, 5)));

    public SunAndClock {
        Bounds.within("sunAltitudeDegrees", sunAltitudeDegrees, -18, 10);
        Bounds.within("eveningUntilHour", eveningUntilHour, 12, 24);
        Bounds.within("morningFromHour", morningFromHour, 0, 12);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        int hour = around.hour();
        Condition evening = RuleConditions.all(
                new Condition.AtOrAbove(hour, 12), RuleConditions.not(new Condition.AtOrAbove(hour, eveningUntilHour)));
        Condition morning = RuleConditions.all(
                new Condition.AtOrAbove(hour, morningFromHour), RuleConditions.not(new Condition.AtOrAbove(hour, 12)));
        return SwitchLogic.follows(
                RuleConditions.all(DuskToDawn.night(sunAltitudeDegrees), RuleConditions.any(evening, morning)),
                0,
                0,
                "dark and within its hours",
                "dawn, or its hours are over");
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes from dusk, when the sun is at or below ")
                .sun("sunAltitudeDegrees", sunAltitudeDegrees)
                .then(", until ")
                .hour("eveningUntilHour", "evening until", eveningUntilHour, 12, 24)
                .then(", and from ")
                .hour("morningFromHour", "morning from", morningFromHour, 0, 12)
                .then(" until dawn.");
    }

    @Override
    public boolean goesByClock() {
        return true;
    }
}
