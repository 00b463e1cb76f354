package sparen.program;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.lang.reflect.RecordComponent;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.logic.Signal;
import sparen.logic.SwitchLogic;
import sparen.program.rule.DuskToDawn;
import sparen.program.rule.LowBatterySignal;
import sparen.program.rule.RuleKind;
import sparen.program.rule.Rules;
import sparen.program.rule.VoltageDisconnect;
import sparen.quantity.Fields;
import sparen.quantity.InvalidQuantity;
import sparen.simulation.Sites;
import sparen.site.BatteryTable;
import sparen.site.DailySpan;
import sparen.site.SensePoint;
import sparen.site.Site;

/** How rules are said, how they compile, and what a program refuses. */
public class ProgramTest {
    private static final BatteryTable TABLE =
            Sites.Circuit.table(List.of(0.0, 1.0), List.of(12.0, 13.0), 0.01, 0.01, 10_000);
    private static final Plan PLAN =
            new Sites.Circuit(TABLE, 100, 0.5).load("radio", 2, 11.5, 12.5, 20).plan();
    private static final Site SITE = PLAN.site();
    private static final Surroundings AROUND = Surroundings.of(PLAN);

    /** Nobody fills a plan until it cannot be held: the field, how many there are and the bound are named. */
    @Test
    public void listsHaveAnEnd() {
        Map<String, Origin> origins = IntStream.range(0, 5001)
                .boxed()
                .collect(Collectors.toMap(i -> "site/loads/" + i, i -> new Origin(Origin.Kind.GUESS, "")));
        String refused = expectThrows(InvalidQuantity.class, () -> PLAN.withOrigins(origins))
                .getMessage();
        assertTrue(refused.contains("origins") && refused.contains("5001") && refused.contains("5000"), refused);
        List<Integer> months = Collections.nCopies(13, 1);
        expectThrows(InvalidQuantity.class, () -> new DailySpan(0, 24, List.of(), months));
    }

    @Test
    public void sentencesSayWhatTheRuleDoes() {
        assertEquals(
                new VoltageDisconnect("point", 46.2, 20, 50.4, 120)
                        .sentence(AROUND)
                        .plain(),
                "Opens when the voltage at sense point stays at or below 46.2 V for 20 s, closes at or above 50.4 V for 2"
                        + " min.");
        assertEquals(
                new LowBatterySignal("point", 12, 60, 12.6, 5400)
                        .sentence(AROUND)
                        .plain(),
                "Signals low battery when the voltage at sense point stays at or below 12 V for 1 min, clears at or above 12.6 V"
                        + " for 1 h 30 min.");
        assertEquals(
                new DuskToDawn(-6, 90).sentence(AROUND).plain(),
                "Closes from dusk, when the sun has been at or below -6 ° for 1 min 30 s, to dawn.");
    }

    /** Every kind of rule, with its usual numbers where a site has all that rules can ask for. */
    @DataProvider
    public Object[][] kinds() {
        return Rules.ALL.stream().map(kind -> new Object[] {kind}).toArray(Object[][]::new);
    }

    /** Every chip names a component of its record by its path and carries its value, so that editing it changes that and nothing else. */
    @Test(dataProvider = "kinds")
    public void isOfferedSaysWhatItDoesAndNamesTheFieldsItSays(RuleKind kind) throws ReflectiveOperationException {
        Surroundings around = Surroundings.of(FullSite.PLAN)
                .at(FullSite.PLAN.program().outputs().get(0));
        Rule rule = kind.usual().apply(around).orElseThrow();
        assertEquals(rule.getClass(), kind.type());
        rule.compile(around);
        Sentence said = rule.sentence(around);
        assertTrue(said.plain().endsWith("."), said.plain());
        int chips = 0;
        for (Sentence.Part part : said.parts()) {
            if (part instanceof Sentence.NumberChip number) {
                assertEquals(at(rule, number.field()), number.value(), number.field());
                chips++;
            } else if (part instanceof Sentence.ChoiceChip choice) {
                assertEquals(String.valueOf(at(rule, choice.field())), choice.value(), choice.field());
                assertTrue(choice.choices().stream().anyMatch(one -> one.value().equals(choice.value())));
                chips++;
            }
        }
        assertTrue(chips > 0, "nothing to edit in: " + said.plain());
    }

    /** A chip can be turned to no number that the record then refuses, and to every one that it takes at its ends. */
    @Test(dataProvider = "kinds")
    public void chipsEndWhereTheRecordDoes(RuleKind kind) {
        Surroundings around = Surroundings.of(FullSite.PLAN)
                .at(FullSite.PLAN.program().outputs().get(0));
        Rule rule = kind.usual().apply(around).orElseThrow();
        assertChipsFit(rule, rule.sentence(around));
    }

    @Test
    public void chipsOfALockoutEndWhereItDoes() {
        Lockout lockout = new Lockout(3, 900, 2, 5, Lockout.Release.TIME, 3600);
        assertChipsFit(lockout, lockout.sentence());
    }

