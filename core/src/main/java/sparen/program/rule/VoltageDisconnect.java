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
 * Load disconnect by voltage: opens on low voltage, closes when it has recovered.
 *
 * @param sensePoint id of the point whose reading decides
 * @param lvdVolts low-voltage disconnect, whole bank (V), 0 to 1000
 * @param lvdDelaySeconds how long the reading must stay at or below it (s), 0 to 86,400
 * @param lvrVolts low-voltage reconnect, whole bank (V), 0 to 1000
 * @param lvrDelaySeconds how long the reading must stay at or above it (s), 0 to 86,400
 * @param millivoltsPerKelvin by which both levels move with the battery's temperature from 25 °C, for each cell (mV/K), −10 to 0;
 *     absent for not at all
 */
public record VoltageDisconnect(
        String sensePoint,
        double lvdVolts,
        double lvdDelaySeconds,
        double lvrVolts,
        double lvrDelaySeconds,
        Optional<Double> millivoltsPerKelvin)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "voltageDisconnect",
            VoltageDisconnect.class,
            Purpose.PROTECT_BATTERY,
            "load disconnect by voltage",
            around -> Usual.bySensePoint(
                    around,
                    point ->
                            new VoltageDisconnect(point, Usual.lvd(around.site()), 20, Usual.lvr(around.site()), 120)));

    public VoltageDisconnect {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("lvdVolts", lvdVolts, 0, 1000);
        Bounds.within("lvdDelaySeconds", lvdDelaySeconds, 0, 86_400);
        Bounds.within("lvrVolts", lvrVolts, 0, 1000);
        Bounds.within("lvrDelaySeconds", lvrDelaySeconds, 0, 86_400);
        millivoltsPerKelvin = Bounds.optional("millivoltsPerKelvin", millivoltsPerKelvin, -10, 0);
    }

    /** One whose levels do not move with temperature. */
    public VoltageDisconnect(
            String sensePoint, double lvdVolts, double lvdDelaySeconds, double lvrVolts, double lvrDelaySeconds) {
        this(sensePoint, lvdVolts, lvdDelaySeconds, lvrVolts, lvrDelaySeconds, Optional.empty());
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        double moves = millivoltsPerKelvin.orElse(0.0);
        return SwitchLogic.startsOn(
                List.of(RuleConditions.volts(around, sensePoint, true, "LVR", lvrVolts, lvrDelaySeconds, moves)),
                List.of(RuleConditions.volts(around, sensePoint, false, "LVD", lvdVolts, lvdDelaySeconds, moves)));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Opens when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or below ")
                .volts("lvdVolts", "LVD", lvdVolts)
                .then(" for ")
                .seconds("lvdDelaySeconds", "LVD delay", lvdDelaySeconds)
                .then(", closes at or above ")
                .volts("lvrVolts", "LVR", lvrVolts)
                .then(" for ")
                .seconds("lvrDelaySeconds", "LVR delay", lvrDelaySeconds)
                .compensated("millivoltsPerKelvin", millivoltsPerKelvin)
                .then(".");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("lvdVolts", "LVD", Level.Role.DISCONNECT, lvdVolts, sensePoint, millivoltsPerKelvin),
                Level.volts("lvrVolts", "LVR", Level.Role.RECONNECT, lvrVolts, sensePoint, millivoltsPerKelvin));
    }
}
