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
 * Signals that the battery has not been charged for many hours: the array is broken, dirty or under snow.
 *
 * @param hours without charge (h), 1 to 24 × 14; 26 is usual: one night and half a dull day
 * @param leastAmperes of net current that counts as charge (A), 0 to 10,000
 */
public record NotChargedSignal(double hours, double leastAmperes) implements Rule {
    static final RuleKind KIND = new RuleKind(
            "notChargedSignal",
            NotChargedSignal.class,
            Purpose.TELL_SOMEONE,
            "not charged for hours",
            around -> Optional.of(new NotChargedSignal(26, 0.5)));

    public NotChargedSignal {
        Bounds.within("hours", hours, 1, 336);
        Bounds.within("leastAmperes", leastAmperes, 0, 10_000);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition charged = new Condition.AtOrAbove(Signal.BATTERY_AMPERES, leastAmperes);
        return SwitchLogic.follows(
                RuleConditions.not(charged),
                hours * 3600,
                0,
                "not charged for " + Bounds.number(hours) + " h",
                "charged again");
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Signals when the battery has not been charged with ")
                .amperes("leastAmperes", "charging current", leastAmperes)
                .then(" or more for ")
                .number("hours", "hours without charge", hours, "h", 1, 6, 1, 336)
                .then(".");
    }
}
