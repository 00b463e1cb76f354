package sparen.e2e;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import sparen.app.Patience;
import sparen.app.TestDatabase;
import sparen.measure.Machine;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How the service does under load, printed and never judged: scripts/benchmark --service runs it. Its name keeps it out of the check.
 */
public class ServiceBenchmark {
    private TestDatabase database;
    private RunningApplication application;

    @BeforeClass
    public void start() {
        System.out.println(Machine.calibration() + ", " + Runtime.getRuntime().availableProcessors() + " processors");
        database = TestDatabase.create();
        application = new RunningApplication(database);
        application.start();
        // People beside those of the demo, with their password.
        database.ask("insert into account (name, full_name, password_hash, role)"
                + " select 'crew' || n, 'Crew ' || n, password_hash, role from account, generate_series(1, 100) n"
                + " where name = 'liv' returning name");
    }

    @AfterClass
    public void stop() {
        application.stop();
        database.stop();
    }

    private static ObjectNode inputs(Client who, String site, int days, int seed) throws Exception {
        ObjectNode inputs = Client.JSON
                .createObjectNode()
                .put("from", "2026-03-01")
                .put("days", days)
                .put("weatherNumber", seed);
        inputs.set("plan", who.get("/api/sites/" + site + "/revisions/latest").get("plan"));
        inputs.putObject("weather").putObject("place");
        return inputs;
    }

    private static ObjectNode years(Client who, int count, int seed) throws Exception {
        ObjectNode years = Client.JSON.createObjectNode().put("count", count);
        years.set("run", inputs(who, "skarvholm", 365, seed));
        return years;
    }

    /** How long a piece of work takes until it is done (s). */
    private static double seconds(Client who, String site, String what, JsonNode request) throws Exception {
        long begun = System.nanoTime();
        String path = who.begin(site, what, request);
        Patience.until(path, () -> who.get(path).at("/work/state").asString().equals("DONE"));
        return (System.nanoTime() - begun) / 1e9;
    }

    /** The same thirty years by one node and by two, turn and turn about. */
    @Test
    public void twoNodesOfOneThreadEach() throws Exception {
        Client who = new Client(application.address(), "crew1");
        int seed = 1000;
        seconds(who, "skarvholm", "years", years(who, 10, seed));
        double one = 0;
        double two = 0;
        for (int round = 0; round < 2; round++) {
            one += seconds(who, "skarvholm", "years", years(who, 30, seed += 100));
            RunningApplication second = new RunningApplication(database);
            second.start();
            seconds(who, "skarvholm", "years", years(who, 30, seed += 100));
            two += seconds(who, "skarvholm", "years", years(who, 30, seed += 100));
            second.stop();
        }
        System.out.printf(Locale.ROOT, "30 years: one node %.1f s, two %.1f s, %.2f ×%n", one / 2, two / 2, one / two);
    }

    /** Six accounts ask for ninety years each; another wants sixty days, again and again. */
    @Test
    public void sixGreedyAccounts() throws Exception {
        List<Client> greedy = new ArrayList<>();
        List<String> begun = new ArrayList<>();
        for (int i = 1; i <= 6; i++) {
            Client who = new Client(application.address(), "crew" + (10 + i));
            for (int j = 0; j < 3; j++) {
                greedy.add(who);
                begun.add(who.begin("skarvholm", "years", years(who, 30, 10_000 + 1000 * i + 100 * j)));
            }
        }
        Client other = new Client(application.address(), "liv");
        double[] waits = new double[15];
        for (int i = 0; i < waits.length; i++) {
            waits[i] = seconds(other, "hallgrund", "runs", inputs(other, "hallgrund", 60, i));
        }
        for (int i = 0; i < begun.size(); i++) {
            greedy.get(i).send("POST", begun.get(i) + "/cancel", "{}");
        }
        Arrays.sort(waits);
        System.out.printf(
                Locale.ROOT,
                "60 days beside six greedy accounts: median %.1f s, most %.1f s%n",
                waits[waits.length / 2],
                waits[waits.length - 1]);
    }

    /** A hundred people with an edit every three seconds: what the edit answers, and the draft that is kept of it. */
    @Test
    public void aHundredEditors() throws Exception {
        List<Client> people = new ArrayList<>();
        for (int i = 1; i <= 100; i++) {
            people.add(new Client(application.address(), "crew" + i));
        }
        JsonNode plan =
                people.get(0).get("/api/sites/hallgrund/revisions/latest").get("plan");
        edits(people, plan, 5);
        double[] millis = edits(people, plan, 20);
        Arrays.sort(millis);
        System.out.printf(
                Locale.ROOT,
                "100 editors, %d requests: median %.0f ms, p99 %.0f ms, most %.0f ms%n",
                millis.length,
                millis[millis.length / 2],
                millis[millis.length * 99 / 100],
                millis[millis.length - 1]);
    }

    private static double[] edits(List<Client> people, JsonNode plan, int times) throws Exception {
        ExecutorService atOnce = Executors.newFixedThreadPool(people.size());
        List<Future<double[]>> all = atOnce.invokeAll(IntStream.range(0, people.size())
                .mapToObj(i -> (Callable<double[]>) () -> edits(people.get(i), plan, times, i))
                .toList());
        atOnce.shutdown();
        List<Double> millis = new ArrayList<>();
        for (Future<double[]> one : all) {
            Arrays.stream(one.get()).forEach(millis::add);
        }
        return millis.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static double[] edits(Client who, JsonNode plan, int times, int seed) throws Exception {
        Random random = new Random(seed);
        ObjectNode mine = plan.deepCopy().asObject();
        double[] millis = new double[times];
        Thread.sleep(random.nextInt(3000));
        for (int i = 0; i < times; i++) {
            ((ObjectNode) mine.at("/program/outputs/0/protection")).put("lvdVolts", 11 + random.nextInt(50) / 100.0);
            long begun = System.nanoTime();
            assertEquals(
                    who.send("POST", "/api/reading/hallgrund", mine.toString()).statusCode(), 200);
            millis[i] = (System.nanoTime() - begun) / 1e6;
            Thread.sleep(2000 + random.nextInt(2000));
        }
        return millis;
    }
}
