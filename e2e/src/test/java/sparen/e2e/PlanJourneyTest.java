package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The main journeys: from signing in to a season that follows an edit. */
public class PlanJourneyTest extends BrowserTest {
    private static final String PLAN = "/site/hallgrund/plan";
    private static final String SEASON = "/site/hallgrund/season";

    private static Locator output(Page page, String name) {
        return page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator chip(Page page, String output, String label) {
        return output(page, output)
                .getByRole(
                        AriaRole.SPINBUTTON,
                        new Locator.GetByRoleOptions().setName(label).setExact(true));
    }

    private static Locator lvd(Page page) {
        return chip(page, "Transmitter load disconnect", "LVD");
    }

    private static void save(Page page) {
        button(page, "Save revision").click();
        assertThat(page.locator("header")).containsText(": saved");
    }

    @Test
    public void signsInAndSeesTheThreeSites() {
        Page page = window();
        page.navigate(address() + "/");
        page.getByLabel("Name").fill("liv");
        page.getByLabel("Password").fill("wrong");
        button(page, "Sign in").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Name or password is wrong");
        signIn(page, "liv");
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(3);
        // What is ahead of each was worked out by itself, and comes without asking.
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Lowest battery voltage a day")))
                .hasCount(3);
        page.keyboard().press("/");
        page.keyboard().type("fog");
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(1);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Hällgrund"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Hällgrund fog-signal relay");
    }

    /** By keyboard alone: step, type, Tab, save, undo, save again; the history keeps all. */
    @Test
    public void editsByKeyboardSavesAndUndoes() {
        Page page = at(PLAN, "liv");
        lvd(page).focus();
        String before = lvd(page).getAttribute("aria-valuetext");
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Shift+ArrowDown");
        page.keyboard().press("Enter");
        page.keyboard().type("11,85");
        page.keyboard().press("Enter");
        assertThat(lvd(page)).hasAttribute("aria-valuetext", "11.85 V");
        page.keyboard().press("Tab");
        assertThat(chip(page, "Transmitter load disconnect", "LVD delay")).isFocused();
        page.keyboard().press("1");
        page.keyboard().type(":30");
        page.keyboard().press("Enter");
        assertThat(chip(page, "Transmitter load disconnect", "LVD delay")).hasText("1 min 30 s");
        assertThat(page.locator("header")).containsText("unsaved changes");
        page.keyboard().press("Control+s");
        assertThat(page.locator("header")).containsText(": saved");
        page.navigate(address() + "/#" + PLAN + "/revisions");
        assertThat(page.getByRole(AriaRole.LISTITEM).first())
                .containsText("LVD of Transmitter load disconnect " + before + " → 11.85 V");
        page.navigate(address() + "/#" + PLAN);
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        assertThat(lvd(page)).hasAttribute("aria-valuetext", before);
        save(page);
        page.reload();
        assertThat(lvd(page)).hasAttribute("aria-valuetext", before);
    }

    /** The tape beside the sentence follows, and so do the findings. */
    @Test
    public void theTapeFollowsAnEdit() {
        Page page = at(PLAN, "liv");
        openConditions(page);
        page.getByLabel("weather", new Page.GetByLabelOptions().setExact(true)).selectOption("DULL");
        Locator lane = page.locator("#tape")
                .getByText(Pattern.compile("^\\d+ switching"))
                .first();
        assertThat(lane).hasText("1 switching");
        lvd(page).focus();
        page.keyboard().press("Enter");
        page.keyboard().type("5");
        page.keyboard().press("Enter");
        assertThat(output(page, "Transmitter load disconnect"))
                .containsText("below the lowest voltage the battery’s maker allows".replace('’', '\''));
        assertThat(lane).hasText("0 switchings");
        button(page, "Undo").click();
        assertThat(lane).hasText("1 switching");
        assertThat(page.locator("[data-finding]")).hasCount(0);
    }

