package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import sparen.battery.StateOfChargeCounter;
import sparen.power.BusBalance;
import sparen.power.CableDrop;
import sparen.power.ChargeRegulator;
import sparen.power.ChargeRegulator.BmsRequest;
import sparen.power.EngineGenerator;
import sparen.program.AcProgram;
import sparen.program.ChargeProgram;
import sparen.result.Change;
import sparen.result.Event;
import sparen.result.Fact;
import sparen.result.PartEvent;
import sparen.site.BatteryMonitor;
import sparen.site.ChargeController;
import sparen.site.Enclosure;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.Site;
import sparen.site.SolarArray;
import sparen.site.WaterTank;

/**
 * A site at work in one run: its bus, batteries, chargers, loads and what feeds what.
 */
final class Circuit {
    final Site site;
    final BatteriesAtWork batteries;
    final BusBalance bus;
    final ControllerAtWork[] controllers;
    final LoadAtWork[] loads;
    final ConverterAtWork[] converters;
    final TankAtWork[] tanks;
    final MonitorAtWork[] monitors;
    final AcAtWork ac;
    final ChargeRegulator acCharger;
    final Thermal thermal;
    final LocalClock clock;
    /** Whether each load's contact is closed. */
    final boolean[] connected;

    private final CurrentInput[] sources;
    final DcSourceAtWork[] dcSources;
    private final DataLine line;
    private final double[] loadOhms;
    private final List<String> loadIds;
    private final double idleWatts;
    final Branches branches;
    private final Feeds feeds;
    private final double[] byFeed;
    final PulsedAtWork[] pulsed;
    /** All that watches the bus. */
    final Part[] parts;
    /** What changes by itself at instants that only a change of its own moves. */
    private final List<Part> moving = new ArrayList<>();
    /** What may start a timer by a look at the balance alone. */
    private final List<Part> timers = new ArrayList<>();
    /** What is asked at every step. */
    private final List<Part> chargers = new ArrayList<>();

    private final List<PartEvent> noted = new ArrayList<>();
    private final FuseAtWork[] fuses;
    private final boolean[] blown;
    private final int[] heatsByVoltage;
    private int heatsByVoltageCount;
    private double coilWatts;
    private double partsDue = Double.NEGATIVE_INFINITY;
    private double now;
    private boolean loadsChanged = true;
    private int loadVersion;
    boolean dead;
    boolean floating;
    private boolean mainOpen;
    boolean sourcesShut;
    final SunLeft sun;

    Circuit(Scenario scenario, SiteInputs inputs) {
        site = scenario.plan().site();
        sun = new SunLeft(this, inputs);
        clock = new LocalClock(
                scenario.start(), scenario.durationSeconds(), site.location().zone());
        batteries = BatteriesAtWork.of(site);
        branches = new Branches(site);
        feeds = new Feeds(site);
        byFeed = new double[feeds.count()];
        bus = new BusBalance(
                batteries.branches(), site.mainCable().loopOhms(Branches.CABLE_CELSIUS), branches.cableOhms());
        thermal = new Thermal(
                site.battery().enclosure().orElse(Enclosure.UNKNOWN),
                scenario.weather().ambientCelsius());
        double own = site.controllers().stream()
                .mapToDouble(ChargeController::idleWatts)
                .sum();
        idleWatts = own + batteries.idleWatts();
        controllers = new ControllerAtWork[site.controllers().size()];
        for (int i = 0; i < controllers.length; i++) {
            ChargeController controller = site.controllers().get(i);
            ChargeRegulator regulator = new ChargeRegulator(
                    charging(scenario, controller.id()), site.battery().cellsInSeries(), controller.maximumAmperes());
            controllers[i] = new ControllerAtWork(
                    controller, site, regulator, inputs.controllers.get(i), Branches.FIRST_CONTROLLER + i);
        }
        sources = site.sources().stream().map(CurrentInput::new).toArray(CurrentInput[]::new);
        dcSources = new DcSourceAtWork[site.dcSources().size()];
        for (int i = 0; i < dcSources.length; i++) {
            dcSources[i] = new DcSourceAtWork(site.dcSources().get(i), inputs.dcSource(i));
        }
        converters = site.converters().stream().map(ConverterAtWork::new).toArray(ConverterAtWork[]::new);
        tanks = site.tanks().stream().map(tank -> new TankAtWork(tank, clock)).toArray(TankAtWork[]::new);
        loads = new LoadAtWork[site.loads().size()];
        loadOhms = new double[loads.length];
        loadIds = site.loads().stream().map(Load::id).toList();
        connected = new boolean[loads.length];
        heatsByVoltage = new int[loads.length];
        for (int i = 0; i < loads.length; i++) {
            Load load = site.loads().get(i);
            loads[i] = new LoadAtWork(load, inputs.pattern(i), site.nominalVolts(), feeds.of(load), tank(load));
            loadOhms[i] = load.cable().loopOhms(Branches.CABLE_CELSIUS);
            connected[i] = true;
        }
        pulsed = PulsedAtWork.of(scenario.plan(), loadOhms);
        Optional<Inverter> inverter = site.inverter();
        ac = inverter.isEmpty()
                ? null
                : new AcAtWork(
                        inverter.get(),
                        scenario.plan().program().ac().orElse(AcProgram.PLAIN),
                        site.acSources(),
                        new AcArrays(site.acArrays(), inputs.acArrays),
                        clock,
                        sun,
                        scenario.weatherNumber());
        acCharger = inverter.flatMap(Inverter::charger)
                .map(charger -> AcAtWork.regulator(
                        charger, charging(scenario, inverter.get().id()), site))
                .orElse(null);
        monitors = site.monitors().stream().map(this::monitor).toArray(MonitorAtWork[]::new);
        fuses = fuses();
        blown = new boolean[branches.count()];
        line = new DataLine(scenario);
        parts = gather();
        takeTemperature();
        takeRequests(0);
    }

