package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Getting about, older revisions, and what is shown when something is missing or does not answer. */
public class AroundTheHouseTest extends BrowserTest {
    /** What the list of sites asks for. */
    private static final Pattern LIST = Pattern.compile(".*/api/sites\\?.*");

    private static final String PLAN = "/site/hallgrund/plan";
    private static final String SEASON = "/site/hallgrund/season";

    private static Locator heading(Page page) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    @Test
    public void goesAboutByKeyboard() {
        Page page = at(PLAN, "odd");
        assertThat(heading(page)).hasText("Hällgrund fog-signal relay");
        page.keyboard().type("ge");
        assertThat(page.getByText("Every load was served")).isVisible();
        page.keyboard().type("gs");
        assertThat(heading(page)).hasText("Sites");
        page.keyboard().type("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("save a new revision");
        assertAccessible(page);
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    }

    /** From a few facts to a plan without danger or caution; deleted, and brought back by undo. */
    @Test
    public void makesANewSiteWithACleanPlan() {
        Page page = at("/", "liv");
        page.getByText("New site").click();
        assertAccessible(page);
        page.getByLabel("Name").fill("Ytterholmen");
        page.getByLabel("Capacity, Ah").fill("-3");
        page.getByText("Make the site").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("-3 Ah");
        page.getByLabel("Capacity, Ah").fill("220");
        // A list to search in, the browser's own zone first; what is in no list is told as such.
        Locator zone = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Time zone"));
        assertThat(zone).hasValue("Europe/Stockholm");
        zone.fill("Europe/Nowhere");
        page.getByText("Make the site").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Europe/Nowhere");
        zone.fill("Europe/Oslo");
        page.getByText("Make the site").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Ytterholmen");
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(3);
        assertThat(page.locator("[data-finding]")).hasCount(0);
        page.navigate(address() + "/#/");
        fromMenu(page, "Ytterholmen", "Delete");
        assertThat(page.getByText("Ytterholmen is deleted")).isVisible();
        page.getByText("Undo").click();
        assertThat(page.getByText("Ytterholmen is deleted")).hasCount(0);
        fromMenu(page, "Ytterholmen", "Delete");
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(3);
    }

    @Test
    public void theGroundStaysAsChosen() {
        Page page = at("/", "odd");
        exactButton(page, "Dark ground").click();
        page.reload();
        assertThat(exactButton(page, "Light ground")).isVisible();
        assertEquals(page.evaluate("getComputedStyle(document.documentElement).colorScheme"), "dark");
    }

    /** On A4 at 96 px an inch the page is 794 px wide: what is printed takes it, and not the rail's column. */
    @Test
    public void printsAcrossThePage() {
        Page page = at(PLAN, "odd");
        page.setViewportSize(794, 1123);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        double width = page.getByRole(AriaRole.MAIN).boundingBox().width;
        assertTrue(width > 700, width + " px of 794");
        assertThat(page.getByText("Wiring").first()).isHidden();
    }

    /** The site as it was found: brought back, its findings stand at their outputs; undo takes it away again. */
    @Test
    public void bringsBackAnOlderRevisionWithItsFindings() {
        Page page = at(PLAN + "/revisions", "liv");
        Locator asFound = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("As found"));
        asFound.getByText("Bring back").click();
        page.navigate(address() + "/#" + PLAN);
        assertThat(page.locator("[data-finding=ReconnectOrder]")).containsText("10.6 V");
        assertThat(page.locator("[data-finding=DisconnectBelowBattery]"))
                .containsText("battery's lowest voltage 10.9 V");
        assertThat(page.getByText("Forced closed for a test")).isVisible();
        opened(page, "Fault output to the radio");
        assertThat(page.locator("[data-finding=TestForceLeft]")).containsText("caution");
        assertThat(page.getByText("Forced closed past mode and protection")).isVisible();
        assertAccessible(page);
        page.keyboard().press("Control+z");
        assertThat(page.locator("[data-finding]")).hasCount(0);
        assertThat(page.locator("header")).containsText(": saved");
    }

    @Test
    public void aRevisionCanBeTakenAwayAsADocument() throws Exception {
        Page page = at(PLAN + "/revisions", "odd");
        Download download =
                page.waitForDownload(() -> page.getByText("Document").last().click());
        assertEquals(download.suggestedFilename(), "hallgrund-0.json");
        String document = Files.readString(download.path());
        assertTrue(
                document.startsWith("{\"schemaVersion\":1,\"plan\":{\"site\":{\"name\":\"Hällgrund"),
                document.substring(0, 60));
    }