    /** A number that is pointed at lights up on the gauge, and a level there lights up its number. */
    @Test
    public void aNumberAndItsLevelLightUpTogether() {
        Page page = at(PLAN, "liv");
        String litColour = (String) page.evaluate(
                "() => { const i = document.createElement('i'); i.style.color = 'var(--focus)'; document.body.append(i);"
                        + " const c = getComputedStyle(i).color; i.remove(); return c; }");
        Locator peg = page.locator("[data-level='program/outputs/transmitter-disconnect/protection/lvdVolts'] text");
        assertThat(peg).not().hasCSS("fill", litColour);
        lvd(page).hover();
        assertThat(peg).hasCSS("fill", litColour);
        peg.hover();
        assertThat(lvd(page)).hasCSS("border-top-color", litColour);
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1))
                .hover();
        assertThat(peg).not().hasCSS("fill", litColour);
    }

    @Test
    public void refusesWhatCannotBeAndSaysWhy() {
        Page page = at(PLAN, "liv");
        lvd(page).focus();
        page.keyboard().press("Enter");
        page.keyboard().type("low");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("LVD: “low” is not a number in V");
        page.keyboard().press("Control+a");
        page.keyboard().type("1200");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("LVD: 1200 V is outside 0 to 1000 V");
        page.keyboard().press("Escape");
        assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    }

    /** Two editors: the second is told, sees what differs, and nothing of either is lost. */
    @Test
    public void twoEditorsGetAClearChoice() {
        Page first = at(PLAN, "liv");
        Page second = at(PLAN, "liv");
        lvd(second).focus();
        lvd(first).focus();
        first.keyboard().press("ArrowUp");
        save(first);
        String theirs = lvd(first).getAttribute("aria-valuetext");
        chip(second, "Transmitter load disconnect", "LVR").focus();
        second.keyboard().press("ArrowUp");
        button(second, "Save revision").click();
        Locator conflict = second.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("meanwhile"));
        assertThat(conflict).containsText("lvdVolts");
        button(second, "Take theirs").click();
        assertThat(conflict).hasCount(0);
        assertThat(lvd(second)).hasAttribute("aria-valuetext", theirs);
        button(second, "Undo").click();
        assertThat(second.locator("header")).containsText("unsaved changes");
        save(second);
        button(second, "Undo").click();
        save(second);
    }

    @Test
    public void unsavedChangesOutliveAReload() {
        Page page = at(PLAN, "liv");
        lvd(page).focus();
        page.keyboard().press("Shift+ArrowUp");
        String edited = lvd(page).getAttribute("aria-valuetext");
        page.reload();
        assertThat(lvd(page)).hasAttribute("aria-valuetext", edited);
        assertThat(page.getByText("Unsaved changes from before are back.")).isVisible();
        button(page, "Discard them").click();
        assertThat(page.locator("header")).containsText(": saved");
    }

    /** Brings back what was found, looks at a cure, applies it, and takes it back. */
    @Test
    public void curesAFindingAndTakesItBack() {
        Page page = at("/site/kvarno/plan/revisions", "liv");
        button(page, "Bring back").last().click();
        page.navigate(address() + "/#/site/kvarno/plan/findings");
        Locator finding = page.locator("[data-finding=MonitorCapacity]");
        assertThat(finding).containsText("set to 1000 Ah");
        finding.getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("Ah"))
                .click();
        Locator preview = finding.getByRole(AriaRole.GROUP);
        assertThat(preview).containsText("1000 → 837");
        preview.getByText("Apply").click();
        assertThat(finding).hasCount(0);
        button(page, "Undo").click();
        assertThat(finding).hasCount(1);
    }

    /** Gives an output another rule by what it is for; its numbers can be edited at once. */
    @Test
    public void choosesARuleByItsPurpose() {
        Page page = at("/site/kvarno/plan", "liv");
        opened(page, "Vent fan output");
        button(page, "Rules of Vent fan output").click();
        page.getByText("Keep it cool and clear of gas").click();
        page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText("Ventilation by gassing voltage"))
                .getByText("As its rule")
                .click();
        assertThat(chip(page, "Vent fan output", "after-run")).hasText("15 min");
        chip(page, "Vent fan output", "after-run").press("ArrowUp");
        assertThat(chip(page, "Vent fan output", "after-run")).hasText("15 min 1 s");
        assertThat(page.locator("[data-finding]")).hasCount(0);
    }

    @Test
    public void aTestForceIsLoudUntilWithdrawn() {
        Page page = at(PLAN, "liv");
        Locator force = page.getByLabel("Test force of Transmitter load disconnect");
        force.selectOption("CLOSED");
        Locator card = output(page, "Transmitter load disconnect");
        assertThat(card).containsText("Forced closed past mode and protection until withdrawn");
        assertThat(card.locator("[data-finding=TestForceLeft]")).containsText("danger");
        force.selectOption("NONE");
        assertThat(card.locator("[data-finding]")).hasCount(0);
    }

    @Test
    public void anObserverSeesAndCannotChange() {
        Page page = at(PLAN, "odd");
        lvd(page).focus();
        page.keyboard().press("ArrowUp");
        assertThat(lvd(page)).hasAttribute("aria-readonly", "true");
        assertThat(button(page, "Save revision")).hasCount(0);
        opened(page, "Marker light output");
        assertThat(page.getByLabel("Test force of Marker light output")).isDisabled();
    }

    @Test
    public void previewsAProfileBeforeItIsTaken() throws Exception {
        Page page = at(PLAN + "/system", "liv");
        Path bad = Path.of("target/bad.csv");
        Files.writeString(bad, "time;power\n2026-01-01T00:00;5\n2026-01-01T00:05;much\n");
        page.getByLabel("Choose a file").setInputFiles(bad);
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("line 3: power \"much\" is not a number");
        page.getByLabel("Choose a file").setInputFiles(Path.of("../demo/transmitter-week.csv"));
        assertThat(page.getByText("2016 lines")).isVisible();
        button(page, "Take it").click();
        Locator transmitter = button(page, "Transmitter (critical), imported profile");
        assertThat(transmitter).isVisible();
        button(page, "Undo").click();
        assertThat(transmitter).hasCount(0);
    }

    /** From a fortnight to seconds around a switching, its reason read, and back. */
    @Test
    public void zoomsToASwitchingAndReadsItsReason() {
        Page page = at(SEASON, "odd");
        openConditions(page);
        page.getByLabel("weather", new Page.GetByLabelOptions().setExact(true)).selectOption("DULL");
        Locator verdict =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Verdict of the simulated run"));
        assertThat(verdict).containsText("Transmitter cut once, ");
        Locator event = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Events"))
                .getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("Transmitter load disconnect opens"));
        assertThat(event).containsText("controller bus at or below LVD");
        event.click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("How it came about"))
                        .first())
                .containsText("Wh a day");
        assertThat(page.locator("#tape")).containsText("1 min 20 s shown");
        assertThat(page.locator("#tape canvas")).hasCount(4);
        button(page, "Whole run").click();
        assertThat(page.locator("#tape")).containsText("14 d shown");
        button(page, "Energy").click();
        assertThat(page.locator("#ledger ~ table")).containsText("Transmitter");
        page.getByLabel("weather", new Page.GetByLabelOptions().setExact(true)).selectOption("CLEAR");
        assertThat(page.getByText("thrown away: curtailed")
                        .locator("..")
                        .locator("td")
                        .first())
                .not()
                .hasText("0 Wh");
    }

    @DataProvider
    public Object[][] places() {
        return new Object[][] {
            {"/", "Skarvholm bird observatory"},
            {PLAN, "protection, always wins"},
            {PLAN + "/system", "What is here"},
            {PLAN + "/levels", "The same in numbers"},
            {PLAN + "/findings", "Nothing is found wrong"},
            {PLAN + "/revisions", "As found"},
            {SEASON, "Every load was served"},
            {SEASON + "/absence", "until I am back on"},
            {SEASON + "/years", "Run the years"},
            {"/site/skarvholm/plan/system", "What is here"},
            {"/site/skarvholm/season", "Lowest charge"},
            {"/site/kvarno/season", "feeder"}
        };
    }

    @Test(dataProvider = "places")
    public void placesAreAccessibleInBothGroundsAndFitAPhone(String place, String awaited) {
        Page page = at(place, "liv");
        assertThat(page.getByText(awaited).first()).isVisible();
        assertAccessible(page);
        button(page, "Dark ground").click();
        // As at 1280 by 800 with 200 % zoom, for somebody who wants no motion.
        page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
        page.setViewportSize(640, 400);
        assertNoSidewaysScroll(page);
        assertContrast(page);
        page.setViewportSize(390, 844);
        assertNoSidewaysScroll(page);
        assertAccessible(page);
        page.setViewportSize(320, 640);
        assertNoSidewaysScroll(page);
    }

    /** Under 250 kB of script, in few requests, before a stranger can sign in. */
    @Test
    public void theFirstPageIsLight() {
        Page page = window();
        page.navigate(address() + "/");
        assertThat(page.getByLabel("Name")).isVisible();
        assertAccessible(page);
        int requests = (Integer) page.evaluate("performance.getEntriesByType('resource').length");
        assertTrue(requests <= 25, requests + " requests");
        int bytes = (Integer)
                page.evaluate(
                        "performance.getEntriesByType('resource').filter(r => r.name.endsWith('.js')).reduce((n, r) => n + r.encodedBodySize, 0)");
        assertTrue(bytes > 0 && bytes < 250_000, bytes + " bytes");
    }
}
