package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The observatory's house inverter from as it was found to as planned, over a wire, with a device that takes numbers on a wrong scale. */
public class WireJourneyTest extends BrowserTest {
    private RunningDevices devices;

    @BeforeMethod
    public void devicesAreOn() {
        devices = new RunningDevices();
        devices.start();
    }

    @AfterMethod(alwaysRun = true)
    public void devicesAreOff() {
        devices.cut();
    }

    private static Locator into(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Into House inverter"));
    }

    @Test
    public void aPlanGoesIntoTheHouseInverter() {
        Page signe = at("/accounts", "signe");
        Locator networks = signe.getByLabel("Networks in which devices may be reached");
        networks.fill("0.0.0.0/0");
        networks.press("Tab");
        assertThat(says(signe, "0 bits is outside 8 to 32 bits")).isVisible();
        networks.fill("127.0.0.0/8");
        networks.press("Tab");
        assertThat(networks).hasValue("127.0.0.0/8");

        Page display = window();
        display.navigate(devices.displays());
        Page liv = at("/site/skarvholm/handover", "liv");
        button(liv, "Connect House inverter").click();
        liv.getByLabel("address").fill("127.0.0.1");
        liv.getByLabel("port").fill(String.valueOf(devices.port));
        button(liv, "Connect House inverter").click();
        Locator now = liv.getByLabel("House inverter now");
        assertThat(now).containsText("Freezer disconnect on");
        button(liv, "Read House inverter over the wire").click();
        assertThat(liv.getByText("6 entries are not as planned, 14 not read, of 40 entries."))
                .isVisible();
        assertThat(liv.getByText("holds 42.5 V")).isVisible();

        button(liv, "Send revision 1 to House inverter").click();
        assertThat(into(liv)).containsText("42.5 V → 46.4 V");
        assertThat(into(liv)).containsText("Off for that long: Kitchen, Workshop");
        // Standing before the device: two numbers and a meter.
        liv.getByLabel("its display at low alarm").fill("46.5");
        liv.getByLabel("its display at low cut-off after").fill("10");
        liv.getByLabel("a meter at the battery").fill("48");
        button(liv, "Compare with the wire").click();
        assertThat(into(liv).getByRole(AriaRole.ALERT)).containsText("more than 1 % apart");
        assertAccessible(liv);
        String meter = display.locator("b").first().textContent().replace(" V", "");
        liv.getByLabel("a meter at the battery").fill(meter);
        button(liv, "Compare with the wire").click();
        assertThat(into(liv)).containsText("Display and meter agree");

        display.getByText("writes a tenth").first().click();
        liv.getByLabel("password of House inverter").fill("2718");
        button(liv, "Write 6 entries into House inverter").click();
        assertThat(into(liv).getByRole(AriaRole.ALERT)).containsText("reads back as 90 s");
        assertThat(into(liv).getByRole(AriaRole.ALERT)).containsText("Half done");
        assertAccessible(liv);
        Page phone = phoneAt("/site/skarvholm/handover", "liv");
        assertThat(into(phone).getByRole(AriaRole.ALERT)).containsText("Half done");
        assertNoSidewaysScroll(phone);
        assertAccessible(phone);

        // Its supply is cut in the middle: what was not stored is gone, and the transfer is still there.
        devices.cut();
        liv.reload();
        assertThat(now).containsText("Nobody answers");
        devices.start();
        // And the application is killed while it writes to a device that answers slowly.
        display.reload();
        display.getByText("slow").first().click();
        liv.reload();
        liv.getByLabel("password of House inverter").fill("2718");
        button(liv, "Send the rest").click();
        assertThat(into(liv)).containsText(Pattern.compile("Writing [1-6] of 6"));
        List.of(liv, phone, signe).forEach(page -> page.navigate("about:blank"));
        restartApplication();
        display.getByText("slow").first().click();
        liv.navigate(address() + "/#/site/skarvholm/handover");
        assertThat(into(liv).getByRole(AriaRole.ALERT)).containsText("Half done");
        liv.getByLabel("password of House inverter").fill("2718");
        button(liv, "Send the rest").click();
        assertThat(liv.getByText("6 entries written, saved and read back")).isVisible();
        assertThat(liv.getByText("14 not read, of 40 entries.")).isVisible();
        display.reload();
        assertThat(display.getByText("46.4 V", new Page.GetByTextOptions().setExact(true)))
                .isVisible();

        Page odd = at("/site/skarvholm/handover", "odd");
        assertThat(odd.getByLabel("House inverter now")).containsText("V");
        assertThat(button(odd, "over the wire")).hasCount(0);
        assertThat(button(odd, "Send revision")).hasCount(0);
        odd.getByText("What House inverter has measured").click();
        assertThat(odd.getByRole(
                        AriaRole.IMG,
                        new Page.GetByRoleOptions().setName("Battery voltage that House inverter has measured")))
                .isVisible();
        // The picture fills its place: nothing pushes it down.
        Locator picture = odd.getByRole(
                AriaRole.IMG, new Page.GetByRoleOptions().setName("Battery voltage that House inverter has measured"));
        double top = picture.locator("canvas").boundingBox().y - picture.boundingBox().y;
        assertTrue(Math.abs(top) < 10, "begins " + top + " px below its top");

        assertAccessible(odd);
        odd.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Sites").setExact(true))
                .click();
        assertThat(odd.getByTitle("measured now")).containsText(Pattern.compile("[45]\\d(\\.\\d+)? V"));
        Page trail = at("/accounts/trail", "signe");
        assertThat(trail.getByText("House inverter, open at: 46.4 V").first()).isVisible();
    }
}
