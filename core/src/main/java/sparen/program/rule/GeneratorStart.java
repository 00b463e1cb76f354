package sparen.program.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.logic.Condition;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.logic.Way;
import sparen.program.ChargeStage;
import sparen.program.Level;
import sparen.program.Rule;
import sparen.program.Sentence;
import sparen.program.Surroundings;
import sparen.quantity.Bounds;
import sparen.site.DailySpan;

/**
 * Calls a generator by state of charge, by voltage, by load or for exercise, not in its quiet hours.
 *
 * @param monitor id of the monitor whose report decides
 * @param startPercent calls at or below (%), 0 to 100
 * @param startDelaySeconds for so long (s), 0 to 86,400
 * @param stopPercent lets it go at or above (%), 0 to 100
 * @param stopDelaySeconds for so long; also after quiet hours have begun (s), 0 to 86,400
 * @param minimumRunSeconds called so long at least (s), 0 to 86,400
 * @param quietFromHour quiet from this hour, local time (h), 0 to 24
 * @param quietToHour to this; the same hour for none (h), 0 to 24
 * @param quietMonths in which that holds, 1 to 12; none stands for all
 * @param byVoltage calls it by voltage as well
 * @param byLoad calls it by the load on the AC side as well
 * @param exercise calls it within this span as well, so that it does not stand too long
 * @param finishesEqualization whether it goes on while a charger equalizes; absent for no
 */
