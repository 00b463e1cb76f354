package sparen.program;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import sparen.device.FittedDevice;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.site.BatteryMonitor;
import sparen.site.Converter;
import sparen.site.Inverter;
import sparen.site.Site;

/**
 * A site and its program: what is saved as one revision.
 *
 * @param site what stands there
 * @param program what is programmed
 * @param origins where numbers come from, by the path of the number with ids for list entries, such as {@code
 *     site/loads/transmitter/consumption/watts}
 */
public record Plan(Site site, Program program, Map<String, Origin> origins) implements PlanWith {
    /** More than a site with every list full has numbers that matter. */
    private static final int MOST_ORIGINS = 5000;

    private static final String AC_ARRAYS = "site/acArrays/";
    private static final Pattern NUMBERED = Pattern.compile(AC_ARRAYS + "(\\d{1,3})(/.*)");

    public Plan {
        Bounds.present("site", site);
        Bounds.present("program", program);
        origins = Bounds.ordered(byId(site, origins));
        Bounds.within("origins", origins.size(), "numbers", 0, MOST_ORIGINS);
        List<String> controllers = site.chargers();
        List<String> programmed =
                program.charging().stream().map(ChargeProgram::controller).toList();
        for (String controller : programmed) {
            Bounds.known("program.charging.controller", controller, controllers);
        }
        for (String controller : controllers) {
            if (!programmed.contains(controller)) {
                throw new InvalidQuantity(
                        "program.charging", "the charger \"" + controller + "\" has no charging setpoints");
            }
        }
        List<String> loads = site.switchable();
        List<String> supplies =
                new ArrayList<>(site.converters().stream().map(Converter::id).toList());
        site.inverter().ifPresent(inverter -> supplies.add(inverter.id()));
        List<String> monitors = site.monitors().stream().map(BatteryMonitor::id).toList();
        List<String> outputs = program.outputs().stream().map(Output::id).toList();
        for (FittedDevice device : program.devices()) {
            device.outputs().forEach(output -> Bounds.known("program.devices.outputs", output, outputs));
            device.charger().ifPresent(charger -> Bounds.known("program.devices.charger", charger, controllers));
            device.inverter()
                    .ifPresent(id -> Bounds.known(
                            "program.devices.inverter",
                            id,
                            site.inverter().stream().map(Inverter::id).toList()));
            device.monitor().ifPresent(id -> Bounds.known("program.devices.monitor", id, monitors));
        }
        Surroundings around = Surroundings.of(site, program.outputs());
        for (Output output : program.outputs()) {
            for (String load : output.loads()) {
                Bounds.known("program.outputs.loads", load, loads);
            }
            output.supply().ifPresent(supply -> Bounds.known("program.outputs.supply", supply, supplies));
            output.automatic().ifPresent(rule -> rule.compile(around.at(output)));
            output.protection().ifPresent(rule -> rule.compile(around.at(output)));
        }
    }

    /** An array on the AC side went by its number once; it goes by its id, as all parts do. */
    private static Map<String, Origin> byId(Site site, Map<String, Origin> origins) {
        if (origins == null
                || origins.keySet().stream()
                        .noneMatch(key -> NUMBERED.matcher(key).matches())) {
            return origins;
        }
        Map<String, Origin> named = new LinkedHashMap<>();
        origins.forEach((key, origin) -> {
            Matcher numbered = NUMBERED.matcher(key);
            int number = numbered.matches() ? Integer.parseInt(numbered.group(1)) : Integer.MAX_VALUE;
            named.put(
                    number < site.acArrays().size()
                            ? AC_ARRAYS + site.acArrays().get(number).array() + numbered.group(2)
                            : key,
                    origin);
        });
        return named;
    }
}
