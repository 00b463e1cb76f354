package sparen.simulation;

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
        double[] batteryCelsius) {}