    private static ChargeProgram charging(Scenario scenario, String charger) {
        return scenario.plan().program().charging().stream()
                .filter(charging -> charging.controller().equals(charger))
                .findFirst()
                .orElseThrow();
    }

    private int tank(Load load) {
        List<String> ids = site.tanks().stream().map(WaterTank::id).toList();
        return load.tank().map(ids::indexOf).orElse(-1);
    }

    private MonitorAtWork monitor(BatteryMonitor monitor) {
        int[] unseen = monitor.unseen().stream()
                .mapToInt(branches::of)
                .filter(branch -> branch >= 0)
                .toArray();
        return new MonitorAtWork(
                new StateOfChargeCounter(monitor, site.battery().startStateOfCharge()), unseen);
    }

    private FuseAtWork[] fuses() {
        List<FuseAtWork> found = new ArrayList<>();
        site.mainCable().fuse().ifPresent(fuse -> found.add(new FuseAtWork("main-cable", fuse, -1)));
        for (int i = 0; i < site.controllers().size(); i++) {
            ChargeController controller = site.controllers().get(i);
            int branch = Branches.FIRST_CONTROLLER + i;
            controller.cable().fuse().ifPresent(fuse -> found.add(new FuseAtWork(controller.id(), fuse, branch)));
        }
        for (int i = 0; i < site.loads().size(); i++) {
            Load load = site.loads().get(i);
            int branch = branches.firstLoad + i;
            if (load.feed().isEmpty()) {
                load.cable().fuse().ifPresent(fuse -> found.add(new FuseAtWork(load.id(), fuse, branch)));
            }
        }
        return found.toArray(FuseAtWork[]::new);
    }

    /** Takes the inputs of an instant (s); what moved by itself is added to the list. */
    void moveInputs(double seconds, List<PartEvent> moved) {
        now = seconds;
        boolean sunMoved = false;
        for (ControllerAtWork controller : controllers) {
            double before = controller.validUntil();
            controller.moveTo(seconds);
            sunMoved |= controller.validUntil() != before;
        }
        if (sunMoved && ac != null) {
            ac.takeSun();
        }
        for (int i = 0; i < sources.length; i++) {
            sources[i].moveTo(seconds);
            bus.setCurrent(branches.firstSource + i, sources[i].amperes(), sources[i].slope());
        }
        if (seconds < partsDue) {
            return;
        }
        clock.moveTo(seconds);
        for (int i = 0; i < dcSources.length; i++) {
            dcSources[i].moveTo(seconds);
        }
        for (LoadAtWork load : loads) {
            loadsChanged |= load.moveTo(seconds, clock);
        }
        if (ac != null) {
            loadsChanged |= ac.moveTo(seconds, batteries.charge(), moved);
        }
        takeTalk(seconds);
    }

