package sparen.site;

import java.util.List;
import sparen.quantity.Bounds;

/**
 * A well-mixed hot-water tank: a place for surplus until its thermostat opens.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param litres content (l), 1 to 100,000
 * @param lossWattsPerKelvin to the room at 20 °C (W/K), 0 to 100
 * @param offCelsius the thermostat opens at or above this (°C), 20 to 99
 * @param onCelsius it closes again at or below this (°C), 0 to offCelsius
 * @param coldCelsius of the water that comes in (°C), 0 to 40
 * @param startCelsius where a simulation starts (°C), 0 to 99
 * @param draws water taken each day, 0 to 24
 */
public record WaterTank(
        String id,
        String name,
        double litres,
        double lossWattsPerKelvin,
        double offCelsius,
        double onCelsius,
        double coldCelsius,
        double startCelsius,
        List<DrawOff> draws) {
    /**
     * Water taken at one moment of the day, replaced by cold.
     *
     * @param hour local time (h since midnight), 0 to 24
     * @param litres as much as is taken (l), 0 to the tank's content
     */
    public record DrawOff(double hour, double litres) {
        public DrawOff {
            Bounds.within("hour", hour, 0, 24);
            Bounds.within("litres", litres, 0, 100_000);
        }
    }

    public WaterTank {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.within("litres", litres, 1, 100_000);
        Bounds.within("lossWattsPerKelvin", lossWattsPerKelvin, 0, 100);
        Bounds.within("offCelsius", offCelsius, 20, 99);
        Bounds.within("onCelsius", onCelsius, 0, offCelsius);
        Bounds.within("coldCelsius", coldCelsius, 0, 40);
        Bounds.within("startCelsius", startCelsius, 0, 99);
        draws = Bounds.orNone(draws);
        Bounds.within("draws", draws.size(), "draws", 0, 24);
        for (DrawOff draw : draws) {
            Bounds.within("draws.litres", draw.litres(), 0, litres);
        }
    }
}