    private static void assertChipsFit(Object record, Sentence said) {
        for (Sentence.Part part : said.parts()) {
            if (part instanceof Sentence.NumberChip chip && !chip.field().contains(".")) {
                for (double end : new double[] {chip.least(), chip.most()}) {
                    boolean counts = Fields.get((Record) record, chip.field()) instanceof Integer;
                    Object value = counts ? (Object) (int) end : (Object) end;
                    boolean optional = Fields.get((Record) record, chip.field()) instanceof Optional;
                    try {
                        Fields.with(record, chip.field(), optional ? Optional.of(value) : value);
                    } catch (InvalidQuantity refused) {
                        // Two numbers in their order is another matter.
                        assertFalse(refused.getMessage().contains(" is outside "), refused.getMessage());
                    }
                }
            }
        }
    }

    /** Facts are said as rules are; what nobody has told is left out. */
    @Test
    public void factsOfAnOutputAreSaidToo() {
        Contact told = new Contact(
                Contact.Kind.RELAY,
                Optional.empty(),
                Optional.empty(),
                Optional.of(30.0),
                Optional.of(60.0),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(0.02),
                Optional.of(18.0),
                Optional.of(8.0),
                Optional.of(3.0),
                Optional.of(new Contact.CoilFeed(Contact.Carrier.DEVICE_CONTACT, 0.5)));
        assertEquals(
                told.sentence().plain(),
                "Its contact is a relay, rated DC 30 A up to 60 V, moves in 0.02 s; its coil pulls in at 18 V with 3 W,"
                        + " lets go below 8 V; its current goes through a dry contact of the device that decides, which"
                        + " bears 0.5 A.");
        assertEquals(Contact.of(Contact.Kind.LATCHING).sentence().plain(), "Its contact is a latching relay.");
        assertEquals(
                new DeviceClock(90, -2, true).sentence().plain(),
                "Its clock is 1 min 30 s ahead and gains -2 s/d; it begins at midnight when its supply comes back.");
        assertEquals(
                new Lockout(3, 3600, 2, 60, Lockout.Release.DAWN, 0).sentence().plain(),
                "Each trip makes it wait 1 min, every next one 2 × as long; after 3 trips within 1 h it stays open until"
                        + " dawn.");
    }

    /** No number of a rule may be beyond what can exist, and the refusal names it. */
    @Test(dataProvider = "kinds")
    public void refusesNumbersThatCannotBe(RuleKind kind) {
        Surroundings around = Surroundings.of(FullSite.PLAN)
                .at(FullSite.PLAN.program().outputs().get(0));
        Rule rule = kind.usual().apply(around).orElseThrow();
        for (RecordComponent component : kind.type().getRecordComponents()) {
            if (component.getType() == double.class) {
                for (double wrong : new double[] {1e12, -1e12, Double.NaN}) {
                    InvalidQuantity refused =
                            expectThrows(InvalidQuantity.class, () -> Fields.with(rule, component.getName(), wrong));
                    assertEquals(refused.field(), component.getName());
                }
            }
        }
    }

    private static Object at(Object from, String path) throws ReflectiveOperationException {
        Object at = from;
        for (String step : path.split("\\.")) {
            if (at instanceof List<?> list) {
                at = list.get(Integer.parseInt(step));
            } else {
                at = at.getClass().getMethod(step).invoke(at);
            }
            at = at instanceof Optional<?> optional ? optional.orElseThrow() : at;
        }
        return at;
    }

    /** A sense point that reads 0.2 V low makes the true voltage at which it acts 0.2 V higher. */
    @Test
    public void theOffsetOfASensePointMovesTheTrueThreshold() {
        Site site = new Site(
                SITE.name(),
                SITE.location(),
                SITE.nominalVolts(),
                SITE.battery(),
                SITE.mainCable(),
                SITE.arrays(),
                SITE.controllers(),
                SITE.sources(),
                SITE.loads(),
                List.of(new SensePoint("point", "p", SensePoint.Place.BUS, -0.2)));
        SwitchLogic logic = new VoltageDisconnect("point", 11.5, 0, 12.5, 0).compile(Surroundings.of(site, List.of()));
        double[] signals = new double[Surroundings.of(site, List.of()).count()];
        signals[Signal.BUS_VOLTS] = 11.69;
        assertTrue(logic.turnsOff().get(0).when().holds(signals));
        signals[Signal.BUS_VOLTS] = 11.71;
        assertTrue(!logic.turnsOff().get(0).when().holds(signals));
        assertEquals(logic.turnsOff().get(0).because(), "p at or below LVD 11.5 V");
        assertEquals(logic.turnsOff().get(0).reading().orElseThrow().format(signals), "11.510 V");
    }

    @Test
    public void refusesWhatHangsInTheAir() {
        Output output = PLAN.program().outputs().get(0);
        expectThrows(InvalidQuantity.class, () -> output(output, List.of("ghost"), Mode.ON, "point"));
        expectThrows(InvalidQuantity.class, () -> output(output, List.of("radio"), Mode.ON, "nowhere"));
        InvalidQuantity refused =
                expectThrows(InvalidQuantity.class, () -> output(output, List.of("radio"), Mode.BY_RULE, "point"));
        assertEquals(refused.field(), "mode");
    }

    private static Plan output(Output like, List<String> loads, Mode mode, String sensePoint) {
        Output output = new Output(
                like.id(),
                like.name(),
                loads,
                mode,
                Optional.empty(),
                Optional.of(new VoltageDisconnect(sensePoint, 11.5, 0, 12.5, 0)),
                TestForce.NONE);
        return new Plan(SITE, new Program(List.of(), List.of(output)), Map.of());
    }
}