    /** When an input may change next, or a part has to look (s). */
    double dueSeconds() {
        return soonestOf(chargers, partsDue);
    }

    private static double soonestOf(List<? extends Part> parts, double next) {
        double soonest = next;
        for (int i = 0; i < parts.size(); i++) {
            soonest = Math.min(soonest, parts.get(i).dueSeconds());
        }
        return soonest;
    }

    private Part[] gather() {
        chargers.addAll(List.of(controllers));
        if (acCharger != null) {
            chargers.add(new ChargerAtWork(acCharger, branches.charger));
        }
        moving.addAll(List.of(sources));
        moving.addAll(List.of(dcSources));
        moving.addAll(List.of(loads));
        moving.addAll(List.of(converters));
        moving.addAll(List.of(tanks));
        if (ac != null) {
            timers.add(ac);
        }
        timers.addAll(List.of(batteries.all));
        timers.addAll(List.of(monitors));
        timers.addAll(List.of(fuses));
        List<Part> watching = new ArrayList<>(List.of(batteries.all));
        watching.addAll(chargers);
        if (ac != null) {
            watching.add(ac);
        }
        watching.addAll(List.of(converters));
        Arrays.stream(pulsed).filter(Objects::nonNull).forEach(watching::add);
        watching.addAll(List.of(dcSources));
        watching.addAll(List.of(monitors));
        return watching.toArray(Part[]::new);
    }

    private void takeTalk(double seconds) {
        if (line.mayFallSilent()) {
            line.begin();
            takeRequests(seconds);
        }
    }

    private void takeRequests(double seconds) {
        Optional<BmsRequest> request = batteries.request();
        for (ControllerAtWork controller : controllers) {
            controller.regulator.takeRequest(request, line.talksTo(controller.regulator, seconds, now));
        }
        if (acCharger != null) {
            acCharger.takeRequest(request, line.talksTo(acCharger, seconds, now));
        }
    }

    /** Takes a sample of the temperatures where one is due; energy (J) that the batteries' stores gained by it. */
    double takeThermal(double seconds) {
        if (!thermal.moveTo(seconds)) {
            return 0;
        }
        return takeTemperature();
    }

    private double takeTemperature() {
        double gained = batteries.setCelsius(thermal.celsius());
        for (ControllerAtWork controller : controllers) {
            controller.regulator.takeCelsius(thermal.celsius());
        }
        if (acCharger != null) {
            acCharger.takeCelsius(thermal.celsius());
        }
        if (ac != null) {
            ac.conditions.airCelsius = thermal.airCelsius(now);
            ac.touch();
        }
        return gained;
    }

    /** Takes what the coils of all outputs draw (W). */
    void setCoilWatts(double watts) {
        coilWatts = watts;
    }

    /** Contacts have moved: loads are connected anew. */
    void touchLoads() {
        loadsChanged = true;
    }

    /**
     * Solves the balance with all limits of the chargers kept.
     *
     * @return false on a voltage collapse or without a battery
     */
    boolean solve() {
        if (loadsChanged) {
            loadsChanged = false;
            applyLoads();
        }
        bus.setPower(Branches.OWN_DRAW, dead ? 0 : -(idleWatts + coilWatts + thermal.heaterWatts()));
        for (int i = 0; i < dcSources.length; i++) {
            bus.setPower(branches.firstDcSource + i, dcSources[i].watts());
        }
        for (int i = 0; i < converters.length; i++) {
            bus.setPower(branches.firstConverter + i, dead ? 0 : -converters[i].inputWatts());
        }
        for (ControllerAtWork controller : controllers) {
            applyController(controller);
        }
        applyAc();
        int chargers = controllers.length + 1;
        int mostRounds = 8 + 16 * chargers * chargers;
        for (int round = 0; round < mostRounds; round++) {
            if (mainOpen || !bus.solve()) {
                floating = mainOpen || !bus.hasBattery();
                return floating && !mainOpen && solvesWithoutSources();
            }
            floating = false;
            sourcesShut = false;
            if (!oneChanges()) {
                return true;
            }
        }
        throw new IllegalStateException("the chargers' limits do not settle; battery at " + bus.batteryVolts()[0]
                + " V, " + batteries.charge() + " of full");
    }

