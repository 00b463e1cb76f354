package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Surplus load by surplus power: closes when the arrays could give so much more than anybody takes, opens when the battery has to give
 * for it.
 *
 * @param onWatts closes when at least this much goes unused (W), 0 to 1,000,000, at whole minutes
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param dischargeAmperes opens when the battery gives more than this (A), 0 to 10,000
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param minimumRunSeconds stays closed so long at least (s), 0 to 86,400
 */
public record SurplusByPower(
        double onWatts,
        double onDelaySeconds,
        double dischargeAmperes,
        double offDelaySeconds,
        double minimumRunSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "surplusByPower",
            SurplusByPower.class,
            Purpose.USE_SURPLUS,
            "surplus load by surplus power",
            around -> Optional.of(new SurplusByPower(200, 120, 1, 60, 120)));

    public SurplusByPower {
        Bounds.within("onWatts", onWatts, 0, 1_000_000);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.within("dischargeAmperes", dischargeAmperes, 0, 10_000);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Way discharged = RuleConditions.signal(
                Signal.BATTERY_AMPERES, "battery current", false, -dischargeAmperes, "A", offDelaySeconds);
        return SwitchLogic.startsOff(
                        List.of(RuleConditions.signal(
                                Signal.SURPLUS_WATTS, "surplus", true, onWatts, "W", onDelaySeconds)),
                        List.of(discharged))
                .onAtLeast(minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes when ")
                .number("onWatts", "surplus power", onWatts, "W", 10, 100, 0, 1_000_000)
                .then(" or more have gone unused for ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(", opens when the battery gives ")
                .amperes("dischargeAmperes", "discharge", dischargeAmperes)
                .then(" or more for ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least.");
    }
}
