package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import sparen.measure.Machine;

/**
 * How long a person waits for the page, printed and never judged: scripts/benchmark --web runs it. Its name keeps it out of the check.
 * Every row: what, least, median and most (ms, where nothing else is said).
 */
public class WebBenchmark extends BrowserTest {
    private static final int YEAR = 365 * 86_400;

    @BeforeClass
    public void tellTheMachine() {
        System.out.println(Machine.calibration() + ", " + Runtime.getRuntime().availableProcessors() + " processors");
        System.out.println("what                                        least  median    most");
    }

    private static void print(String what, double[] values) {
        Arrays.sort(values);
        System.out.printf(
                Locale.ROOT,
                "%-42s %6.0f  %6.0f  %6.0f%n",
                what,
                values[0],
                values[values.length / 2],
                values[values.length - 1]);
    }

    /** As the page writes a number that was typed. */
    private static String fixed(double value) {
        return String.valueOf(Math.round(value * 100) / 100.0);
    }

    private static double number(Page page, String script) {
        return ((Number) page.evaluate(script)).doubleValue();
    }

    private Page twentyOutputs() throws Exception {
        Page page = at("/new", "liv");
        page.locator("input[type=file]").setInputFiles(TwentyOutputs.document());
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(20);
        assertThat(page.locator("[data-took]")).isVisible();
        return page;
    }

    /** From opening the address to the first paint of the sign-in page. */
    @Test
    public void firstPaint() {
        double[] paints = new double[7];
        for (int i = 0; i < paints.length; i++) {
            Page page = window();
            page.navigate(address() + "/");
            assertThat(page.getByLabel("Name")).isVisible();
            paints[i] = number(page, "performance.getEntriesByName('first-contentful-paint')[0].startTime");
        }
        print("first paint", paints);
    }

    /** From a key at a number to the number on screen, and to its tape, whoever is asked for it. */
    private static final String EDIT =
            """
            async (chip) => {
              const took = () => document.querySelector('[data-took]')?.dataset.took;
              const until = async (done) => {
                const late = performance.now() + 5000;
                while (!done() && performance.now() < late) await new Promise(requestAnimationFrame);
                return performance.now() - started;
              };
              const text = chip.textContent;
              const preview = took();
              const started = performance.now();
              chip.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
              return [await until(() => chip.textContent !== text), await until(() => took() !== preview)];
            }
            """;

    /** From a key at a number of twenty outputs to the number and its tape; and once fifty settings were changed one after the other. */
    @Test
    public void edit() throws Exception {
        Page page = twentyOutputs();
        Locator chips = page.locator("article [role=spinbutton]");
        print("20 outputs: edit", chips.first(), 18);
        for (int i = 0; i < 50; i++) {
            chips.nth(i % chips.count()).press("ArrowUp");
        }
        print("fifty settings deep: edit", chips.first(), 18);
    }

    private static void print(String what, Locator chip, int edits) {
        double[][] times = new double[2][edits - 3];
        for (int i = -3; i < edits - 3; i++) {
            List<?> measured = (List<?>) chip.evaluate(EDIT);
            for (int k = 0; i >= 0 && k < 2; k++) {
                times[k][i] = ((Number) measured.get(k)).doubleValue();
            }
        }
        print(what + " on screen", times[0]);
        print(what + " to preview", times[1]);
    }