    /** What the first page brings of scripts, as it comes over the wire: the list of sites is in it. */
    @Test
    public void theFirstPageIsLight() {
        // The clock that other tests stop keeps no times of what was loaded.
        Page page = window();
        page.navigate(address());
        assertThat(page.getByLabel("Password")).isVisible();
        double bytes = ((Number) page.evaluate("performance.getEntriesByType('resource')"
                        + ".filter(one => /\\.js$/.test(new URL(one.name).pathname))"
                        + ".reduce((sum, one) => sum + one.encodedBodySize, 0)"))
                .doubleValue();
        assertTrue(bytes > 30_000 && bytes < 90_000, bytes + " bytes");
    }

    /** While a year is run the fortnight still stands there, and is called one. */
    @Test
    public void whatIsShownIsWhatThePictureShows() {
        Page page = at(SEASON, "odd");
        assertThat(page.locator("#tape")).containsText("14 d shown");
        List<Route> held = new ArrayList<>();
        page.route("**/api/season/hallgrund/runs", held::add);
        openConditions(page);
        page.getByLabel("days", new Page.GetByLabelOptions().setExact(true)).selectOption("365");
        page.waitForCondition(() -> !held.isEmpty());
        assertThat(page.locator("#tape")).containsText("14 d shown");
        held.forEach(Route::resume);
        assertThat(page.locator("#tape")).containsText("365 d shown");
    }

    @Test
    public void theTapeObeysTheKeys() {
        Page page = at(SEASON, "odd");
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Tape of the simulated run"))
                .focus();
        page.keyboard().press("+");
        assertThat(page.locator("#tape")).containsText("7 d shown");
        page.keyboard().press("+");
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#tape")).containsText("3 d 12 h shown");
        page.keyboard().press("-");
        assertThat(page.locator("#tape")).containsText("7 d shown");
        page.keyboard().press("0");
        assertThat(page.locator("#tape")).containsText("14 d shown");
        openConditions(page);
        page.getByLabel("days", new Page.GetByLabelOptions().setExact(true)).selectOption("30");
        assertThat(page.locator("#tape")).containsText("30 d shown");
    }

    /** When the server does not answer the page says so, keeps what is there, and tries again when asked. */
    @Test
    public void saysWhenTheServerDoesNotAnswer() {
        Page page = at("/", "liv");
        page.route(
                LIST,
                route -> route.fulfill(new Route.FulfillOptions()
                        .setStatus(200)
                        .setBody("{\"sites\":[],\"total\":0,\"putAway\":0}")
                        .setContentType("application/json")));
        page.reload();
        assertThat(page.getByText("No site yet.")).isVisible();
        page.unroute(LIST);
        page.route(
                LIST,
                route -> route.fulfill(
                        new Route.FulfillOptions()
                                .setStatus(409)
                                .setContentType("application/problem+json")
                                .setBody(
                                        "{\"detail\":\"The database does not answer. What was sent may not have been saved; try again.\"}")));
        page.reload();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("The database does not answer");
        page.unroute(LIST);
        exactButton(page, "Try again").click();
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(3);
    }

    @Test
    public void aPlaceThatIsNotThereSaysSo() {
        Page page = at("/nowhere", "odd");
        assertThat(page.getByText("There is no such place.")).isVisible();
        page.navigate(address() + "/#/site/no-such-site/plan");
        page.reload();
        assertThat(page.getByRole(AriaRole.ALERT)
                        .or(page.getByText("is not there"))
                        .first())
                .isVisible();
    }

    @Test
    public void signingOutLeavesNothingBehind() {
        Page page = window();
        signIn(page, "odd");
        page.navigate(address() + "/#" + PLAN);
        assertThat(heading(page)).hasText("Hällgrund fog-signal relay");
        exactButton(page, "Sign out").click();
        assertThat(page.getByLabel("Password")).isVisible();
        page.goBack();
        assertThat(page.getByLabel("Password")).isVisible();
        assertThat(page.getByText("Transmitter load disconnect")).hasCount(0);
    }

    /** On a phone every control in a sentence is large enough for a glove. */
    @Test
    public void targetsAreLargeOnAPhone() {
        Page page = phoneAt(PLAN, "liv");
        Locator chips = page.getByRole(AriaRole.SPINBUTTON);
        // The seed of the tape is a number too, and there before the sentences are.
        assertThat(page.getByRole(AriaRole.ARTICLE)
                        .first()
                        .getByRole(AriaRole.SPINBUTTON)
                        .first())
                .isVisible();
        assertThat(chips.first()).isVisible();
        for (Locator chip : chips.all()) {
            assertTrue(chip.boundingBox().height >= 44, chip.getAttribute("aria-label") + " is too low");
        }
        chips.first().tap();
        assertThat(page.locator("article input[inputmode=decimal]")).isFocused();
    }
}
