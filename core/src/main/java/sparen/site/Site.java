package sparen.site;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

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
 * @param monitors 0 to 8
 * @param converters 0 to 20
 * @param inverter with its AC side
 * @param acSources what can come to its transfer switch, the first that is there is taken, 0 to 4
 * @param acArrays arrays on the AC side, 0 to 20
 * @param dcSources generators of direct current, 0 to 20
 * @param tanks hot-water tanks, 0 to 20
 * @param earthing bonds of the AC side; absent where not told
 * @param radios devices that can be reached by radio, 0 to 50
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
        List<SensePoint> sensePoints,
        List<BatteryMonitor> monitors,
        List<Converter> converters,
        Optional<Inverter> inverter,
        List<AcSource> acSources,
        List<AcCoupledArray> acArrays,
        List<DcSource> dcSources,
        List<WaterTank> tanks,
        Optional<Earthing> earthing,
        List<Radio> radios)
        implements SiteWith {
    public Site {
        Bounds.name("name", name);
        Bounds.present("location", location);
        Bounds.within("nominalVolts", nominalVolts, 6, 400);
        Bounds.present("battery", battery);
        Bounds.present("mainCable", mainCable);
        arrays = Bounds.list("arrays", arrays, 0, 50);
        controllers = Bounds.list("controllers", controllers, 0, 50);
        sources = Bounds.list("sources", sources, 0, 50);
        loads = Bounds.list("loads", loads, 0, 200);
        sensePoints = Bounds.list("sensePoints", sensePoints, 1, 100);
        monitors = Bounds.list("monitors", Bounds.orNone(monitors), 0, 8);
        converters = Bounds.list("converters", Bounds.orNone(converters), 0, 20);
        inverter = Bounds.orEmpty(inverter);
        acSources = Bounds.list("acSources", Bounds.orNone(acSources), 0, 4);
        acArrays = Bounds.list("acArrays", Bounds.orNone(acArrays), 0, 20);
        dcSources = Bounds.list("dcSources", Bounds.orNone(dcSources), 0, 20);
        tanks = Bounds.list("tanks", Bounds.orNone(tanks), 0, 20);
        earthing = Bounds.orEmpty(earthing);
        radios = Bounds.list("radios", Bounds.orNone(radios), 0, 50);
        Map<String, List<String>> parts = Map.ofEntries(
                Map.entry("arrays", ids(arrays, SolarArray::id)),
                Map.entry("sensePoints", ids(sensePoints, SensePoint::id)),
                Map.entry("monitors", ids(monitors, BatteryMonitor::id)),
                Map.entry("tanks", ids(tanks, WaterTank::id)),
                Map.entry("controllers", ids(controllers, ChargeController::id)),
                Map.entry("sources", ids(sources, CurrentSource::id)),
                Map.entry("loads", ids(loads, Load::id)),
                Map.entry("converters", ids(converters, Converter::id)),
                Map.entry("inverter", inverter.map(one -> List.of(one.id())).orElse(List.of())),
                Map.entry("acSources", ids(acSources, AcSource::id)),
                Map.entry("dcSources", ids(dcSources, DcSource::id)));
        for (String list : List.of("arrays", "sensePoints", "monitors", "tanks")) {
            Bounds.unique(list, parts.get(list));
        }
        List<String> devices = new ArrayList<>();
        for (String list :
                List.of("controllers", "sources", "loads", "converters", "inverter", "acSources", "dcSources")) {
            devices.addAll(parts.get(list));
            Bounds.unique(list, devices);
        }
        List<String> wired = Stream.concat(
                        controllers.stream().flatMap(c -> c.arrays().stream()),
                        acArrays.stream().map(AcCoupledArray::array))
                .toList();
        Bounds.unique("controllers.arrays", wired);
        for (String array : wired) {
            Reference.ARRAY.check("controllers.arrays", array, parts);
        }
        checkReferences(parts, loads, sensePoints, monitors, acArrays);
        if (!acSources.isEmpty() && inverter.flatMap(Inverter::transfer).isEmpty()) {
            throw new InvalidQuantity("acSources", "need an inverter with a transfer switch to come to");
        }
        for (ChargeController controller : controllers) {
            for (SolarArray array : arrays) {
                if (controller.pulses()
                        && controller.arrays().contains(array.id())
                        && array.string().isEmpty()) {
                    throw new InvalidQuantity(
                            "arrays.string",
                            "\"" + array.id() + "\" is on the PWM controller \"" + controller.id()
                                    + "\", which needs the string's voltages (V)");
                }
            }
        }
    }

    /** A site of one direct-current bus with arrays, current sources and loads. */
    public Site(
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
        this(
                name,
                location,
                nominalVolts,
                battery,
                mainCable,
                arrays,
                controllers,
                sources,
                loads,
                sensePoints,
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty(),
                List.of());
    }

    private static void checkReferences(
            Map<String, List<String>> parts,
            List<Load> loads,
            List<SensePoint> sensePoints,
            List<BatteryMonitor> monitors,
            List<AcCoupledArray> acArrays) {
        for (Load load : loads) {
            load.feed().ifPresent(feed -> Reference.FEED.check("loads.feed", feed, parts));
            load.tank().ifPresent(tank -> Reference.TANK.check("loads.tank", tank, parts));
            if (load.feed().isPresent() && !load.consumption().drawsGivenPower()) {
                throw new InvalidQuantity(
                        "loads.consumption",
                        "\"" + load.id() + "\" hangs on \"" + load.feed().get()
                                + "\", whose voltage is held: give its power (W), not current or resistance");
            }
        }
        for (SensePoint point : sensePoints) {
            point.device().ifPresent(device -> Reference.DEVICE.check("sensePoints.device", device, parts));
        }
        for (BatteryMonitor monitor : monitors) {
            monitor.unseen().forEach(device -> Reference.DEVICE.check("monitors.unseen", device, parts));
        }
        for (AcCoupledArray array : acArrays) {
            Reference.INVERTER.check("acArrays.inverter", array.inverter(), parts);
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

    /**
     * The battery monitor with this id.
     *
     * @throws sparen.quantity.InvalidQuantity when there is none
     */
    public BatteryMonitor monitor(String id) {
        Bounds.known("monitor", id, ids(monitors, BatteryMonitor::id));
        return monitors.stream()
                .filter(monitor -> monitor.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** Ids of the profiles that loads and direct-current generators name, each once. */
    public Set<String> profiles() {
        Set<String> named = new LinkedHashSet<>();
        for (Load load : loads) {
            load.consumption().profileId().ifPresent(named::add);
        }
        dcSources.forEach(source -> source.profile().ifPresent(named::add));
        return named;
    }

    /** Ids of all that charges by setpoints of the program: the controllers, and the inverter where it has a charger. */
    public List<String> chargers() {
        List<String> ids = new ArrayList<>(ids(controllers, ChargeController::id));
        inverter.filter(one -> one.charger().isPresent()).ifPresent(one -> ids.add(one.id()));
        return ids;
    }

    /** Whether sun of the main bus can come beside AC: there is some, and an inverter that blends. */
    public boolean blendsSun() {
        return !controllers.isEmpty() && inverter.filter(Inverter::blends).isPresent();
    }

    /** What the crew calls a charger. */
    public String chargerName(String id) {
        return controllers.stream()
                .filter(controller -> controller.id().equals(id))
                .map(ChargeController::name)
                .findFirst()
                .orElseGet(() -> inverter.filter(one -> one.id().equals(id))
                        .map(Inverter::name)
                        .orElse(id));
    }

    /** Ids of all that an output can act on: loads, controllers, converters, the inverter, generators. */
    public List<String> switchable() {
        List<String> ids = new ArrayList<>(ids(loads, Load::id));
        ids.addAll(ids(controllers, ChargeController::id));
        ids.addAll(ids(converters, Converter::id));
        inverter.ifPresent(one -> ids.add(one.id()));
        acSources.stream().filter(AcSource.Generator.class::isInstance).forEach(source -> ids.add(source.id()));
        dcSources.forEach(source -> ids.add(source.id()));
        return ids;
    }

    private static <T> List<String> ids(List<T> list, Function<T, String> id) {
        return list.stream().map(id).toList();
    }
}
