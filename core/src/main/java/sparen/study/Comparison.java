package sparen.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.quantity.Standard;
import sparen.result.BatteryFigures;
import sparen.result.FeederFigures;
import sparen.result.GeneratorFigures;
import sparen.result.Ledger;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.revision.Changes;
import sparen.site.Load;

/**
 * Two runs side by side: what changed, what it did.
 *
 * @param changed differences of the two plans in sentences, as revisions tell them; empty for the same plan
 * @param figures all that both have, in a stated order
 * @param did sentences about the figures that differ much, the most telling first
 */
public record Comparison(List<String> changed, List<Figure> figures, List<String> did) {
    /**
     * One figure of both runs.
     *
     * @param what it is, in words
     * @param unit as shown
     * @param before in the first run
     * @param after in the second
     * @param tellFrom from what difference on it is worth a sentence, in its unit; judgement, no source
     * @param wanted which of two is the better one, common practice, no source
     */
    public record Figure(String what, String unit, double before, double after, double tellFrom, Wanted wanted) {
        private static final double LARGE_WATT_HOURS = 10_000;

        boolean tells() {
            return Math.abs(after - before) >= tellFrom;
        }

        String sentence() {
            return what + " " + shown(after) + " instead of " + shown(before) + ".";
        }

        /** Energies from ten kilowatt-hours on are told in these, both alike. */
        private boolean isLarge() {
            return unit.equals("Wh") && Math.max(Math.abs(before), Math.abs(after)) >= LARGE_WATT_HOURS;
        }

        private String shown(double value) {
            if (isLarge()) {
                return String.format(Locale.ROOT, "%.1f kWh", value / 1000);
            }
            int digits = Math.abs(value) >= 100 || unit.isEmpty() ? 0 : unit.equals("V") ? 2 : 1;
            return String.format(Locale.ROOT, "%." + digits + "f", value) + (unit.isEmpty() ? "" : " " + unit);
        }
    }

    /** Of which of two figures somebody is glad. */
    public enum Wanted {
        /** The higher one. */
        MORE,
        /** The lower one. */
        LESS,
        /** It depends. */
        EITHER
    }

    /**
     * What is compared of one run: little enough to be kept and to come from another machine.
     *
     * @param lowestStateOfCharge and when it was (fraction, s)
     * @param lowestBatteryVolts and when it was (V, s)
     */
    public record Side(
            RunResult.Lowest lowestStateOfCharge,
            RunResult.Lowest lowestBatteryVolts,
            Ledger ledger,
            List<OutputFigures> outputs,
            BatteryFigures battery,
            List<GeneratorFigures> generators,
            List<FeederFigures> feeders) {
        /** That of a run. */
        public static Side of(RunResult run) {
            return new Side(
                    run.lowestStateOfCharge(),
                    run.lowestBatteryVolts(),
                    run.ledger(),
                    run.outputsInShort(),
                    run.battery(),
                    run.generators(),
                    run.feeders());
        }
    }

