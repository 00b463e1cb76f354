package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.Test;

/** What happened since, and what it teaches, as somebody at the screen or at a cabinet has it. */
public class LogJourneyTest extends BrowserTest {
    /** A logger's month with a heading nobody foresaw: mapped, fitted, replayed, taken into a revision. */
    @Test
    public void aMonthWithAnOddHeadingIsMappedFittedReplayedAndTaken() throws Exception {
        String month = Files.readString(Path.of("../demo/hallgrund-october.csv"))
                .replace("Batteri [V]", "klemme 1")
                .replace("Batteri [A]", "klemme 2");
        Path file = Files.writeString(Path.of("target/odd-october.csv"), month);
        Page page = at("/site/hallgrund/log/files", "liv");
        button(page, "take away hallgrund-october.csv").click();
        button(page, "Take hallgrund-october.csv away").click();
        assertThat(says(page, "No file was brought yet.")).isVisible();

        page.getByLabel("Bring a logger’s file").setInputFiles(file);
        assertThat(page.getByText("no column is the battery voltage")).isVisible();
        page.getByLabel("what klemme 1 is").selectOption("battery voltage");
        page.getByLabel("what klemme 2 is").selectOption("battery current");
        page.getByLabel("what Relay marker light is").selectOption("contact of Marker light output");
        assertThat(page.getByText("8652 lines")).isVisible();
        assertAccessible(page);
        button(page, "Take it").click();
        assertThat(says(page, "1 file, 8652 lines.")).isVisible();

        page.getByText("What happened").click();
        assertThat(page.getByText("By night the draw went up for good on 12 Oct 2026."))
                .isVisible();
        button(page, "Simulate the same days").click();
        assertThat(page.getByLabel("Lowest battery voltage of each day, recorded and simulated"))
                .isVisible();
        assertAccessible(page);

        button(page, "On the season’s tape").click();
        assertThat(page.getByText("31 days from 1 Oct 2026")).isVisible();
        assertThat(page.locator("#tape").getByText("recorded", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Log"))
                .click();

        page.getByText("What it teaches").click();
        button(page, "Fit the battery").click();
        assertThat(page.getByText("The plan’s battery is off by")).isVisible();
        button(page, "Replay its rules").click();
        assertThat(page.getByText("recorded 31 ×")).isVisible();
        button(page, "Take into the plan").click();
        assertThat(button(page, "Undo")).hasAttribute("title", "as fitted to what was recorded");
        button(page, "Save revision").click();
        assertThat(page.locator("header")).containsText(": saved");
        page.getByText("Revisions").first().click();
        assertThat(page.getByText("origin of site battery ageing none → fitted").first())
                .isVisible();
    }

    /** Three weeks of daily figures, typed on a phone; a reload loses none of what is not kept yet. */
    @Test
    public void threeWeeksOfDailyFiguresAreTypedOnAPhone() {
        Page page = phoneAt("/site/skarvholm/log/daily", "liv");
        for (int day = 0; day < 21; day++) {
            button(page, day == 0 ? "Type a day" : "Next day").click();
            Locator last = page.getByLabel("lowest, V").last();
            last.fill(day == 4 ? "x" : "5" + (day % 3) + ",4");
            page.getByLabel("in, Wh").last().fill(String.valueOf(4000 + 10 * day));
        }
        assertThat(page.getByText("lowest: “x” is no number")).isVisible();
        assertNoSidewaysScroll(page);
        page.reload();
        assertThat(page.getByLabel("lowest, V")).hasCount(21);
        page.getByLabel("lowest, V").nth(4).fill("49,1");
        button(page, "Keep 21 days").click();
        assertThat(page.getByText("21 days, lowest 49.10 V")).isVisible();
        assertAccessible(page);
    }

    /** What is due is written down with its numbers, says what they mean, and is due later then; an offset goes into the plan. */
    @Test
    public void whatIsDueIsWrittenDown() {
        Page page = at("/site/kvarno/log/book", "liv");
        page.getByLabel("what was done").selectOption("Device against meter");
        page.getByLabel("the device shows, V").fill("25,45");
        page.getByLabel("the meter shows, V").fill("25,38");
        page.reload();
        assertThat(page.getByLabel("the device shows, V")).hasValue("25,45");
        exactButton(page, "Write it down").click();
        assertThat(page.getByText("It reads 0.07 V high.")).isVisible();
        button(page, "withdraw: device against meter").click();
        button(page, "put back: device against meter").click();
        assertAccessible(page);
        button(page, "take the offset into the plan").click();
        assertThat(button(page, "Undo")).hasAttribute("title", "battery terminals as measured against a meter");
        button(page, "Undo").click();
    }

    /** Who only looks sees all of it and can change none. */
    @Test
    public void anObserverReadsTheLog() {
        Page page = at("/site/kvarno/log/daily", "odd");
        assertThat(page.getByText("24 days, lowest 23.60 V")).isVisible();
        assertThat(button(page, "Type a day")).hasCount(0);
        page.getByText("Measured and done").click();
        assertThat(page.getByText("From 0.030 kg/l on a bank is equalized.")).isVisible();
        assertThat(exactButton(page, "Write it down")).hasCount(0);
        Page phone = phoneAt("/site/kvarno/log/book", "odd");
        assertThat(phone.getByText("From 0.030 kg/l on a bank is equalized.")).isVisible();
        assertNoSidewaysScroll(phone);
    }
}
