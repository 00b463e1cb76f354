package sparen.study;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.LongFunction;
import org.testng.Assert;
import org.testng.annotations.Test;
import sparen.export.RunTables;
import sparen.format.Profile;
import sparen.program.Lockout;
import sparen.program.Plan;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.question.RunInputs;
import sparen.question.WeatherChoice;
import sparen.result.Change;
import sparen.result.DayFigures;
import sparen.result.Event;
import sparen.result.RunResult;
import sparen.result.Window;
import sparen.simulation.Request;
import sparen.simulation.Scenario;
import sparen.simulation.Simulation;
import sparen.simulation.Sites;
import sparen.site.Ageing;
import sparen.site.BatteryTable;
import sparen.site.Consumption;
import sparen.site.DailySpan;
import sparen.site.Room;
import sparen.sun.DayType;

/** Questions that take several runs, on a battery whose arithmetic can be done by hand. */
public class StudyTest {
    private static final double DAY = 86_400;
    private static final BatteryTable TABLE =
            Sites.Circuit.table(List.of(0.0, 1.0), List.of(23.0, 25.0), 0.01, 0.01, 20_000);

    /** 100 Ah at about 24 V: a critical 10 W, and a heater of 30 W that nobody needs; without the sun 2.4 kWh last 2½ days. */
    private static Plan plan() {
        Plan plan = new Sites.Circuit(TABLE, 100, 1)
                .load("radio", new Consumption.ConstantPower(10), new VoltageDisconnect("point", 23.1, 5, 23.6, 5))
                .load("heater", new Consumption.ConstantPower(30), new VoltageDisconnect("point", 23.2, 5, 23.7, 5))
                .plan();
        return Fields.withAt(plan, "site/loads/radio/critical", true);
    }

    private static LongFunction<Scenario> days(Plan plan, double days) {
        return seed -> Sites.scenario(plan, days * DAY);
    }

    private static RunResult run(Plan plan, double days) {
        return Simulation.run(Sites.scenario(plan, days * DAY), new Window(0, 1, 1));
    }

    /**
     * Nine o'clock on the day the clocks go forward is eight hours after that day's midnight; what was over before the run is left out, what
     * goes on at its start is cut to it.
     */
    @Test
    public void whatIsDoneByHandIsDoneByTheSitesClock() {
        ZoneId zone = ZoneId.of("Europe/Stockholm");
        LocalDate day = LocalDate.of(2026, 3, 29);
        Circumstances other = new Circumstances(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(
                        new ByHand("reset-lamp", day, 9 * 60, 5),
                        new ByHand("reset-lamp", day.minusDays(1), 23 * 60 + 30, 60),
                        new ByHand("reset-lamp", day.minusDays(1), 0, 60)));
        assertEquals(
                other.requests(day.atStartOfDay(zone).toInstant(), zone),
                List.of(new Request("reset-lamp", 8 * 3600, 8 * 3600 + 300), new Request("reset-lamp", 0, 1800)));
    }

