package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Long work: begun, looked at while it goes, cancelled, shared by two nodes, and taken up again when a node stops. */
public class LongWorkTest extends OverHttp {
    private Browser browser;

    @BeforeClass
    public void signIn() throws Exception {
        browser = signedIn("liv");
    }

    private ObjectNode inputs(String site, int days) throws Exception {
        ObjectNode inputs = JSON.createObjectNode()
                .put("from", "2026-03-01")
                .put("days", days)
                .put("weatherNumber", 3);
        inputs.set(
                "plan",
                json(browser.get("/api/sites/" + site + "/revisions/latest")).get("plan"));
        inputs.putObject("weather").putObject("place");
        return inputs;
    }

    private JsonNode begin(String what, JsonNode body) throws Exception {
        var response = browser.post("/api/season/" + what, body);
        assertEquals(response.statusCode(), 202, response.body());
        return json(response);
    }

    private JsonNode until(String site, JsonNode begun, Predicate<JsonNode> enough) throws Exception {
        String path = "/api/season/" + site + "/work/" + begun.at("/work/id").asString();
        JsonNode[] look = new JsonNode[1];
        Patience.until(path, () -> {
            var answer = browser.get(path);
            assertEquals(answer.statusCode(), 200, answer.body());
            look[0] = json(answer);
            return enough.test(look[0]);
        });
        return look[0];
    }

    private static String state(JsonNode view) {
        return view.at("/work/state").asString();
    }

    /** A year: what it says adds up with its days, its windows and its tables. */
    @Test
    public void aYearIsRunAndLookedAtClosely() throws Exception {
        JsonNode done = until("hallgrund", begin("hallgrund/runs", inputs("hallgrund", 365)), view -> state(view)
                .equals("DONE"));
        JsonNode run = done.get("run");
        assertEquals(run.get("days").size(), 365);
        double served = 0;
        for (JsonNode day : run.get("days")) {
            served += day.get("served").asDouble();
        }
        assertEquals(served, run.at("/ledger/served").asDouble(), served * 1e-3);
        String runs = "/api/season/hallgrund/runs/" + done.at("/work/id").asString();
        JsonNode page = json(browser.get(runs + "/events?subject=marker-light-output&most=3"));
        int index = page.at("/events/1/index").asInt();
        double at = page.at("/events/1/event/seconds").asDouble();
        // Two seconds about a switching: before it one state, after it the other.
        JsonNode lane = json(browser.get(runs + "/view?buckets=20&from=" + (at - 1) + "&to=" + (at + 1)))
                .at("/lanes/marker-light-output");
        assertEquals(Math.abs(lane.get(0).asDouble() - lane.get(19).asDouble()), 1.0, lane.toString());
        JsonNode chain = json(browser.get(runs + "/events/" + index + "/chain"));
        assertEquals(chain.get(chain.size() - 1).at("/link/event").asInt(), index);
        String ledger = browser.get(runs + "/ledger.csv").body();
        assertEquals(ledger.lines().count(), 367);
        assertTrue(ledger.lines().skip(366).findFirst().orElseThrow().startsWith("all,"));
        assertEquals(
                browser.get(runs + "/events.csv").body().lines().count(),
                run.get("events").asInt() + 1);
    }

    @Test
    public void whatCannotBeIsRefusedByItsField() throws Exception {
        ObjectNode twice = inputs("hallgrund", 3);
        ((ObjectNode) twice.get("weather")).put("days", "DULL");
        var refused = browser.post("/api/season/hallgrund/runs", twice);
        assertEquals(refused.statusCode(), 422);
        assertTrue(json(refused).at("/errors/0/pointer").asString().startsWith("/weather"), refused.body());
        assertEquals(
                browser.post("/api/season/hallgrund/runs", inputs("hallgrund", 3661))
                        .statusCode(),
                422);
        ObjectNode missing = inputs("hallgrund", 3);
        missing.putObject("weather").put("file", "w-none");
        JsonNode failed = begin("hallgrund/runs", missing);
        assertEquals(state(failed), "FAILED");
        assertTrue(failed.get("message").asString().contains("w-none"), failed.toString());
    }