    /** Every charge path is open: what could charge stops, and loads go on from what may still give. */
    private boolean solvesWithoutSources() {
        if (!batteries.canDischarge()) {
            return false;
        }
        for (int branch = Branches.FIRST_CONTROLLER; branch < branches.firstLoad; branch++) {
            bus.setOpen(branch);
        }
        bus.setOpen(branches.charger);
        floating = !bus.solve();
        sourcesShut = !floating;
        return sourcesShut;
    }

    private void applyController(ControllerAtWork controller) {
        if (blown[controller.branch]) {
            bus.setOpen(controller.branch);
        } else {
            controller.regulator.apply(bus, controller.branch);
        }
    }

    private void applyAc() {
        if (ac == null) {
            return;
        }
        bus.setPower(branches.inverter, dead ? 0 : -ac.side.drawWatts());
        if (acCharger != null) {
            acCharger.offer(ac.side.offerWatts());
            acCharger.aim(ac.isToCharge());
            acCharger.apply(bus, branches.charger);
        }
    }

    /** One charger changes its limit at a time: several at once would answer to a voltage that none of them leaves behind. */
    private boolean oneChanges() {
        for (ControllerAtWork controller : controllers) {
            if (blown[controller.branch]) {
                continue;
            }
            if (controller.regulator.reconsider(bus, controller.branch)) {
                if (controller.lookNow(now)) {
                    controller.regulator.reconsider(bus, controller.branch);
                }
                controller.regulator.apply(bus, controller.branch);
                return true;
            }
        }
        if (acCharger != null && acCharger.reconsider(bus, branches.charger)) {
            acCharger.apply(bus, branches.charger);
            return true;
        }
        return false;
    }

    private void applyLoads() {
        loadVersion++;
        heatsByVoltageCount = 0;
        Arrays.fill(byFeed, 0);
        for (TankAtWork tank : tanks) {
            tank.beginPower(now);
        }
        if (ac != null) {
            ac.conditions.clearLoads();
        }
        for (int i = 0; i < loads.length; i++) {
            applyLoad(i);
        }
        for (TankAtWork tank : tanks) {
            tank.plan(now);
        }
        for (int i = 0; i < converters.length; i++) {
            converters[i].demand(byFeed[1 + i]);
        }
        if (ac != null) {
            ac.conditions.dcAlive = !dead && !floating;
            ac.conditions.sunEnough = sun.isEnough();
            ac.touch();
        }
    }

    private void applyLoad(int i) {
        LoadAtWork load = loads[i];
        boolean switchedOn = isSwitchedOn(i);
        boolean fed = switchedOn && feedIsAlive(load.feed);
        load.feed(now, fed, connected[i] && !feedIsAlive(load.feed), clock);
        if (load.feed == Feeds.MAIN) {
            applyMainLoad(i, fed);
        } else if (load.feed >= feeds.ac()) {
            applyAcLoad(i, switchedOn);
        } else if (switchedOn) {
            double volts = site.converters().get(load.feed - 1).outputVolts();
            byFeed[load.feed] += volts * CableDrop.amperes(load.watts(), volts, loadOhms[i]);
        }
        if (load.tank >= 0 && fed && !load.isPower()) {
            heatsByVoltage[heatsByVoltageCount++] = i;
        }
        if (load.tank >= 0 && fed) {
            tanks[load.tank].addPower(load.watts());
        }
    }

    private void applyAcLoad(int i, boolean switchedOn) {
        if (!switchedOn) {
            return;
        }
        LoadAtWork load = loads[i];
        double volts = ac.side.inverter().acVolts();
        double watts = load.watts() == 0 ? 0 : volts * CableDrop.amperes(load.watts(), volts, loadOhms[i]);
        ac.conditions.addLoad(feeds.source(load.feed), load.leg, watts, load.powerFactor);
    }

    private void applyMainLoad(int i, boolean fed) {
        LoadAtWork load = loads[i];
        int branch = branches.firstLoad + i;
        if (!fed || load.waitsForHand()) {
            bus.setOpen(branch);
        } else if (pulsed[i] != null) {
            pulsed[i].apply(bus, branch);
        } else if (load.fixedOhms.isPresent()) {
            bus.setResistance(branch, load.fixedOhms.getAsDouble());
        } else if (load.fixedAmperes.isPresent()) {
            bus.setCurrent(branch, -load.fixedAmperes.getAsDouble(), 0);
        } else {
            bus.setPower(branch, -load.watts());
        }
    }

