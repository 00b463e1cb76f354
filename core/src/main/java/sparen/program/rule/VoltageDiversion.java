package sparen.program.rule;

import java.util.List;
import java.util.Optional;
import sparen.logic.SwitchLogic;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;

/**
 * Diversion by relay at an absolute voltage.
 *
 * @param sensePoint id of the point whose reading decides
 * @param onVolts closes at or above, whole bank (V), 0 to 1000
 * @param onDelaySeconds for so long (s), 0 to 86,400
 * @param offVolts opens at or below (V), 0 to 1000
 * @param offDelaySeconds for so long (s), 0 to 86,400
 * @param minimumRunSeconds stays closed so long at least (s), 0 to 86,400
 * @param millivoltsPerKelvin by which both levels move with the battery's temperature from 25 °C, for each cell (mV/K), −10 to 0;
 *     absent for not at all
 */
public record VoltageDiversion(
        String sensePoint,
        double onVolts,
        double onDelaySeconds,
        double offVolts,
        double offDelaySeconds,
        double minimumRunSeconds,
        Optional<Double> millivoltsPerKelvin)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "voltageDiversion",
            VoltageDiversion.class,
            Purpose.USE_SURPLUS,
            "diversion at a voltage",
            around -> Usual.bySensePoint(
                    around,
                    point -> new VoltageDiversion(
                            point, Usual.diversionOn(around.site()), 60, Usual.diversionOff(around.site()), 30, 120)));

    public VoltageDiversion {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("onVolts", onVolts, 0, 1000);
        Bounds.within("onDelaySeconds", onDelaySeconds, 0, 86_400);
        Bounds.within("offVolts", offVolts, 0, 1000);
        Bounds.within("offDelaySeconds", offDelaySeconds, 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
        millivoltsPerKelvin = Bounds.optional("millivoltsPerKelvin", millivoltsPerKelvin, -10, 0);
    }

    /** One whose levels do not move with temperature. */
    public VoltageDiversion(
            String sensePoint,
            double onVolts,
            double onDelaySeconds,
            double offVolts,
            double offDelaySeconds,
            double minimumRunSeconds) {
        this(sensePoint, onVolts, onDelaySeconds, offVolts, offDelaySeconds, minimumRunSeconds, Optional.empty());
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        double moves = millivoltsPerKelvin.orElse(0.0);
        return SwitchLogic.startsOff(
                        List.of(RuleConditions.volts(
                                around, sensePoint, true, "diversion on", onVolts, onDelaySeconds, moves)),
                        List.of(RuleConditions.volts(
                                around, sensePoint, false, "diversion off", offVolts, offDelaySeconds, moves)))
                .onAtLeast(minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Closes when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or above ")
                .volts("onVolts", "diversion on", onVolts)
                .then(" for ")
                .seconds("onDelaySeconds", "on delay", onDelaySeconds)
                .then(", opens at or below ")
                .volts("offVolts", "diversion off", offVolts)
                .then(" for ")
                .seconds("offDelaySeconds", "off delay", offDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least")
                .compensated("millivoltsPerKelvin", millivoltsPerKelvin)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("onVolts", "diversion on", Level.Role.SURPLUS_ON, onVolts, sensePoint, millivoltsPerKelvin),
                Level.volts(
                        "offVolts",
                        "diversion off",
                        Level.Role.SURPLUS_OFF,
                        offVolts,
                        sensePoint,
                        millivoltsPerKelvin));
    }
}