    /** A weather file that was taken in is what a run has; one with bad lines is refused whole. */
    @Test
    public void aWeatherFileIsTakenInAndUsed() throws Exception {
        StringBuilder file = new StringBuilder("time,ghi,temperature\n");
        for (int hour = 0; hour < 72; hour++) {
            file.append(String.format(
                    "2026-06-%02dT%02d:00:00Z,%d,12%n", 10 + hour / 24, hour % 24, hour % 24 > 4 ? 120 : 0));
        }
        String path = "/api/sites/hallgrund/weather-files?zone=UTC&name=three%20days";
        var bad = browser.send("POST", path, "text/csv", file + "2026-06-13T00:00:00Z,x,12\n");
        assertEquals(bad.statusCode(), 422, bad.body());
        assertEquals(json(browser.get("/api/sites/hallgrund/weather-files")).size(), 0);
        var taken = browser.send("POST", path, "text/csv", file.toString());
        assertEquals(taken.statusCode(), 201, taken.body());
        ObjectNode inputs = inputs("hallgrund", 2).put("from", "2026-06-11");
        inputs.putObject("weather").put("file", json(taken).get("id").asString());
        JsonNode done = begin("hallgrund/runs", inputs);
        assertEquals(state(done), "DONE", done.toString());
        assertTrue(done.at("/run/ledger/array").asDouble() > 100);
        inputs.put("from", "2026-08-01");
        JsonNode beyond = begin("hallgrund/runs", inputs);
        assertEquals(state(beyond), "FAILED");
        assertTrue(beyond.get("message").asString().contains("the file has nothing for"), beyond.toString());
    }

    @Test
    public void longWorkIsCancelledAndStaysSo() throws Exception {
        ObjectNode years = JSON.createObjectNode().put("count", 30);
        years.set("run", inputs("skarvholm", 365));
        JsonNode begun = begin("skarvholm/years", years);
        until("skarvholm", begun, view -> view.at("/work/progress").asDouble() > 0);
        String id = begun.at("/work/id").asString();
        assertEquals(
                signedIn("odd")
                        .post("/api/season/skarvholm/work/" + id + "/cancel", JSON.createObjectNode())
                        .statusCode(),
                403,
                "an observer stops nothing that another has asked for");
        browser.post("/api/season/skarvholm/work/" + id + "/cancel", JSON.createObjectNode());
        JsonNode over = until("skarvholm", begun, view -> !state(view).equals("RUNNING"));
        assertEquals(state(over), "CANCELLED");
        assertTrue(over.at("/work/progress").asDouble() < 1);
        browser.post("/api/season/skarvholm/work/" + id + "/cancel", JSON.createObjectNode());
        assertEquals(state(json(browser.get("/api/season/skarvholm/work/" + id))), "CANCELLED");
    }

