package sparen.program;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.quantity.Bounds;
import sparen.site.DailySpan;

/**
 * How the AC side is set.
 *
 * @param inputLimitAmperes the most taken from the source on each leg (A), 0 to 1000
 * @param source who feeds the loads
 * @param charging who charges
 * @param toAcVolts in {@link SourcePriority#BATTERY_FIRST}: at or below this battery voltage the loads go to AC (V), 0 to 1000
 * @param toBatteryVolts at or above this they come back (V), toAcVolts to 1000
 * @param levelDelaySeconds for how long, both (s), 0 to 86,400
 * @param windows by the clock, 0 to 9; up to three of each kind
 * @param exportsSurplus whether sun that neither loads nor battery take goes out to a feeder that takes it
 * @param byStateOfCharge levels in place of the two voltages, which are not looked at then; absent for the voltages
 * @param exportLimitWatts the most that goes out, from sun and battery together (W), 0 to 1e6; absent for what the feeder takes
 * @param exportLimitFraction the same as a share of the inverter's continuous rating (fraction), 0 to 1; the lower of both counts
 * @param bypassesOverload whether an overloaded inverter puts its loads on AC for a while where there is some; absent for no
 * @param cutOff levels of the state of charge at which the inverter warns and stops, beside its voltages; absent for none
 * @param endOfCharge levels of the state of charge between which AC charges outside of windows; absent for the charger's own stages alone
 */
