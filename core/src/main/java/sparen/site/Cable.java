package sparen.site;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/**
 * A pair of conductors: given by what was measured, or by cross-section and one-way length.
 *
 * <p>Source: IEC 60228 class 2 conductor resistance at 20 °C and 0.00393 1/K for copper, from memory.
 *
 * @param measuredLoopOhms resistance out and back (Ω), 0 to 10; wins over the conductor where both are given
 * @param crossSectionSquareMillimetres of copper (mm²), one of the standard sizes 1.5 to 120
 * @param oneWayMetres length one way (m), 0 to 2000
 * @param ampacityAmperes what it may carry where it lies (A), above 0 to 2000
 * @param fuse that guards it
 */
public record Cable(
        Optional<Double> measuredLoopOhms,
        Optional<Double> crossSectionSquareMillimetres,
        Optional<Double> oneWayMetres,
        Optional<Double> ampacityAmperes,
        Optional<Fuse> fuse)
        implements CableWith {
    private static final Map<Double, Double> OHMS_PER_KILOMETRE_AT_20 = new TreeMap<>(Map.ofEntries(
            Map.entry(1.5, 12.1),
            Map.entry(2.5, 7.41),
            Map.entry(4.0, 4.61),
            Map.entry(6.0, 3.08),
            Map.entry(10.0, 1.83),
            Map.entry(16.0, 1.15),
            Map.entry(25.0, 0.727),
            Map.entry(35.0, 0.524),
            Map.entry(50.0, 0.387),
            Map.entry(70.0, 0.268),
            Map.entry(95.0, 0.193),
            Map.entry(120.0, 0.153)));
    private static final double COPPER_PER_KELVIN = 0.00393;

    public Cable {
        measuredLoopOhms = Bounds.orEmpty(measuredLoopOhms);
        crossSectionSquareMillimetres = Bounds.orEmpty(crossSectionSquareMillimetres);
        oneWayMetres = Bounds.orEmpty(oneWayMetres);
        ampacityAmperes = Bounds.orEmpty(ampacityAmperes);
        ampacityAmperes.ifPresent(amperes -> Bounds.above("ampacityAmperes", amperes, 0, 2000));
        fuse = Bounds.orEmpty(fuse);
        measuredLoopOhms.ifPresent(ohms -> Bounds.within("measuredLoopOhms", ohms, 0, 10));
        oneWayMetres.ifPresent(metres -> Bounds.within("oneWayMetres", metres, 0, 2000));
        crossSectionSquareMillimetres.ifPresent(area -> {
            if (!OHMS_PER_KILOMETRE_AT_20.containsKey(area)) {
                throw new InvalidQuantity(
                        "crossSectionSquareMillimetres",
                        Bounds.number(area) + " mm² is not one of " + OHMS_PER_KILOMETRE_AT_20.keySet() + " mm²");
            }
        });
        if (crossSectionSquareMillimetres.isPresent() != oneWayMetres.isPresent()) {
            throw new InvalidQuantity("oneWayMetres", "length (m) and cross-section (mm²) go together");
        }
        if (measuredLoopOhms.isEmpty() && oneWayMetres.isEmpty()) {
            throw new InvalidQuantity(
                    "measuredLoopOhms", "give a resistance (Ω), or length (m) and cross-section (mm²)");
        }
    }

    /** A cable by what was measured or by its conductor, without fuse. */
    public Cable(
            Optional<Double> measuredLoopOhms,
            Optional<Double> crossSectionSquareMillimetres,
            Optional<Double> oneWayMetres) {
        this(measuredLoopOhms, crossSectionSquareMillimetres, oneWayMetres, Optional.empty(), Optional.empty());
    }

    /** A cable by its measured resistance out and back (Ω). */
    public static Cable measured(double loopOhms) {
        return new Cable(Optional.of(loopOhms), Optional.empty(), Optional.empty());
    }

    /** A copper cable by cross-section (mm²) and one-way length (m). */
    public static Cable copper(double crossSectionSquareMillimetres, double oneWayMetres) {
        return new Cable(Optional.empty(), Optional.of(crossSectionSquareMillimetres), Optional.of(oneWayMetres));
    }

    /** The least of what its fuse is rated for and what it may carry (A); empty where neither is told. */
    public OptionalDouble mostAmperes() {
        double most = Math.min(
                ampacityAmperes.orElse(Double.POSITIVE_INFINITY),
                fuse.map(Fuse::ratedAmperes).orElse(Double.POSITIVE_INFINITY));
        return most == Double.POSITIVE_INFINITY ? OptionalDouble.empty() : OptionalDouble.of(most);
    }

    /** Resistance out and back (Ω) at a conductor temperature (°C); a measured one is taken as it was measured. */
    public double loopOhms(double conductorCelsius) {
        return measuredLoopOhms.orElseGet(() -> 2
                * oneWayMetres.orElseThrow()
                / 1000
                * OHMS_PER_KILOMETRE_AT_20.get(crossSectionSquareMillimetres.orElseThrow())
                * (1 + COPPER_PER_KELVIN * (conductorCelsius - 20)));
    }
}
