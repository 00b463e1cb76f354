package sparen.program;

import java.util.List;
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
 * @param exportsSurplus whether surplus of the AC side goes out to a feeder that takes it
 */
public record AcProgram(
        double inputLimitAmperes,
        SourcePriority source,
        ChargePriority charging,
        double toAcVolts,
        double toBatteryVolts,
        double levelDelaySeconds,
        List<AcWindow> windows,
        boolean exportsSurplus)
        implements AcProgramWith {
    /** Everything AC offers is taken, and there is nothing that says otherwise. */
    public static final AcProgram PLAIN =
            new AcProgram(1000, SourcePriority.AC_FIRST, ChargePriority.BOTH, 0, 1000, 0, List.of(), false);

    /** Who feeds the loads, as a truth table over: is the battery above its level, is AC present. */
    public enum SourcePriority {
        /** AC whenever it is present. */
        AC_FIRST,
        /** The battery while it is above its level, else AC. */
        BATTERY_FIRST;

        /** Whether AC feeds the loads. */
        public boolean takesAc(boolean batteryAbove, boolean acPresent) {
            return acPresent && (this == AC_FIRST || !batteryAbove);
        }
    }

    /** Who charges, as a truth table over: is there enough sun, is AC present. */
    public enum ChargePriority {
        /** Sun and AC together. */
        BOTH,
        /** AC only while the sun gives nothing. */
        SUN_FIRST,
        /** Never AC. */
        SUN_ONLY;

        /** Whether the AC charger may work. */
        public boolean chargesFromAc(boolean sunEnough, boolean acPresent) {
            return acPresent && (this == BOTH || this == SUN_FIRST && !sunEnough);
        }
    }

    /**
     * One case of who feeds and who charges, outside of windows and with AC present; without it the battery feeds and only the sun charges.
     *
     * @param sunEnough whether the sun gives enough
     * @param batteryAbove whether the battery is above its level
     * @param acFeeds whether AC feeds the loads, else the battery does
     * @param acCharges whether AC charges beside what the sun gives
     */
    public record Case(boolean sunEnough, boolean batteryAbove, boolean acFeeds, boolean acCharges) {}

    /** All cases, the battery above its level first, in each enough sun first. */
    public List<Case> cases() {
        return Stream.of(true, false)
                .flatMap(above -> Stream.of(true, false)
                        .map(sun ->
                                new Case(sun, above, source.takesAc(above, true), charging.chargesFromAc(sun, true))))
                .toList();
    }

    /**
     * A window by the clock.
     *
     * @param kind what happens in it
     * @param when the hours
     * @param stateOfCharge charging stops at this, discharging too (fraction), 0 to 1
     */
    public record AcWindow(Kind kind, DailySpan when, double stateOfCharge) {
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
    }
}
