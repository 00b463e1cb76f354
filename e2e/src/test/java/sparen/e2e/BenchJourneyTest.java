package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is done with a bench supply and a watch, done in the browser. */
public class BenchJourneyTest extends BrowserTest {
    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator knob(Page page, String name) {
        return page.getByRole(
                AriaRole.SPINBUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void turn(Page page, String knob, String to) {
        knob(page, knob).focus();
        page.keyboard().press("Enter");
        page.keyboard().type(to);
        page.keyboard().press("Enter");
    }

    private static Locator contact(Page page, String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Contacts"))
                .getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(name));
    }

    /** The voltage is typed below the level, the delay counts down, the contact opens with its reason; a knob is answered before a hand notices. */
    @Test
    public void turnsTheVoltageDownAndWaits() throws Exception {
        Page page = at("/site/hallgrund/bench", "odd");
        Locator transmitter = contact(page, "Transmitter load disconnect");
        assertThat(transmitter).containsText("closed");
        turn(page, "bus volts", "11,5");
        assertThat(transmitter).containsText("30 s");
        button(page, "To the next switching").click();
        assertThat(transmitter).containsText("open");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened")))
                .containsText("at or below LVD");
        assertAccessible(page);
        double best = 1000;
        for (int i = 0; i < 8; i++) {
            turn(page, "bus volts", "12," + i);
            page.waitForTimeout(120);
            best = Math.min(best, Double.parseDouble(page.locator("[data-took]").getAttribute("data-took")));
        }
        // 50 ms are wanted and met on an idle machine; the machine of a check may be busy with other things.
        assertTrue(best < 150, "a turn took " + best + " ms at best");
        Download script =
                page.waitForDownload(() -> page.getByText("Keep this script").click());
        button(page, "Start again").click();
        assertThat(transmitter).containsText("closed");
        assertThat(page.getByText("Nothing has switched yet")).isVisible();
        page.locator("input[type=file]").setInputFiles(script.path());
        assertThat(page.getByText("at or below LVD").first()).isVisible();
    }

    /** Time goes on by itself; covering the array makes dusk; a slow turn is asked for in words and refused in words. */
    @Test
    public void letsTimeGoOn() {
        Page page = at("/site/hallgrund/bench", "liv");
        assertThat(contact(page, "Marker light output")).containsText("open");
        turn(page, "sun altitude degrees", "-8");
        page.getByLabel("How fast").selectOption("600");
        button(page, "Run").click();
        assertThat(contact(page, "Marker light output")).containsText("closed");
        button(page, "Pause").click();
        page.getByLabel("Knob to turn slowly").selectOption("bus_volts");
        page.getByLabel("Turn slowly to").fill("low");
        button(page, "Turn").last().click();
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("“low” is not a number");
        page.getByLabel("Turn slowly to").fill("11");
        page.getByLabel("Over what time").fill("3 min");
        button(page, "Turn").last().click();
        button(page, "To the next switching").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened")))
                .containsText("opened");
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
        int overflow =
                (Integer) page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertTrue(overflow == 0, "sideways overflow of " + overflow + " px on a phone");
    }
}