public record AcProgram(
        double inputLimitAmperes,
        SourcePriority source,
        ChargePriority charging,
        double toAcVolts,
        double toBatteryVolts,
        double levelDelaySeconds,
        List<AcWindow> windows,
        boolean exportsSurplus,
        Optional<FeedLevels> byStateOfCharge,
        Optional<Double> exportLimitWatts,
        Optional<Double> exportLimitFraction,
        Optional<Boolean> bypassesOverload,
        Optional<CutOffLevels> cutOff,
        Optional<EndOfCharge> endOfCharge)
        implements AcProgramWith {
    /** Everything AC offers is taken, and there is nothing that says otherwise. */
    public static final AcProgram PLAIN =
            new AcProgram(1000, SourcePriority.AC_FIRST, ChargePriority.BOTH, 0, 1000, 0, List.of(), false);

    /** Who feeds the loads while AC is present. */
    public enum SourcePriority {
        /** AC; where the gear can blend, sun that the battery does not take comes before it. */
        AC_FIRST,
        /** The battery while it is above its level, else AC. */
        BATTERY_FIRST,
        /** The sun, and AC what it lacks. Gear that can only switch is on AC while the sun is not enough. */
        SUN_FIRST,
        /** Never AC, nor does it charge: the battery and the sun. */
        NEVER_AC;

        /** Whether gear that blends, or only switches, is on AC that is present. */
        public boolean takesAc(boolean sunEnough, boolean batteryAbove, boolean blends) {
            return switch (this) {
                case AC_FIRST -> true;
                case BATTERY_FIRST -> !batteryAbove;
                case SUN_FIRST -> blends || !sunEnough;
                case NEVER_AC -> false;
            };
        }
    }

    /** Whether the battery's level decides what the loads live on. */
    public boolean goesByBattery() {
        return source == SourcePriority.BATTERY_FIRST;
    }

    /** Whether its voltage does, and not its state of charge. */
    public boolean goesByVolts() {
        return goesByBattery() && byStateOfCharge.isEmpty();
    }

    /** Who charges. */
    public enum ChargePriority {
        /** Sun and AC together. */
        BOTH,
        /** AC only while the sun gives nothing. */
        SUN_FIRST,
        /** AC only in the windows that are there to charge. */
        IN_WINDOWS,
        /** Never AC, in no window either. */
        SUN_ONLY;

        /** Whether the charger may work from AC that is taken. */
        public boolean chargesFromAc(boolean sunEnough) {
            return this == BOTH || this == SUN_FIRST && !sunEnough;
        }
    }

    /** What the loads live on. */
    public enum Feeding {
        BATTERY,
        SUN,
        AC,
        SUN_AND_AC
    }

    /**
     * One case of who feeds and who charges, outside of windows and with AC present; without it the battery feeds and only the sun charges.
     *
     * @param sunEnough whether the sun gives enough
     * @param batteryAbove whether the battery is above its level
     * @param feeds what the loads live on
     * @param acCharges whether AC charges beside what the sun gives
     */
    public record Case(boolean sunEnough, boolean batteryAbove, Feeding feeds, boolean acCharges) {}

    /** All cases, the battery above its level first, in each enough sun first; for gear that blends sun with AC or only switches. */
    public List<Case> cases(boolean blends) {
        return Stream.of(true, false)
                .flatMap(above -> Stream.of(true, false)
                        .map(sun -> new Case(
                                sun,
                                above,
                                feeding(sun, above, blends),
                                source.takesAc(sun, above, blends) && charging.chargesFromAc(sun))))
                .toList();
    }

    private Feeding feeding(boolean sunEnough, boolean batteryAbove, boolean blends) {
        boolean bySun = source == SourcePriority.SUN_FIRST && sunEnough;
        if (!source.takesAc(sunEnough, batteryAbove, blends)) {
            return bySun ? Feeding.SUN : Feeding.BATTERY;
        }
        return !blends ? Feeding.AC : bySun ? Feeding.SUN : Feeding.SUN_AND_AC;
    }

    /**
     * Levels of the state of charge between battery and AC.
     *
     * @param toAcStateOfCharge at or below this the loads go to AC (fraction), 0 to 1
     * @param toBatteryStateOfCharge above this they come back (fraction), toAcStateOfCharge to 1
     */
    public record FeedLevels(double toAcStateOfCharge, double toBatteryStateOfCharge) {
        public FeedLevels {
            Bounds.within("toAcStateOfCharge", toAcStateOfCharge, 0, 1);
            Bounds.within("toBatteryStateOfCharge", toBatteryStateOfCharge, toAcStateOfCharge, 1);
        }
    }

    /**
     * Levels of the state of charge at which the inverter warns and stops, beside its voltages: whichever comes first.
     *
     * @param alarmStateOfCharge at or below this it warns (fraction), cutOffStateOfCharge to 1
     * @param cutOffStateOfCharge at or below this it stops (fraction), 0 to 1
     * @param restartStateOfCharge above this it starts again (fraction), cutOffStateOfCharge to 1
     */
    public record CutOffLevels(double alarmStateOfCharge, double cutOffStateOfCharge, double restartStateOfCharge) {
        public CutOffLevels {
            Bounds.within("cutOffStateOfCharge", cutOffStateOfCharge, 0, 1);
            Bounds.within("alarmStateOfCharge", alarmStateOfCharge, cutOffStateOfCharge, 1);
            Bounds.within("restartStateOfCharge", restartStateOfCharge, cutOffStateOfCharge, 1);
        }
    }

    /**
     * Levels of the state of charge between which AC charges outside of windows.
     *
     * @param endStateOfCharge at or above this it stops (fraction), againStateOfCharge to 1
     * @param againStateOfCharge at or below this it begins again (fraction), 0 to 1
     */
    public record EndOfCharge(double endStateOfCharge, double againStateOfCharge) {
        public EndOfCharge {
            Bounds.within("againStateOfCharge", againStateOfCharge, 0, 1);
            Bounds.within("endStateOfCharge", endStateOfCharge, againStateOfCharge, 1);
        }
    }

    /**
     * A window by the clock.
     *
     * @param kind what happens in it
     * @param when the hours
     * @param stateOfCharge charging stops at this, discharging too (fraction), 0 to 1
     * @param watts the most the charger takes from AC, or the battery gives to AC, in it (W), above 0 to 1e6; absent for as much as goes
     * @param toGrid whether discharging goes on past the loads out to the feeder; absent for no
     */
    public record AcWindow(
            Kind kind, DailySpan when, double stateOfCharge, Optional<Double> watts, Optional<Boolean> toGrid) {
        /** The kinds of window. */
        public enum Kind {
            /** AC feeds the loads and charges up to the state of charge. */
            CHARGE,
            /** AC feeds the loads; the battery is neither charged from it nor discharged. */
            HOLD,
            /** The battery feeds the loads down to the state of charge. */
            DISCHARGE
        }

        public AcWindow {
            Bounds.present("kind", kind);
            Bounds.present("when", when);
            Bounds.within("stateOfCharge", stateOfCharge, 0, 1);
            watts = Bounds.orEmpty(watts);
            watts.ifPresent(most -> Bounds.above("watts", most, 0, 1e6));
            toGrid = Bounds.orEmpty(toGrid);
        }

        /** A window with all that goes, for the loads alone. */
        public AcWindow(Kind kind, DailySpan when, double stateOfCharge) {
            this(kind, when, stateOfCharge, Optional.empty(), Optional.empty());
        }

        /** Whether the battery has to give beside AC, which takes gear that blends: a given power, or power for the feeder. */
        public boolean givesBesideAc() {
            return kind == Kind.DISCHARGE && (watts.isPresent() || toGrid.orElse(false));
        }
    }

    public AcProgram {
        Bounds.within("inputLimitAmperes", inputLimitAmperes, 0, 1000);
        Bounds.present("source", source);
        Bounds.present("charging", charging);
        Bounds.within("toAcVolts", toAcVolts, 0, 1000);
        Bounds.within("toBatteryVolts", toBatteryVolts, toAcVolts, 1000);
        Bounds.within("levelDelaySeconds", levelDelaySeconds, 0, 86_400);
        windows = Bounds.orNone(windows);
        Bounds.within("windows", windows.size(), "windows", 0, 9);
        for (AcWindow.Kind kind : AcWindow.Kind.values()) {
            long count =
                    windows.stream().filter(window -> window.kind() == kind).count();
            Bounds.within("windows of kind " + kind, count, "windows", 0, 3);
        }
        byStateOfCharge = Bounds.orEmpty(byStateOfCharge);
        exportLimitWatts = Bounds.optional("exportLimitWatts", exportLimitWatts, 0, 1e6);
        exportLimitFraction = Bounds.optional("exportLimitFraction", exportLimitFraction, 0, 1);
        bypassesOverload = Bounds.orEmpty(bypassesOverload);
        cutOff = Bounds.orEmpty(cutOff);
        endOfCharge = Bounds.orEmpty(endOfCharge);
    }

    /** A program that goes by voltages and stops where the feeder does. */
    public AcProgram(
            double inputLimitAmperes,
            SourcePriority source,
            ChargePriority charging,
            double toAcVolts,
            double toBatteryVolts,
            double levelDelaySeconds,
            List<AcWindow> windows,
            boolean exportsSurplus) {
        this(
                inputLimitAmperes,
                source,
                charging,
                toAcVolts,
                toBatteryVolts,
                levelDelaySeconds,
                windows,
                exportsSurplus,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Whether power is to go out to a feeder: of the sun, or in a window. */
    public boolean givesOut() {
        return exportsSurplus
                || windows.stream().anyMatch(window -> window.toGrid().orElse(false));
    }

    /** The most that is to go out (W) of an inverter with a continuous rating (W); infinite where nothing is set. */
    public double exportLimitWatts(double continuousWatts) {
        return Math.min(
                exportLimitWatts.orElse(Double.POSITIVE_INFINITY),
                exportLimitFraction.map(share -> share * continuousWatts).orElse(Double.POSITIVE_INFINITY));
    }

    /**
     * Whether AC charges now: by the window in force, else by who charges; a window overrules nobody who says never.
     *
     * @param window in force, null for none
     * @param charged whether charging outside of windows has come to its end by the state of charge
     */
    public boolean chargesFromAc(AcWindow window, double stateOfCharge, boolean sunEnough, boolean charged) {
        if (charging == ChargePriority.SUN_ONLY || source == SourcePriority.NEVER_AC) {
            return false;
        }
        return window == null
                ? charging.chargesFromAc(sunEnough) && !charged
                : window.kind() == AcWindow.Kind.CHARGE && stateOfCharge < window.stateOfCharge();
    }
}
