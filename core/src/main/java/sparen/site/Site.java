package sparen.site;

import java.util.List;
import java.util.function.Function;
import sparen.quantity.Bounds;

/**
 * A standalone site: one battery bank, one main bus and what hangs on it.
 *
 * @param name what the crew calls it
 * @param location where it is
 * @param nominalVolts of the bus (V), 6 to 400
 * @param battery the bank
 * @param mainCable between battery terminals and bus
 * @param arrays 0 to 50
 * @param controllers 0 to 50; each array belongs to one at most
 * @param sources sources of given current, 0 to 50
 * @param loads 0 to 200
 * @param sensePoints at least one; rules name them
 */
public record Site(
        String name,
        Location location,
        double nominalVolts,
        BatteryBank battery,
        Cable mainCable,
        List<SolarArray> arrays,
        List<ChargeController> controllers,
        List<CurrentSource> sources,
        List<Load> loads,
        List<SensePoint> sensePoints) {
    public Site {
        Bounds.name("name", name);
        Bounds.present("location", location);
        Bounds.within("nominalVolts", nominalVolts, "V", 6, 400);
        Bounds.present("battery", battery);
        Bounds.present("mainCable", mainCable);
        arrays = bounded("arrays", arrays, 0, 50);
        controllers = bounded("controllers", controllers, 0, 50);
        sources = bounded("sources", sources, 0, 50);
        loads = bounded("loads", loads, 0, 200);
        sensePoints = bounded("sensePoints", sensePoints, 1, 100);
        Bounds.unique("arrays", ids(arrays, SolarArray::id));
        Bounds.unique("controllers", ids(controllers, ChargeController::id));
        Bounds.unique("sources", ids(sources, CurrentSource::id));
        Bounds.unique("loads", ids(loads, Load::id));
        Bounds.unique("sensePoints", ids(sensePoints, SensePoint::id));
        List<String> wired =
                controllers.stream().flatMap(c -> c.arrays().stream()).toList();
        Bounds.unique("controllers.arrays", wired);
        for (String array : wired) {
            Bounds.known("controllers.arrays", array, ids(arrays, SolarArray::id));
        }
    }

    /**
     * The load with this id.
     *
     * @throws sparen.quantity.InvalidQuantity when there is none
     */
    public Load load(String id) {
        Bounds.known("loads", id, ids(loads, Load::id));
        return loads.stream().filter(load -> load.id().equals(id)).findFirst().orElseThrow();
    }

    /**
     * The sense point with this id.
     *
     * @throws sparen.quantity.InvalidQuantity when there is none
     */
    public SensePoint sensePoint(String id) {
        Bounds.known("sensePoint", id, ids(sensePoints, SensePoint::id));
        return sensePoints.stream()
                .filter(point -> point.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static <T> List<T> bounded(String field, List<T> list, int least, int most) {
        List<T> copy = List.copyOf(Bounds.present(field, list));
        Bounds.within(field, copy.size(), "entries", least, most);
        return copy;
    }

    private static <T> List<String> ids(List<T> list, Function<T, String> id) {
        return list.stream().map(id).toList();
    }
}
