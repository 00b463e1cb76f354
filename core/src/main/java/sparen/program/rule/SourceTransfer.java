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
 * Puts loads from the battery on an AC source and back. The contact is the inverter's permission: open while the source feeds.
 *
 * @param sensePoint id of the point whose reading decides
 * @param toAcVolts to the source at or below, whole bank (V), 0 to 1000, where it is there
 * @param toAcDelaySeconds for so long (s), 0 to 86,400
 * @param toBatteryVolts back at or above (V), 0 to 1000; at once where the source is gone
 * @param toBatteryDelaySeconds for so long (s), 0 to 86,400
 */
public record SourceTransfer(
        String sensePoint,
        double toAcVolts,
        double toAcDelaySeconds,
        double toBatteryVolts,
        double toBatteryDelaySeconds)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "sourceTransfer",
            SourceTransfer.class,
            Purpose.BRING_HELP,
            "loads to AC and back",
            around -> Usual.bySensePoint(
                    around,
                    point -> new SourceTransfer(
                            point, Usual.warning(around.site()), 60, Usual.diversionOff(around.site()), 600)));

    public SourceTransfer {
        Bounds.id("sensePoint", sensePoint);
        Bounds.within("toAcVolts", toAcVolts, 0, 1000);
        Bounds.within("toAcDelaySeconds", toAcDelaySeconds, 0, 86_400);
        Bounds.within("toBatteryVolts", toBatteryVolts, 0, 1000);
        Bounds.within("toBatteryDelaySeconds", toBatteryDelaySeconds, 0, 86_400);
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition source = RuleConditions.isOne(Signal.AC_PRESENT);
        return SwitchLogic.startsOn(
                List.of(
                        Way.when(RuleConditions.not(source), 0, "the AC source is gone"),
                        RuleConditions.above(
                                around, sensePoint, "back to battery", toBatteryVolts, toBatteryDelaySeconds)),
                List.of(RuleConditions.below(around, sensePoint, "transfer to AC", toAcVolts, toAcDelaySeconds)
                        .andOnlyIf(source, "with the source there")));
    }

    @Override
    public Sentence sentence(Surroundings around) {
        return Sentence.start("Puts the loads on the AC source when ")
                .sensePoint("sensePoint", sensePoint, around.site())
                .then(" stays at or below ")
                .volts("toAcVolts", "transfer to AC", toAcVolts)
                .then(" for ")
                .seconds("toAcDelaySeconds", "transfer delay", toAcDelaySeconds)
                .then(", back at or above ")
                .volts("toBatteryVolts", "back to battery", toBatteryVolts)
                .then(" for ")
                .seconds("toBatteryDelaySeconds", "back delay", toBatteryDelaySeconds)
                .then(", and at once when the source is gone.");
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.volts("toAcVolts", "transfer to AC", Level.Role.TRANSFER_TO_AC, toAcVolts, sensePoint),
                Level.volts(
                        "toBatteryVolts", "back to battery", Level.Role.BACK_TO_BATTERY, toBatteryVolts, sensePoint));
    }
}
