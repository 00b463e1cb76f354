package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import sparen.quantity.Unit;

/**
 * An inverter, with or without a charger and a transfer switch to an AC source.
 *
 * <p>Several equal ones work as one: the numbers are those of one of them, each leg of the AC side has as many. One box that makes two
 * or three legs by itself shares its power between them alike.
 *
 * <p>DC power = idle + AC power × (1 + proportionalLoss) + quadraticLoss × AC power² / continuousWatts.
 *
 * @param id its name in references; AC loads name it as their feed
 * @param name what the crew calls it
 * @param acVolts nominal (V), 90 to 260
 * @param continuousWatts it carries for ever up to {@code deratingCelsius} (W), above 0 to 100,000
 * @param continuousVoltAmperes likewise (VA), continuousWatts to 150,000
 * @param surgeFactor of both it carries for a while (×), 1 to 5; above it trips at once
 * @param surgeSeconds that while (s), 0 to 600
 * @param deratingCelsius above this air temperature it carries less (°C), −20 to 80
 * @param deratingPerKelvin by this share for each kelvin (1/K), 0 to 0.1
 * @param idleWatts its own draw while on (W), 0 to 500
 * @param proportionalLoss (fraction), 0 to 0.3
 * @param quadraticLoss at continuousWatts (fraction), 0 to 0.3
 * @param search how it saves its idle draw at night
 * @param window of DC voltage in which it works
 * @param cable from its DC terminals to the main bus
 * @param charger what it charges with from AC
 * @param transfer how it takes an AC source
 * @param units how many equal ones there are, a multiple of the legs, 1 to 12; absent for one box
 * @param phases of its AC side; absent for one
 */