    /** A lockout that waits for a hand lets go when somebody resets it in a run, and not before; a button that nothing waits for is refused. */
    @Test
    public void aLockoutIsResetByHandInARun() {
        Lockout once = new Lockout(1, 60, 1, 0, Lockout.Release.HAND, 0);
        Plan plan = new Sites.Circuit(TABLE, 100, 1)
                .load("lamp", new Consumption.ConstantPower(200), new VoltageDisconnect("point", 23.6, 5, 23.7, 5))
                .plan();
        String output = plan.program().outputs().get(0).id();
        Plan locking = Fields.withAt(plan, "program/outputs/" + output + "/lockout", once);
        LocalDate day = LocalDate.of(2026, 3, 2);
        WeatherChoice mild =
                new WeatherChoice(Optional.of(DayType.DULL), Optional.of(10.0), Optional.empty(), Optional.empty());
        Circumstances reset = new Circumstances(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(new ByHand(Lockout.resetOf(output), day, 12 * 60, 1)));
        RunInputs inputs = new RunInputs(locking, day, 1, mild, 1, Optional.of(reset));
        RunResult run = Simulation.run(
                inputs.scenario(
                        mild.make(plan.site().location(), inputs.start(), inputs.minutes(), 1, id -> null, () -> {}),
                        Map.of()),
                new Window(0, 1, 1));
        assertTrue(
                run.events().stream()
                        .anyMatch(one -> one.kind() == Event.Kind.LOCKOUT
                                && one.seconds() == 12 * 3600
                                && one.has(Change.LET_GO)),
                run.events().toString());
        Circumstances wrong = new Circumstances(
                Optional.empty(), Optional.empty(), Optional.empty(), List.of(new ByHand("reset-none", day, 0, 1)));
        InvalidQuantity refused = Assert.expectThrows(
                InvalidQuantity.class, () -> new RunInputs(locking, day, 1, mild, 1, Optional.of(wrong)));
        assertTrue(refused.getMessage().contains("circumstances.byHand.0.request"), refused.getMessage());
    }

    /** Two days are within what the battery holds in any weather, five are beyond it; leaving the heater off is what helps. */
    @Test
    public void anAbsenceIsAsLongAsTheBatteryLasts() {
        Absence.Question question = new Absence.Question(6, 1, 0);
        Absence.Answer near = Absence.of(question, days(plan(), 2), Progress.NONE);
        assertEquals(near.cuts(), 0);
        assertEquals(near.help(), Optional.empty());
        Absence.Answer far = Absence.of(question, days(plan(), 5), Progress.NONE);
        assertEquals(far.cuts(), 6);
        assertEquals(far.chances().get(0).cuts(), 6);
        Absence.Help help = far.help().orElseThrow();
        assertTrue(help.cuts() < 6 && help.says().startsWith("heater"), help.says());
        assertEquals(run(help.plan(), 5).ledger().unservedJoules().get("radio"), 0, 3600 * help.cuts() / 6.0 + 3600);
    }

    /**
     * By hand: 40 W for 54 h until the heater goes at a tenth of 2.4 kWh, then 10 W for 12 h until the radio goes at a twentieth: on the
     * third day. What is told is the disconnect of what is critical, not the heater's higher one.
     */
    @Test
    public void anOutlookTellsWithinHowManyDaysACutIsLikely() {
        Outlook near = Outlook.of(20, days(plan(), 2));
        assertEquals(near.cut(), 0);
        assertEquals(near.likelyWithinDays(), Optional.empty());
        Outlook far = Outlook.of(20, days(plan(), 5));
        assertEquals(far.cut(), 20);
        assertEquals(far.likelyWithinDays(), Optional.of(3));
        assertEquals(far.disconnectVolts(), Optional.of(23.1));
        List<Double> volts = far.lowestVoltsByDay();
        assertTrue(volts.get(0) > 24 && volts.get(1) < volts.get(0) && volts.get(2) <= 23.2, volts.toString());
        Assert.expectThrows(InvalidQuantity.class, () -> Outlook.of(19, days(plan(), 2)));
    }

    /** The interval of no hits in n ends at z² / (n + z²): Wilson (1927), in closed form. */
    @Test
    public void chancesHaveWilsonsInterval() {
        double z2 = 1.645 * 1.645;
        for (int n : new int[] {4, 40, 400}) {
            assertEquals(Chance.wilson(0, n)[0], 0, 1e-12);
            assertEquals(Chance.wilson(0, n)[1], z2 / (n + z2), 1e-12);
            assertEquals(Chance.wilson(n, n)[0], 1 - z2 / (n + z2), 1e-12);
        }
    }

    @Test
    public void longWorkStopsWhenTold() {
        AtomicInteger asked = new AtomicInteger();
        Progress stop = share -> asked.incrementAndGet() > 3;
        Assert.expectThrows(
                Simulation.RunCancelled.class,
                () -> Absence.of(new Absence.Question(40, 1, 0.1), days(plan(), 3), stop));
        Assert.expectThrows(
                Simulation.RunCancelled.class,
                () -> Years.one(1, days(plan(), 365).apply(1), share -> true));
    }

