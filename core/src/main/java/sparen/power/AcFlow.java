package sparen.power;

import sparen.program.AcProgram;
import sparen.site.AcSource;
import sparen.site.Inverter;

/**
 * The powers of an AC side, constant between events: what the inverter draws from the main bus, what its charger may give to it, what
 * comes from the source and what goes out.
 *
 * <p>Sun on the AC side comes first, then what is put beside the source from the DC side, then the source. Whatever is put beside it,
 * the charger rests: one bridge does not go both ways.
 */
final class AcFlow {
    private final Inverter inverter;
    private final AcProgram program;
    private final double chargerEfficiency;

    double drawWatts;
    double offerWatts;
    double fixedImportWatts;
    double surplusWatts;
    double assistWatts;
    double outWatts;
    private double seenShare = 1;
    private double selfWatts;

    AcFlow(Inverter inverter, AcProgram program) {
        this.inverter = inverter;
        this.program = program;
        chargerEfficiency = inverter.charger().map(Inverter.Charger::efficiency).orElse(1.0);
    }

    /** What part of the AC power its charger takes reaches its DC side (fraction); 1 without a charger. */
    double chargerEfficiency() {
        return chargerEfficiency;
    }

    /** Nothing flows. */
    void rest() {
        drawWatts = 0;
        offerWatts = 0;
        fixedImportWatts = 0;
        surplusWatts = 0;
        assistWatts = 0;
        outWatts = 0;
    }

    /** The inverter alone feeds the loads; sun on the AC side that they leave goes to its charger. */
    void alone(AcConditions on, boolean mayCharge) {
        rest();
        double net = on.watts() - on.sunWatts;
        drawWatts = inverter.dcWatts(Math.max(0, net));
        surplusWatts = Math.max(0, -net);
        offerWatts = mayCharge ? surplusWatts * chargerEfficiency : 0;
    }

    /**
     * A source is at hand.
     *
     * @param inverts whether the inverter can work
     * @param mayCharge whether its charger may work at all
     * @param charged whether charging from AC outside of windows has come to its end
     */
    void withSource(AcConditions on, boolean inverts, boolean mayCharge, boolean charged) {
        rest();
        seenShare = seenShare(on);
        selfWatts = seesLoads(on.from) ? on.beforeWatts() : 0;
        double loads = on.watts();
        double room = Math.max(0, loads - on.sunWatts);
        surplusWatts = Math.max(0, on.sunWatts - loads);
        double beside = inverts ? besideWatts(on, room) : 0;
        assistWatts = beside;
        outWatts = Math.max(0, beside - room);
        drawWatts = beside > 0 ? inverter.dcWatts(beside) : 0;
        double net = loads - Math.min(beside, room) + (beside > 0 ? 0 : inverter.idleWatts()) - on.sunWatts;
        fixedImportWatts = Math.max(0, net);
        surplusWatts = beside > 0 ? surplusWatts : Math.max(0, -net);
        if (mayCharge && beside == 0) {
            double headroom =
                    program.chargesFromAc(on.window, on.stateOfCharge, on.sunEnough, charged) ? headroom(on) : 0;
            offerWatts = (surplusWatts + headroom) * chargerEfficiency;
        }
    }

    /** AC power put beside the source (W): what a leg needs beyond its limit, what a window gives, what the sun has to spare. */
    private double besideWatts(AcConditions on, double room) {
        double needed = assistNeeded(on, true);
        if (!inverter.blends()) {
            return needed;
        }
        double given = 0;
        if (on.window != null && on.window.givesBesideAc()) {
            double out = on.window.toGrid().orElse(false) ? exportWatts(on) : 0;
            given = on.stateOfCharge > on.window.stateOfCharge()
                    ? Math.min(on.window.watts().orElse(inverter.continuousWatts()), room + out)
                    : 0;
        }
        double out = program.exportsSurplus() ? exportWatts(on) : 0;
        double spare = Math.min(inverter.acWatts(on.spareWatts), room + out);
        return Math.min(Math.max(needed, Math.max(given, spare)), inverter.continuousWatts() * carriedShare(on));
    }

    /**
     * The most that goes past the inverter to the source at hand (W): what the loads before it take, where its meter sees them, and what
     * goes out beyond that, less what sun on the AC side already brings, as far as meters see it.
     */
    private double exportWatts(AcConditions on) {
        return Math.max(0, exportLimitWatts(on.from) + selfWatts - surplusWatts * seenShare);
    }

