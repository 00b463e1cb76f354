package sparen.handover;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.examined.PlanFacts.LevelOfOutput;
import sparen.program.Level.Role;
import sparen.program.Lockout;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.site.Inverter;
import sparen.site.Load;
import sparen.site.Site;

/**
 * What hangs on the cabinet for who lives with the site: what goes dead at which number, and what comes back by itself.
 *
 * @param battery what it is called
 * @param nominalVolts of the bank (V)
 * @param cuts what goes dead: by state of charge first, then by volts, the first to go first; what is dead already is not told again
 * @param returns what comes back by itself, the first to come first: what several things took off waits for the last of them
 * @param lastToGo names of critical loads that no level takes off: they go only with the battery
 */
public record CabinetCard(
        String battery, double nominalVolts, List<Cut> cuts, List<Return> returns, List<String> lastToGo) {
    private static final double PERCENT = 100;

    private static final String PROTECTION = "protection";

    /**
     * Something that goes dead.
     *
     * @param by what takes it off: output or inverter
     * @param what names of what goes dead
     * @param at where, in unit
     * @param unit V or %
     * @param back where this lets it come back; absent where it does not
     * @param trips after so many openings within a time it stays off; absent where it does not
     * @param release what lets it come back then; absent where it does not stay off
     */
    public record Cut(
            String by,
            List<String> what,
            double at,
            String unit,
            Optional<Double> back,
            Optional<Integer> trips,
            Optional<Lockout.Release> release) {
        private Cut taking(List<String> others) {
            return new Cut(by, others, at, unit, back, trips, release);
        }
    }

    /**
     * Something that comes back.
     *
     * @param what names of what does
     * @param at where, in unit
     * @param unit V or %
     */
    public record Return(List<String> what, double at, String unit) {}

    /** The card of a plan, as its devices hold it. */
    public static CabinetCard of(Plan wanted) {
        PlanFacts facts = new PlanFacts(wanted, Map.of());
        Plan plan = facts.plan();
        Site site = plan.site();
        List<Cut> cuts = new ArrayList<>(facts.levels(Role.DISCONNECT, Role.CUT_OFF, Role.SHED, Role.DISCONNECT_SOC)
                .filter(CabinetCard::acts)
                .map(level -> cut(facts, level))
                .toList());
        site.inverter().ifPresent(inverter -> cuts.addAll(cuts(plan, inverter)));
        cuts.sort(Comparator.comparing(Cut::unit)
                .thenComparing(Comparator.comparing(Cut::at).reversed()));
        // By their ids until the end, for two may have the same name.
        Map<String, String> names = site.loads().stream().collect(Collectors.toMap(Load::id, Load::name));
        Set<String> surplus = surplus(facts);
        Set<String> taken = cuts.stream().flatMap(cut -> cut.what().stream()).collect(Collectors.toSet());
        return new CabinetCard(
                site.battery().name(),
                site.nominalVolts(),
                eachOnce(cuts, surplus).stream()
                        .map(cut -> cut.taking(named(names, cut.what())))
                        .toList(),
                returns(cuts, surplus).stream()
                        .map(one -> new Return(named(names, one.what()), one.at(), one.unit()))
                        .toList(),
                site.loads().stream()
                        .filter(load -> load.critical() && !taken.contains(load.id()))
                        .map(Load::name)
                        .toList());
    }

    private static List<String> named(Map<String, String> names, List<String> ids) {
        return ids.stream().map(names::get).toList();
    }

    /** Whether a level acts as its output stands: protection always, a rule where the output goes by it, nothing where it is off. */
    private static boolean acts(LevelOfOutput level) {
        Mode mode = level.output().mode();
        return mode == Mode.BY_RULE || mode != Mode.OFF && level.slot().equals(PROTECTION);
    }

    /** What only takes surplus: nobody waits for it. */
    private static Set<String> surplus(PlanFacts facts) {
        return facts.levels(Role.SURPLUS_ON, Role.SURPLUS_ON_SOC)
                .filter(CabinetCard::acts)
                .flatMap(level -> behind(facts.plan().site(), level.output()).stream())
                .collect(Collectors.toSet());
    }

    /** Without what went by the same scale before; what then takes nothing off is left out. */
    private static List<Cut> eachOnce(List<Cut> cuts, Set<String> surplus) {
        Set<String> gone = new HashSet<>();
        return cuts.stream()
                .map(cut -> cut.taking(cut.what().stream()
                        .filter(load -> !surplus.contains(load) && gone.add(cut.unit() + load))
                        .toList()))
                .filter(cut -> !cut.what().isEmpty())
                .toList();
    }

    private static List<Return> returns(List<Cut> cuts, Set<String> surplus) {
        record Where(String unit, double at) {}
        Map<Where, List<String>> together =
                new TreeMap<>(Comparator.comparing(Where::unit).thenComparing(Where::at));
        cuts.stream().flatMap(cut -> cut.what().stream()).distinct().forEach(load -> {
            List<Cut> off =
                    cuts.stream().filter(cut -> cut.what().contains(load)).toList();
            boolean isBack = off.stream().allMatch(cut -> cut.back().isPresent());
            if (isBack && !surplus.contains(load)) {
                off.stream().map(Cut::unit).distinct().forEach(unit -> {
                    double last = off.stream()
                            .filter(cut -> cut.unit().equals(unit))
                            .mapToDouble(cut -> cut.back().orElseThrow())
                            .max()
                            .orElseThrow();
                    together.computeIfAbsent(new Where(unit, last), where -> new ArrayList<>())
                            .add(load);
                });
            }
        });
        return together.entrySet().stream()
                .map(one -> new Return(
                        List.copyOf(one.getValue()),
                        one.getKey().at(),
                        one.getKey().unit()))
                .toList();
    }

    private static Cut cut(PlanFacts facts, LevelOfOutput level) {
        Output output = level.output();
        Optional<Lockout> lockout = level.slot().equals(PROTECTION) ? output.lockout() : Optional.empty();
        return new Cut(
                output.name(),
                behind(facts.plan().site(), output),
                level.value(),
                level.level().role().percent() ? "%" : "V",
                facts.partner(level, Role.RECONNECT, Role.RECONNECT_SOC).map(LevelOfOutput::value),
                lockout.map(Lockout::trips),
                lockout.map(Lockout::release));
    }

    /** An inverter cuts by its own window, and by charge where it is told to; all that it feeds goes with it. */
    private static List<Cut> cuts(Plan plan, Inverter inverter) {
        List<String> fed = plan.site().loads().stream()
                .filter(load -> load.feed().equals(Optional.of(inverter.id())))
                .map(Load::id)
                .toList();
        Inverter.DcWindow window = inverter.window();
        Cut volts = new Cut(
                inverter.name(),
                fed,
                window.lowShutdownVolts(),
                "V",
                Optional.of(window.lowRestartVolts()),
                Optional.empty(),
                Optional.empty());
        Stream<Cut> charge = plan.program().ac().flatMap(ac -> ac.cutOff()).stream()
                .map(levels -> new Cut(
                        inverter.name(),
                        fed,
                        PERCENT * levels.cutOffStateOfCharge(),
                        "%",
                        Optional.of(PERCENT * levels.restartStateOfCharge()),
                        Optional.empty(),
                        Optional.empty()));
        return Stream.concat(Stream.of(volts), charge).toList();
    }

    /** Ids of the loads that go dead with an output's contact: what it switches, and what is fed by what it switches. */
    private static List<String> behind(Site site, Output output) {
        boolean isChargerAlone = output.side().equals(Optional.of(Output.Side.CHARGE));
        return site.loads().stream()
                .filter(load -> output.loads().contains(load.id())
                        || !isChargerAlone
                                && load.feed().filter(output.loads()::contains).isPresent())
                .map(Load::id)
                .toList();
    }
}