    /** Whether a load's contact, thermostat and fuse let it draw. */
    private boolean isSwitchedOn(int i) {
        LoadAtWork load = loads[i];
        boolean hot = load.tank >= 0 && !tanks[load.tank].takesHeat();
        return connected[i] && !hot && !blown[branches.firstLoad + i];
    }

    /** Whether a load hangs on a source of AC before the inverter. */
    boolean isBeforeInverter(int load) {
        return loads[load].feed > feeds.ac();
    }

    /** Whether a bus has a voltage: 0 the main one, then the converters', then AC, then its sources. */
    boolean feedIsAlive(int feed) {
        if (feed == Feeds.MAIN) {
            return !dead && !floating;
        }
        if (feed >= feeds.ac()) {
            return ac != null && ac.isAlive(feeds.source(feed));
        }
        return !dead && !floating && converters[feed - 1].isAlive();
    }

    /** The branch of a device on the main bus, −1 for one that is not on it. */
    int branchOf(String id) {
        return branches.of(id);
    }

    /** The number of the bus that a converter or the inverter feeds. */
    int feedNumber(String id) {
        return feeds.of(id);
    }

    /** Whether a load draws, or would if it wanted to. */
    boolean isServed(int i) {
        return isSwitchedOn(i) && feedIsAlive(loads[i].feed) && !loads[i].waitsForHand();
    }

    /**
     * Lets the parts behind the bus look at the solved balance: BMS, converters, AC side, fuses, tanks, monitors.
     *
     * @return whether something changed, so that the balance must be solved again
     */
    boolean settleParts(double seconds, List<PartEvent> moved) {
        if (!noted.isEmpty()) {
            moved.addAll(noted);
            noted.clear();
        }
        boolean changed = settleBatteries(seconds, moved);
        for (int i = 0; i < pulsed.length; i++) {
            if (pulsed[i] != null && isServed(i)) {
                changed |= pulsed[i].settle(bus.farVolts(branches.firstLoad + i)[0]);
            }
        }
        for (ConverterAtWork converter : converters) {
            Fact reason = converter.settle(seconds, busVolts());
            if (reason != null) {
                moved.add(new PartEvent(Event.Kind.CONVERTER, converter.converter.id(), reason));
                changed = true;
            }
        }
        for (DcSourceAtWork source : dcSources) {
            Fact braked = source.settle(seconds, busVolts());
            if (braked != null) {
                moved.add(new PartEvent(Event.Kind.BRAKE, source.id(), braked));
                changed = true;
            }
        }
        for (TankAtWork tank : tanks) {
            if (tank.settle(seconds)) {
                moved.add(new PartEvent(
                        Event.Kind.TANK,
                        tank.id(),
                        Fact.of(tank.takesHeat() ? Change.THERMOSTAT_CLOSED : Change.THERMOSTAT_OPENED)));
                changed = true;
            }
        }
        for (FuseAtWork fuse : fuses) {
            double amperes = fuse.branch < 0 ? bus.batteryCurrent()[0] : bus.current(fuse.branch)[0];
            if (fuse.settle(seconds, floating ? 0 : amperes)) {
                if (fuse.branch < 0) {
                    mainOpen = true;
                } else {
                    blown[fuse.branch] = true;
                }
                moved.add(new PartEvent(Event.Kind.FUSE, fuse.subject, fuse.opened(amperes)));
                changed = true;
            }
        }
        for (MonitorAtWork monitor : monitors) {
            if (monitor.settle(seconds, this) && monitor.counter.lastFullSeconds() == seconds) {
                moved.add(new PartEvent(
                        Event.Kind.SYNCHRONISED, monitor.counter.settings().id(), Fact.of(Change.COUNTED_FULL)));
            }
        }
        if (ac != null && ac.settle(seconds, inverterVolts(), reportedCharge(), chargerWatts(), moved)) {
            changed = true;
        }
        loadsChanged |= changed;
        partsDue = seconds >= partsDue || changed
                ? soonestOf(timers, soonestOf(moving, Math.min(thermal.nextSample(), line.dueSeconds())))
                : soonestOf(timers, partsDue);
        return changed;
    }

