package sparen.site;

import sparen.quantity.Bounds;

/**
 * The room a machine stands in: it follows the air outside with a lag of half a day, is warmer than it by what people, sun and the machine
 * itself leave in it, and is heated where it would become too cold.
 *
 * @param leastCelsius heated to this at least (°C), −40 to 40
 * @param aboveAirKelvin how much warmer than the air outside where it is not heated (K), 0 to 30
 */
public record Room(double leastCelsius, double aboveAirKelvin) {
    /** An unheated pantry in a house that is lived in. Judgement, no source. */
    public static final Room USUAL = new Room(10, 4);

    /** Time in which it follows the air outside (s); judgement, no source. */
    public static final double LAG_SECONDS = 43_200;

    public Room {
        Bounds.within("leastCelsius", leastCelsius, -40, 40);
        Bounds.within("aboveAirKelvin", aboveAirKelvin, 0, 30);
    }

    /** Its temperature (°C), by that of the air outside as it follows it (°C). */
    public double celsius(double laggedAirCelsius) {
        return Math.max(leastCelsius, laggedAirCelsius + aboveAirKelvin);
    }
}
