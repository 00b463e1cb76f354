package sparen.check;

import java.util.Map;
import java.util.stream.Stream;
import sparen.battery.BatteryModel;
import sparen.format.Profile;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.VoltageDisconnect;
import sparen.site.SensePoint;

/**
 * The hysteresis must be wider than what the voltage rebounds by when the load goes, or the disconnect chatters.
 *
 * <p>The rebound is the current of all loads behind the contact at LVD, times the battery's resistance: the ohmic part at once, with
 * the dynamic part in the end; with the main cable where the bus is sensed. Circuit law; that it must be wider is common practice,
 * no source.
 */
final class HysteresisAgainstSag implements Check {
    private static final double CABLE_CELSIUS = 20;

    @Override
    public Stream<Finding> look(Plan plan, Output output, Map<String, Profile> profiles) {
        return disconnect(output)
                .filter(rule -> rule.lvrVolts() > rule.lvdVolts() && rule.lvdVolts() > 0)
                .flatMap(rule -> compare(plan, output, rule, profiles));
    }

    private Stream<Finding> compare(Plan plan, Output output, VoltageDisconnect rule, Map<String, Profile> profiles) {
        double amperes = output.loads().stream()
                .mapToDouble(device -> WorstDraw.amperes(plan.site(), device, rule.lvdVolts(), profiles))
                .sum();
        BatteryModel battery = BatteryModel.of(plan.site().battery());
        boolean atBus = plan.site().sensePoint(rule.sensePoint()).place() == SensePoint.Place.BUS;
        double cableOhms = atBus ? plan.site().mainCable().loopOhms(CABLE_CELSIUS) : 0;
        double atOnce = amperes * (battery.ohmicOhms() + cableOhms);
        double settled = amperes * (battery.settledOhms() + cableOhms);
        double hysteresis = rule.lvrVolts() - rule.lvdVolts();
        if (hysteresis >= settled) {
            return Stream.empty();
        }
        boolean immediate = hysteresis < atOnce;
        return Stream.of(finding(
                Hazard.NUISANCE,
                immediate ? Severity.DANGER : Severity.CAUTION,
                output,
                immediate
                        ? "The hysteresis is smaller than the sag of its load: when the contact opens the voltage jumps"
                                + " past LVR at once, and the contact chatters."
                        : "The hysteresis is smaller than sag and rebound of its load: after some minutes of rest the"
                                + " voltage is past LVR without any charge, and the contact cycles.",
                new Compared("hysteresis", hysteresis, "V"),
                new Compared("sag at once", atOnce, "V"),
                new Compared("sag and rebound", settled, "V")));
    }
}