public record Inverter(
        String id,
        String name,
        double acVolts,
        double continuousWatts,
        double continuousVoltAmperes,
        double surgeFactor,
        double surgeSeconds,
        double deratingCelsius,
        double deratingPerKelvin,
        double idleWatts,
        double proportionalLoss,
        double quadraticLoss,
        Optional<Search> search,
        DcWindow window,
        Cable cable,
        Optional<Charger> charger,
        Optional<Transfer> transfer,
        Optional<Integer> units,
        Optional<Phases> phases)
        implements InverterWith {
    private static final int MOST_UNITS = 12;

    /** The phases of an AC side. */
    public enum Phases {
        ONE_PHASE(1),
        /** Half a turn apart: between the legs there is twice the voltage. */
        TWO_PHASES_180(2),
        /** A third of a turn apart, as two of three: between the legs there is √3 times the voltage. */
        TWO_PHASES_120(2),
        THREE_PHASES(3);

        private final int legs;

        Phases(int legs) {
            this.legs = legs;
        }
    }

    /**
     * Search mode: looks for a load now and then and is off between.
     *
     * @param watts its mean draw while it searches (W), 0 to 200
     * @param leastLoadWatts loads of together less than this are not noticed, and not served (W), 0 to 1000
     * @param intervalSeconds between two looks (s), 0.1 to 60
     */
    public record Search(double watts, double leastLoadWatts, double intervalSeconds) {
        public Search {
            Bounds.within("watts", watts, 0, 200);
            Bounds.within("leastLoadWatts", leastLoadWatts, 0, 1000);
            Bounds.within("intervalSeconds", intervalSeconds, 0.1, 60);
        }
    }

    /**
     * Its own guard at its own DC terminals.
     *
     * @param lowAlarmVolts it warns at or below (V), 0 to 1000
     * @param lowShutdownVolts it stops at or below (V), 0 to lowAlarmVolts
     * @param lowDelaySeconds for how long (s), 0 to 600
     * @param lowRestartVolts it starts again at or above (V), lowShutdownVolts to 1000
     * @param highShutdownVolts it stops at once at or above (V), above lowRestartVolts to 1000; it starts again 2 % below
     */
    public record DcWindow(
            double lowAlarmVolts,
            double lowShutdownVolts,
            double lowDelaySeconds,
            double lowRestartVolts,
            double highShutdownVolts) {
        public DcWindow {
            Bounds.within("lowAlarmVolts", lowAlarmVolts, 0, 1000);
            Bounds.within("lowShutdownVolts", lowShutdownVolts, 0, lowAlarmVolts);
            Bounds.within("lowDelaySeconds", lowDelaySeconds, 0, 600);
            Bounds.within("lowRestartVolts", lowRestartVolts, lowShutdownVolts, 1000);
            Bounds.above("highShutdownVolts", highShutdownVolts, lowRestartVolts, 1000);
        }
    }

    /**
     * The charger in it. Its setpoints are in the program, under the inverter's id.
     *
     * @param maximumAmperes on the DC side (A), above 0 to 1000
     * @param efficiency AC to DC (fraction), 0.5 to 1
     */
    public record Charger(double maximumAmperes, double efficiency) {
        public Charger {
            Bounds.above("maximumAmperes", maximumAmperes, 0, 1000);
            Bounds.within("efficiency", efficiency, 0.5, 1);
        }
    }

    /**
     * The transfer switch.
     *
     * @param maximumAmperes through the switch on each leg (A), above 0 to 1000
     * @param qualifySeconds how long the source must have been good (s), 0 to 600; 10–15 s usual
     * @param assists whether it helps a source out of the battery when the loads exceed the input limit
     * @param blends whether it can put power from its DC side beside AC, for the loads or out to a feeder; absent for one that only switches
     * @param accepts the voltage it takes; absent for any
     */
    public record Transfer(
            double maximumAmperes,
            double qualifySeconds,
            boolean assists,
            Optional<Boolean> blends,
            Optional<Accepts> accepts)
            implements TransferWith {
        public Transfer {
            Bounds.above("maximumAmperes", maximumAmperes, 0, 1000);
            Bounds.within("qualifySeconds", qualifySeconds, 0, 600);
            blends = Bounds.orEmpty(blends);
            accepts = Bounds.orEmpty(accepts);
        }

        /** One that only switches, at any voltage. */
        public Transfer(double maximumAmperes, double qualifySeconds, boolean assists) {
            this(maximumAmperes, qualifySeconds, assists, Optional.empty(), Optional.empty());
        }
    }

    /**
     * The AC it takes, at its input and to neutral.
     *
     * @param lowVolts below this it goes back to the battery (V), 0 to 300
     * @param highVolts above this too (V), above lowVolts to 400
     * @param delaySeconds for how long (s), 0 to 60
     * @param lowHertz below this too (Hz), 40 to 70; absent for any
     * @param highHertz above this too (Hz), lowHertz to 70; absent for any
     */
    public record Accepts(
            double lowVolts,
            double highVolts,
            double delaySeconds,
            Optional<Double> lowHertz,
            Optional<Double> highHertz) {
        public Accepts {
            Bounds.within("lowVolts", lowVolts, 0, 300);
            Bounds.above("highVolts", highVolts, lowVolts, 400);
            Bounds.within("delaySeconds", delaySeconds, 0, 60);
            lowHertz = Bounds.optional("lowHertz", lowHertz, 40, 70);
            highHertz = Bounds.optional("highHertz", highHertz, lowHertz.orElse(40.0), 70);
        }

        /** Of any frequency. */
        public Accepts(double lowVolts, double highVolts, double delaySeconds) {
            this(lowVolts, highVolts, delaySeconds, Optional.empty(), Optional.empty());
        }
    }

    public Inverter {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.within("acVolts", acVolts, 90, 260);
        Bounds.above("continuousWatts", continuousWatts, 0, 100_000);
        Bounds.within("continuousVoltAmperes", continuousVoltAmperes, continuousWatts, 150_000);
        Bounds.within("surgeFactor", surgeFactor, "×", 1, 5);
        Bounds.within("surgeSeconds", surgeSeconds, 0, 600);
        Bounds.within("deratingCelsius", deratingCelsius, -20, 80);
        Bounds.within("deratingPerKelvin", deratingPerKelvin, 0, 0.1);
        Bounds.within("idleWatts", idleWatts, 0, 500);
        Bounds.within("proportionalLoss", proportionalLoss, 0, 0.3);
        Bounds.within("quadraticLoss", quadraticLoss, 0, 0.3);
        search = Bounds.orEmpty(search);
        Bounds.present("window", window);
        Bounds.present("cable", cable);
        charger = Bounds.orEmpty(charger);
        transfer = Bounds.orEmpty(transfer);
        units = Bounds.orEmpty(units);
        phases = Bounds.orEmpty(phases);
        int count = units.orElse(1);
        int legs = phases.map(one -> one.legs).orElse(1);
        Bounds.within("units", count, 1, MOST_UNITS);
        if (units.isPresent() && count % legs != 0) {
            throw new InvalidQuantity(
                    "units",
                    count + " equal ones cannot share " + legs + " legs alike: it has to be a multiple of " + legs);
        }
        together(count, "continuousWatts", continuousWatts, 100_000);
        together(count, "continuousVoltAmperes", continuousVoltAmperes, 150_000);
        together(count, "idleWatts", idleWatts, 500);
        search.ifPresent(one -> together(count, "search.watts", one.watts(), 200));
        charger.ifPresent(one -> together(count, "charger.maximumAmperes", one.maximumAmperes(), 1000));
        transfer.ifPresent(one -> together(count / legs, "transfer.maximumAmperes", one.maximumAmperes(), 1000));
    }

    /** Refuses what is within its bounds for one, and not for so many. */
    private static void together(int count, String field, double each, double most) {
        if (count * each > most) {
            Unit unit = Unit.of(field);
            throw new InvalidQuantity(
                    field,
                    count + " times " + unit.format(each) + " is " + unit.format(count * each) + ", above "
                            + unit.format(most) + " for all together");
        }
    }

    /** The legs of its AC side. */
    public int legs() {
        return phases.map(one -> one.legs).orElse(1);
    }

    /** All units as one box that does what they do together. */
    public Inverter together() {
        if (units.isEmpty()) {
            return this;
        }
        int count = units.get();
        int onLeg = count / legs();
        return withUnits(Optional.empty())
                .withContinuousVoltAmperes(count * continuousVoltAmperes)
                .withContinuousWatts(count * continuousWatts)
                .withIdleWatts(count * idleWatts)
                .withSearch(
                        search.map(one -> new Search(count * one.watts(), one.leastLoadWatts(), one.intervalSeconds())))
                .withCharger(charger.map(one -> new Charger(count * one.maximumAmperes(), one.efficiency())))
                .withTransfer(transfer.map(one -> one.withMaximumAmperes(onLeg * one.maximumAmperes())));
    }

    /** DC power (W) for an AC power (W, 0 or more) while it is on. */
    public double dcWatts(double acWatts) {
        return idleWatts + acWatts * (1 + proportionalLoss) + quadraticLoss * acWatts * acWatts / continuousWatts;
    }

    /** AC power (W, 0 or more) that a DC power (W) makes while it is on: the other way round, the root of the square above. */
    public double acWatts(double dcWatts) {
        double left = Math.max(0, dcWatts - idleWatts);
        double linear = 1 + proportionalLoss;
        double square = quadraticLoss / continuousWatts;
        return 2 * left / (linear + Math.sqrt(linear * linear + 4 * square * left));
    }

    /** Whether it can put power from its DC side beside AC. */
    public boolean blends() {
        return transfer.isPresent() && transfer.get().blends().orElse(false);
    }

    /** AC to DC power (fraction) at an AC power above 0 (W). */
    public double efficiency(double acWatts) {
        return acWatts / dcWatts(acWatts);
    }
}
