package sparen.handover;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import sparen.device.FittedDevice;
import sparen.device.LiveRegister.What;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.site.Load;

/** Names of the loads that go off when a device is written to: to be told before. */
public final class LoadsAtRisk {
    /** Levels below which something goes off, and what they are compared with. */
    private static final Map<String, What> CUTS = Map.of(
            "voltageDisconnect.lvdVolts", What.BATTERY_VOLTS,
            "socDisconnect.offPercent", What.CHARGE_PERCENT,
            "inverter.window.lowShutdownVolts", What.BATTERY_VOLTS);

    private LoadsAtRisk() {}

    /** While it saves: what hangs on the inverter it holds, or else on its outputs; none where nothing drops out. */
    public static List<String> whileSaving(Plan plan, FittedDevice device) {
        if (device.profile().dropping().isEmpty()) {
            return List.of();
        }
        return device.inverter().isPresent()
                ? fedBy(plan, device.inverter())
                : device.outputs().stream()
                        .flatMap(output -> switchedBy(plan, output, load -> true).stream())
                        .distinct()
                        .toList();
    }

    /**
     * Once it is written: what hangs on an output or the inverter whose new level lies above what is there now.
     *
     * @param toWrite what is written
     * @param live what the device tells of the moment
     */
    public static List<String> after(Plan plan, List<WiredEntry> toWrite, Map<What, Double> live) {
        Set<String> names = new LinkedHashSet<>();
        for (WiredEntry one : toWrite) {
            Optional<Double> now =
                    Optional.ofNullable(CUTS.get(one.knob().key())).map(live::get);
            Optional<Double> level = ReadEntry.number(one.setting().enter());
            if (now.isPresent() && level.isPresent() && level.get() > now.get()) {
                names.addAll(switchedBy(plan, one.setting().at(), load -> true));
                names.addAll(fedBy(plan, Optional.of(one.setting().at())));
            }
        }
        return List.copyOf(names);
    }

    private static List<String> fedBy(Plan plan, Optional<String> feed) {
        return plan.site().loads().stream()
                .filter(load -> load.feed().equals(feed))
                .map(Load::name)
                .toList();
    }

    /** Names of loads of an output, and of an inverter or converter that it switches. */
    static List<String> switchedBy(Plan plan, String output, Predicate<Load> which) {
        List<String> switched = plan.program().outputs().stream()
                .filter(one -> one.id().equals(output))
                .map(Output::loads)
                .findFirst()
                .orElse(List.of());
        return plan.site().loads().stream()
                .filter(load -> switched.contains(load.id())
                        || load.feed().filter(switched::contains).isPresent())
                .filter(which)
                .map(Load::name)
                .toList();
    }
}
