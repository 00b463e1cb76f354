package sparen.browser;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import sparen.bench.BenchScript;
import sparen.bench.LevelWalk;
import sparen.check.Checks;
import sparen.check.Finding;
import sparen.device.FittedDevice;
import sparen.document.Documents;
import sparen.examined.Cure;
import sparen.gauge.Scaled;
import sparen.handover.BenchTestView;
import sparen.handover.BenchTestView.StepResult;
import sparen.handover.BenchTestView.TriedStep;
import sparen.handover.CabinetCard;
import sparen.handover.Commissioning;
import sparen.handover.DeviceComparison;
import sparen.handover.Provocation.Today;
import sparen.handover.ReadEntry;
import sparen.handover.StepAtVisit;
import sparen.handover.StepAtVisit.StepMark;
import sparen.handover.WorkStep;
import sparen.logbook.EntryKind;
import sparen.logbook.KindOffered;
import sparen.logbook.LogEntry;
import sparen.logbook.Upkeep;
import sparen.program.Plan;
import sparen.question.BenchRequest;
import sparen.question.HandoverRequest;
import sparen.question.HandoverRequest.ReadOff;
import sparen.question.LogRequest;
import sparen.question.NewDismissal;
import sparen.question.NewLevels;
import sparen.question.OfferRequest;
import sparen.question.ProposedChange;
import sparen.question.Reading;
import sparen.question.RunInputs;
import sparen.question.RunLook;
import sparen.question.RunRequest;
import sparen.question.SeasonAnswer;
import sparen.question.SeasonRequest;
import sparen.question.SiteFiles;
import sparen.question.StartRequest;
import sparen.question.TestRequest;
import sparen.question.VisitRequest;
import sparen.question.WalkRequest;
import sparen.question.Walked;
import sparen.question.WeatherChoice;
import sparen.result.Window;
import sparen.revision.StartingPoint;
import sparen.simulation.RandomPlans;
import sparen.site.Chemistry;
import sparen.site.Location;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The core as a script answers what the core in Java answers, in the JSON that a server sends: the same events, findings, sentences and fields in
 * the same order. The script runs in the engine that browsers of that family have. Numbers are not held to the bit: exponential, power and the
 * functions of angles differ in their last bit between the two machines (Java takes the processor's, the script a library's), and the search
 * for an instant of switching ends 1e-11 short of it.
 */
public class SameAnswersTest {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int SITES = 200;
    private static final SiteFiles NONE = SiteFiles.NONE;
    private static final double DAY = 86_400;

    private Process script;
    private Writer asking;
    private BufferedReader answers;
    /** Relative, or absolute below one; the largest found is a seventh of it. */
    private static final double APART = 1e-9;

    private double worst;
    private String worstAt = "";

    @BeforeClass
    public void start() throws IOException {
        script = new ProcessBuilder("node", "src/test/js/answers.mjs")
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        asking = new OutputStreamWriter(script.getOutputStream(), StandardCharsets.UTF_8);
        answers = script.inputReader(StandardCharsets.UTF_8);
    }

    @AfterClass(alwaysRun = true)
    public void stop() throws IOException {
        asking.close();
        script.destroy();
        System.out.println("numbers differ by " + worst + " at most, at " + worstAt);
    }

    private JsonNode ask(String name, JsonNode question, SiteFiles files) throws IOException {
        ObjectNode asked = JSON.createObjectNode().put("name", name);
        asked.set("question", question);
        asked.set("files", tree(files));
        asking.write(JSON.writeValueAsString(asked) + "\n");
        asking.flush();
        return JSON.readTree(answers.readLine());
    }

    private static JsonNode tree(Object value) {
        return JSON.readTree(Documents.writeAny(value));
    }

    private void assertSame(String name, Object question, SiteFiles files, Object answer, String which)
            throws IOException {
        JsonNode told = ask(name, tree(question), files);
        assertTrue(told.has("answer"), which + ": " + told);
        compare(told.get("answer"), tree(answer), which + " " + name);
    }