    /** The most that goes out to a source (W). A meter the wrong way round holds nothing back: only the feeder itself does. */
    private double exportLimitWatts(AcSource source) {
        if (!(source instanceof AcSource.Feeder feeder)) {
            return 0;
        }
        boolean isReversed = feeder.meter().map(AcSource.ExportMeter::reversed).orElse(false);
        return isReversed
                ? feeder.exportWatts()
                : Math.min(feeder.exportWatts(), program.exportLimitWatts(inverter.continuousWatts()));
    }

    /** The most that arrays on the AC side send out to a source (W): what no meter sees rightly nobody holds back. */
    double arraysOutWatts(AcSource source) {
        if (source instanceof AcSource.Feeder feeder && seenShare < 1) {
            return feeder.exportWatts();
        }
        return selfWatts + (program.exportsSurplus() ? exportLimitWatts(source) : 0);
    }

    /** Whether a meter where the source comes in sees the loads before the inverter, so that they are fed past it. */
    private static boolean seesLoads(AcSource source) {
        return source instanceof AcSource.Feeder feeder
                && feeder.meter()
                        .filter(meter ->
                                !meter.reversed() && !meter.blindToLoads().orElse(false))
                        .isPresent();
    }

    /** The share of what arrays on the AC side bring that the inverter knows of: by the feeder's meter, else by their own. */
    private static double seenShare(AcConditions on) {
        boolean isBlind = on.from instanceof AcSource.Feeder feeder
                && feeder.meter().map(AcSource.ExportMeter::blindToAcArrays).orElse(false);
        return isBlind && on.sunWatts > 0 ? on.meteredSunWatts / on.sunWatts : 1;
    }

    /** The share of its rating that it carries at this air temperature. */
    double carriedShare(AcConditions on) {
        return Math.max(
                0.05, 1 - inverter.deratingPerKelvin() * Math.max(0, on.airCelsius - inverter.deratingCelsius()));
    }

    /** What legs need beyond the input limit (W), of an inverter that assists. */
    double assistNeeded(AcConditions on, boolean inverts) {
        if (!inverter.transfer().orElseThrow().assists() || !inverts) {
            return 0;
        }
        double needed = 0;
        for (int leg = 0; leg < on.from.legs(); leg++) {
            needed += Math.max(0, on.legLoad(leg) - legLimit(on));
        }
        return needed;
    }

    private double legLimit(AcConditions on) {
        double switchAmperes = inverter.transfer().orElseThrow().maximumAmperes();
        double amperes = Math.min(program.inputLimitAmperes(), switchAmperes);
        double volts = AcSource.legVolts(inverter.acVolts(), on.from.legs());
        return Math.min(amperes * volts, on.from.legWatts(inverter.acVolts()));
    }

    /** What the charger may take from the source: the same on each leg, so the heaviest leg decides. */
    private double headroom(AcConditions on) {
        int legs = on.from.legs();
        double sun = on.sunWatts / legs;
        double idle = inverter.idleWatts() / legs;
        double least = legLimit(on) - Math.max(0, on.heaviestLeg() + idle - sun);
        double most =
                on.window == null ? Double.POSITIVE_INFINITY : on.window.watts().orElse(Double.POSITIVE_INFINITY);
        return Math.min(most, Math.max(0, least) * legs);
    }

    /** Voltage of the heaviest leg of a source (V) with all that flows now, or with nothing from it. */
    double legVolts(AcConditions on, boolean atHand) {
        double watts = 0;
        if (atHand) {
            int legs = on.from.legs();
            watts = on.heaviestLeg() + (on.beforeWatts() + on.chargerWatts - on.sunWatts - assistWatts) / legs;
        }
        return on.from.legVoltsUnder(watts, inverter.acVolts());
    }

    /** Frequency of a source (Hz) with all that flows now, or with nothing from it; NaN where nobody has told it. */
    double hertz(AcConditions on, boolean atHand) {
        double watts = atHand ? on.watts() + on.beforeWatts() + on.chargerWatts - on.sunWatts - assistWatts : 0;
        return on.from.hertzUnder(watts);
    }
}
