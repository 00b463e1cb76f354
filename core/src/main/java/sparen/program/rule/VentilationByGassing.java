package sparen.program.rule;

import java.util.List;
import java.util.Optional;
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
 * Ventilation by gassing voltage: runs while the battery is charged above its gassing voltage, and for some time after.
 *
 * @param sensePoint id of the point whose reading decides
 * @param gassingVolts runs at or above, whole bank (V), 0 to 1000
 * @param millivoltsPerKelvin by which that moves with the battery's temperature, for each cell (mV/K), −10 to 0; absent for not at all
 * @param chargingAmperes while at least this goes into the battery (A), 0 to 10,000
 * @param minimumRunSeconds runs so long at least (s), 0 to 86,400; 15 is the least that is usual
 * @param afterRunSeconds and goes on so long after (s), 0 to 86,400
 */
public record VentilationByGassing(
        String sensePoint,
        double gassingVolts,
        Optional<Double> millivoltsPerKelvin,
        double chargingAmperes,
        double minimumRunSeconds,
        double afterRunSeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "ventilationByGassing",
            VentilationByGassing.class,
            Purpose.COOL_AND_VENT,
            "ventilation by gassing voltage",
            around -> Usual.bySensePoint(
                    around,
                    point -> new VentilationByGassing(
                            point, Usual.diversionOn(around.site()), Optional.empty(), 1, 300, 900)));

    public VentilationByGassing {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("gassingVolts", gassingVolts, 0, 1000);
        millivoltsPerKelvin = Bounds.optional("millivoltsPerKelvin", millivoltsPerKelvin, -10, 0);
        Bounds.within("chargingAmperes", chargingAmperes, 0, 10_000);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
        Bounds.within("afterRunSeconds", afterRunSeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition charged = new Condition.AtOrAbove(Signal.BATTERY_AMPERES, chargingAmperes);
        Way gassing = RuleConditions.volts(
                        around, sensePoint, true, "gassing", gassingVolts, 0, millivoltsPerKelvin.orElse(0.0))
                .andOnlyIf(charged, "while charged");
        return SwitchLogic.startsOff(
                        List.of(gassing),
                        List.of(Way.when(
                                RuleConditions.not(gassing.when()),
                                afterRunSeconds,
                                "no gassing for " + Sentence.duration(afterRunSeconds))))
                .onAtLeast(minimumRunSeconds);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Runs while at least ")
                .amperes("chargingAmperes", "charging current", chargingAmperes)
                .then(" charge the battery and ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" is at or above ")
                .volts("gassingVolts", "gassing", gassingVolts)
                .then(", for ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least, and ")
                .seconds("afterRunSeconds", "after-run", afterRunSeconds)
                .then(" after")
                .compensated("millivoltsPerKelvin", millivoltsPerKelvin)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(Level.volts(
                "gassingVolts", "gassing", Level.Role.GASSING, gassingVolts, sensePoint, millivoltsPerKelvin));
    }
}
