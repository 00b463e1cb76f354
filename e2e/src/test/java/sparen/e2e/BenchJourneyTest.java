package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is done with a bench supply and a watch, done in the browser. */
public class BenchJourneyTest extends BrowserTest {
    private static Locator knob(Page page, String name) {
        return page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void otherKnobs(Page page) {
        page.getByText("Other knobs").click();
    }

    private static void turn(Page page, String knob, String to) {
        knob(page, knob).focus();
        page.keyboard().press("Enter");
        page.keyboard().type(to);
        page.keyboard().press("Enter");
    }

    /** Until it is printed. */
    private static void toTheNextSwitching(Page page) {
        Locator printed = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened"))
                .locator("li strong");
        int before = printed.count();
        button(page, "To the next switching").click();
        page.waitForCondition(() -> printed.count() > before);
    }

    private static Locator contact(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Contacts"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(name));
    }

    /** The voltage is typed below the level, the delay counts down, the contact opens with its reason; each turn of a knob asks once. */
    @Test
    public void turnsTheVoltageDownAndWaits() throws Exception {
        Page page = at("/site/hallgrund/bench", "odd");
        withoutTheCore(page);
        Locator transmitter = contact(page, "Transmitter load disconnect");
        assertThat(transmitter).containsText("closed");
        turn(page, "voltage", "11,5");
        assertThat(transmitter).containsText("30 s");
        button(page, "To the next switching").click();
        assertThat(transmitter).containsText("open");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened")))
                .containsText("at or below LVD");
        assertAccessible(page);
        List<Request> asked = requests(page, "POST", "/api/bench/hallgrund");
        for (int i = 1; i <= 8; i++) {
            int turns = i;
            page.waitForResponse(
                    response -> asked.size() == turns && response.request() == asked.get(turns - 1),
                    () -> turn(page, "voltage", "12," + turns));
        }
        assertThat(knob(page, "voltage")).containsText("12.8");
        assertEquals(asked.size(), 8);
        Download script = page.waitForDownload(
                () -> page.getByText("Keep this script as a file").click());
        button(page, "Start again").click();
        assertThat(transmitter).containsText("closed");
        assertThat(page.getByText("Nothing has switched yet")).isVisible();
        page.locator("input[type=file]").setInputFiles(script.path());
        assertThat(page.getByText("at or below LVD").first()).isVisible();
    }

    /** Once the core has come to the browser, the bench goes on with the network gone. */
    @Test
    public void theBenchGoesOnWithoutANetwork() throws Exception {
        Page page = at("/", "odd");
        page.waitForResponse("**/engine/core.js", () -> page.navigate(address() + "/#/site/hallgrund/bench"));
        page.waitForCondition(() -> page.workers().size() == 1);
        List<Request> asked = requests(page, "POST", "/api/bench/hallgrund");
        // Where the core is read but not yet there the server still answers.
        page.waitForCondition(() -> {
            int before = asked.size();
            turn(page, "voltage", before % 2 == 0 ? "12,9" : "13,1");
            assertThat(knob(page, "voltage")).containsText(before % 2 == 0 ? "12.9" : "13.1");
            page.waitForLoadState(LoadState.NETWORKIDLE);
            return asked.size() == before;
        });
        int online = asked.size();
        page.context().setOffline(true);
        Locator transmitter = contact(page, "Transmitter load disconnect");
        turn(page, "voltage", "11,5");
        assertThat(transmitter).containsText("30 s");
        toTheNextSwitching(page);
        assertThat(transmitter).containsText("open");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened")))
                .containsText("at or below LVD");
        assertEquals(asked.size(), online);
        page.context().setOffline(false);
    }

    /** Time goes on by itself; covering the array makes dusk; a slow turn is asked for in words and refused in words. */
    @Test
    public void letsTimeGoOn() {
        Page page = at("/site/hallgrund/bench", "liv");
        assertThat(contact(page, "Marker light output")).containsText("open");
        otherKnobs(page);
        turn(page, "height of the sun", "-8");
        page.getByLabel("How fast").selectOption("600");
        button(page, "Run").click();
        // The contact counts down to its closing in words that hold the same one: what was printed tells that it has
        // closed.
        Locator happened = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened"));
        assertThat(happened).containsText("Marker light output closes");
        assertThat(contact(page, "Marker light output")).containsText("closed");
        button(page, "Pause").click();
        page.getByLabel("Knob to turn slowly").selectOption("bus_volts");
        page.getByLabel("Turn slowly to").fill("low");
        button(page, "Turn").last().click();
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("“low” is not a number");
        page.getByLabel("Turn slowly from").fill("14");
        page.getByLabel("Turn slowly to").fill("11");
        page.getByLabel("Over what time").fill("3 min");
        assertThat(page.getByText("−1 V a minute")).isVisible();
        button(page, "Turn").last().click();
        button(page, "To the next switching").click();
        assertThat(happened).containsText("opens");
    }

    /** A contact that waits for a charge brings it onto the scale; where nothing can switch, that is said and time stays. */
    @Test
    public void aContactBringsItsKnob() {
        Page page = at("/site/skarvholm/bench", "odd");
        contact(page, "Generator start").getByRole(AriaRole.BUTTON).click();
        Locator charge = page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^reported charge")));
        turn(page, charge.first().getAttribute("aria-label"), "30");
        assertThat(contact(page, "Generator start")).containsText("min");
        toTheNextSwitching(page);
        assertThat(contact(page, "Generator start")).containsText("closed");
        button(page, "Back to the voltage").click();
        assertThat(knob(page, "voltage")).isVisible();
    }

    @DataProvider
    private Object[][] sites() {
        return new Object[][] {{"hallgrund"}, {"kvarno"}, {"skarvholm"}};
    }

    @Test(dataProvider = "sites")
    public void walksEveryLevel(String site) {
        Page page = at("/site/" + site + "/bench", "odd");
        button(page, "Walk every level").click();
        assertThat(page.getByText("all as expected")).isVisible();
        assertThat(page.locator("#walk")).isVisible();
        assertAccessible(page);
        page.setViewportSize(390, 844);
        assertNoSidewaysScroll(page);
    }

    /** With its battery behind it, a load too heavy for its hysteresis chatters; a lockout ends that and says how long it waits. */
    @Test
    public void aHeavyLoadChattersUntilALockoutHoldsIt() {
        Page page = at("/", "liv");
        String narrow =
                "const t = plan.program.outputs[0].protection; t.lvdVolts = 12.62; t.lvrVolts = 12.66; t.lvdDelaySeconds = 2; t.lvrDelaySeconds = 2;";
        draft(page, "hallgrund", narrow);
        page.navigate(address() + "/#/site/hallgrund/bench");
        page.getByLabel("What answers").selectOption("live");
        Locator transmitter = contact(page, "Transmitter load disconnect");
        otherKnobs(page);
        turn(page, "load Transmitter", "150");
        Locator now = page.getByLabel("Battery now");
        assertThat(now).containsText("−1");
        Locator happened = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened"));
        Locator opens = happened.getByText("Transmitter load disconnect opens");
        for (int i = 0; i < 12 && opens.count() < 3; i++) {
            toTheNextSwitching(page);
        }
        assertThat(opens).hasCount(3);
        assertThat(happened.getByText("Transmitter load disconnect closes")).hasCount(2);
        assertAccessible(page);
        draft(
                page,
                "hallgrund",
                narrow
                        + "plan.program.outputs[0].lockout = { trips: 2, withinSeconds: 900, growthFactor: 1, firstWaitSeconds: 0, release: 'TIME', waitSeconds: 3600 };");
        page.reload();
        page.getByLabel("What answers").selectOption("live");
        otherKnobs(page);
        turn(page, "load Transmitter", "150");
        page.getByLabel("How fast").selectOption("60");
        button(page, "Run").click();
        assertThat(transmitter).containsText("lockout");
        button(page, "Pause").click();
        assertThat(happened.getByText("opens", new Locator.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        assertThat(transmitter).containsText("open");
    }

    /** Dusk is faked by covering the array: its voltage falls, the delay runs, the light comes on. */
    @Test
    public void coversTheArrayForDusk() {
        Page page = at("/", "liv");
        draft(
                page,
                "kvarno",
                "plan.program.outputs[2].automatic = { kind: 'duskByArrayVoltage', controller: plan.site.controllers[0].id, duskVolts: 8, duskDelaySeconds: 60, dawnVolts: 10, dawnDelaySeconds: 60 };");
        page.navigate(address() + "/#/site/kvarno/bench");
        Locator light = contact(page, "Lamps output");
        otherKnobs(page);
        Locator array = page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^array voltage")));
        array.focus();
        page.keyboard().press("Enter");
        page.keyboard().type("20");
        page.keyboard().press("Enter");
        page.getByLabel("How fast").selectOption("60");
        button(page, "Run").click();
        assertThat(light).containsText("open");
        array.focus();
        page.keyboard().press("Enter");
        page.keyboard().type("3");
        page.keyboard().press("Enter");
        assertThat(light).containsText("closed");
        button(page, "Pause").click();
    }

    /** A force and a changed level are shown loudly until they are put back; a script is kept, found and played on another revision. */
    @Test
    public void whatATestChangesIsPutBackAndItsScriptIsKept() {
        Page page = at("/site/hallgrund/bench", "liv");
        page.getByLabel("Test force of Transmitter load disconnect").selectOption("OPEN");
        Locator alert = page.getByRole(AriaRole.ALERT);
        assertThat(alert).containsText("Transmitter load disconnect is forced open");
        assertThat(contact(page, "Transmitter load disconnect")).containsText("a test force holds it");
        button(page, "Withdraw").click();
        assertThat(contact(page, "Transmitter load disconnect")).containsText("closed");
        otherKnobs(page);
        page.getByLabel("for a test, set").selectOption("program/outputs/transmitter-disconnect/protection/lvdVolts");
        page.getByLabel("to", new Page.GetByLabelOptions().setExact(true)).fill("12,6");
        button(page, "Set it for the test").click();
        assertThat(alert).containsText("it is to be 11.7 V");
        turn(page, "voltage", "12,5");
        button(page, "To the next switching").click();
        assertThat(contact(page, "Transmitter load disconnect")).containsText("open");
        page.getByLabel("name", new Page.GetByLabelOptions().setExact(true)).fill("raised cut-off");
        button(page, "Keep it here").click();
        page.getByLabel("the same on").selectOption("1");
        button(page, "Show what differs").click();
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("Transmitter load disconnect opens")))
                .containsText("never");
        button(page, "Put back").click();
        assertThat(alert).hasCount(0);
        button(page, "Start again").click();
        button(page, "Play raised cut-off").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Steps")))
                .containsText("to 12.50 V");
        button(page, "Remove").click();
    }

    /** A level is crossed slowly: just before it the contact stays, then it moves after its delay. */
    @Test
    public void crossesALevelSlowly() {
        Page page = at("/site/hallgrund/bench", "odd");
        button(page, "Walk every level").click();
        button(page, "Cross slowly LVD of Transmitter load disconnect").click();
        // Whatever has a higher level goes first.
        Locator printed = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened"));
        for (int i = 0;
                i < 6 && printed.getByText("Transmitter load disconnect opens").count() == 0;
                i++) {
            toTheNextSwitching(page);
        }
        assertThat(contact(page, "Transmitter load disconnect")).containsText("open");
        assertThat(page.getByRole(AriaRole.TIMER)).containsText("1 min");
    }
}