    private void compare(JsonNode script, JsonNode server, String where) {
        if (server.isNumber() && script.isNumber()) {
            double left = script.asDouble();
            double right = server.asDouble();
            double apart = Math.abs(left - right) / Math.max(1, Math.abs(right));
            if (apart > worst) {
                worst = apart;
                worstAt = where + " " + left + " " + right;
            }
            assertTrue(apart <= APART, where + ": " + left + " in the script, " + right + " on the server");
        } else if (server.isObject()) {
            assertEquals(
                    new TreeSet<>(script.propertyNames()),
                    new TreeSet<>(server.propertyNames()),
                    where + script + server);
            server.properties()
                    .forEach(one -> compare(script.get(one.getKey()), one.getValue(), where + "/" + one.getKey()));
        } else if (server.isArray()) {
            assertEquals(script.size(), server.size(), where + script + server);
            for (int i = 0; i < server.size(); i++) {
                compare(script.get(i), server.get(i), where + "/" + i);
            }
        } else {
            assertEquals(script, server, where);
        }
    }

    private static SeasonRequest season(Plan plan, int days, long seed) {
        return new SeasonRequest(
                new RunInputs(
                        plan,
                        LocalDate.of(2026, 10, 5),
                        days,
                        new WeatherChoice(
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(new WeatherChoice.PlaceMonths(Optional.empty())),
                                Optional.empty()),
                        seed,
                        Optional.empty()),
                new Window(0, days * DAY, 60));
    }

    private static List<Plan> demo() throws Exception {
        List<Plan> plans = new ArrayList<>();
        for (String site : List.of("hallgrund", "kvarno", "skarvholm")) {
            plans.add(Documents.read(Files.readString(Path.of("../demo", site + ".json")))
                    .plan());
        }
        return plans;
    }

    /** Every event, every ledger, every sentence of two days at random sites. */
    @Test
    public void randomSitesRunTheSame() throws Exception {
        for (int i = 0; i < SITES; i++) {
            SeasonRequest asked = season(RandomPlans.of(i), 2, i);
            SiteFiles files = RandomPlans.files(i);
            assertSame("SEASON", asked, files, SeasonAnswer.of(asked, files), "site " + i);
        }
    }

    /** All that a page asks of the demo's sites. */
    @Test
    public void theDemoIsAnsweredTheSame() throws Exception {
        BenchScript script = new BenchScript(List.of(
                new BenchScript.Turn(0, "battery_volts", 25, 0), new BenchScript.Turn(60, "battery_volts", 21, 600)));
        BenchScript air = new BenchScript(List.of(
                new BenchScript.Turn(0, "air_celsius", 25, 0), new BenchScript.Turn(60, "air_celsius", -5, 600)));
        for (Plan plan : demo()) {
            String which = plan.site().name();
            assertSame("READING", plan, NONE, Reading.of(plan, Map.of()), which);
            assertSame("WALK", new WalkRequest(plan), NONE, Walked.of(plan), which);
            assertSame("WALK_THROUGH", new WalkRequest(plan), NONE, LevelWalk.of(plan), which);
            SeasonRequest asked = season(plan, 14, 1);
            assertSame("SEASON", asked, NONE, SeasonAnswer.of(asked, NONE), which);
            for (boolean live : new boolean[] {false, true}) {
                BenchRequest bench =
                        new BenchRequest(plan, live ? air : script, 1200, Optional.of(live), Optional.empty());
                assertSame("BENCH", bench, NONE, bench.play(), which);
            }
        }
    }

    /** A season that is kept: what came of it, a window of its tape, its events and how one came about, what a part of it holds. */
    @Test
    public void aSeasonThatIsKeptIsLookedIntoTheSame() throws Exception {
        for (Plan plan : demo()) {
            String which = plan.site().name();
            RunInputs month = season(plan, 31, 3).run();
            RunRequest asked =
                    new RunRequest("kept", new RunInputs(plan, month.from(), 60, month.weather(), 3, Optional.empty()));
            assertSame("RUN", asked, NONE, KeptRuns.run(asked, NONE), which);
            RunLook week = look(20 * DAY, 27 * DAY, 300);
            assertSame("RUN_VIEW", week, NONE, KeptRuns.view(week), which);
            RunLook events = look(0, 60 * DAY, 200);
            assertSame("RUN_EVENTS", events, NONE, KeptRuns.events(events), which);
            assertTrue(KeptRuns.events(events).total() > 3, which);
            RunLook third = look(0, 0, 3);
            assertSame("RUN_CHAIN", third, NONE, KeptRuns.chain(third), which);
            assertSame("RUN_PART", week, NONE, KeptRuns.part(week), which);
        }
        RunLook unknown = new RunLook("unknown", 0, DAY, 10, Optional.empty(), Optional.empty());
        assertTrue(ask("RUN_VIEW", tree(unknown), NONE).has("detail"), "it is kept no more");
    }

