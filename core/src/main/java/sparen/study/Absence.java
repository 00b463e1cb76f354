package sparen.study;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.LongFunction;
import java.util.stream.LongStream;
import sparen.check.Checks;
import sparen.check.Severity;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.result.DayFigures;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.site.Load;

/**
 * From today to the next visit, in many possible weathers: how often each critical load is cut, and which one setting would help most.
 * Weathers are the seeded ones of the place; a chance here is a share of them, not a promise.
 */
public final class Absence {
    /** Below this much of what it wanted a load is not counted as cut (J): one watt-hour. */
    static final double CUT_JOULES = 3600;
    /** Settings are tried on so many of the weathers that cut, the worst first; the best then on all. */
    private static final int TRIED_ON = 8;
    /** A setting that helps by less than this (fraction) is not told; judgement, no source. */
    private static final double LEAST_GAIN = 0.01;
    /** So many weathers are drawn. */
    private static final int MOST_COURSES = 100;

    private final Question question;
    private final LongFunction<Scenario> scenarios;
    private final Progress progress;
    private final AtomicInteger done = new AtomicInteger();
    private volatile int toDo;

    private Absence(Question question, LongFunction<Scenario> scenarios, Progress progress) {
        this.question = question;
        this.scenarios = scenarios;
        this.progress = progress;
    }

    /**
     * What is asked.
     *
     * @param runs how many weathers, 4 to 400
     * @param weatherNumber of the first; the others count up from it
     * @param loadSpread how much consumption differs from one time to the other, standard deviation (fraction), 0 to 0.5
     */
    public record Question(int runs, long weatherNumber, double loadSpread) {
        public Question {
            Bounds.within("runs", runs, "runs", 4, 400);
            Bounds.within("weatherNumber", weatherNumber, 0, 1e15);
            Bounds.within("loadSpread", loadSpread, 0, 0.5);
        }
    }

    /**
     * One setting that was tried.
     *
     * @param says what is changed, in words
     * @param plan with the change, to be looked at and saved
     * @param cuts weathers with any critical load cut, with it
     * @param unservedJoules of critical loads, mean of all weathers (J)
     */
    public record Help(String says, Plan plan, int cuts, double unservedJoules) {}

    /**
     * What came of it.
     *
     * @param runs how many weathers
     * @param cuts in how many any critical load was cut
     * @param unservedJoules of critical loads, mean of all weathers (J)
     * @param chances one for each critical load
     * @param lowestCharges lowest state of charge of each weather, rising (fraction)
     * @param courses how each weather went, in the order they were tried; at most {@value #MOST_COURSES}
     * @param tried how many settings were tried
     * @param help the one that leaves fewest weathers with a cut; empty where nothing was cut or none of them has fewer
     */
    public record Answer(
            int runs,
            int cuts,
            double unservedJoules,
            List<Chance> chances,
            double[] lowestCharges,
            List<Course> courses,
            int tried,
            Optional<Help> help) {}

    /**
     * How one weather went.
     *
     * @param lowestByDay lowest state of charge of each day (fraction, to a thousandth)
     * @param cutOnDay on which of the days a critical load first lacked something, from 0; absent where none did
     */
    public record Course(double[] lowestByDay, Optional<Integer> cutOnDay) {}

    /**
     * What one weather brought.
     *
     * @param weatherNumber of the weather
     * @param unserved of each critical load, not served (J)
     * @param lowest state of charge (fraction)
     */
    public record Outcome(long weatherNumber, Map<String, Double> unserved, double lowest, Course course) {
        private double sum() {
            return unserved.values().stream().mapToDouble(Double::doubleValue).sum();
        }

        private boolean cut() {
            return unserved.values().stream().anyMatch(one -> one > CUT_JOULES);
        }
    }

    /**
     * Answers a question.
     *
     * @param scenarios the scenario of a weather number, from today to the visit
     * @throws Simulation.RunCancelled when progress says so
     */
    public static Answer of(Question question, LongFunction<Scenario> scenarios, Progress progress) {
        return of(question, outcomes(question, 0, question.runs(), scenarios, progress), scenarios, progress);
    }

    /**
     * What some of the weathers bring; each is by itself, so that others may be tried elsewhere.
     *
     * @param from the first of them, from 0
     * @param to the first that is no longer one of them, at most the question's
     * @throws Simulation.RunCancelled when progress says so
     */
    public static List<Outcome> outcomes(
            Question question, int from, int to, LongFunction<Scenario> scenarios, Progress progress) {
        Absence absence = new Absence(question, scenarios, progress);
        absence.toDo = to - from;
        return absence.outcomes(absence.plan(), absence.seeds(from, to));
    }

    /**
     * Answers a question whose weathers were tried: what is left is which setting helps most.
     *
     * @param base outcomes of all the question's weathers, in their order
     * @throws Simulation.RunCancelled when progress says so
     */
    public static Answer of(
            Question question, List<Outcome> base, LongFunction<Scenario> scenarios, Progress progress) {
        return new Absence(question, scenarios, progress).answer(base);
    }

    private Plan plan() {
        return scenarios.apply(question.weatherNumber()).plan();
    }

    private long[] seeds(int from, int to) {
        return LongStream.range(question.weatherNumber() + from, question.weatherNumber() + to)
                .toArray();
    }

