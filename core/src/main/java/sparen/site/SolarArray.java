package sparen.site;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * Modules that face one way and end in one charge controller, or in an inverter of their own on the AC side.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param peakWatts at standard test conditions (W), above 0 to 1,000,000
 * @param tiltDegrees from level (°), 0 to 90
 * @param azimuthDegrees where it looks, from north through east (°), 0 to 360
 * @param powerPerKelvin change of power with cell temperature (1/K), −0.01 to 0
 * @param nominalCellCelsius nominal operating cell temperature, NOCT (°C), 20 to 80
 * @param lossFraction soiling, mismatch and array wiring (fraction), 0 to 0.9
 * @param string its voltages
 * @param sky how diffuse light is spread; absent for {@link Sky#ISOTROPIC}
 * @param horizon what hides the low sun
 * @param snow when snow lies on it
 */
public record SolarArray(
        String id,
        String name,
        double peakWatts,
        double tiltDegrees,
        double azimuthDegrees,
        double powerPerKelvin,
        double nominalCellCelsius,
        double lossFraction,
        Optional<ModuleString> string,
        Optional<Sky> sky,
        List<HorizonPoint> horizon,
        Optional<Snow> snow)
        implements SolarArrayWith {
    /** How diffuse light is taken to be spread over the sky. */
    public enum Sky {
        /** The same from everywhere. */
        ISOTROPIC,
        /** Brighter about the sun. */
        HAY_DAVIES
    }

    /**
     * The voltages of its strings, at standard test conditions.
     *
     * @param openCircuitVolts of a string (V), above 0 to 2000
     * @param maximumPowerVolts of a string (V), above 0 to openCircuitVolts
     * @param voltsPerKelvinFraction change of the open-circuit voltage with cell temperature (1/K), −0.01 to 0
     * @param cellsInSeries in a string, 1 to 2000; the voltage at low light falls with their number
     */
    public record ModuleString(
            double openCircuitVolts, double maximumPowerVolts, double voltsPerKelvinFraction, int cellsInSeries) {
        public ModuleString {
            Bounds.above("openCircuitVolts", openCircuitVolts, 0, 2000);
            Bounds.above("maximumPowerVolts", maximumPowerVolts, 0, openCircuitVolts);
            Bounds.within("voltsPerKelvinFraction", voltsPerKelvinFraction, -0.01, 0);
            Bounds.within("cellsInSeries", cellsInSeries, "cells", 1, 2000);
        }
    }

    /**
     * Height of the horizon in one direction; straight lines between the points.
     *
     * @param azimuthDegrees from north through east (°), 0 to 360
     * @param altitudeDegrees (°), 0 to 90
     */
    public record HorizonPoint(double azimuthDegrees, double altitudeDegrees) {
        public HorizonPoint {
            Bounds.within("azimuthDegrees", azimuthDegrees, 0, 360);
            Bounds.within("altitudeDegrees", altitudeDegrees, 0, 90);
        }
    }

    /**
     * A rough account of snow: in these months a part of the light is kept off.
     *
     * @param months 1 (January) to 12
     * @param coverFraction part of the light kept off (fraction), 0 to 1
     */
    public record Snow(List<Integer> months, double coverFraction) {
        public Snow {
            months = List.copyOf(Bounds.present("months", months));
            for (int month : months) {
                Bounds.within("months", month, 1, 12);
            }
            Bounds.within("coverFraction", coverFraction, 0, 1);
        }
    }

    public SolarArray {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.above("peakWatts", peakWatts, 0, 1e6);
        Bounds.within("tiltDegrees", tiltDegrees, 0, 90);
        Bounds.within("azimuthDegrees", azimuthDegrees, 0, 360);
        Bounds.within("powerPerKelvin", powerPerKelvin, -0.01, 0);
        Bounds.within("nominalCellCelsius", nominalCellCelsius, 20, 80);
        Bounds.within("lossFraction", lossFraction, 0, 0.9);
        string = Bounds.orEmpty(string);
        sky = Bounds.orEmpty(sky);
        horizon = Bounds.orNone(horizon);
        Bounds.within("horizon", horizon.size(), "points", 0, 100);
        for (int i = 1; i < horizon.size(); i++) {
            Bounds.above(
                    "horizon.azimuthDegrees",
                    horizon.get(i).azimuthDegrees(),
                    horizon.get(i - 1).azimuthDegrees(),
                    360);
        }
        snow = Bounds.orEmpty(snow);
    }

    /** An array under an even sky, with a free horizon and no snow, whose voltages nobody took down. */
    public SolarArray(
            String id,
            String name,
            double peakWatts,
            double tiltDegrees,
            double azimuthDegrees,
            double powerPerKelvin,
            double nominalCellCelsius,
            double lossFraction) {
        this(
                id,
                name,
                peakWatts,
                tiltDegrees,
                azimuthDegrees,
                powerPerKelvin,
                nominalCellCelsius,
                lossFraction,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty());
    }
}
