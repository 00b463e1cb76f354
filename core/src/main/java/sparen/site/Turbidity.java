package sparen.site;

import sparen.quantity.Bounds;

/**
 * How hazy the clear air of a place is: Linke turbidity at air mass 2, how many clean dry atmospheres dim the sun as much. Between the
 * two middles of the seasons it goes as a cosine of the year.
 *
 * @param winter in the middle of January, south of the equator of July (ratio), 1.5 to 8
 * @param summer half a year later (ratio), 1.5 to 8
 */
public record Turbidity(double winter, double summer) {
    /**
     * Where nothing is known. Northern Europe near the sea after the map of J. Remund, L. Wald, M. Lefèvre, T. Ranchin and J. Page,
     * Worldwide Linke turbidity information, ISES 2003; read from memory.
     */
    public static final Turbidity USUAL = new Turbidity(2.6, 3.4);

    private static final double MIDDLE_OF_JANUARY = 15;
    private static final double YEAR_DAYS = 365.25;

    public Turbidity {
        Bounds.within("winter", winter, 1.5, 8);
        Bounds.within("summer", summer, 1.5, 8);
    }

    /** On a day of the year, 1 to 366, at a latitude (°, north positive). */
    public double on(int dayOfYear, double latitudeDegrees) {
        double january = StrictMath.cos(2 * Math.PI * (dayOfYear - MIDDLE_OF_JANUARY) / YEAR_DAYS);
        double winterness = latitudeDegrees < 0 ? -january : january;
        return (winter + summer) / 2 + (winter - summer) / 2 * winterness;
    }
}
