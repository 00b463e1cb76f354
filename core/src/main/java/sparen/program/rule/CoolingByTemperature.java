package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Cooling of battery or cabinet by temperature.
 *
 * @param where which temperature decides
 * @param onCelsius runs at or above (°C), −50 to 90
 * @param offCelsius stops at or below (°C), −50 to 90
 * @param minimumRunSeconds runs so long at least (s), 0 to 86,400
 */
public record CoolingByTemperature(Where where, double onCelsius, double offCelsius, double minimumRunSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "coolingByTemperature",
            CoolingByTemperature.class,
            Purpose.COOL_AND_VENT,
            "cooling by temperature",
            around -> Optional.of(new CoolingByTemperature(Where.BATTERY, 35, 30, 300)));

    public CoolingByTemperature {
        Bounds.present("where", where);
        Bounds.within("onCelsius", onCelsius, -50, 90);
        Bounds.within("offCelsius", offCelsius, -50, 90);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
    }

    /** Which temperature decides. */
    public enum Where {
        BATTERY,
        AIR
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        int signal = where == Where.BATTERY ? Signal.BATTERY_CELSIUS : Signal.AIR_CELSIUS;
        String name = where == Where.BATTERY ? "battery" : "air";
        return SwitchLogic.startsOff(
                        List.of(RuleConditions.signal(signal, name, true, onCelsius, "°C", 0)),
                        List.of(RuleConditions.signal(signal, name, false, offCelsius, "°C", 0)))
                .onAtLeast(minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Runs when the ")
                .choice(
                        "where",
                        "where",
                        where.name(),
                        List.of(new Sentence.Choice("BATTERY", "battery"), new Sentence.Choice("AIR", "air")))
                .then(" is at or above ")
                .celsius("onCelsius", "cooling on", onCelsius)
                .then(", for ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least, stops at or below ")
                .celsius("offCelsius", "cooling off", offCelsius)
                .then(".");
    }
}
