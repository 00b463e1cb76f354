package sparen.fit;

import sparen.battery.BatteryModel;
import sparen.battery.FollowedBattery;

/** The model of a battery along a stretch of segments: its mean voltage over each. */
final class FollowedStretch {
    private final FollowedBattery battery;
    private final double offsetVolts;
    private final double unseenAmperes;
    private double celsius = Double.NaN;

    FollowedStretch(BatteryModel model, double stateOfCharge, double offsetVolts, double unseenAmperes) {
        battery = new FollowedBattery(model, stateOfCharge);
        this.offsetVolts = offsetVolts;
        this.unseenAmperes = unseenAmperes;
    }

    /** The mean voltage of a segment as a meter with the offset shows it (V), by Simpson's rule; it has passed then. */
    double volts(Segments.Segment segment) {
        if (Double.isNaN(celsius) || Math.abs(segment.celsius() - celsius) >= 0.5) {
            celsius = segment.celsius();
            battery.setCelsius(celsius);
        }
        double into = segment.amperes() - unseenAmperes;
        double half = segment.seconds() / 2;
        double first = battery.volts(into);
        battery.goOn(into, half);
        double middle = battery.volts(into);
        battery.goOn(into, half);
        return (first + 4 * middle + battery.volts(into)) / 6 + offsetVolts;
    }

    double stateOfCharge() {
        return battery.stateOfCharge();
    }
}