    @Test
    public void anAbsenceAndAComparisonAreAnswered() throws Exception {
        ObjectNode absence = JSON.createObjectNode();
        absence.set("run", inputs("hallgrund", 14).put("from", "2026-11-20"));
        absence.putObject("question").put("runs", 8).put("weatherNumber", 1).put("loadSpread", 0.1);
        JsonNode answer = until("hallgrund", begin("hallgrund/absences", absence), view -> state(view)
                        .equals("DONE"))
                .get("absence");
        assertEquals(answer.get("runs").asInt(), 8);
        assertEquals(answer.at("/chances/0/load").asString(), "transmitter");
        ObjectNode both = JSON.createObjectNode();
        both.set("before", inputs("hallgrund", 40));
        both.set("after", inputs("hallgrund", 40).put("days", 41));
        assertEquals(browser.post("/api/season/hallgrund/comparisons", both).statusCode(), 422);
        ObjectNode older = inputs("hallgrund", 40);
        older.putObject("circumstances")
                .putObject("ageing")
                .put("capacityFraction", 0.5)
                .put("resistanceFactor", 2);
        both.set("after", older);
        JsonNode begun = begin("hallgrund/comparisons", both);
        JsonNode compared =
                until("hallgrund", begun, view -> state(view).equals("DONE")).get("comparison");
        assertEquals(
                one("select count(*) from work_part where work_id = '"
                        + begun.at("/work/id").asString() + "'"),
                "2",
                "any node can do the second side");
        assertTrue(
                compared.at("/comparison/changed").size() > 0,
                compared.at("/comparison").toString());
        assertTrue(compared.at("/after/lowestStateOfCharge/value").asDouble()
                < compared.at("/before/lowestStateOfCharge/value").asDouble());
        String side = "/api/season/hallgrund/runs/" + begun.at("/work/id").asString()
                + "/view?buckets=10&from=0&to=86400&side=";
        assertFalse(browser.get(side + "after")
                .body()
                .equals(browser.get(side + "before").body()));
    }

    /** A second node on the same database takes its share, answers for runs of the other, and loses nothing when it stops at work. */
    @Test
    public void twoNodesShareTheWork() throws Exception {
        ConfigurableApplicationContext second = new SpringApplicationBuilder(SparenApplication.class)
                .run(TestDatabase.shared().arguments("--server.port=0", "--sparen.demo=true"));
        JsonNode[] begun = new JsonNode[4];
        try {
            ObjectNode many = JSON.createObjectNode().put("count", 30);
            many.set("run", inputs("skarvholm", 365));
            JsonNode busy = begin("skarvholm/years", many);
            until("skarvholm", busy, now -> state(now).equals("RUNNING"));
            String nodes = "select count(distinct node) from work_part where work_id = '"
                    + busy.at("/work/id").asString() + "'";
            Patience.until("each takes years of it", () -> one(nodes).equals("2"));
            Set<String> done = new HashSet<>();
            // Any of the two does a run; the one that is asked answers for both.
            while (done.size() < 2) {
                JsonNode run = begin("hallgrund/runs", inputs("hallgrund", 62));
                until("hallgrund", run, now -> state(now).equals("DONE"));
                done.add(node(run));
                String id = run.at("/work/id").asString();
                String view = "/api/season/hallgrund/runs/" + id + "/view?from=0&to=9&buckets=3";
                assertEquals(browser.get(view).statusCode(), 200);
            }
            browser.post(
                    "/api/season/skarvholm/work/" + busy.at("/work/id").asString() + "/cancel",
                    JSON.createObjectNode());
            until("skarvholm", busy, now -> state(now).equals("CANCELLED"));
            for (int i = 0; i < 4; i++) {
                ObjectNode years = JSON.createObjectNode().put("count", 4);
                years.set("run", inputs("hallgrund", 365).put("weatherNumber", 10 * i));
                begun[i] = begin("hallgrund/years", years);
            }
            until("hallgrund", begun[1], now -> !state(now).equals("WAITING"));
        } finally {
            second.close();
        }
        for (int i = 0; i < 4; i++) {
            assertEquals(
                    until("hallgrund", begun[i], view -> state(view).equals("DONE"))
                            .at("/years/years")
                            .size(),
                    4);
        }
    }

