package sparen.result;

import java.util.Arrays;

/**
 * A run as a picture needs it: per bucket of time the least and most of each voltage, and mean powers. Entries are NaN where a
 * bucket lies outside the run.
 *
 * @param fromSeconds start of the first bucket (s)
 * @param bucketSeconds length of each (s)
 * @param lowBatteryVolts least voltage at the battery terminals (V)
 * @param highBatteryVolts most (V)
 * @param lowBusVolts least voltage at the bus (V)
 * @param highBusVolts most (V)
 * @param lowStateOfCharge least state of charge (fraction)
 * @param highStateOfCharge most (fraction)
 * @param usedWatts taken by loads, mean (W)
 * @param divertedWatts taken by loads that take surplus only, mean (W)
 * @param toBatteryWatts into the battery terminals while charging, mean (W)
 * @param fromBatteryWatts out of the battery terminals while discharging, mean (W)
 * @param thrownAwayWatts curtailed and clipped, mean (W)
 * @param acSourceWatts taken from generator or feeder, mean (W)
 * @param unservedWatts wanted and not served, mean (W)
 * @param generatorWatts the part of the AC source that a generator gave, mean (W)
 * @param batteryCelsius battery temperature, mean (°C)
 * @param acPresent share of the bucket in which a source of AC was there (fraction); no entries where the site has no inverter
 * @param sunEnough in which the sun gave as much as all loads took (fraction), likewise
 * @param aboveLevel in which the battery was above the level at which loads go to AC (fraction), likewise; 1 where none is set
 */
public record Trace(
        double fromSeconds,
        double bucketSeconds,
        double[] lowBatteryVolts,
        double[] highBatteryVolts,
        double[] lowBusVolts,
        double[] highBusVolts,
        double[] lowStateOfCharge,
        double[] highStateOfCharge,
        double[] usedWatts,
        double[] divertedWatts,
        double[] toBatteryWatts,
        double[] fromBatteryWatts,
        double[] thrownAwayWatts,
        double[] acSourceWatts,
        double[] unservedWatts,
        double[] generatorWatts,
        double[] batteryCelsius,
        double[] acPresent,
        double[] sunEnough,
        double[] aboveLevel) {
    public Trace {
        showFromEmpty(lowStateOfCharge);
        showFromEmpty(highStateOfCharge);
    }

    /** A slow discharge takes more than is stated; what is counted below 0 then is shown as 0, as in all figures. */
    private static void showFromEmpty(double[] charge) {
        for (int i = 0; i < charge.length; i++) {
            charge[i] = Math.max(0, charge[i]);
        }
    }

    /** The same to 0.1 mV, 0.001 %, 0.01 W and 0.01 °C, as a picture needs it. */
    public Trace rounded() {
        return new Trace(
                fromSeconds,
                bucketSeconds,
                rounded(lowBatteryVolts, 1e4),
                rounded(highBatteryVolts, 1e4),
                rounded(lowBusVolts, 1e4),
                rounded(highBusVolts, 1e4),
                rounded(lowStateOfCharge, 1e5),
                rounded(highStateOfCharge, 1e5),
                rounded(usedWatts, 100),
                rounded(divertedWatts, 100),
                rounded(toBatteryWatts, 100),
                rounded(fromBatteryWatts, 100),
                rounded(thrownAwayWatts, 100),
                rounded(acSourceWatts, 100),
                rounded(unservedWatts, 100),
                rounded(generatorWatts, 100),
                rounded(batteryCelsius, 100),
                rounded(acPresent, 1000),
                rounded(sunEnough, 1000),
                rounded(aboveLevel, 1000));
    }

    private static double[] rounded(double[] values, double by) {
        return Arrays.stream(values)
                .map(value -> Double.isNaN(value) ? value : Math.round(value * by) / by)
                .toArray();
    }
}
