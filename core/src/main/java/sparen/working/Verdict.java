package sparen.working;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.quantity.Standard;
import sparen.result.Event;
import sparen.result.GeneratorFigures;
import sparen.result.Ledger;
import sparen.result.OutputFigures;
import sparen.result.RunResult;
import sparen.site.Load;
import sparen.site.Load.Use;

/** What a run shows in a few sentences, as one technician tells another: what was cut, what ran out, what was thrown away. */
public final class Verdict {
    /** A cut of more outputs than this is told as a count. */
    private static final int MOST_CUTS = 3;
    /** Energy that a load lacked is told from so much of what it wanted on (fraction), and from so many joules. */
    private static final double LEAST_LACK = 0.001;

    private static final double LEAST_LACK_JOULES = Standard.HOUR;
    /** Sun is told as thrown away from so much of it on (fraction). */
    private static final double LEAST_THROWN_AWAY = 0.005;

    private final Plan plan;
    private final RunResult run;
    private final List<Statement> sentences = new ArrayList<>();

    private Verdict(Plan plan, RunResult run) {
        this.plan = plan;
        this.run = run;
    }

    /**
     * One of them, without its full stop.
     *
     * @param says in words
     * @param grave whether something that must not fail did: a critical load, the battery, a contact that chatters
     * @param sinceSeconds when it began, where it began at an instant (s since the start of the run)
     */
    public record Statement(String says, boolean grave, Optional<Double> sinceSeconds) {}

    private record Cut(String name, boolean critical, OutputFigures figures) {}

    /** The sentences, the gravest first; never none. */
    public static List<Statement> of(Plan plan, RunResult run) {
        return List.copyOf(new Verdict(plan, run).tell());
    }

    private List<Statement> tell() {
        run.outputs().stream()
                .filter(OutputFigures::chattered)
                .forEach(one -> say(outputOf(one.output()).name() + " chatters", true, Optional.empty()));
        ranOut();
        cuts();
        lacks();
        if (sentences.isEmpty()) {
            say("Every load was served", false, Optional.empty());
        }
        thrownAway();
        run.generators().stream().filter(one -> one.runSeconds() > 0).forEach(this::generator);
        RunResult.Lowest lowest = run.lowestStateOfCharge();
        say("Lowest charge " + percent(lowest.value()), false, Optional.of(lowest.seconds()));
        return sentences;
    }

    private void say(String says, boolean grave, Optional<Double> since) {
        sentences.add(new Statement(says, grave, since));
    }

    private void ranOut() {
        List<Event> empty = run.events().stream()
                .filter(event -> event.kind() == Event.Kind.EMPTY || event.kind() == Event.Kind.COLLAPSE)
                .toList();
        if (!empty.isEmpty()) {
            say(
                    "Battery could carry nothing " + times(empty.size()),
                    true,
                    Optional.of(empty.get(0).seconds()));
        }
    }

    private void cuts() {
        List<Cut> cuts = run.outputs().stream()
                .filter(one -> one.cuts() > 0)
                .flatMap(one -> cut(one).stream())
                .sorted(Comparator.comparing(Cut::critical)
                        .thenComparing(one -> one.figures().cutSeconds())
                        .reversed())
                .toList();
        for (Cut cut : cuts.subList(0, Math.min(MOST_CUTS, cuts.size()))) {
            OutputFigures figures = cut.figures();
            say(
                    cut.name() + " cut " + times(figures.cuts()) + ", " + duration(figures.cutSeconds()),
                    cut.critical(),
                    figures.firstCutSeconds());
        }
        if (cuts.size() > MOST_CUTS) {
            List<Cut> rest = cuts.subList(MOST_CUTS, cuts.size());
            String outputs = rest.size() == 1 ? " more output cut" : " more outputs cut";
            say(rest.size() + outputs, rest.stream().anyMatch(Cut::critical), Optional.empty());
        }
    }

    /** A cut of something that is wanted for itself; what only takes surplus is not missed. */
    private Optional<Cut> cut(OutputFigures figures) {
        Output output = outputOf(figures.output());
        List<Load> loads = plan.site().loads().stream()
                .filter(load -> output.loads().contains(load.id()) && isWanted(load))
                .toList();
        return loads.isEmpty()
                ? Optional.empty()
                : Optional.of(new Cut(
                        loads.size() == 1 ? loads.get(0).name() : output.name(),
                        loads.stream().anyMatch(Load::critical),
                        figures));
    }

    /** What lacked energy though no contact of its own was cut: behind an inverter that stopped, or an empty battery. */
    private void lacks() {
        Set<String> cut = run.outputs().stream()
                .filter(one -> one.cuts() > 0)
                .flatMap(one -> outputOf(one.output()).loads().stream())
                .collect(Collectors.toSet());
        Map<String, Double> lacked = run.ledger().unservedJoules();
        for (Load load : plan.site().loads()) {
            double joules = lacked.getOrDefault(load.id(), 0.0);
            double wanted = joules + run.ledger().servedJoules().getOrDefault(load.id(), 0.0);
            if (!cut.contains(load.id()) && joules >= Math.max(LEAST_LACK_JOULES, LEAST_LACK * wanted)) {
                say(load.name() + " lacked " + energy(joules), load.critical(), Optional.empty());
            }
        }
    }

    private void thrownAway() {
        Ledger ledger = run.ledger();
        double sun = ledger.arrayJoules() + ledger.acArrayJoules();
        double thrownAway = ledger.curtailedJoules() + ledger.clippedJoules();
        if (sun > 0) {
            boolean told = thrownAway >= LEAST_THROWN_AWAY * sun;
            say(told ? energy(thrownAway) + " of sun thrown away" : "No sun thrown away", false, Optional.empty());
        }
    }

    private void generator(GeneratorFigures figures) {
        String name = plan.site().acSources().stream()
                .filter(one -> one.id().equals(figures.generator()))
                .findFirst()
                .orElseThrow()
                .name();
        say(
                name + " ran " + duration(figures.runSeconds()) + ", "
                        + String.format(Locale.ROOT, figures.litres() < 10 ? "%.1f l" : "%.0f l", figures.litres()),
                false,
                Optional.empty());
    }

    private Output outputOf(String id) {
        return plan.program().outputs().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static boolean isWanted(Load load) {
        return load.use().orElse(Use.SERVICE) != Use.DIVERSION;
    }

    private static String times(int count) {
        return switch (count) {
            case 1 -> "once";
            case 2 -> "twice";
            default -> count + " times";
        };
    }

    /** Two units at most: 7 d 5 h, 5 h 12 min, 12 min; under a minute seconds. */
    private static String duration(double seconds) {
        if (seconds < 60) {
            return Math.max(1, Math.round(seconds)) + " s";
        }
        long minutes = Math.round(seconds / 60);
        if (minutes < 60) {
            return minutes + " min";
        }
        long hours = Math.round(seconds / Standard.HOUR);
        if (hours < 24) {
            return minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
        }
        return hours / 24 + " d" + (hours % 24 == 0 ? "" : " " + hours % 24 + " h");
    }

    private static String energy(double joules) {
        double wattHours = joules / Standard.HOUR;
        if (wattHours < 1000) {
            return Math.round(wattHours) + " Wh";
        }
        return String.format(Locale.ROOT, wattHours < 10_000 ? "%.1f kWh" : "%.0f kWh", wattHours / 1000);
    }

    private static String percent(double share) {
        return Math.round(100 * share) + " %";
    }
}