    /** Ninety years that one account asked for make room for another's sixty days, and for its year of years; all of it is done in the end. */
    @Test
    public void whoAsksForMuchMakesRoom() throws Exception {
        JsonNode[] greedy = new JsonNode[3];
        for (int i = 0; i < greedy.length; i++) {
            ObjectNode years = JSON.createObjectNode().put("count", 30);
            years.set("run", inputs("skarvholm", 365));
            greedy[i] = begin("skarvholm/years", years);
        }
        assertEquals(greedy[2].at("/work/before").asInt(), 2, "it is told how many go before");
        until("skarvholm", greedy[0], now -> state(now).equals("RUNNING"));
        Browser odd = signedIn("odd");
        JsonNode run = json(odd.post("/api/season/hallgrund/runs", inputs("hallgrund", 60)));
        ObjectNode two = JSON.createObjectNode().put("count", 2);
        two.set("run", inputs("hallgrund", 365));
        JsonNode years = json(odd.post("/api/season/hallgrund/years", two));
        until("hallgrund", run, now -> state(now).equals("DONE"));
        until("hallgrund", years, now -> state(now).equals("DONE"));
        for (JsonNode one : greedy) {
            JsonNode now = until("skarvholm", one, view -> true);
            assertTrue(List.of("RUNNING", "WAITING").contains(state(now)), state(now));
        }
        JsonNode further =
                until("skarvholm", greedy[0], view -> view.at("/yearsSoFar").size() > 2);
        assertTrue(state(further).matches("RUNNING|WAITING|DONE"), "and it goes on where it was");
        for (JsonNode one : greedy) {
            browser.post(
                    "/api/season/skarvholm/work/" + one.at("/work/id").asString() + "/cancel", JSON.createObjectNode());
            until("skarvholm", one, now -> state(now).equals("CANCELLED"));
        }
    }

    /** Who may only look may run and ask, for that changes nothing at the site; but takes no file in and keeps no script. */
    @Test
    public void anObserverMayAskButKeepsNothing() throws Exception {
        Browser odd = signedIn("odd");
        var run = odd.post("/api/season/hallgrund/runs", inputs("hallgrund", 2));
        assertEquals(run.statusCode(), 202, run.body());
        assertEquals(json(run).at("/work/account").asString(), "odd");
        String file = "/api/sites/hallgrund/weather-files?zone=UTC&name=x";
        assertEquals(
                odd.send("POST", file, "text/csv", "time,ghi,temperature\n").statusCode(), 403);
        ObjectNode script =
                JSON.createObjectNode().put("name", "x").put("live", false).put("seconds", 1);
        script.putObject("script").putArray("turns");
        String scripts = "/api/sites/hallgrund/bench-scripts";
        assertEquals(
                odd.send("PUT", scripts, "application/json", script.toString()).statusCode(), 403);
        assertEquals(json(odd.get(scripts)).size(), json(browser.get(scripts)).size());
    }

    /** A day of a run, asked for as a part of it, has what the day has; a part beyond the run is refused by name, unit and bound. */
    @Test
    public void aPartOfARunIsWhatItsDayIs() throws Exception {
        JsonNode done = until("hallgrund", begin("hallgrund/runs", inputs("hallgrund", 4)), view -> state(view)
                .equals("DONE"));
        JsonNode day = done.at("/run/days/1");
        double from = day.get("startSeconds").asDouble();
        String part = "/api/season/hallgrund/runs/" + done.at("/work/id").asString() + "/part?from=";
        // From within the first hour of the day to within its last one.
        JsonNode told = json(browser.get(part + (from + 600) + "&to=" + (from + 86_000)));
        assertEquals(told.get("fromSeconds").asDouble(), from);
        assertEquals(told.get("toSeconds").asDouble(), from + 86_400);
        assertEquals(told.at("/ledger/served").asDouble(), day.get("served").asDouble(), 0.1);
        assertEquals(
                told.at("/lowestStateOfCharge/value").asDouble(),
                day.get("lowestStateOfCharge").asDouble(),
                1e-3);
        var beyond = browser.get(part + "0&to=400000");
        assertEquals(beyond.statusCode(), 422);
        assertTrue(beyond.body().contains("400000 s is outside 0 to 345600 s"), beyond.body());
    }

