package sparen.sun;

import java.util.List;
import sparen.quantity.Bounds;
import sparen.site.Location;

/**
 * What a place's months are like: what seeded years are made from.
 *
 * @param clearness mean clearness index of each month, January first (fraction), 0.05 to 0.85
 * @param meanCelsius mean air temperature of each month (°C), −60 to 50
 * @param dailySwingKelvin half the usual difference between afternoon and night (K), 0 to 20
 */
public record Climate(List<Double> clearness, List<Double> meanCelsius, double dailySwingKelvin) {
    private static final int MONTHS = 12;
    private static final double LEAST_CLEARNESS = 0.05;

    public Climate {
        clearness = List.copyOf(Bounds.present("clearness", clearness));
        meanCelsius = List.copyOf(Bounds.present("meanCelsius", meanCelsius));
        Bounds.within("clearness", clearness.size(), "months", MONTHS, MONTHS);
        Bounds.within("meanCelsius", meanCelsius.size(), "months", MONTHS, MONTHS);
        clearness.forEach(index -> Bounds.within("clearness", index, LEAST_CLEARNESS, 0.85));
        meanCelsius.forEach(celsius -> Bounds.within("meanCelsius", celsius, -60, 50));
        Bounds.within("dailySwingKelvin", dailySwingKelvin, 0, 20);
    }

    /** The mean air temperature of the coldest month (°C). */
    public double coldestMonthCelsius() {
        return meanCelsius.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
    }

    /**
     * A maritime climate by latitude alone, for where nothing better is known: duller and colder in the winter of its hemisphere. Its
     * light is a share of the clear sky's in the middle of the month, 0.76 at the equator, from 0.59 in winter to 0.73 in summer at 65°;
     * judgement, no source, held against the hours of sunshine of such coasts (docs/model.md).
     */
    public static Climate atLatitude(double latitudeDegrees) {
        double away = Math.min(1, Math.abs(latitudeDegrees) / 65);
        Location place = new Location(latitudeDegrees, 0, 0, "UTC");
        Double[] clear = new Double[MONTHS];
        Double[] celsius = new Double[MONTHS];
        for (int month = 0; month < MONTHS; month++) {
            double summer = -StrictMath.cos(2 * Math.PI * (month + 0.5 - 0.7) / MONTHS) * Math.signum(latitudeDegrees);
            double share = 0.76 - 0.10 * away + 0.07 * away * summer;
            int dayOfYear = 16 + (int) (month * 365.0 / MONTHS);
            double index = ClearSky.of(place, dayOfYear).dayIndex(latitudeDegrees, dayOfYear);
            clear[month] = Math.max(LEAST_CLEARNESS, share * index);
            celsius[month] = 26 - 21 * away * away + (1 + 8 * away) * summer * away;
        }
        return new Climate(List.of(clear), List.of(celsius), 4);
    }
}