    /** Half the capacity and twice the load are each the same as half the time: charge is conserved. */
    @Test
    public void circumstancesScaleWhatTheySay() {
        double usual = firstOpening(Circumstances.AS_TOLD);
        assertEquals(firstOpening(Circumstances.AS_TOLD.withLoadFactor(2)), usual / 2, usual * 0.02);
        Circumstances aged =
                new Circumstances(Optional.empty(), Optional.of(new Ageing(0.5, 1)), Optional.empty(), List.of());
        assertEquals(firstOpening(aged), usual / 2, usual * 0.02);
        Circumstances half = new Circumstances(Optional.of(0.55), Optional.empty(), Optional.empty(), List.of());
        assertEquals(firstOpening(half), usual / 2, usual * 0.02);
        Assert.expectThrows(InvalidQuantity.class, () -> Circumstances.AS_TOLD.withLoadFactor(9));
    }

    private static double firstOpening(Circumstances circumstances) {
        return run(circumstances.on(plan()), 8).events().stream()
                .filter(event -> event.kind() == Event.Kind.OPENED)
                .findFirst()
                .orElseThrow()
                .seconds();
    }

    @Test
    public void aComparisonTellsWhatChangedAndWhatItDid() {
        Plan before = plan();
        Plan after = Fields.withAt(before, "program/outputs/heater/protection/lvdVolts", 24.0);
        after = Fields.withAt(after, "program/outputs/heater/protection/lvrVolts", 24.4);
        Comparison.Side first = Comparison.Side.of(run(before, 4));
        Comparison.Side second = Comparison.Side.of(run(after, 4));
        Comparison same = Comparison.of(before, first, before, first);
        assertTrue(same.changed().isEmpty() && same.did().isEmpty(), same.toString());
        Comparison told = Comparison.of(before, first, after, second);
        assertEquals(told.changed().size(), 2, told.changed().toString());
        assertTrue(
                told.did().stream().anyMatch(says -> says.matches("heater unserved \\d+\\.?\\d* Wh instead of .*")),
                told.did().toString());
        double radio = told.figures().stream()
                .filter(figure -> figure.what().equals("radio unserved"))
                .mapToDouble(figure -> figure.after() - figure.before())
                .sum();
        assertTrue(radio < 0, "the radio gains what the heater gives up");
    }

    /** Without sun every fortnight lacks what its loads want; the worst is the one with the most load. */
    @Test
    public void theWorstFortnightLacksMost() {
        List<DayFigures> days = run(plan(), 20).days();
        Fortnight worst = Fortnight.worst(days).orElseThrow();
        double most = 0;
        for (int first = 0; first + 14 <= days.size(); first++) {
            most = Math.max(
                    most,
                    days.subList(first, first + 14).stream()
                            .mapToDouble(day -> day.ledger().totalServedJoules()
                                    + day.ledger().totalUnservedJoules())
                            .sum());
        }
        assertEquals(worst.shortJoules(), most, 1e-3);
        assertEquals(worst.shortJoules(), 40 * 14 * DAY, 40 * DAY * 0.1);
        assertEquals(Fortnight.worst(days.subList(0, 13)), Optional.empty());
    }

    /** A chain ends with its event, goes forward in time, and tells how the days before drained the battery. */
    @Test
    public void aChainLeadsToItsEvent() {
        RunResult run = run(plan(), 6);
        int index = run.events().size() - 1;
        while (run.events().get(index).kind() != Event.Kind.OPENED) {
            index--;
        }
        List<Chain.Link> chain = Chain.of(run, index);
        assertEquals(chain.get(chain.size() - 1).event(), index);
        for (int i = 1; i < chain.size(); i++) {
            assertTrue(chain.get(i).seconds() >= chain.get(i - 1).seconds());
        }
        String drain = chain.stream()
                .map(Chain.Link::says)
                .filter(says -> !says.isEmpty())
                .findFirst()
                .orElseThrow();
        assertTrue(drain.contains("the sun had 0 Wh a day"), drain);
        assertFalse(chain.size() > 12, "no list of everything");
    }