    private static RunLook look(double from, double to, int count) {
        return new RunLook("kept", from, to, count, Optional.empty(), Optional.empty());
    }

    /** The cures of what is wrong with a site as it was found, its findings accepted, rules offered, levels scaled. */
    @Test
    public void aPlanIsChangedTheSame() throws Exception {
        int cured = 0;
        for (String site : List.of("hallgrund", "kvarno", "skarvholm")) {
            Plan plan = Documents.read(Files.readString(Path.of("../demo", site + "-as-found.json")))
                    .plan();
            for (Finding finding : Checks.of(plan, Map.of())) {
                NewDismissal wanted =
                        new NewDismissal(plan, finding.check(), finding.at(), finding.path(), "known since spring");
                assertSame("DISMISSAL", wanted, NONE, wanted.take(NONE).orElseThrow(), site);
                for (Cure cure : finding.cures()) {
                    ProposedChange change = new ProposedChange(plan, finding.path(), cure.says());
                    assertSame("CHANGE", change, NONE, change.take(NONE).orElseThrow(), site + " " + cure.says());
                    cured++;
                }
            }
            OfferRequest offers =
                    new OfferRequest(plan, plan.program().outputs().get(0).id());
            assertSame("OFFERS", offers, NONE, offers.offers().orElseThrow(), site);
            NewLevels levels = new NewLevels(plan, List.of(new Scaled.Wanted("LVD", 11.8)));
            assertSame("SCALED", levels, NONE, levels.scaled(), site);
        }
        assertTrue(cured > 5, cured + " cures");
        ProposedChange nothing = new ProposedChange(demo().get(0), "site", "nobody said so");
        assertTrue(ask("CHANGE", tree(nothing), NONE).has("missing"), "the server is asked then");
    }

    /** What is typed on site where no server answers: a visit, a test on the bench, the log, what devices hold, the card. */
    @Test
    public void whatIsDoneOnSiteIsAnsweredTheSame() throws Exception {
        Instant at = Instant.parse("2026-10-05T10:00:00.250Z");
        int failures = 0;
        for (Plan plan : demo()) {
            String which = plan.site().name();
            assertSame("KINDS", plan, NONE, KindOffered.of(plan), which);
            assertSame("CARD", plan, NONE, CabinetCard.of(plan), which);
            Map<String, StepMark> marks = Commissioning.of(plan).stream()
                    .collect(Collectors.toMap(
                            WorkStep::id, step -> new StepMark(true, "1", "ok", "Liv", at, Optional.empty())));
            VisitRequest visit = new VisitRequest(plan, StepAtVisit.of(plan, marks, Map.of()));
            failures += (int) visit.visited().stream()
                    .filter(step -> step.mark().orElseThrow().failure().isPresent())
                    .count();
            assertSame("VISIT", visit, NONE, visit.visited(), which);
            Optional<Today> today = Optional.of(new Today(Optional.of(25.3), Optional.of(60.0), Optional.of(300.0)));
            TestRequest begun = new TestRequest(plan, test(at, List.of()), today);
            assertSame("TEST", begun, NONE, begun.judged(), which);
            TestRequest measured = new TestRequest(
                    plan,
                    test(
                            at,
                            begun.judged().steps().stream()
                                    .map(one -> TriedStep.of(one.step(), Optional.of(result(at)), 1))
                                    .toList()),
                    today);
            failures += (int) measured.judged().blocking().size();
            assertSame("TEST", measured, NONE, measured.judged(), which);
            LogRequest log = new LogRequest(
                    plan,
                    List.of(
                            new LogEntry(
                                    UUID.fromString("00000000-0000-0000-0000-000000000001"),
                                    EntryKind.CELL_VOLTAGES,
                                    at,
                                    Optional.empty(),
                                    Map.of(),
                                    List.of(2.1, 2.15, 2.02),
                                    ""),
                            new LogEntry(
                                    UUID.fromString("00000000-0000-0000-0000-000000000002"),
                                    EntryKind.NOTE,
                                    at,
                                    Optional.empty(),
                                    Map.of(),
                                    List.of(),
                                    "fog")),
                    List.of(UUID.fromString("00000000-0000-0000-0000-000000000002")),
                    Upkeep.of(plan, Map.of(EntryKind.CELL_VOLTAGES, 30), Map.of(), LocalDate.of(2026, 5, 1)));
            assertSame("LOG", log, NONE, log.says(), which);
            HandoverRequest held = new HandoverRequest(
                    plan,
                    plan.program().devices().stream()
                            .collect(Collectors.toMap(
                                    FittedDevice::id,
                                    device -> List.of(new ReadOff(at, "Liv", Map.of(), asPlanned(plan, device))))));
            assertSame("HANDOVER", held, NONE, held.says(), which);
        }
        assertTrue(failures > 20, failures + " failures");
    }