    /** What was asked is told where it is wanted, as it was asked, and not with every look. */
    @Test
    public void whatWasAskedIsToldWhenWanted() throws Exception {
        ObjectNode asked = inputs("hallgrund", 3);
        asked.putObject("circumstances").put("loadFactor", 1.5);
        String path = "/api/season/hallgrund/work/"
                + begin("hallgrund/runs", asked).at("/work/id").asString();
        assertFalse(json(browser.get(path)).has("request"));
        JsonNode told = json(browser.get(path + "?asked=true")).get("request");
        assertEquals(told.get("weatherNumber").asInt(), 3);
        assertEquals(told.at("/circumstances/loadFactor").asDouble(), 1.5);
        assertEquals(told.get("plan"), asked.get("plan"));
    }

    /** What nobody asked about for half a year is gone with the next work there, whoever asked for it; what is younger stays. */
    @Test
    public void oldWorkIsNotKept() throws Exception {
        Browser odd = signedIn("odd");
        String old = json(odd.post("/api/season/hallgrund/runs", inputs("hallgrund", 2)))
                .at("/work/id")
                .asString();
        String young = json(odd.post("/api/season/hallgrund/runs", inputs("hallgrund", 2)))
                .at("/work/id")
                .asString();
        TestDatabase.shared().ask("update work set changed_at = now() - interval '181 days' where id = '" + old + "'");
        begin("hallgrund/runs", inputs("hallgrund", 2));
        assertEquals(odd.get("/api/season/hallgrund/work/" + old).statusCode(), 404);
        assertEquals(odd.get("/api/season/hallgrund/work/" + young).statusCode(), 200);
    }

    /** A short run is done while one waits; were its node lost in the middle, the scheduler has it still. */
    @Test
    public void shortWorkIsNotLostWithItsNode() throws Exception {
        JsonNode done = begin("hallgrund/runs", inputs("hallgrund", 2));
        assertEquals(state(done), "DONE");
        String id = done.at("/work/id").asString();
        assertEquals(one("select count(*) from scheduled_tasks where task_instance = '" + id + "'"), "1");
        // As after a lost node: begun, not over, and due.
        String lost = one("with lost as (update work set state = 'running', result = null where id = '" + id
                + "' returning id) update scheduled_tasks set execution_time = now() where task_instance in"
                + " (select id from lost) returning task_instance");
        assertEquals(lost, id);
        JsonNode again = until("hallgrund", done, view -> state(view).equals("DONE"));
        assertEquals(again.get("run"), done.get("run"), "a run is its inputs");
    }

    /** Ten years in one run, cut into windows like any other. */
    @Test
    public void aDecadeIsOneRun() throws Exception {
        ObjectNode decade = inputs("hallgrund", 3652).put("from", "2026-01-01");
        JsonNode done = until(
                "hallgrund",
                begin("hallgrund/runs", decade),
                view -> !state(view).equals("RUNNING") && !state(view).equals("WAITING"));
        assertEquals(state(done), "DONE", done.get("message").asString());
        assertEquals(done.at("/run/days").size(), 3652);
        String view = "/api/season/hallgrund/runs/" + done.at("/work/id").asString() + "/view?buckets=100&from=";
        double end = 3652 * 86_400.0;
        JsonNode last = json(browser.get(view + (end - 2) + "&to=" + end)).at("/trace/lowBatteryVolts");
        assertTrue(last.get(0).asDouble() > 10 && last.get(99).asDouble() > 10, last.toString());
        assertEquals(
                json(browser.get(view + "0&to=" + end))
                        .at("/lanes/marker-light-output")
                        .size(),
                100);
    }

