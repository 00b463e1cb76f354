package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.Clip;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** What hands on a keyboard need: a ring that is seen, a focus that is not lost, keys that do what they say and no more. */
public class KeyboardTest extends BrowserTest {
    private static final String PLAN = "/site/hallgrund/plan";
    /** The colour of the ring on the light ground. */
    private static final int RING = 0x0b57a4;

    private static Locator heading(Page page) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    private static long ringPixels(Page page, Locator at) throws IOException {
        BoundingBox box = at.boundingBox();
        Clip around = new Clip(box.x - 8, box.y - 8, box.width + 16, box.height + 16);
        byte[] picture = page.screenshot(new Page.ScreenshotOptions().setClip(around));
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(picture));
        long found = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                found += (image.getRGB(x, y) & 0xffffff) == RING ? 1 : 0;
            }
        }
        return found;
    }

    /** A ring of 3 px around a button of w by h has some 6 (w + h) pixels; none where the focus is not. */
    @Test
    public void theFocusIsSeenOnEveryButton() throws IOException {
        Page page = at(PLAN, "liv");
        Locator rules = page.getByLabel("Rules of").first();
        rules.scrollIntoViewIfNeeded();
        assertEquals(ringPixels(page, rules), 0);
        page.keyboard().press("Tab");
        rules.focus();
        BoundingBox box = rules.boundingBox();
        assertTrue(ringPixels(page, rules) > 4 * (box.width + box.height), "the ring is seen");
    }

    @Test
    public void theContentIsOneKeyAway() {
        Page page = at(PLAN, "odd");
        page.keyboard().press("Tab");
        assertThat(exactButton(page, "Skip to the content")).isFocused();
        page.keyboard().press("Enter");
        page.keyboard().press("Tab");
        assertThat(page.getByRole(AriaRole.MAIN).locator(":focus")).hasCount(1);
    }

    @Test
    public void theFocusGoesAlongAndLettersCanBeLeftAlone() {
        Page page = at(PLAN, "odd");
        page.keyboard().type("gs");
        assertThat(heading(page)).hasText("Sites");
        assertThat(heading(page)).isFocused();
        exactButton(page, "Shortcuts").click();
        page.getByLabel("Letters pressed alone go places").uncheck();
        exactButton(page, "Close").click();
        page.keyboard().type("/?");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        assertThat(page.getByLabel("Search")).not().isFocused();
        page.reload();
        exactButton(page, "Shortcuts").click();
        assertThat(page.getByLabel("Letters pressed alone go places")).not().isChecked();
        page.getByLabel("Letters pressed alone go places").check();
        assertAccessible(page);
    }

    @Test
    public void escClosesTheRulesAndTheFocusGoesBack() {
        Page page = at(PLAN, "liv");
        Locator rules = page.getByLabel("Rules of").first();
        rules.click();
        assertThat(page.getByText("Keep the battery from emptying")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("Keep the battery from emptying")).hasCount(0);
        assertThat(rules).isFocused();
    }

    /** Undo in a field takes back what was typed there; the plan stays as it is. */
    @Test
    public void undoInAFieldIsTheFieldsOwn() {
        Page page = at(PLAN, "liv");
        Locator level = page.getByRole(AriaRole.SPINBUTTON).first();
        String before = level.getAttribute("aria-valuetext");
        level.focus();
        page.keyboard().press("ArrowUp");
        assertThat(level).not().hasAttribute("aria-valuetext", before);
        String changed = level.getAttribute("aria-valuetext");
        page.keyboard().press("Enter");
        page.keyboard().type("1");
        page.keyboard().press("Control+z");
        page.keyboard().press("Escape");
        assertThat(level).hasAttribute("aria-valuetext", changed);
        page.keyboard().press("Control+z");
        assertThat(level).hasAttribute("aria-valuetext", before);
    }

    /** A number that is typed lies over the one that stood there: nothing beside it moves. */
    @Test
    public void typingANumberMovesNothingBesideIt() {
        Page page = at(PLAN, "liv");
        Locator chips = page.locator("[role=spinbutton]");
        BoundingBox before = chips.nth(1).boundingBox();
        chips.first().focus();
        page.keyboard().press("Enter");
        page.keyboard().type("12.3456789");
        assertThat(page.locator("input:focus")).hasValue("12.3456789");
        BoundingBox beside = chips.nth(1).boundingBox();
        assertEquals(beside.x, before.x, 0.5);
        assertEquals(beside.y, before.y, 0.5);
        page.keyboard().press("Escape");
        assertThat(chips.first()).isFocused();
    }

    /** A part without a name cannot be saved: that is said beside the button, and leads to the field from wherever one is. */
    @Test
    public void whatStopsSavingIsSaidBesideTheButton() {
        Page page = at(PLAN + "/system", "liv");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Marker light,"))
                .click();
        page.getByLabel("name of Marker light").fill(" ");
        page.keyboard().press("Tab");
        Locator stops = exactButton(page, "1 field stops saving");
        assertThat(stops).isVisible();
        assertThat(exactButton(page, "Save revision")).isDisabled();
        page.getByText("Devices", new Page.GetByTextOptions().setExact(true)).click();
        stops.click();
        assertThat(page.getByText("As it stands this cannot be saved")
                        .locator("..")
                        .locator(":focus"))
                .hasCount(1);
        assertAccessible(page);
        page.keyboard().press("Enter");
        Locator field = page.locator("[aria-invalid='true']");
        assertThat(field).isFocused();
        field.fill("Marker light");
        page.keyboard().press("Tab");
        assertThat(stops).hasCount(0);
        assertThat(page.locator("header")).containsText(": saved");
    }

    @Test
    public void aCopyIsCalledWhatOneLikes() {
        Page page = at("/", "liv");
        page.getByLabel("More for Hällgrund fog-signal relay").click();
        page.keyboard().press("Escape");
        assertThat(page.getByLabel("More for Hällgrund fog-signal relay")).isFocused();
        assertThat(page.getByText("Duplicate…")).hasCount(0);
        fromMenu(page, "Hällgrund fog-signal relay", "Duplicate");
        Locator name = page.getByLabel("name of the copy");
        assertThat(name).hasValue("Hällgrund fog-signal relay 2");
        assertThat(name).isFocused();
        assertAccessible(page);
        name.fill("Hällgrund, summer");
        // What cannot be made keeps its form, its name and the list.
        page.route(
                "**/copies",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setStatus(409)
                        .setContentType("application/problem+json")
                        .setBody("{\"title\":\"Conflict\",\"status\":409,\"detail\":\"not now\"}")));
        exactButton(page, "Make the copy").click();
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        assertThat(name).hasValue("Hällgrund, summer");
        page.unroute("**/copies");
        exactButton(page, "Make the copy").click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Hällgrund, summer")))
                .isVisible();
    }
}
