package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.Test;

/** Devices that carry a program, one change for many sites, what the list tells, and a site with twenty outputs. */
public class DevicesAndManyTest extends BrowserTest {
    /** The numbers as the device wants them; what it cannot hold is a finding; taken out and it is gone again. */
    @Test
    public void fitsADeviceAndSeesItsSettings() {
        Page page = at("/site/hallgrund/plan/devices", "liv");
        assertThat(page.getByText("No device is fitted")).isVisible();
        button(page, "Fit a device").click();
        page.getByLabel("kind of device")
                .selectOption(new SelectOption().setLabel("Stand-alone disconnect with coded steps"));
        page.getByLabel("what the crew calls it").fill("Grey box");
        page.getByLabel("Transmitter load disconnect").check();
        button(page, "Fit it").click();
        Locator device = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Grey box"));
        assertThat(device.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("position sets")))
                .hasCount(1);
        assertThat(device).containsText("no position sets");
        assertAccessible(page);
        assertThat(device.getByLabel("State of Grey box")).hasValue("unsent");
        device.getByLabel("State of Grey box").selectOption("drifted");
        page.navigate(address() + "/#/site/hallgrund/plan/findings");
        assertThat(page.locator("[data-finding=BeyondTheDevice]").first())
                .containsText("Grey box has no position that sets all of this");
        assertThat(page.locator("[data-finding=Drifted]")).containsText("holds other numbers");
        page.locator("[data-finding=BeyondTheDevice]")
                .first()
                .getByText("What that does, both on the tape")
                .click();
        assertThat(exact(page, "with").locator("option:checked"))
                .hasText("the same as written, whatever devices make of it");
        page.navigate(address() + "/#/site/hallgrund/plan/devices");
        button(page, "More for Grey box").click();
        button(page, "Take Grey box out").click();
        assertThat(page.getByText("No device is fitted")).isVisible();
    }

    /** A hybrid with a numbered menu: its sheet is in the order of its menu, is taken along as a table, and is read at the cabinet. */
    @Test
    public void aSheetFollowsTheMenuOfItsDevice() throws Exception {
        Page page = at("/site/kvarno/plan/devices", "liv");
        button(page, "Fit a device").click();
        page.getByLabel("kind of device")
                .selectOption(new SelectOption().setLabel("All-in-one hybrid with a numbered menu"));
        page.getByLabel("what the crew calls it").fill("Wall box");
        page.getByLabel("charger whose setpoints it holds").selectOption("Barn inverter");
        page.getByLabel("inverter whose levels and AC side it holds").selectOption("Barn inverter");
        button(page, "Fit it").click();
        Locator device = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Wall box"));
        assertThat(device.getByRole(AriaRole.ROW, new Locator.GetByRoleOptions().setName("C-01")))
                .containsText("28.2 V");
        List<String> menu = device.locator("tbody tr td:first-child").allInnerTexts().stream()
                .filter(text -> !text.isEmpty())
                .toList();
        assertTrue(menu.size() > 10, menu.toString());
        assertEquals(menu, menu.stream().sorted().toList());
        assertAccessible(page);
        Download table = page.waitForDownload(() -> device.getByText("CSV").click());
        List<String> lines = Files.readAllLines(table.path());
        assertEquals(lines.get(0), "menu,of,setting,enter,unit,as it comes,it does,in,remarks,path");
        assertTrue(
                lines.contains(
                        "C-01,Barn inverter,absorption,28.2,V,,28.2,V,,program/charging/inverter/absorptionVolts"),
                lines.toString());
        button(page, "Save revision").click();
        assertThat(page.locator("header")).containsText(": saved");
        Page phone = phoneAt("/site/kvarno/plan/devices", "odd");
        Locator there = phone.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Wall box"));
        assertThat(there).containsText("C-01");
        assertEquals(
                phone.evaluate("document.documentElement.scrollWidth <= innerWidth"),
                true,
                "nothing beside the screen");
    }

    /** What an entry is that stands for nothing in the plan is chosen in the sheet: it hides others, and the cure brings them back. */
    @Test
    public void whatIsNotedHidesAndForcesAndItsCureBringsItBack() {
        Page page = at("/site/kvarno/plan/devices", "liv");
        fit(page, "All-in-one hybrid with a numbered menu", "Wall box");
        Locator device = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Wall box"));
        Locator type = device.getByLabel("battery type of Wall box", new Locator.GetByLabelOptions().setExact(true));
        assertThat(type).hasValue("OWN");
        assertThat(device).containsText("usual; nobody has looked");
        Locator limit = device.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("D-08"))
                .first();
        type.selectOption("L");
        assertThat(device).containsText("battery type L makes it");
        assertThat(limit).containsText("asked");
        press(device, "Remark on battery type of Wall box");
        device.getByLabel("Remark on battery type of Wall box, in words").fill("by its sheet");
        device.getByLabel("firmware of Wall box").fill("soon");
        device.getByLabel("firmware of Wall box").press("Enter");
        assertThat(device.getByRole(AriaRole.ALERT).first()).containsText("one to four numbers with dots");
        device.getByLabel("firmware of Wall box").fill("1.30");
        device.getByLabel("firmware of Wall box").press("Enter");
        assertThat(device).containsText("by its sheet");
        assertAccessible(page);
        page.navigate(address() + "/#/site/kvarno/plan/findings");
        Locator hidden = page.locator("[data-finding=HiddenUntilChosen]");
        assertThat(hidden).containsText("Hidden in its menu until battery type is OWN");
        hidden.getByText("Battery type of Wall box to OWN").click();
        button(page, "Apply").click();
        assertThat(hidden).hasCount(0);
        page.navigate(address() + "/#/site/kvarno/plan/devices");
        assertThat(type).hasValue("OWN");
        button(page, "More for Wall box").click();
        button(page, "Take Wall box out").click();
    }

    private static void fit(Page page, String kind, String name) {
        button(page, "Fit a device").click();
        page.getByLabel("kind of device").selectOption(new SelectOption().setLabel(kind));
        page.getByLabel("what the crew calls it").fill(name);
        Locator charger = page.getByLabel("charger whose setpoints it holds");
        if (charger.count() == 1) {
            charger.selectOption(new SelectOption().setIndex(1));
        }
        button(page, "Fit it").click();
    }

    private static void press(Locator within, String name) {
        within.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
                .click();
    }

    /** A data line between two devices: its ends differ in speed, and the sheet of one makes them the same. */
    @Test
    public void theEndsOfADataLineHaveToAgree() {
        Page page = at("/site/skarvholm/plan/devices", "liv");
        fit(page, "Battery monitor with one relay", "Counter");
        fit(page, "Inverter/charger with a rule list", "Big inverter");
        button(page, "Add a data line").click();
        page.getByLabel("from", new Page.GetByLabelOptions().setExact(true)).selectOption("Counter, DATA");
        page.getByLabel("to", new Page.GetByLabelOptions().setExact(true)).selectOption("Big inverter, DATA");
        button(page, "Add it").click();
        assertThat(page.getByText("Counter, DATA to Big inverter, DATA")).isVisible();
        Locator speed = page.getByLabel("data line speed of Counter", new Page.GetByLabelOptions().setExact(true));
        speed.selectOption("9600");
        page.navigate(address() + "/#/site/skarvholm/plan/findings");
        Locator differ = page.locator("[data-finding=LinkEndsDiffer]");
        assertThat(differ).containsText("the two ends differ in speed: Counter has 9600 baud, Big inverter 19200 baud");
        differ.getByText("Go there").click();
        speed.selectOption("19200");
        page.navigate(address() + "/#/site/skarvholm/plan/findings");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Findings")))
                .isVisible();
        assertThat(differ).hasCount(0);
        page.navigate(address() + "/#/site/skarvholm/plan/devices");
        button(page, "More for Counter").click();
        button(page, "Take Counter out").click();
        assertThat(page.getByText("Counter, DATA to Big inverter, DATA")).hasCount(0);
        button(page, "More for Big inverter").click();
        button(page, "Take Big inverter out").click();
    }

    /** A kind of device is made on the screen, refused where it is wrong, tried against the plan, taken along and brought back. */
    @Test
    public void aKindOfDeviceIsMadeOnTheScreen() throws Exception {
        Page page = at("/site/kvarno/plan/devices", "liv");
        fit(page, "a new kind, to be made", "Shed box");
        Locator kind = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Kind of Shed box"));
        kind.getByLabel("What the entry sets").fill("charging.floatVolts");
        press(kind, "Add the entry");
        kind.getByLabel("label of float volts").fill("trickle");
        kind.getByLabel("label of float volts").press("Enter");
        assertThat(kind.getByText("10 to 64 V in steps of 0.1")).isVisible();
        type(page, kind, "step of trickle", "0");
        assertThat(kind.getByRole(AriaRole.ALERT).first()).containsText("is for a fixed number only");
        type(page, kind, "step of trickle", "0.5");
        assertThat(kind.getByRole(AriaRole.ALERT)).hasCount(0);
        kind.getByLabel("what it sets of trickle").fill("charging.floatVolt");
        kind.getByLabel("what it sets of trickle").press("Enter");
        assertThat(kind.getByRole(AriaRole.ALERT).first()).containsText("is nothing that a plan has");
        kind.getByLabel("what it sets of trickle").fill("charging.floatVolts");
        kind.getByLabel("what it sets of trickle").press("Enter");
        press(kind, "Add one that is only noted");
        press(kind, "Move entry 1 up");
        assertThat(kind.getByRole(AriaRole.LISTITEM).first()).containsText("entry 1");
        // What was written down of an entry goes with it, and nothing is left that could not be saved.
        press(kind, "Add one that is only noted");
        button(page, "entry 2 of Shed box is so: looked at").click();
        press(kind, "Take entry 2 out of the menu");
        assertThat(page.getByText("As it stands this cannot be saved")).hasCount(0);
        assertThat(kind.getByText("entry 2")).hasCount(0);
        assertAccessible(page);
        Download file = page.waitForDownload(() -> kind.getByText("Export it").click());
        press(kind, "Done");
        button(page, "More for Shed box").click();
        button(page, "Take Shed box out").click();
        button(page, "Fit a device").click();
        String made = Files.readString(file.path());
        Path bad = Files.createTempFile("kind", ".json");
        Files.writeString(bad, made.replace("charging.floatVolts", "charging.floatVolt"));
        page.locator("input[type=file]").setInputFiles(bad);
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("knobs › 1 › setting");
        page.locator("input[type=file]").setInputFiles(file.path());
        page.getByLabel("what the crew calls it").fill("Shed box");
        page.getByLabel("charger whose setpoints it holds").selectOption(new SelectOption().setIndex(1));
        button(page, "Fit it").click();
        Locator device = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Shed box"));
        assertThat(device.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("trickle")))
                .containsText("27");
        button(page, "More for Shed box").click();
        button(page, "Take Shed box out").click();
    }

    private static void type(Page page, Locator within, String label, String value) {
        within.getByLabel(label, new Locator.GetByLabelOptions().setExact(true)).click();
        page.keyboard().press("Control+a");
        page.keyboard().type(value);
        page.keyboard().press("Enter");
    }

    /** One change at two sites: seen first, saved where it is wanted, in the history with its reason. */
    @Test
    public void changesManySites() {
        Page page = at("/many", "liv");
        assertThat(page.getByText("0 chosen")).isVisible();
        button(page, "Choose all shown").click();
        page.getByLabel("Skarvholm").uncheck();
        page.getByLabel("LVD of a 12 V battery in V").fill("much");
        assertThat(page.getByRole(AriaRole.ALERT)).hasText("LVD: “much” is not a number in V");
        page.getByLabel("LVD of a 12 V battery in V").fill("11,8");
        button(page, "See what it does").click();
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(2);
        Locator barn = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Kvarnö"));
        assertThat(barn).containsText("→ 23.6 V");
        assertAccessible(page);
        button(page, "Save at Kvarnö seed bank").click();
        assertThat(barn.getByRole(AriaRole.STATUS)).containsText("saved as revision");
        page.navigate(address() + "/#/site/kvarno/plan/revisions");
        assertThat(page.getByRole(AriaRole.LISTITEM).first()).containsText("For many sites, as 12 V: LVD 11.8 V");
        page.navigate(address() + "/#/site/hallgrund/plan/revisions");
        assertThat(page.getByRole(AriaRole.LISTITEM).first()).not().containsText("For many sites");
    }

    /** Four hundred more sites: only the rows about the window are there, an act far down leaves one there, and all are changed at once. */
    @Test
    public void manySitesStayLight() {
        String more = ", generate_series(1, 400) n where %s = 'kvarno'";
        database()
                .ask("insert into site (id, name) select 'skerry-' || n, 'Skerry ' || n from site"
                        + more.formatted("id")
                        + ";insert into revision (site_id, number, schema_version, document, note, author)"
                        + " select 'skerry-' || n, 0, schema_version, document, '', author from revision"
                        + more.formatted("number = 0 and site_id")
                        + ";insert into site_summary (site_id, revision, engine, plan, cautions)"
                        + " select 'skerry-' || n, 0, engine, plan, 1 from site_summary" + more.formatted("site_id"));
        Page page = at("/", "liv");
        page.getByLabel("Search").fill("skerry");
        Locator list = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Sites that need somebody"));
        Locator last = list.locator("li[aria-posinset='390']");
        while (last.count() == 0) {
            page.mouse().move(600, 400);
            page.mouse().wheel(0, 2000);
            page.waitForTimeout(50);
        }
        int nodes = (Integer) page.evaluate("document.querySelectorAll('*').length");
        assertTrue(nodes < 2_000, nodes + " nodes");
        String name = last.getByRole(AriaRole.LINK).textContent();
        last.getByLabel("More for").click();
        last.getByLabel("Care of").click();
        page.getByLabel("last bench test").fill("2026-03-01");
        button(page, "Note it").click();
        assertThat(page.getByLabel("last bench test")).hasCount(0);
        assertThat(last).containsText(name);
        page.navigate(address() + "/#/many");
        page.getByLabel("Search the sites").fill("skerry 12");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Skerry 129")).isVisible();
        button(page, "Choose all shown").click();
        assertThat(page.getByText("11 chosen")).isVisible();
        page.getByLabel("LVD of a 12 V battery in V").fill("11.8");
        button(page, "See what it does").click();
        button(page, "Save at all 11").click();
        assertThat(page.getByText("saved as revision 1")).hasCount(11);
        assertAccessible(page);
    }

    @Test
    public void theListTellsWhatNeedsSomebody() {
        Page page = at("/", "liv");
        fromMenu(page, "Skarvholm bird observatory", "Care of");
        page.getByLabel("last bench test").fill("2026-03-01");
        page.getByLabel("next upkeep").fill("2026-06-01");
        button(page, "Note it").click();
        // Whom else the coming days make needy is a matter of the season.
        Locator needy = page.getByRole(
                AriaRole.LIST,
                new Page.GetByRoleOptions().setName("Sites that need somebody").setExact(true));
        assertThat(needy.getByText("upkeep was due on 1 Jun 2026")).hasCount(1);
        assertThat(needy).containsText("Skarvholm");
        assertAccessible(page);
        page.getByLabel("Show").selectOption("upkeep");
        assertThat(page.getByRole(AriaRole.LISTITEM)).hasCount(1);
        page.getByLabel("Show").selectOption("drifted");
        button(page, "Show all").click();
        assertThat(page.getByRole(AriaRole.LISTITEM).nth(2)).isVisible();
    }

    /** Twenty outputs: every step of a number is read once and run once, on a page of moderate size. */
    @Test
    public void anEditOfTwentyOutputsAsksOnce() throws Exception {
        Page page = at("/new", "liv");
        page.locator("input[type=file]").setInputFiles(TwentyOutputs.document());
        assertThat(page.getByRole(AriaRole.ARTICLE)).hasCount(20);
        Locator lvd = page.locator("#output-transmitter-disconnect")
                .locator("xpath=ancestor::article")
                .getByRole(
                        AriaRole.SPINBUTTON,
                        new Locator.GetByRoleOptions().setName("LVD").setExact(true));
        withoutTheCore(page);
        // One row open, the rest in two lines: all of them within two screens.
        int tall = (Integer) page.evaluate("document.documentElement.scrollHeight");
        assertTrue(tall <= 1600, tall + " px");
        List<Request> readings = requests(page, "POST", "/api/reading/twenty-outputs");
        List<Request> runs = requests(page, "POST", "/api/season/twenty-outputs");
        lvd.focus();
        for (int step = 1; step <= 5; step++) {
            String before = lvd.textContent();
            int asked = step;
            page.waitForResponse(
                    response -> runs.size() == asked && response.request() == runs.get(asked - 1),
                    () -> page.keyboard().press("ArrowUp"));
            assertThat(lvd).not().hasText(before);
            assertEquals(readings.size(), step);
        }
        int nodes = (Integer) page.evaluate("document.querySelectorAll('*').length");
        assertTrue(nodes < 3_000, nodes + " nodes");
        int bytes = runs.get(4).postDataBuffer().length;
        assertTrue(bytes < 60_000, bytes + " bytes sent for a run");
    }
}
