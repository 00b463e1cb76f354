package sparen.site;

import sparen.quantity.Bounds;

/**
 * Modules that face one way and end in one charge controller.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param peakWatts at standard test conditions (W), above 0 to 1,000,000
 * @param tiltDegrees from level (°), 0 to 90
 * @param azimuthDegrees where it looks, from north through east (°), 0 to 360
 * @param powerPerKelvin change of power with cell temperature (1/K), −0.01 to 0
 * @param nominalCellCelsius nominal operating cell temperature, NOCT (°C), 20 to 80
 * @param lossFraction soiling, mismatch and array wiring (fraction), 0 to 0.9
 */
public record SolarArray(
        String id,
        String name,
        double peakWatts,
        double tiltDegrees,
        double azimuthDegrees,
        double powerPerKelvin,
        double nominalCellCelsius,
        double lossFraction) {
    public SolarArray {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.above("peakWatts", peakWatts, "W", 0, 1e6);
        Bounds.within("tiltDegrees", tiltDegrees, "°", 0, 90);
        Bounds.within("azimuthDegrees", azimuthDegrees, "°", 0, 360);
        Bounds.within("powerPerKelvin", powerPerKelvin, "1/K", -0.01, 0);
        Bounds.within("nominalCellCelsius", nominalCellCelsius, "°C", 20, 80);
        Bounds.within("lossFraction", lossFraction, "", 0, 0.9);
    }
}