    /** From the choice of a year to its tape; steps of the zoom; what the page's heap has grown to. */
    @Test
    public void year() throws Exception {
        Page page = twentyOutputs();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Season"))
                .click();
        Locator tape = page.locator("[data-run]");
        assertThat(tape).isVisible();
        openConditions(page);
        double[] shown = new double[7];
        for (int i = -1; i < shown.length; i++) {
            exact(page, "days").selectOption("14");
            page.waitForFunction("() => document.querySelector('[data-run]')?.dataset.to == 14 * 86400");
            String before = tape.getAttribute("data-run");
            long clicked = System.nanoTime();
            exact(page, "days").selectOption("365");
            page.waitForFunction(
                    "before => { const tape = document.querySelector('[data-run]')?.dataset; return tape?.to == " + YEAR
                            + " && tape.run !== before; }",
                    before);
            if (i >= 0) {
                shown[i] = (System.nanoTime() - clicked) / 1e6;
            }
        }
        print("20 outputs: a year from the choice", shown);
        double[] zooms = new double[8];
        for (int i = 0; i < zooms.length; i++) {
            String to = tape.getAttribute("data-to");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Closer"))
                    .click();
            page.waitForFunction("to => document.querySelector('[data-run]')?.dataset.to !== to", to);
            zooms[i] = Double.parseDouble(tape.getAttribute("data-took"));
        }
        print("a step of the zoom", zooms);
        print("heap after the years (MB)", new double[] {number(page, "performance.memory.usedJSHeapSize / 1e6")});
    }

    /** From a turned knob to the contacts. */
    @Test
    public void benchTurn() {
        Page page = at("/site/hallgrund/bench", "odd");
        Locator knob = page.getByRole(
                AriaRole.SPINBUTTON,
                new Page.GetByRoleOptions().setName("bus voltage").setExact(true));
        double[] took = new double[15];
        for (int i = 0; i < took.length; i++) {
            knob.focus();
            page.keyboard().press("Enter");
            page.keyboard().type("12," + (10 + i));
            page.waitForResponse("**/api/bench/hallgrund", () -> page.keyboard().press("Enter"));
            assertThat(knob).containsText(fixed(12.1 + i / 100.0));
            took[i] = Double.parseDouble(page.locator("[data-took]").getAttribute("data-took"));
        }
        print("a turn of a knob", took);
    }

    /** Fifty benches at once, each turned twelve times without a pause. */
    @Test
    public void fiftyBenches() throws Exception {
        Page page = at("/", "liv");
        String plan = (String)
                page.evaluate(
                        "async () => JSON.stringify((await (await fetch('/api/sites/hallgrund/revisions/latest')).json()).plan)");
        String cookies = String.join(
                "; ",
                page.context().cookies().stream()
                        .map(one -> one.name + "=" + one.value)
                        .toList());
        String token = page.context().cookies().stream()
                .filter(one -> one.name.equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow()
                .value;
        HttpClient client = HttpClient.newHttpClient();
        Callable<List<Double>> bench = () -> {
            List<Double> took = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                String turn = "{\"seconds\":0,\"knob\":\"bus_volts\",\"value\":" + (i % 2 == 0 ? 11.2 : 13.1)
                        + ",\"overSeconds\":0}";
                HttpRequest request = HttpRequest.newBuilder(URI.create(address() + "/api/bench/hallgrund"))
                        .header("Content-Type", "application/json")
                        .header("Cookie", cookies)
                        .header("X-XSRF-TOKEN", token)
                        .POST(HttpRequest.BodyPublishers.ofString("{\"plan\":" + plan + ",\"script\":{\"turns\":["
                                + turn + "]},\"untilSeconds\":" + i * 20 + "}"))
                        .build();
                long asked = System.nanoTime();
                int status = client.send(request, HttpResponse.BodyHandlers.ofString())
                        .statusCode();
                took.add(status == 200 ? (System.nanoTime() - asked) / 1e6 : Double.NaN);
            }
            return took;
        };
        ExecutorService hands = Executors.newFixedThreadPool(50);
        try {
            for (int run = 1; run <= 3; run++) {
                List<Double> took = new ArrayList<>();
                for (Future<List<Double>> one : hands.invokeAll(Collections.nCopies(50, bench))) {
                    took.addAll(one.get());
                }
                long refused = took.stream().filter(one -> one.isNaN()).count();
                print(
                        "50 benches, run " + run + (refused > 0 ? ", " + refused + " refused" : ""),
                        took.stream()
                                .filter(one -> !one.isNaN())
                                .mapToDouble(Double::doubleValue)
                                .toArray());
            }
        } finally {
            hands.shutdownNow();
        }
    }
}