    @Test
    public void yearsDifferByTheirSeedsAlone() {
        Years.Year fifth = Years.one(5, days(plan(), 15).apply(5), Progress.NONE);
        Years.Year sixth = Years.one(6, days(plan(), 15).apply(6), Progress.NONE);
        assertEquals(fifth.weatherNumber(), 5L);
        // Both have the same weather here.
        assertEquals(fifth.unservedJoules(), sixth.unservedJoules(), 0.0);
        assertTrue(fifth.worst().isPresent());
    }

    /** Weathers that were tried by fours, each four elsewhere, give the answer of all in one. */
    @Test
    public void anAbsenceInPartsIsTheSame() {
        Absence.Question question = new Absence.Question(8, 3, 0.2);
        LongFunction<Scenario> scenarios = days(plan(), 5);
        List<Absence.Outcome> parts = new ArrayList<>(Absence.outcomes(question, 0, 4, scenarios, Progress.NONE));
        parts.addAll(Absence.outcomes(question, 4, 8, scenarios, Progress.NONE));
        Absence.Answer joined = Absence.of(question, parts, scenarios, Progress.NONE);
        Absence.Answer whole = Absence.of(question, scenarios, Progress.NONE);
        assertTrue(whole.cuts() > 0);
        assertEquals(joined.chances(), whole.chances());
        assertEquals(joined.lowestCharges(), whole.lowestCharges());
        assertEquals(joined.help(), whole.help());
    }

    /** The same question gives the same answer on one thread and on several: each weather is by itself. */
    @Test
    public void threadsChangeNothing() throws Exception {
        Absence.Question question = new Absence.Question(8, 3, 0.2);
        Absence.Answer several = Absence.of(question, days(plan(), 3), Progress.NONE);
        ForkJoinPool one = new ForkJoinPool(1);
        try {
            Absence.Answer alone = one.submit(() -> Absence.of(question, days(plan(), 3), Progress.NONE))
                    .get();
            assertEquals(alone.chances(), several.chances());
            assertEquals(alone.unservedJoules(), several.unservedJoules(), 0.0);
            assertEquals(alone.lowestCharges(), several.lowestCharges());
        } finally {
            one.shutdown();
        }
        assertTrue(
                several.lowestCharges()[0] < several.lowestCharges()[7],
                "consumption differs from one weather to the other");
    }

    /** More load never leaves more in a battery that nothing charges. */
    @Test
    public void aLargerLoadNeverLeavesMore() {
        double before = 1;
        for (double factor : new double[] {0.1, 0.3, 0.6, 1, 1.5}) {
            RunResult run = run(Circumstances.AS_TOLD.withLoadFactor(factor).on(plan()), 1);
            assertTrue(run.endStateOfCharge() < before, factor + " ×");
            before = run.endStateOfCharge();
        }
    }

