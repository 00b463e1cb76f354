package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** The fog-signal relay tried on site with a phone: each level measured, one wrongly, what was plugged in taken away, signed. */
public class TestedOnSiteTest extends BrowserTest {
    private static Locator measured(Page page) {
        return page.getByLabel(Pattern.compile("^measured: "));
    }

    /** What is expected of a level, as it is read on the screen. */
    private static String expected(Locator level) {
        Matcher number = Pattern.compile("([\\d.]+)\\s(V|%|W|A|°C|h)\\s*±").matcher(level.innerText());
        assertTrue(number.find(), level.innerText());
        return number.group(1);
    }

    private static Locator levels(Page page) {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHas(measured(page)));
    }

    /** Types at each level what is expected there. */
    static void measureAll(Page page) {
        Locator levels = levels(page);
        for (int i = 0; i < levels.count(); i++) {
            Locator level = levels.nth(i);
            level.getByLabel(Pattern.compile("^measured: ")).fill(expected(level));
            level.getByLabel(Pattern.compile("^measured: ")).press("Enter");
            assertThat(level).containsText("Passed at");
        }
    }

    @Test
    public void everyLevelIsMeasuredAndTheTestIsSigned() {
        Page phone = phoneAt("/site/hallgrund/handover/test", "liv");
        assertThat(phone.getByText("No test on site yet.")).isVisible();
        button(phone, "Begin a test of revision 1").click();
        assertThat(phone.getByText("levels is measured yet")).isVisible();
        assertAccessible(phone);
        assertNoSidewaysScroll(phone);
        phone.getByLabel("the battery is at (V)").fill("12,8");
        button(phone, "Say how to try each level").click();
        assertThat(phone.getByText("For the test set it to").first()).isVisible();

        Locator levels = levels(phone);
        int count = levels.count();
        Locator first = levels.first();
        measured(phone).first().fill("19");
        button(phone, "Keep").first().click();
        assertThat(first.getByRole(AriaRole.ALERT)).containsText("what it was measured with");
        phone.getByLabel("measured with").fill("Meter 2");
        // Put away in between: what was typed is still there.
        phone.reload();
        assertThat(measured(phone).first()).hasValue("19");
        measured(phone).first().press("Enter");
        assertThat(first).containsText("Failed: moved at 19 V");
        assertThat(button(phone, "Sign as Liv Nordhavn")).isDisabled();

        measureAll(phone);
        phone.getByLabel("plugged in for the test").fill("Laptop");
        button(phone, "Note it").click();
        assertThat(phone.getByText("Laptop is still plugged in")).isVisible();
        assertAccessible(phone);
        button(phone, "Taken away: Laptop").click();
        // What has changed since it was found the owner lives with: they are asked.
        assertThat(phone.getByText("Nobody has agreed to that yet.")).isVisible();
        button(phone, "Note that they agreed").click();
        assertThat(phone.getByRole(AriaRole.ALERT)).containsText("agreedBy");
        phone.getByLabel("agreed by").fill("Harbour office");
        button(phone, "Note that they agreed").click();
        assertThat(phone.getByText("agreed by Harbour office")).isVisible();
        button(phone, "Sign as Liv Nordhavn").click();
        assertThat(phone.getByText("No test goes on.")).isVisible();
        assertThat(phone.getByText("tests still hold")).isVisible();

        Page odd = at("/site/hallgrund/handover/test", "odd");
        odd.getByText(Pattern.compile("^Open the test of")).click();
        assertThat(odd.getByText("Checksum")).isVisible();
        assertThat(odd.getByText("measured 2 times")).isVisible();
        assertThat(measured(odd)).hasCount(0);
        assertAccessible(odd);
        List<String> said = odd.getByText("Passed at").allTextContents();
        assertEquals(said.size(), count);
    }

    /** The steps at the observatory, on a phone: one is done, put away, gone on with, and taken back. */
    @Test
    public void stepsAreDoneOneAfterTheOther() {
        Page phone = phoneAt("/site/skarvholm/handover/steps", "liv");
        assertThat(phone.getByText("No visit has begun.")).isVisible();
        button(phone, "Begin visit 1").click();
        String battery = "Measure the battery, then close its fuse or switch.";
        phone.getByLabel("measured: " + battery).fill("fine");
        button(phone, "Done: " + battery).click();
        assertThat(phone.getByRole(AriaRole.ALERT)).containsText("is not a number of V");
        phone.getByLabel("measured: " + battery).fill("531 V");
        button(phone, "Done: " + battery).click();
        assertThat(phone.getByText("outside 44 to 58 V: stop.")).isVisible();
        button(phone, "not done after all: " + battery).click();
        phone.getByLabel("measured: " + battery).fill("53.1 V");
        button(phone, "Done: " + battery).click();
        assertThat(says(phone, "1 of")).isVisible();
        Locator photo = phone.getByAltText("1 of 1 of: " + battery);
        phone.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(battery))
                .getByLabel("add a photo")
                .setInputFiles(new FilePayload("fuse.png", "image/png", phone.screenshot()));
        assertThat(photo).isVisible();
        phone.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(battery))
                .getByLabel("add a photo")
                .setInputFiles(new FilePayload("notes.txt", "image/png", "no photo".getBytes(StandardCharsets.UTF_8)));
        assertThat(phone.getByText("notes.txt is no photo")).isVisible();
        button(phone, "take away photo 1: " + battery).click();
        assertThat(photo).hasCount(0);
        button(phone, "put the photo back").click();
        assertThat(photo).isVisible();
        assertAccessible(phone);
        assertNoSidewaysScroll(phone);
        phone.reload();
        assertThat(phone.getByText("53.1 V")).isVisible();
        Page odd = at("/site/skarvholm/handover/steps", "odd");
        assertThat(odd.getByText("53.1 V")).isVisible();
        assertThat(button(odd, "Done: " + battery)).hasCount(0);
        assertAccessible(odd);
        button(phone, "not done after all: " + battery).click();
        assertThat(says(phone, "0 of")).isVisible();
    }

    /** What is only guessed is asked for, answered, and is one revision with its origin. */
    @Test
    public void answersOfMakersAreOneRevision() {
        Page page = at("/site/kvarno/handover/questions", "liv");
        assertThat(page.getByText(Pattern.compile("numbers are only guessed"))).isVisible();
        Locator answer = page.getByLabel(Pattern.compile("^answer: .* of Battery$"));
        answer.fill("ninety");
        assertThat(says(page, "is not a number in %")).isVisible();
        answer.fill("90");
        page.getByLabel(Pattern.compile("^who said so: .* of Battery$")).fill("maker, by phone");
        assertAccessible(page);
        button(page, "Save 1 answer as a revision").click();
        assertThat(page.getByText("1 answer of makers saved as revision 2.")).isVisible();
        assertThat(answer).hasCount(0);
    }
}
