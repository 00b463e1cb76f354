package sparen.battery;

import sparen.quantity.Standard;

/** How what goes on in a cell slows in the cold, against 25 °C. */
final class Arrhenius {
    private static final double KELVIN = 273.15;

    private Arrhenius() {}

    /** exp(B (1/T − 1/298.15 K)), by B (K) and a temperature (°C): by what a resistance rises. */
    static double factor(double b, double celsius) {
        return b == 0 ? 1 : StrictMath.exp(b * (1 / (celsius + KELVIN) - 1 / (Standard.BATTERY_CELSIUS + KELVIN)));
    }
}
