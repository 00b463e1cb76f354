package sparen.site;

import sparen.quantity.Bounds;

/**
 * A DC converter that feeds a secondary bus from the main one.
 *
 * @param id its name in references; loads name it as their feed
 * @param name what the crew calls it
 * @param outputVolts of the secondary bus (V), 1 to 400
 * @param maximumAmperes it can give (A), above 0 to 1000; beyond it the secondary bus goes dead and is tried again after 10 s, then 20 s and so on up to 15 min
 * @param efficiency output to input (fraction), 0.3 to 1
 * @param idleWatts its own draw (W), 0 to 500
 * @param lowestInputVolts at or below this it stops (V), 0 to 400
 * @param restartInputVolts at or above this it starts again (V), lowestInputVolts to 400
 */
public record Converter(
        String id,
        String name,
        double outputVolts,
        double maximumAmperes,
        double efficiency,
        double idleWatts,
        double lowestInputVolts,
        double restartInputVolts) {
    public Converter {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.within("outputVolts", outputVolts, 1, 400);
        Bounds.above("maximumAmperes", maximumAmperes, 0, 1000);
        Bounds.within("efficiency", efficiency, 0.3, 1);
        Bounds.within("idleWatts", idleWatts, 0, 500);
        Bounds.within("lowestInputVolts", lowestInputVolts, 0, 400);
        Bounds.within("restartInputVolts", restartInputVolts, lowestInputVolts, 400);
    }
}
