package sparen.handover;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
 * @param cuts what goes dead: by state of charge first, then by volts, the first to go first
 * @param lastToGo names of critical loads that no level takes off: they go only with the battery
 */
public record CabinetCard(String battery, double nominalVolts, List<Cut> cuts, List<String> lastToGo) {
    private static final double PERCENT = 100;

    /**
     * Something that goes dead.
     *
     * @param by what takes it off: output or inverter
     * @param what names of what goes dead
     * @param at where, in unit
     * @param unit V or %
     * @param back where it comes back by itself; absent where it does not
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
            Optional<Lockout.Release> release) {}

    /** The card of a plan, as its devices hold it. */
    public static CabinetCard of(Plan wanted) {
        PlanFacts facts = new PlanFacts(wanted, Map.of());
        Plan plan = facts.plan();
        Site site = plan.site();
        List<Cut> cuts = new ArrayList<>(facts.levels(Role.DISCONNECT, Role.CUT_OFF, Role.SHED, Role.DISCONNECT_SOC)
                .filter(level -> level.output().mode() != Mode.OFF && isLoad(site, level.output()))
                .map(level -> cut(facts, level))
                .toList());
        site.inverter().ifPresent(inverter -> cuts.addAll(cuts(plan, inverter)));
        cuts.sort(Comparator.comparing(Cut::unit)
                .thenComparing(Comparator.comparing(Cut::at).reversed()));
        List<String> taken = cuts.stream().flatMap(cut -> cut.what().stream()).toList();
        return new CabinetCard(
                site.battery().name(),
                site.nominalVolts(),
                List.copyOf(cuts),
                site.loads().stream()
                        .filter(Load::critical)
                        .map(Load::name)
                        .filter(name -> !taken.contains(name))
                        .toList());
    }

    private static Cut cut(PlanFacts facts, LevelOfOutput level) {
        Output output = level.output();
        Optional<Lockout> lockout = level.slot().equals("protection") ? output.lockout() : Optional.empty();
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
        List<String> fed = fed(plan.site(), inverter.id());
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

    private static boolean isLoad(Site site, Output output) {
        return !behind(site, output).isEmpty();
    }

    /** Names of the loads that go dead with an output's contact: what it switches, and what is fed by what it switches. */
    private static List<String> behind(Site site, Output output) {
        boolean isChargerAlone = output.side().equals(Optional.of(Output.Side.CHARGE));
        return site.loads().stream()
                .filter(load -> output.loads().contains(load.id())
                        || !isChargerAlone
                                && load.feed().filter(output.loads()::contains).isPresent())
                .map(Load::name)
                .toList();
    }

    private static List<String> fed(Site site, String supply) {
        return site.loads().stream()
                .filter(load -> load.feed().equals(Optional.of(supply)))
                .map(Load::name)
                .toList();
    }
}