public record GeneratorStart(
        String monitor,
        double startPercent,
        double startDelaySeconds,
        double stopPercent,
        double stopDelaySeconds,
        double minimumRunSeconds,
        double quietFromHour,
        double quietToHour,
        List<Integer> quietMonths,
        Optional<StartVoltage> byVoltage,
        Optional<StartLoad> byLoad,
        Optional<DailySpan> exercise,
        Optional<Boolean> finishesEqualization)
        implements Rule {
    static final RuleKind KIND = new RuleKind(
            "generatorStart",
            GeneratorStart.class,
            Purpose.BRING_HELP,
            "generator start and stop",
            around -> Usual.byMonitor(
                    around, monitor -> new GeneratorStart(monitor, 30, 60, 80, 60, 1800, 22, 7, List.of())));

    /**
     * A start by voltage.
     *
     * @param sensePoint id of the point whose reading decides
     * @param startVolts calls at or below, whole bank (V), 0 to 1000
     * @param delaySeconds for so long (s), 0 to 86,400
     */
    public record StartVoltage(String sensePoint, double startVolts, double delaySeconds) {
        public StartVoltage {
            Bounds.id("sensePoint", sensePoint);
            Bounds.within("startVolts", startVolts, 0, 1000);
            Bounds.within("delaySeconds", delaySeconds, 0, 86_400);
        }
    }

    /**
     * A start by load.
     *
     * @param startWatts calls at or above on the AC side (W), 0 to 1,000,000
     * @param delaySeconds for so long (s), 0 to 86,400
     * @param stopWatts does not let it go above (W), 0 to 1,000,000
     */
    public record StartLoad(double startWatts, double delaySeconds, double stopWatts) {
        public StartLoad {
            Bounds.within("startWatts", startWatts, 0, 1_000_000);
            Bounds.within("delaySeconds", delaySeconds, 0, 86_400);
            Bounds.within("stopWatts", stopWatts, 0, 1_000_000);
        }
    }

    public GeneratorStart {
        Bounds.id("monitor", monitor);
        Bounds.within("startPercent", startPercent, 0, 100);
        Bounds.within("startDelaySeconds", startDelaySeconds, 0, 86_400);
        Bounds.within("stopPercent", stopPercent, 0, 100);
        Bounds.within("stopDelaySeconds", stopDelaySeconds, 0, 86_400);
        Bounds.within("minimumRunSeconds", minimumRunSeconds, 0, 86_400);
        Bounds.within("quietFromHour", quietFromHour, 0, 24);
        Bounds.within("quietToHour", quietToHour, 0, 24);
        quietMonths = Bounds.list("quietMonths", Bounds.orNone(quietMonths), 0, 12);
        for (int month : quietMonths) {
            Bounds.within("quietMonths", month, 1, 12);
        }
        byVoltage = Bounds.orEmpty(byVoltage);
        byLoad = Bounds.orEmpty(byLoad);
        exercise = Bounds.orEmpty(exercise);
        finishesEqualization = Bounds.orEmpty(finishesEqualization);
    }

    /** One that is called by state of charge alone. */
    public GeneratorStart(
            String monitor,
            double startPercent,
            double startDelaySeconds,
            double stopPercent,
            double stopDelaySeconds,
            double minimumRunSeconds,
            double quietFromHour,
            double quietToHour,
            List<Integer> quietMonths) {
        this(
                monitor,
                startPercent,
                startDelaySeconds,
                stopPercent,
                stopDelaySeconds,
                minimumRunSeconds,
                quietFromHour,
                quietToHour,
                quietMonths,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Its quiet hours, none where they are empty. */
    public Optional<DailySpan> quietHours() {
        return quietFromHour == quietToHour
                ? Optional.empty()
                : Optional.of(new DailySpan(quietFromHour, quietToHour, List.of(), quietMonths));
    }

    @Override
    public SwitchLogic compile(Surroundings around) {
        Condition quiet =
                quietHours().map(span -> RuleConditions.within(around, span)).orElse(new Condition.AnyOf(List.of()));
        Condition loud = RuleConditions.not(quiet);
        List<Way> starts = new ArrayList<>();
        starts.add(RuleConditions.report(around, monitor, false, "", startPercent, startDelaySeconds)
                .andOnlyIf(loud, ""));
        byVoltage.ifPresent(by -> starts.add(
                RuleConditions.below(around, by.sensePoint(), "generator start", by.startVolts(), by.delaySeconds())
                        .andOnlyIf(loud, "")));
        byLoad.ifPresent(by -> starts.add(
                RuleConditions.signal(Signal.AC_LOAD_WATTS, "AC load", true, by.startWatts(), "W", by.delaySeconds())
                        .andOnlyIf(loud, "")));
        exercise.ifPresent(span -> starts.add(
                Way.when(RuleConditions.within(around, span), 0, "exercise run").andOnlyIf(loud, "")));
        Way full = RuleConditions.report(around, monitor, true, "", stopPercent, stopDelaySeconds);
        return SwitchLogic.startsOff(
                        starts,
                        List.of(
                                full.andOnlyIf(RuleConditions.not(mustGoOn(around)), ""),
                                Way.when(
                                        quiet,
                                        stopDelaySeconds,
                                        "quiet hours from " + Bounds.number(quietFromHour) + " h")))
                .onAtLeast(minimumRunSeconds);
    }

    /** What keeps it running though the battery is full: load, exercise, a charger that equalizes. */
    private Condition mustGoOn(Surroundings around) {
        List<Condition> reasons = new ArrayList<>();
        byLoad.ifPresent(
                by -> reasons.add(RuleConditions.not(new Condition.AtOrBelow(Signal.AC_LOAD_WATTS, by.stopWatts()))));
        exercise.ifPresent(span -> reasons.add(RuleConditions.within(around, span)));
        if (finishesEqualization.orElse(false)) {
            around.site()
                    .chargers()
                    .forEach(charger ->
                            reasons.add(RuleConditions.inStage(around.stage(charger), ChargeStage.EQUALIZATION)));
        }
        return new Condition.AnyOf(reasons);
    }

    @Override
    public Sentence sentence(Surroundings around) {
        Sentence said = Sentence.start("Calls the generator when ")
                .monitor("monitor", monitor, around.site())
                .then(" reports at or below ")
                .percent("startPercent", "start", startPercent)
                .then(" for ")
                .seconds("startDelaySeconds", "start delay", startDelaySeconds);
        if (byVoltage.isPresent()) {
            StartVoltage by = byVoltage.get();
            said = said.then(", when ")
                    .sensePoint("byVoltage.sensePoint", by.sensePoint(), around.site())
                    .then(" stays at or below ")
                    .volts("byVoltage.startVolts", "start voltage", by.startVolts())
                    .then(" for ")
                    .seconds("byVoltage.delaySeconds", "voltage delay", by.delaySeconds());
        }
        if (byLoad.isPresent()) {
            StartLoad by = byLoad.get();
            said = said.then(", when AC loads are at or above ")
                    .number("byLoad.startWatts", "start load", by.startWatts(), "W", 50, 500, 0, 1_000_000)
                    .then(" for ")
                    .seconds("byLoad.delaySeconds", "load delay", by.delaySeconds())
                    .then(" (kept above ")
                    .number("byLoad.stopWatts", "stop load", by.stopWatts(), "W", 50, 500, 0, 1_000_000)
                    .then(")");
        }
        if (exercise.isPresent()) {
            said = said.then(", for exercise from ").hours("exercise", exercise.get());
        }
        said = said.then(", lets it go at or above ")
                .percent("stopPercent", "stop", stopPercent)
                .then(" for ")
                .seconds("stopDelaySeconds", "stop delay", stopDelaySeconds)
                .then("; runs ")
                .seconds("minimumRunSeconds", "minimum run", minimumRunSeconds)
                .then(" at least; quiet from ")
                .hour("quietFromHour", "quiet from", quietFromHour, 0, 24)
                .then(" to ")
                .hour("quietToHour", "quiet to", quietToHour, 0, 24);
        return said.then(Sentence.months(quietMonths)
                + (finishesEqualization.orElse(false) ? "; finishes an equalization." : "."));
    }

    @Override
    public List<Level> levels() {
        return List.of(
                Level.percent("startPercent", "generator start", Level.Role.GENERATOR_START_SOC, startPercent),
                Level.percent("stopPercent", "generator stop", Level.Role.GENERATOR_STOP_SOC, stopPercent));
    }

    @Override
    public boolean goesByClock() {
        return quietHours().isPresent();
    }
}