    private boolean settleBatteries(double seconds, List<PartEvent> moved) {
        boolean changed = false;
        boolean charged = bus.hasBattery() && bus.batteryCurrent()[0] > 0;
        boolean heard = line.isHeard(this, seconds);
        for (BatteryAtWork battery : batteries.all) {
            changed |= batteries.all.length > 1 && battery.settleEmpty();
            boolean couldCharge = battery.mayCharge();
            boolean couldDischarge = battery.mayDischarge();
            List<Fact> causes = battery.settle(seconds, battery.isAsleep() ? shownVolts() : 0, heard);
            if (causes != null) {
                List<Fact> facts = battery.changesFrom(couldCharge, couldDischarge);
                if (battery.count > 1) {
                    facts.add(0, Fact.of(Change.EACH_OF, battery.count));
                }
                facts.addAll(causes);
                moved.add(new PartEvent(Event.Kind.PATH, battery.id, facts));
                changed = true;
            }
        }
        if (changed) {
            takeRequests(seconds);
            if (charged && batteries.allRefuseCharge()) {
                moved.add(new PartEvent(Event.Kind.HAZARD, "", Fact.of(Change.BUS_WITHOUT_BATTERY, arraysReach())));
            }
        }
        return changed;
    }

    /** The voltage that a charger can show a sleeping battery (V), 0 for none. */
    private double shownVolts() {
        double shown = 0;
        for (ControllerAtWork controller : controllers) {
            boolean starts = controller.controller.startsWithoutBattery().orElse(false)
                    && !controller.regulator.isStopped()
                    && controller.arrayWatts(now) > 0;
            shown = Math.max(shown, starts || busIsHeld() ? controller.regulator.regulationVolts() : 0);
        }
        if (acCharger != null && ac.side.sourceAtHand() >= 0 && ac.side.offerWatts() > 0) {
            shown = Math.max(shown, acCharger.regulationVolts());
        }
        return shown;
    }

    /** Whether another battery gives the bus its voltage. */
    private boolean busIsHeld() {
        return !floating && bus.hasBattery();
    }

    /** Whether the AC side goes by the true state of charge, and not by a monitor's report. */
    boolean acGoesByTrueCharge() {
        return ac != null && monitors.length == 0;
    }

    private double reportedCharge() {
        return monitors.length > 0 ? monitors[0].counter.reported() : batteries.charge();
    }

    private double inverterVolts() {
        return floating ? 0 : bus.farVolts(branches.inverter)[0];
    }

    double busVolts() {
        return floating ? 0 : bus.busVolts()[0];
    }

    /** Voltage where the batteries join (V); their own when nothing connects them. */
    double batteryVolts() {
        return floating ? batteries.all[0].branch.circuit().electromotiveForce()[0] : bus.batteryVolts()[0];
    }

    /** Whether a battery that has to give has nothing left. */
    boolean isEmpty() {
        if (floating || bus.batteryCurrent()[0] >= 0) {
            return false;
        }
        return !batteries.someGives();
    }

    /** Takes a step (s) into every part's state; energies must have been counted before. */
    void advance(double step, double lostJoules) {
        for (ControllerAtWork controller : controllers) {
            controller.advance(bus, step);
        }
        for (int i = 0; i < heatsByVoltageCount; i++) {
            int load = heatsByVoltage[i];
            tanks[loads[load].tank].correct(mainLoadJoules(load, step) - loads[load].watts() * step);
        }
        for (MonitorAtWork monitor : monitors) {
            monitor.advance(bus, step);
        }
        for (FuseAtWork fuse : fuses) {
            fuse.advance(step);
        }
        thermal.heat(lostJoules);
        bus.advance(step);
    }

    /** Voltage at a controller's own terminals now (V). */
    double controllerVolts(int controller) {
        return bus.farVolts(Branches.FIRST_CONTROLLER + controller)[0];
    }

    /** Energy a controller gave over a step (J). */
    double controllerJoules(int controller, double step) {
        return bus.branchJoules(Branches.FIRST_CONTROLLER + controller, step);
    }

    /** Energy all sources of given current and direct-current generators brought over a step (J). */
    double sourceJoules(double step) {
        double sum = 0;
        for (int i = branches.firstSource; i < branches.firstLoad; i++) {
            sum += bus.branchJoules(i, step);
        }
        return sum;
    }

    /** Energy a load of resistance or constant current took at its terminals over a step (J). */
    double mainLoadJoules(int load, double step) {
        return -bus.branchJoules(branches.firstLoad + load, step);
    }