    /** Each kind of load draws so many times as much; people come so many times as often, and a profile is scaled where it is kept. */
    @Test
    public void everyKindOfConsumptionScales() {
        DailySpan always = new DailySpan(0, 24, List.of(), List.of());
        assertEquals(new Consumption.ConstantPower(10).times(3), new Consumption.ConstantPower(30));
        assertEquals(new Consumption.ConstantCurrent(2).times(0.5), new Consumption.ConstantCurrent(1));
        assertEquals(new Consumption.Resistance(8).times(2), new Consumption.Resistance(4));
        Optional<Room> cellar = Optional.of(new Room(5, 2));
        assertEquals(
                new Consumption.Cycling(100, 60, 30, 0.01, cellar).times(2),
                new Consumption.Cycling(200, 60, 30, 0.01, cellar));
        assertEquals(
                new Consumption.Scheduled(List.of(new Consumption.Entry(5, always))).times(4),
                new Consumption.Scheduled(List.of(new Consumption.Entry(20, always))));
        assertEquals(
                new Consumption.Occupancy(60, 4, 300, always).times(0.5),
                new Consumption.Occupancy(60, 2, 300, always));
        Consumption imported = new Consumption.ImportedProfile("p");
        assertEquals(imported.times(7), imported);
        Profile profile = new Profile(Optional.empty(), new double[] {0, 60}, new double[] {10, 20}, 120);
        assertEquals(profile.times(3).meanWatts(), 3 * profile.meanWatts(), 1e-12);
        Plan plan = Fields.withAt(plan(), "site/loads/radio/consumption", imported);
        Circumstances twice = Circumstances.AS_TOLD.withLoadFactor(2);
        assertEquals(
                twice.on(plan, Map.of("p", profile, "other", profile)).get("p").highestWatts(), 40.0);
        assertEquals(
                twice.on(plan, Map.of("p", profile, "other", profile))
                        .get("other")
                        .highestWatts(),
                20.0);
    }

    @Test
    public void bothAgeingsMultiply() {
        Plan aged = Fields.withAt(plan(), "site/battery/ageing", new Ageing(0.8, 1.5));
        Circumstances more =
                new Circumstances(Optional.empty(), Optional.of(new Ageing(0.5, 2)), Optional.empty(), List.of());
        Ageing both = more.on(aged).site().battery().ageing().orElseThrow();
        assertEquals(both.capacityFraction(), 0.4, 1e-12);
        assertEquals(both.resistanceFactor(), 3.0, 1e-12);
        Assert.expectThrows(
                InvalidQuantity.class,
                () -> new Circumstances(Optional.of(1.01), Optional.empty(), Optional.empty(), List.of()));
        Assert.expectThrows(InvalidQuantity.class, () -> new Absence.Question(3, 1, 0));
        Assert.expectThrows(InvalidQuantity.class, () -> new Absence.Question(4, 1, 0.6));
    }

    /** The tables have a heading with units and add up: days to the whole, events one a line, gaps left empty. */
    @Test
    public void tablesAddUp() {
        Scenario scenario = Sites.scenario(plan(), 3 * DAY);
        Simulation.Recorded recorded = Simulation.prepare(scenario).record(Simulation.Watch.NONE);
        List<String> ledger = RunTables.ledger(recorded.result()).lines().toList();
        int served = List.of(ledger.get(0).split(",")).indexOf("served Wh");
        double sum = 0;
        for (String line : ledger.subList(1, ledger.size() - 1)) {
            sum += Double.parseDouble(line.split(",")[served]);
        }
        String all = ledger.get(ledger.size() - 1);
        assertTrue(all.startsWith("all,"), all);
        assertEquals(sum, Double.parseDouble(all.split(",")[served]), 1e-6 * sum);
        assertEquals(
                RunTables.events(recorded.result(), scenario.start()).lines().count(),
                recorded.result().events().size() + 1);
        List<String> trace = RunTables.trace(
                        recorded.recording().trace(new Window(2 * DAY, 4 * DAY, 4)), scenario.start())
                .lines()
                .toList();
        assertTrue(trace.get(1).startsWith("2026-11-04T00:00:00Z,172800,"), trace.get(1));
        assertTrue(trace.get(4).endsWith(",,,,,"), "beyond the run: " + trace.get(4));
    }

    @Test
    public void largeEnergiesAreToldInKilowattHoursBothAlike() {
        Comparison.Figure diverted =
                new Comparison.Figure("Diverted", "Wh", 43_069, 9_467, 100, Comparison.Wanted.EITHER);
        assertEquals(diverted.sentence(), "Diverted 9.5 kWh instead of 43.1 kWh.");
        Comparison.Figure small = new Comparison.Figure("Unserved", "Wh", 12.5, 9_467, 100, Comparison.Wanted.EITHER);
        assertEquals(small.sentence(), "Unserved 9467 Wh instead of 12.5 Wh.");
    }
}
