package sparen.simulation;

import java.util.List;
import sparen.site.ChargeController;
import sparen.site.Converter;
import sparen.site.CurrentSource;
import sparen.site.DcSource;
import sparen.site.Load;
import sparen.site.Site;

/**
 * Which branch of the main bus is whose: in this order the own draw of devices, the controllers, the sources of given current, the
 * direct-current generators, the loads, the converters, the inverter, its charger. A load on another bus has a branch that stays open.
 */
final class Branches {
    static final int OWN_DRAW = 0;
    static final int FIRST_CONTROLLER = 1;
    /** The temperature cables are taken at (°C). */
    static final double CABLE_CELSIUS = 20;

    /** A charger's terminal is never without resistance: a crimped lug's worth (Ω). */
    private static final double LEAST_TERMINAL_OHMS = 1e-5;

    final int firstSource;
    final int firstDcSource;
    final int firstLoad;
    final int firstConverter;
    final int inverter;
    final int charger;
    private final Site site;

    Branches(Site site) {
        this.site = site;
        firstSource = FIRST_CONTROLLER + site.controllers().size();
        firstDcSource = firstSource + site.sources().size();
        firstLoad = firstDcSource + site.dcSources().size();
        firstConverter = firstLoad + site.loads().size();
        inverter = firstConverter + site.converters().size();
        charger = inverter + 1;
    }

    /** How many there are. */
    int count() {
        return charger + 1;
    }

    /** Resistance of each branch's cable, out and back (Ω). */
    double[] cableOhms() {
        double[] ohms = new double[count()];
        for (int i = 0; i < site.controllers().size(); i++) {
            double cable = site.controllers().get(i).cable().loopOhms(CABLE_CELSIUS);
            ohms[FIRST_CONTROLLER + i] = Math.max(LEAST_TERMINAL_OHMS, cable);
        }
        for (int i = 0; i < site.loads().size(); i++) {
            Load load = site.loads().get(i);
            ohms[firstLoad + i] = load.feed().isPresent() ? 0 : load.cable().loopOhms(CABLE_CELSIUS);
        }
        site.inverter().ifPresent(one -> {
            double cable = Math.max(LEAST_TERMINAL_OHMS, one.cable().loopOhms(CABLE_CELSIUS));
            ohms[inverter] = cable;
            ohms[charger] = cable;
        });
        return ohms;
    }

    /** The branch of a device, −1 for one that is not on the main bus. */
    int of(String id) {
        int controller =
                ids(site.controllers().stream().map(ChargeController::id).toList(), id, FIRST_CONTROLLER);
        int source = ids(site.sources().stream().map(CurrentSource::id).toList(), id, firstSource);
        int dcSource = ids(site.dcSources().stream().map(DcSource::id).toList(), id, firstDcSource);
        int converter = ids(site.converters().stream().map(Converter::id).toList(), id, firstConverter);
        int load = ids(
                site.loads().stream()
                        .map(one -> one.feed().isEmpty() ? one.id() : "")
                        .toList(),
                id,
                firstLoad);
        int found = Math.max(Math.max(controller, source), Math.max(dcSource, Math.max(converter, load)));
        return site.inverter().filter(one -> one.id().equals(id)).isPresent() ? inverter : found;
    }

    private static int ids(List<String> ids, String id, int first) {
        int at = ids.indexOf(id);
        return at < 0 ? -1 : first + at;
    }
}
