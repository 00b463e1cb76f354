package sparen.program.rule;

import java.util.List;
import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Charging allowed within a temperature range and below an over-voltage, a second line behind BMS and charger. The contact is the
 * permission: an enable input, or the array side of a controller.
 *
 * @param coldCelsius stops charging at or below (°C), −50 to 90
 * @param hotCelsius stops charging at or above (°C), −50 to 90
 * @param hysteresisKelvin allows it again so far inside (K), 0 to 30
 * @param sensePoint id of the point that stops it by voltage
 * @param stopVolts at or above, whole bank (V), 0 to 1000
 * @param releaseVolts allows it again at or below (V), 0 to 1000
 * @param delaySeconds each must hold so long (s), 0 to 86,400
 */
public record ChargeInhibit(
        double coldCelsius,
        double hotCelsius,
        double hysteresisKelvin,
        String sensePoint,
        double stopVolts,
        double releaseVolts,
        double delaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "chargeInhibit",
            ChargeInhibit.class,
            Purpose.SAFE_CHARGING,
            "charge inhibit by temperature and over-voltage",
            around -> Usual.bySensePoint(
                    around,
                    point -> new ChargeInhibit(
                            4, 45, 2, point, Usual.overVoltage(around.site()), Usual.diversionOff(around.site()), 5)));

    public ChargeInhibit {
        Bounds.within("coldCelsius", coldCelsius, -50, 90);
        Bounds.within("hotCelsius", hotCelsius, -50, 90);
        Bounds.within("hysteresisKelvin", hysteresisKelvin, 0, 30);
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("stopVolts", stopVolts, 0, 1000);
        Bounds.within("releaseVolts", releaseVolts, 0, 1000);
        Bounds.within("delaySeconds", delaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition warm = new Condition.AtOrAbove(Signal.BATTERY_CELSIUS, coldCelsius + hysteresisKelvin);
        Condition cool = new Condition.AtOrBelow(Signal.BATTERY_CELSIUS, hotCelsius - hysteresisKelvin);
        Way released = RuleConditions.below(around, sensePoint, "release", releaseVolts, delaySeconds)
                .andOnlyIf(RuleConditions.all(warm, cool), "and its temperature inside the range");
        return SwitchLogic.startsOn(
                List.of(released),
                List.of(
                        RuleConditions.signal(
                                Signal.BATTERY_CELSIUS, "battery", false, coldCelsius, "°C", delaySeconds),
                        RuleConditions.signal(Signal.BATTERY_CELSIUS, "battery", true, hotCelsius, "°C", delaySeconds),
                        RuleConditions.above(around, sensePoint, "over-voltage stop", stopVolts, delaySeconds)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Stops charging when the battery is at or below ")
                .celsius("coldCelsius", "cold", coldCelsius)
                .then(", at or above ")
                .celsius("hotCelsius", "hot", hotCelsius)
                .then(", or ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" is at or above ")
                .volts("stopVolts", "over-voltage stop", stopVolts)
                .then(" for ")
                .seconds("delaySeconds", "delay", delaySeconds)
                .then("; allows it again ")
                .number("hysteresisKelvin", "hysteresis", hysteresisKelvin, "K", 0.5, 2, 0, 30)
                .then(" inside and at or below ")
                .volts("releaseVolts", "over-voltage release", releaseVolts)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("stopVolts", "over-voltage stop", Level.Role.OVER_VOLTAGE_STOP, stopVolts, sensePoint),
                Level.volts(
                        "releaseVolts",
                        "over-voltage release",
                        Level.Role.OVER_VOLTAGE_RELEASE,
                        releaseVolts,
                        sensePoint));
    }
}
