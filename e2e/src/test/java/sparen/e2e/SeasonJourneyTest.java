package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.assertions.LocatorAssertions.HasCountOptions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.testng.annotations.Test;

/** A year on the tape, two revisions side by side, and long work that goes on whatever happens to the page or the application. */
public class SeasonJourneyTest extends BrowserTest {
    private static final int YEAR = 365 * 86_400;

    private static Locator undo(Page page) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo").setExact(true));
    }

    private static double wattHours(Locator row) {
        String said = row.getByRole(AriaRole.CELL).first().innerText();
        double number = Double.parseDouble(said.replaceAll("[^0-9.]", ""));
        return said.contains("kWh") ? 1000 * number : number;
    }

    /** Does something that begins a run of the season; returns the run's id when the tape shows it. */
    private static String runOf(Page page, Runnable begin) {
        Response begun = page.waitForResponse(
                response -> response.url().endsWith("/runs")
                        && response.request().method().equals("POST"),
                begin);
        String id = (String) page.evaluate("text => JSON.parse(text).work.id", begun.text());
        page.waitForSelector("[data-run='" + id + "']");
        return id;
    }

    /**
     * A year with one-minute inputs and twenty outputs is begun once, comes as one picture's worth of numbers however long it is, and
     * so does every step of the zoom; the page does not grow with what it has shown.
     */
    @Test
    public void aYearOfTwentyOutputsIsLight() throws Exception {
        Page page = at("/new", "liv");
        page.locator("input[type=file]").setInputFiles(TwentyOutputs.document());
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(20);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Season"))
                .click();
        page.waitForSelector("[data-run]");
        openConditions(page);
        int nodes = 0;
        for (int i = 0; i < 2; i++) {
            runOf(page, () -> exact(page, "days").selectOption("30"));
            List<Request> runs = requests(page, "POST", "/runs");
            List<Request> looks = requests(page, "GET", "/view");
            runOf(page, () -> exact(page, "days").selectOption("365"));
            assertThat(page.locator("[data-run]")).hasAttribute("data-to", String.valueOf(YEAR));
            assertEquals(runs.size(), 1);
            assertEquals(looks.size(), 1);
            int bytes = looks.get(0).response().body().length;
            assertTrue(bytes < 2_000_000, bytes + " bytes for a year");
            int now = (Integer) page.evaluate("document.querySelectorAll('*').length");
            assertTrue(i == 0 || now <= nodes + 50, nodes + " nodes, then " + now);
            nodes = now;
        }
        assertTrue(nodes < 12_000, nodes + " nodes");
        for (int span = YEAR / 2; span > YEAR / 64; span /= 2) {
            Response look = page.waitForResponse(
                    "**/view?**", () -> button(page, "Closer").click());
            assertTrue(look.body().length < 2_000_000, look.body().length + " bytes for " + span + " s");
        }
    }

    /** A lockout that waits for a hand is let go in a run, on a day and at an hour; a name that nothing waits for cannot be asked. */
    @Test
    public void aLockoutIsResetByHandInARun() {
        Page page = at("/", "liv");
        draft(
                page,
                "hallgrund",
                "plan.program.outputs[0].lockout = { trips: 1, withinSeconds: 60, growthFactor: 1, firstWaitSeconds: 0, release: 'HAND', waitSeconds: 0 };");
        page.navigate(address() + "/#/site/hallgrund/season");
        page.waitForSelector("[data-run]");
        openConditions(page);
        runOf(page, () -> button(page, "Do something by hand").click());
        assertThat(page.getByText("1 thing done by hand").first()).isVisible();
        Locator what = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("what is done"));
        assertThat(what.locator("option:checked")).containsText("reset the lockout of");
        runOf(page, () -> exact(page, "at what time").fill("07:30"));
        runOf(page, () -> button(page, "Leave out:").click());
        assertThat(page.getByText("done by hand", new Page.GetByTextOptions().setExact(true)))
                .hasCount(0);
    }

    /** From a year to the second of a switching: its reason and the chain that led there; then taken away as tables and pictures. */
    @Test
    public void aYearIsZoomedToASwitchingSecond() throws Exception {
        Page page = at("/site/skarvholm/season", "odd");
        page.waitForSelector("[data-run]");
        openConditions(page);
        runOf(page, () -> exact(page, "days").selectOption("365"));
        assertThat(page.locator("#tape")).containsText("365 d shown");
        page.getByLabel("Events of").selectOption("generator-start");
        Locator first =
                page.locator("section[aria-labelledby=events] li button").first();
        assertThat(first).containsText("Generator start");
        first.click();
        assertThat(page.locator("#tape")).containsText("1 min 20 s shown");
        Locator chain = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("How it came about"))
                .first();
        assertThat(chain).containsText("the sun had");
        for (int i = 0; i < 6; i++) {
            page.waitForResponse("**/view?**", () -> button(page, "Closer").click());
        }
        assertThat(page.locator("#tape")).containsText("2 s shown");
        button(page, "Whole run").click();
        assertThat(page.locator("#tape")).containsText("365 d shown");
        Download events =
                page.waitForDownload(() -> page.getByText("events (CSV)").click());
        assertTrue(Files.readString(events.path()).startsWith("time,seconds,event,subject"));
        Download svg =
                page.waitForDownload(() -> page.getByText("picture (SVG)").click());
        assertTrue(Files.readString(svg.path()).contains("Simulated: no proof of safety"));
        Download png =
                page.waitForDownload(() -> page.getByText("picture (PNG)").click());
        assertEquals(Arrays.copyOf(Files.readAllBytes(png.path()), 4), new byte[] {(byte) 0x89, 'P', 'N', 'G'});
        button(page, "Day by day").click();
        page.getByLabel("What the calendar shows").selectOption("surplus");
        page.locator("[data-day='200']").click();
        assertThat(page.locator("#tape")).containsText("1 d shown");
        assertAccessible(page);
        // A reload finds the year again, under its own conditions, without running it anew.
        String run = page.locator("[data-run]").getAttribute("data-run");
        page.clock().install();
        List<Request> runs = requests(page, "POST", "/runs");
        page.reload();
        assertThat(page.locator("#tape")).containsText("365 d shown");
        assertThat(exact(page, "weather")).hasValue("PLACE");
        // Whatever waits for a while after a change has had its while.
        page.clock().runFor(5_000);
        assertThat(page.locator("[data-run]")).hasAttribute("data-run", run);
        assertEquals(runs.size(), 0);
    }

    /** A revision beside the plan as it is, on the season's own tape: differences first; then a span of it, counted up by itself. */
    @Test
    public void comparesWithARevision() {
        Page page = at("/site/skarvholm/season", "odd");
        exact(page, "with").selectOption("0");
        Locator told =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What changed, and what it did"));
        assertThat(told).containsText("LVD of");
        assertThat(told).containsText("instead of");
        assertThat(page.getByRole(AriaRole.TABLE)).containsText("Lowest state of charge");
        assertThat(page.locator("#tape canvas").first()).isVisible();
        assertThat(page.locator("#tape")).containsText("switchings, with revision 0");
        assertAccessible(page);
        exact(page, "with").selectOption("nothing beside it");
        assertThat(told).hasCount(0);
    }

    /** What stands behind the verdict is of the span that is chosen, in whole hours, and says so; the strip above stays while one reads. */
    @Test
    public void figuresAreOfTheSpanThatIsShown() {
        Page page = at("/site/skarvholm/season", "odd");
        page.waitForSelector("[data-run]");
        button(page, "Energy").click();
        Locator behind = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Where the energy went"));
        Locator came = behind.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Came in"));
        double whole = wattHours(came);
        button(page, "Day by day").click();
        page.locator("[data-day='3']").click();
        assertThat(page.getByText("Of the whole run.")).isVisible();
        button(page, "Energy").click();
        assertThat(page.getByText("Of these 1 d")).isVisible();
        assertThat(came).isVisible();
        double day = wattHours(came);
        assertTrue(day > 0 && day < whole / 5, day + " of " + whole + " Wh");
        page.setViewportSize(1280, 500);
        behind.getByText("Unserved").first().scrollIntoViewIfNeeded();
        page.mouse().wheel(0, 4000);
        button(page, "Back to the tape").click();
        assertThat(page.locator("#tape canvas").first()).isInViewport();
    }

    /** On a phone a table is a list: a load by itself, its numbers below each other, and nothing to be pushed aside; still a table to hear. */
    @Test
    public void tablesAreListsOnAPhone() {
        Page page = phoneAt("/site/skarvholm/season", "odd");
        page.waitForSelector("[data-run]");
        button(page, "Loads").click();
        Locator row = page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Radio link"));
        Locator cells = row.getByRole(AriaRole.CELL);
        assertThat(cells).hasCount(4);
        double first = cells.nth(0).boundingBox().y;
        assertTrue(cells.nth(1).boundingBox().y >= first + 20, "below each other");
        assertNoSidewaysScroll(page);
        assertAccessible(page);
    }

    /** In the dark no setting helps, and that is said; where a level is the trouble, the one that helps is put into the plan and undone. */
    @Test
    public void asksWhatHappensUntilOneIsBack() {
        Page page = at("/site/hallgrund/season/absence", "liv");
        // A dark month, whatever today's date is.
        ask(page, "2026-11-20", "2026-12-18");
        Locator came = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What came of it"));
        assertThat(came).containsText("Transmitter is cut in 8 of 8 weathers, at the earliest on ");
        assertThat(came).containsText("No single setting keeps it on");
        assertThat(came.getByRole(AriaRole.IMG).first()).isVisible();
        assertAccessible(page);
        draft(page, "hallgrund", "const t = plan.program.outputs[0].protection; t.lvdVolts = 12.3; t.lvrVolts = 12.9;");
        page.reload();
        ask(page, "2026-10-05", "2026-10-19");
        assertThat(came).containsText("Transmitter load disconnect: LVD 12.3 → 12 V");
        button(page, "Put it into the plan").click();
        assertThat(undo(page)).isEnabled();
        assertThat(page.getByText("undo takes it back")).isVisible();
        undo(page).click();
    }

    private static void ask(Page page, String from, String back) {
        exact(page, "from").fill(from);
        page.getByLabel("until I am back on").fill(back);
        exact(page, "weathers").fill("8");
        button(page, "Ask").click();
    }

    /** Several years, so far as they are done, and the worst fortnight of all shown where it lies in its year. */
    @Test
    public void findsTheWorstFortnight() {
        Page page = at("/site/hallgrund/season/years", "odd");
        page.getByLabel("years").fill("3");
        button(page, "Run the years").click();
        assertThat(page.locator("tbody tr")).hasCount(3);
        assertThat(page.locator("tfoot tr").last()).containsText("most");
        assertAccessible(page);
        button(page, "Show it on the tape").click();
        assertThat(page.locator("#tape")).containsText("14 d shown");
        assertThat(exact(page, "days")).hasValue("365");
        page.waitForFunction(
                "() => { const tape = document.querySelector('[data-run]')?.dataset; return tape && tape.to - tape.from === 14 * 86400; }");
        button(page, "Whole run").click();
        assertThat(page.locator("#tape")).containsText("365 d shown");
    }

    /** Other circumstances and other months change the run; what cannot be is refused at its field; one click takes all back. */
    @Test
    public void anAgedBatteryAndDullerMonthsShow() {
        Page page = at("/site/hallgrund/season", "odd");
        page.waitForSelector("[data-run]");
        button(page, "Figures").click();
        Locator lowest = page.locator("dt", new Page.LocatorOptions().setHasText("lowest state of charge"))
                .locator("xpath=following-sibling::dd")
                .locator(".number")
                .first();
        assertThat(lowest).containsText("%");
        String before = lowest.textContent();
        openConditions(page);
        page.getByLabel("capacity left").fill("50");
        runOf(page, () -> page.getByLabel("capacity left").press("Tab"));
        assertThat(lowest).not().hasText(before);
        String aged = lowest.textContent();
        Locator october = page.getByLabel("clearness index, Oct");
        october.fill("0.9");
        october.press("Tab");
        assertThat(page.getByText("Suggested by the latitude alone")).isVisible();
        october.fill("0.1");
        october.press("Tab");
        assertThat(page.getByText("As set here.")).isVisible();
        assertThat(lowest).not().hasText(aged);
        button(page, "As the latitude suggests").click();
        button(page, "As set at the site").click();
        assertThat(lowest).hasText(before);
        assertAccessible(page);
    }

    /** A weather file with a bad line is refused with the line; a good one is what the next run has. */
    @Test
    public void aWeatherFileIsTakenIn() throws Exception {
        StringBuilder good = new StringBuilder("time,ghi,temperature\n");
        for (int hour = 0; hour < 24 * 20; hour++) {
            good.append(String.format(
                    "2026-10-%02dT%02d:00:00Z,%d,8%n",
                    1 + hour / 24, hour % 24, hour % 24 > 7 && hour % 24 < 17 ? 90 : 0));
        }
        Path bad = Files.writeString(Path.of("target/bad-weather.csv"), good + "2026-10-21T00:00:00Z,much,8\n");
        Path file = Files.writeString(Path.of("target/grey-october.csv"), good);
        Page page = at("/site/hallgrund/season", "liv");
        assertThat(page.locator("[data-run]")).isVisible();
        openConditions(page);
        Locator input = page.locator("input[type=file]");
        input.setInputFiles(bad);
        assertThat(page.getByText("line 482")).isVisible();
        input.setInputFiles(file);
        button(page, "Take it").click();
        assertThat(exact(page, "weather").locator("option:checked")).hasText("file grey-october.csv");
        assertThat(page.locator("[data-work]")).hasAttribute("data-work", "DONE");
        // From the fifth on the file has sixteen days; thirty are beyond it, and that is said.
        exact(page, "days").selectOption("30");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("the file has nothing for");
        exact(page, "days").selectOption("14");
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    }

    /** Long work is cancelled; begun again it outlives a reload of the page and a restart of the application. */
    @Test
    public void longWorkIsCancelledAndTakenUpAgain() {
        Page page = at("/site/skarvholm/season/years", "liv");
        page.getByLabel("years").fill("30");
        button(page, "Run the years").click();
        button(page, "Cancel").click();
        assertThat(page.getByText("Cancelled at")).isVisible();
        page.getByLabel("years").fill("5");
        button(page, "Run the years").click();
        Locator rows = page.locator("tbody tr");
        assertThat(rows.first()).isVisible();
        page.reload();
        assertThat(rows.first()).isVisible();
        page.navigate("about:blank");
        restartApplication();
        page.navigate(address() + "/#/site/skarvholm/season/years");
        assertThat(rows).hasCount(5, new HasCountOptions().setTimeout(5 * Stand.PATIENCE_MILLIS));
        assertThat(page.getByText("The worst fortnight")).isVisible();
    }
}