    /** Power lost in the cable of a load on a held voltage now (W). */
    double heldCableWatts(int load) {
        LoadAtWork one = loads[load];
        if (one.feed == Feeds.MAIN || loadOhms[load] == 0 || one.watts() == 0 || !isServed(load)) {
            return 0;
        }
        double volts = one.feed >= feeds.ac()
                ? ac.side.inverter().acVolts()
                : site.converters().get(one.feed - 1).outputVolts();
        return volts * CableDrop.amperes(one.watts(), volts, loadOhms[load]) - one.watts();
    }

    /** Changes whenever what loads draw may have changed. */
    int loadVersion() {
        return loadVersion;
    }

    /** How the AC side stands, in the bits of a {@link TraceRecorder}; none where there is none. */
    int acStanding() {
        return ac == null ? 0 : ac.standing();
    }

    double acLoadWatts() {
        return ac != null && ac.side.isAlive() ? ac.conditions.watts() : 0;
    }

    /** Energy the charger of the AC side gave over a step (J). */
    double chargerJoules(double step) {
        return acCharger == null ? 0 : bus.branchJoules(branches.charger, step);
    }

    double idleWatts() {
        return dead || floating ? 0 : idleWatts;
    }

    double coilWatts() {
        return dead || floating ? 0 : coilWatts;
    }

    double heaterWatts() {
        return dead || floating ? 0 : thermal.heaterWatts();
    }

    double inverterDrawWatts() {
        return ac == null || dead || floating ? 0 : ac.side.drawWatts();
    }

    private double chargerWatts() {
        return acCharger == null || floating ? 0 : chargerAmperes() * chargerVolts();
    }

    /** What comes from other sources than the arrays (W): given currents, direct-current generators, the charger on AC. */
    double otherSourceWatts() {
        double brought = chargerWatts();
        for (int branch = branches.firstSource; branch < branches.firstLoad; branch++) {
            brought += bus.current(branch)[0] * bus.farVolts(branch)[0];
        }
        return brought;
    }

    /** The instant it stands at (s). */
    double now() {
        return now;
    }

    double chargerVolts() {
        return bus.farVolts(branches.charger)[0];
    }

    double chargerAmperes() {
        return bus.current(branches.charger)[0];
    }

    boolean isDead() {
        return dead;
    }

    /** Opens or closes the line from a controller's arrays. */
    void connectArray(ControllerAtWork controller, boolean closed) {
        controller.connectArray(closed, now);
    }

    /** Opens or closes the line from a controller to the battery; opened under a live array that is a hazard. */
    void connectController(ControllerAtWork controller, boolean closed) {
        boolean live = !controller.isArrayOpen() && controller.arrayWatts(now) > 0;
        if (!closed && live && controller.regulator.isEnabled()) {
            noted.add(new PartEvent(
                    Event.Kind.HAZARD, controller.controller.id(), Fact.of(Change.LIVE_ARRAY_CUT_OFF, arraysReach())));
        }
        controller.regulator.enable(closed);
    }

    /** How high the arrays could drive a bus without a battery, in words; nothing where their voltages are not told. */
    private String arraysReach() {
        double highest = 0;
        for (var array : site.arrays()) {
            highest = Math.max(
                    highest,
                    array.string()
                            .map(SolarArray.ModuleString::openCircuitVolts)
                            .orElse(0.0));
        }
        return highest == 0 ? "" : String.format(java.util.Locale.ROOT, "; its array can reach %.0f V", highest);
    }

    /** Whether something is out of order: loads lost, a path or fuse open, a generator that gave up. */
    boolean hasFault() {
        boolean fault = dead || floating || mainOpen || batteries.hasOpenPath();
        for (boolean open : blown) {
            fault |= open;
        }
        if (ac != null) {
            for (EngineGenerator generator : ac.sources.generators) {
                fault |= generator.state() == EngineGenerator.State.FAILED;
            }
        }
        return fault;
    }

    /** Whether no battery gives the bus a voltage. */
    boolean isFloating() {
        return floating;
    }

    void setDead(boolean nothingIsFed) {
        dead = nothingIsFed;
        loadsChanged = true;
    }

    /** The loads' ids, in the site's order. */
    List<String> loadIds() {
        return loadIds;
    }
}