    /** What somebody does by hand is asked with the run; a request that nothing in the plan waits for is refused at its place. */
    @Test
    public void whatIsDoneByHandIsWaitedForByThePlan() throws Exception {
        ObjectNode run = inputs("hallgrund", 1);
        ObjectNode byHand = run.putObject("circumstances").putArray("byHand").addObject();
        byHand.put("request", "reset-none")
                .put("on", "2026-10-05")
                .put("minuteOfDay", 480)
                .put("minutes", 1);
        var refused = browser.post("/api/season/hallgrund/runs", run);
        assertEquals(refused.statusCode(), 422, refused.body());
        assertEquals(json(refused).at("/errors/0/pointer").asString(), "/circumstances/byHand/0/request");
        byHand.put("minuteOfDay", 1440);
        assertEquals(
                json(browser.post("/api/season/hallgrund/runs", run))
                        .at("/errors/0/pointer")
                        .asString(),
                "/circumstances/byHand/0/minuteOfDay");
    }

    /** Work of one site is not there at another, nor is what nobody asked for; a part of a run that is not over is not there either. */
    @Test
    public void workBelongsToItsSite() throws Exception {
        JsonNode run = begin("hallgrund/runs", inputs("hallgrund", 2));
        String id = run.at("/work/id").asString();
        assertEquals(browser.get("/api/season/hallgrund/work/" + id).statusCode(), 200);
        assertEquals(browser.get("/api/season/kvarno/work/" + id).statusCode(), 404);
        assertEquals(browser.get("/api/season/kvarno/runs/" + id + "/events").statusCode(), 404);
        assertEquals(browser.get("/api/season/hallgrund/work/none").statusCode(), 404);
        assertEquals(browser.get("/api/season/nowhere/work").statusCode(), 404);
        assertEquals(
                browser.get("/api/season/hallgrund/runs/" + id + "/money.csv").statusCode(), 404);
        String view = "/api/season/hallgrund/runs/" + id + "/view?from=0&to=60&buckets=";
        assertEquals(browser.get(view + "0").statusCode(), 422);
        assertEquals(browser.get(view + "4001").statusCode(), 422);
        assertEquals(browser.get(view + "4000").statusCode(), 200);
        JsonNode events = json(browser.get("/api/season/hallgrund/runs/" + id + "/events?most=2"));
        assertTrue(events.get("total").asInt() >= events.get("events").size());
        int beyond = events.get("total").asInt();
        assertEquals(
                browser.get("/api/season/hallgrund/runs/" + id + "/events/" + beyond + "/chain")
                        .statusCode(),
                422);
    }

    /** Pages of events follow each other without a gap; a span of time shows those of it alone. */
    @Test
    public void eventsComeByPagesAndSpans() throws Exception {
        JsonNode run = begin("kvarno/runs", inputs("kvarno", 5));
        String path = "/api/season/kvarno/runs/" + run.at("/work/id").asString() + "/events";
        int total = json(browser.get(path)).get("total").asInt();
        assertTrue(total > 10, "only " + total);
        int next = 0;
        for (int skip = 0; skip < total; skip += 4) {
            for (JsonNode one : json(browser.get(path + "?most=4&skip=" + skip)).get("events")) {
                assertEquals(one.get("index").asInt(), next++);
            }
        }
        assertEquals(next, total);
        for (JsonNode one : json(browser.get(path + "?from=86400&to=172800")).get("events")) {
            double at = one.at("/event/seconds").asDouble();
            assertTrue(at >= 86_400 && at <= 172_800, "at " + at);
        }
    }

    private static String node(JsonNode begun) {
        return one("select node from work where id = '" + begun.at("/work/id").asString() + "'");
    }

    /** The first column of the first row of a question to the database. */
    private static String one(String question) {
        return TestDatabase.shared().ask(question).stream().findFirst().orElse("none");
    }

    @AfterMethod
    public void nothingIsLeftWaiting() throws Exception {
        for (JsonNode work : json(browser.get("/api/season/hallgrund/work"))) {
            assertTrue(
                    Set.of("DONE", "CANCELLED", "FAILED")
                            .contains(work.get("state").asString()),
                    work.toString());
        }
    }
}