    /** Compares two runs. */
    public static Comparison of(Plan before, Side first, Plan after, Side second) {
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "Lowest state of charge",
                "%",
                first.lowestStateOfCharge().value() * 100,
                second.lowestStateOfCharge().value() * 100,
                1,
                Wanted.MORE));
        figures.add(new Figure(
                "Lowest battery voltage",
                "V",
                first.lowestBatteryVolts().value(),
                second.lowestBatteryVolts().value(),
                0.05,
                Wanted.MORE));
        addUnserved(figures, after, first.ledger(), second.ledger());
        addEnergies(figures, first.ledger(), second.ledger());
        addBands(figures, first, second);
        addGenerators(figures, first, second);
        addOutputs(figures, before, first, after, second);
        figures.add(new Figure(
                "Full cycles of the battery",
                "",
                first.battery().equivalentFullCycles(),
                second.battery().equivalentFullCycles(),
                1,
                Wanted.LESS));
        figures.add(new Figure(
                "Hours below 50 % of charge",
                "h",
                first.battery().secondsBelow50() / Standard.HOUR,
                second.battery().secondsBelow50() / Standard.HOUR,
                1,
                Wanted.LESS));
        return new Comparison(
                Changes.between(before, after).stream()
                        .map(Changes.Change::says)
                        .toList(),
                List.copyOf(figures),
                figures.stream().filter(Figure::tells).map(Figure::sentence).toList());
    }

    private static void addUnserved(List<Figure> figures, Plan plan, Ledger first, Ledger second) {
        for (Load load : plan.site().loads()) {
            if (first.unservedJoules().containsKey(load.id())
                    && second.unservedJoules().containsKey(load.id())) {
                figures.add(new Figure(
                        load.name() + " unserved",
                        "Wh",
                        first.unservedJoules().get(load.id()) / Standard.WATT_HOUR,
                        second.unservedJoules().get(load.id()) / Standard.WATT_HOUR,
                        1,
                        Wanted.LESS));
            }
        }
    }

    private static void addEnergies(List<Figure> figures, Ledger first, Ledger second) {
        figures.add(energy("Diverted", Wanted.MORE, first.totalDivertedJoules(), second.totalDivertedJoules()));
        figures.add(energy("Thrown away", Wanted.LESS, thrownAway(first), thrownAway(second)));
        figures.add(energy("Taken from a feeder", Wanted.LESS, first.importJoules(), second.importJoules()));
        figures.add(energy("Given back to a feeder", Wanted.EITHER, first.exportJoules(), second.exportJoules()));
        figures.add(new Figure("Cost", "", first.cost(), second.cost(), 1, Wanted.LESS));
    }

    private static Figure energy(String what, Wanted wanted, double beforeJoules, double afterJoules) {
        return new Figure(what, "Wh", beforeJoules / Standard.WATT_HOUR, afterJoules / Standard.WATT_HOUR, 10, wanted);
    }

    /** What each price band cost in both, where both have the same bands. */
    private static void addBands(List<Figure> figures, Side first, Side second) {
        for (FeederFigures before : first.feeders()) {
            second.feeders().stream()
                    .filter(after -> after.feeder().equals(before.feeder()))
                    .flatMap(after -> after.bands().stream())
                    .forEach(now -> before.bands().stream()
                            .filter(then -> then.hours().equals(now.hours()))
                            .limit(1)
                            .forEach(then -> figures.add(
                                    new Figure("Cost, " + now.hours(), "", then.cost(), now.cost(), 1, Wanted.LESS))));
        }
    }

    private static double thrownAway(Ledger ledger) {
        return ledger.curtailedJoules() + ledger.clippedJoules();
    }

    private static void addGenerators(List<Figure> figures, Side first, Side second) {
        if (first.generators().isEmpty() && second.generators().isEmpty()) {
            return;
        }
        figures.add(new Figure("Generator hours", "h", hours(first), hours(second), 0.5, Wanted.LESS));
        figures.add(new Figure("Generator starts", "", starts(first), starts(second), 1, Wanted.LESS));
        figures.add(new Figure("Fuel", "l", litres(first), litres(second), 0.5, Wanted.LESS));
    }

    private static double hours(Side run) {
        return run.generators().stream()
                        .mapToDouble(GeneratorFigures::runSeconds)
                        .sum()
                / Standard.HOUR;
    }

    private static double starts(Side run) {
        return run.generators().stream().mapToInt(GeneratorFigures::starts).sum();
    }

    private static double litres(Side run) {
        return run.generators().stream().mapToDouble(GeneratorFigures::litres).sum();
    }

    private static void addOutputs(List<Figure> figures, Plan before, Side first, Plan after, Side second) {
        Map<String, OutputFigures> then =
                first.outputs().stream().collect(Collectors.toMap(OutputFigures::output, one -> one));
        Map<String, String> names =
                before.program().outputs().stream().collect(Collectors.toMap(Output::id, Output::name));
        after.program().outputs().forEach(output -> names.put(output.id(), output.name()));
        for (OutputFigures now : second.outputs()) {
            OutputFigures was = then.get(now.output());
            if (was != null) {
                String name = names.get(now.output());
                figures.add(new Figure(
                        name + ", cut while needed",
                        "h",
                        was.cutSeconds() / Standard.HOUR,
                        now.cutSeconds() / Standard.HOUR,
                        0.5,
                        Wanted.LESS));
                figures.add(
                        new Figure(name + ", switchings", "", was.switchings(), now.switchings(), 1, Wanted.EITHER));
            }
        }
    }
}
