package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/** Three things a technician comes for, counted in presses of what is seen. */
public class ThreeJourneysTest extends BrowserTest {
    private int clicks;

    private void click(Locator what) {
        what.click();
        clicks++;
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator verdict(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Verdict of the simulated run"));
    }

    /** Why did the lights go off? From the list to the chain that led there, in three. */
    @Test
    public void whyDidItGoOff() {
        Page page = at("/", "liv");
        draft(page, "hallgrund", "const t = plan.program.outputs[0].protection; t.lvdVolts = 12.4; t.lvrVolts = 12.9;");
        page.reload();
        clicks = 0;
        click(link(page, "Hällgrund fog-signal relay"));
        click(link(page, "Season"));
        assertThat(verdict(page)).containsText("Transmitter cut ");
        click(verdict(page).getByRole(AriaRole.BUTTON).first());
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("How it came about"))
                        .first())
                .containsText("LVD 12.4 V");
        assertTrue(clicks <= 3, clicks + " clicks");
    }

    /** A new lithium site, its surplus rule changed, a week looked at, saved: in nine. */
    @Test
    public void aNewLithiumSiteWithASurplusRule() {
        Page page = at("/", "liv");
        clicks = 0;
        click(link(page, "New site"));
        page.getByLabel("Name").fill("Ytterholmen");
        page.getByLabel("Battery").selectOption("LITHIUM_IRON_PHOSPHATE");
        clicks++;
        click(page.getByLabel("a load that takes surplus"));
        click(button(page, "Make the site"));
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Ytterholmen");
        click(page.getByRole(AriaRole.ARTICLE)
                .getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("surplus on")));
        Locator on = page.getByRole(
                AriaRole.SPINBUTTON,
                new Page.GetByRoleOptions().setName("surplus on").setExact(true));
        String before = on.textContent();
        on.focus();
        page.keyboard().press("ArrowDown");
        assertThat(on).not().hasText(before);
        assertThat(page.locator("#tape")).containsText("14 d shown");
        click(button(page, "Save revision"));
        assertThat(page.locator("header")).containsText(": saved");
        assertThat(page.locator("[data-finding]")).hasCount(0);
        assertTrue(clicks <= 9, clicks + " clicks");
    }

    /** Two LVDs over a winter, side by side: in six. */
    @Test
    public void twoDisconnectsOverAWinter() {
        Page page = at("/site/hallgrund/plan", "liv");
        clicks = 0;
        Locator lvd = opened(page, "Transmitter load disconnect")
                .getByRole(
                        AriaRole.SPINBUTTON,
                        new Locator.GetByRoleOptions().setName("LVD").setExact(true));
        lvd.focus();
        page.keyboard().press("Shift+ArrowUp");
        click(link(page, "Season"));
        exact(page, "with").selectOption("1");
        clicks++;
        click(page.getByText("14 days from").first());
        page.getByLabel("days", new Page.GetByLabelOptions().setExact(true))
                .first()
                .selectOption("180");
        clicks++;
        Locator told =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What changed, and what it did"));
        assertThat(told).containsText("LVD of Transmitter load disconnect");
        assertThat(page.locator("#tape canvas").first()).isVisible();
        assertThat(page.locator("#tape")).containsText(", with revision 1");
        assertTrue(clicks <= 6, clicks + " clicks");
    }
}