    private Answer answer(List<Outcome> base) {
        Plan plan = plan();
        List<HelpfulSetting> settings = base.stream().anyMatch(Outcome::cut) ? HelpfulSetting.of(plan) : List.of();
        Optional<Help> help = best(plan, base, settings, seeds(0, question.runs()));
        return new Answer(
                question.runs(),
                cuts(base),
                mean(base),
                plan.site().loads().stream()
                        .filter(Load::critical)
                        .map(load -> Chance.of(load.id(), base))
                        .toList(),
                base.stream().mapToDouble(Outcome::lowest).sorted().toArray(),
                base.stream().limit(MOST_COURSES).map(Outcome::course).toList(),
                settings.size(),
                help);
    }

    private Optional<Help> best(Plan plan, List<Outcome> base, List<HelpfulSetting> settings, long[] all) {
        long[] worst = base.stream()
                .filter(Outcome::cut)
                .sorted(Comparator.comparingDouble(Outcome::sum).reversed())
                .limit(TRIED_ON)
                .mapToLong(Outcome::weatherNumber)
                .toArray();
        toDo = question.runs() + worst.length * settings.size();
        long dangers = dangers(plan);
        HelpfulSetting best = null;
        // Where none keeps one of the worst from being cut, what lessens the lack most may still save a milder one.
        int fewest = worst.length;
        double least = base.stream()
                .filter(one -> Arrays.stream(worst).anyMatch(weatherNumber -> weatherNumber == one.weatherNumber()))
                .mapToDouble(Outcome::sum)
                .sum();
        for (HelpfulSetting setting : settings) {
            if (dangers(setting.plan()) > dangers) {
                done.addAndGet(worst.length);
                continue;
            }
            List<Outcome> tried = outcomes(setting.plan(), worst);
            double sum = tried.stream().mapToDouble(Outcome::sum).sum();
            if (cuts(tried) < fewest || cuts(tried) == fewest && sum < least * (1 - LEAST_GAIN)) {
                fewest = cuts(tried);
                least = sum;
                best = setting;
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        List<Outcome> with = outcomes(best.plan(), all);
        return cuts(with) < cuts(base)
                ? Optional.of(new Help(best.says(), best.plan(), cuts(with), mean(with)))
                : Optional.empty();
    }

    private long dangers(Plan plan) {
        return Checks.of(plan, scenarios.apply(question.weatherNumber()).profiles()).stream()
                .filter(finding -> finding.severity() == Severity.DANGER)
                .count();
    }

    /** One after the other would do too: each is by itself, so the number of threads changes nothing. */
    private List<Outcome> outcomes(Plan plan, long[] seeds) {
        return Arrays.stream(seeds)
                .parallel()
                .mapToObj(weatherNumber -> outcome(plan, weatherNumber))
                .toList();
    }

    private Outcome outcome(Plan plan, long weatherNumber) {
        Scenario scenario = scenarios.apply(weatherNumber);
        double factor = Math.max(0.05, 1 + question.loadSpread() * new Random(weatherNumber * 31 + 7).nextGaussian());
        Circumstances spread = Circumstances.AS_TOLD.withLoadFactor(factor);
        Scenario one = new Scenario(
                spread.on(plan),
                scenario.start(),
                scenario.durationSeconds(),
                scenario.weather(),
                spread.on(plan, scenario.profiles()),
                weatherNumber,
                List.of());
        RunResult run = Simulation.run(
                one,
                new Window(0, 1, 1),
                Simulation.Settings.DEFAULT,
                (seconds, days) -> progress.stops(Math.min(1, (double) done.get() / toDo)));
        progress.goOn(Math.min(1, (double) done.incrementAndGet() / toDo));
        Map<String, Double> unserved = new LinkedHashMap<>();
        plan.site().loads().stream()
                .filter(Load::critical)
                .forEach(load ->
                        unserved.put(load.id(), run.ledger().unservedJoules().getOrDefault(load.id(), 0.0)));
        return new Outcome(
                weatherNumber, unserved, run.lowestStateOfCharge().value(), course(unserved.keySet(), run.days()));
    }

    private static Course course(Set<String> critical, List<DayFigures> days) {
        double[] lowest = days.stream()
                .mapToDouble(day -> Math.round(1000 * day.lowestStateOfCharge()) / 1000.0)
                .toArray();
        return new Course(lowest, firstCut(critical, days));
    }

    /** On which of some days, from 0, a critical load first lacked more than counts; empty where none did. */
    static Optional<Integer> firstCut(Set<String> critical, List<DayFigures> days) {
        Map<String, Double> lacked = new LinkedHashMap<>();
        for (int day = 0; day < days.size(); day++) {
            days.get(day).ledger().unservedJoules().forEach((load, joules) -> lacked.merge(load, joules, Double::sum));
            if (critical.stream().anyMatch(load -> lacked.getOrDefault(load, 0.0) > CUT_JOULES)) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }

    private static int cuts(List<Outcome> outcomes) {
        return (int) outcomes.stream().filter(Outcome::cut).count();
    }

    private static double mean(List<Outcome> outcomes) {
        return outcomes.stream().mapToDouble(Outcome::sum).average().orElse(0);
    }
}