    private static BenchTestView test(Instant at, List<TriedStep> steps) {
        UUID id = UUID.fromString("00000000-0000-0000-0000-000000000003");
        return new BenchTestView(
                id,
                3,
                "Liv",
                at,
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                steps,
                List.of(),
                List.of("something at a device"),
                List.of());
    }

    private static StepResult result(Instant at) {
        return new StepResult(
                Optional.of(24.5), Optional.of(3.0), Optional.empty(), "meter on the hook", "", "Liv", at);
    }

    /** What would be read off a device that holds all that is planned, as far as it can. */
    private static Map<String, String> asPlanned(Plan plan, FittedDevice device) {
        Map<String, String> said = DeviceComparison.of(plan, device, List.of()).stream()
                .filter(entry -> !entry.planned().isEmpty())
                .collect(Collectors.toMap(ReadEntry::place, ReadEntry::planned));
        assertFalse(said.isEmpty(), device.id());
        return said;
    }

    /** A site that begins, of every chemistry and with all there can be. */
    @Test
    public void aSiteBeginsTheSame() throws Exception {
        Location place = demo().get(0).site().location();
        for (Chemistry chemistry : Chemistry.values()) {
            if (chemistry != Chemistry.USER_TABLE) {
                for (boolean all : new boolean[] {false, true}) {
                    StartRequest start = new StartRequest(
                            new StartingPoint(
                                    "Hut",
                                    place,
                                    24,
                                    chemistry,
                                    200,
                                    900,
                                    all,
                                    all,
                                    all,
                                    all,
                                    Optional.empty(),
                                    Optional.empty()),
                            LocalDate.of(2026, 10, 5));
                    assertSame("START", start, NONE, start.started(), chemistry + " " + all);
                }
            }
        }
    }

    /** What cannot be taken is refused as the server refuses it: at the same place, in the same words. */
    @Test
    public void refusalsAreTheServers() throws Exception {
        JsonNode plan = tree(demo().get(0));
        ObjectNode low = plan.deepCopy().asObject();
        ((ObjectNode) low.at("/program/outputs/0/protection")).put("lvdVolts", -1);
        JsonNode refused = ask("READING", low, NONE);
        assertEquals(
                refused.get("pointer").asString(),
                "/program/outputs/" + plan.at("/program/outputs/0/id").asString() + "/protection/lvdVolts");
        assertTrue(refused.get("detail").asString().contains("lvdVolts: -1 V"), refused.toString());
        ObjectNode more = plan.deepCopy().asObject();
        more.put("moods", 1);
        assertEquals(ask("READING", more, NONE).get("pointer").asString(), "/moods");
        assertTrue(ask("MOODS", plan, NONE).get("detail").asString().contains("known are READING"));
    }
}
