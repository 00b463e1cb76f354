package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Whole jobs of a technician, from a new site to a season, with nothing but what is on the screen. */
public class JobsTest extends BrowserTest {
    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private static Locator sheet(Page page) {
        return page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("The chosen part"));
    }

    private static void press(Locator within, String name) {
        within.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
                .first()
                .click();
    }

    /** Types a number into the field of this label. */
    private static void type(Page page, String label, String value) {
        sheet(page)
                .getByLabel(label, new Locator.GetByLabelOptions().setExact(true))
                .first()
                .click();
        page.keyboard().press("Control+a");
        page.keyboard().type(value);
        page.keyboard().press("Enter");
    }

    private static void openTheme(Page page, String theme) {
        sheet(page)
                .locator("summary", new Locator.LocatorOptions().setHasText(theme))
                .first()
                .click();
    }

    /** A new site with a source of AC; its system stands on the screen. */
    private Page newSite(String name, String volts, String battery, String array, String source, String... facts) {
        Page page = at("/new", "liv");
        page.getByLabel("Name").fill(name);
        page.getByLabel("Bank voltage").selectOption(volts);
        page.getByLabel("Battery").selectOption(battery);
        page.getByLabel("Array, W").fill(array);
        page.getByLabel("Time zone").fill("Europe/Oslo");
        page.getByLabel(source).check();
        for (String fact : facts) {
            page.getByLabel(fact).check();
        }
        button(page, "Make the site").click();
        link(page, "System").click();
        return page;
    }

    private static void add(Page page, String kind) {
        button(page, "Add a part").click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Add a part"))
                .getByText(kind, new Locator.GetByTextOptions().setExact(true))
                .click();
    }

    private static void choose(Page page, String part) {
        page.keyboard().press("Escape");
        button(page, part + ",").press("Enter");
        assertThat(sheet(page).getByRole(AriaRole.HEADING).first()).hasText(part);
    }

    private static void save(Page page) {
        button(page, "Save revision").click();
        assertThat(page.locator("header")).containsText(": saved");
    }

    /**
     * Fits a device, of which it holds whatever it can, and reads its sheet as it comes out of the printer: at an entry of its menu
     * stands what is to be entered.
     */
    private static void printed(Page page, String kind, String charger, String output, String... enter) {
        page.keyboard().press("Escape");
        link(page, "Plan").click();
        link(page, "Devices").click();
        button(page, "Fit a device").click();
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Fit a device"));
        form.getByLabel("kind of device").selectOption(new SelectOption().setLabel(kind));
        form.getByLabel("what the crew calls it").fill(kind);
        if (!output.isEmpty()) {
            form.getByLabel(output, new Locator.GetByLabelOptions().setExact(true))
                    .check();
        }
        if (!charger.isEmpty()) {
            form.getByLabel("charger whose").selectOption(new SelectOption().setLabel(charger));
        }
        for (String holds : List.of("inverter whose", "monitor whose")) {
            if (form.getByLabel(holds).count() == 1) {
                form.getByLabel(holds).selectOption(new SelectOption().setIndex(1));
            }
        }
        button(page, "Fit it").click();
        save(page);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        Locator sheet = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(kind));
        for (String entry : enter) {
            String[] both = entry.split(": ");
            Locator row = sheet.getByRole(AriaRole.ROW)
                    .filter(new Locator.FilterOptions()
                            .setHas(page.getByText(both[0], new Page.GetByTextOptions().setExact(true))));
            assertThat(row.first()).containsText(both[1]);
        }
        assertThat(sheet.getByText("Copy as text")).isHidden();
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.SCREEN));
    }

    private static double number(Locator cell) {
        return Double.parseDouble(cell.innerText().replaceAll("[^0-9.−-]", "").replace("−", "-"));
    }

    /**
     * Ringing trailer: mains, an alternator and the sun; one output stops all of them in the cold, at the charge enable of the inverter
     * and the enable of the controller. In the line to the battery it is a danger, and its cure is at hand.
     */
    @Test
    public void allSourcesStopOnAColdMorningAndResume() {
        Page page = newSite(
                "Ringing trailer",
                "24",
                "LITHIUM_IRON_PHOSPHATE",
                "1000",
                "a feeder from a",
                "it moves",
                "an alternator charges");
        choose(page, "Alternator");
        type(page, "power of Alternator", "350");
        type(page, "from of Alternator", "7");
        type(page, "to of Alternator", "9");
        page.keyboard().press("Escape");
        link(page, "Outputs").click();
        button(page, "Add an output").click();
        Locator output = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Output 4"));
        press(output, "Rules of Output 4");
        output.getByText("Keep charging safe").click();
        press(output, "As its rule");
        press(output, "Wiring of Output 4");
        for (String source : new String[] {"Charge controller", "Inverter", "Alternator"}) {
            output.getByLabel(source, new Locator.GetByLabelOptions().setExact(true))
                    .check();
        }
        Locator acts = output.getByLabel("It acts on the inverter");
        acts.selectOption("BATTERY");
        // At the bench it is seen: in the cold the line to the battery opens under a live array.
        link(page, "Bench").click();
        page.getByText("Other knobs").click();
        page.getByRole(
                        AriaRole.SPINBUTTON,
                        new Page.GetByRoleOptions()
                                .setName("battery temperature")
                                .setExact(true))
                .focus();
        page.keyboard().press("Enter");
        page.keyboard().type("2");
        page.keyboard().press("Enter");
        // The inverter goes to search before the delay of the inhibit is over.
        Locator happened = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened"));
        button(page, "To the next switching").click();
        assertThat(happened).containsText("goes to search");
        button(page, "To the next switching").click();
        assertThat(happened).containsText("its battery side opened under a live array");
        link(page, "Plan").click();
        link(page, "Findings").click();
        Locator danger = page.locator("[data-finding]")
                .filter(new Locator.FilterOptions().setHasText("it can destroy the controller"));
        danger.getByText("and at the charge enable of the inverter").click();
        button(page, "Apply").click();
        assertThat(danger).hasCount(0);
        assertThat(page.locator("main")).not().containsText("danger");
        link(page, "Outputs").click();
        opened(page, "Output 4");
        press(output, "Wiring of Output 4");
        assertThat(acts).hasValue("CHARGE");
        save(page);

        link(page, "Season").click();
        openConditions(page);
        page.getByLabel("from", new Page.GetByLabelOptions().setExact(true))
                .first()
                .fill("2026-11-10");
        Locator events = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Events"));
        page.getByLabel("Events of").selectOption("of Output 4");
        assertThat(events).containsText("Output 4 opens");
        assertThat(events).containsText("battery at or below 4 °C");
        assertThat(events).containsText("Output 4 closes");
        for (String charger : new String[] {"Charge controller", "Inverter"}) {
            page.getByLabel("Events of").selectOption("of " + charger);
            assertThat(events).containsText("stops charging");
        }
        printed(
                page,
                "Battery monitor with one relay",
                "",
                "Output 4",
                "low temperature: 4 °C",
                "shunt current: 500 A",
                "relay contact: rests open");
    }

    /**
     * Harbour office: charged in the cheap hours, given to the grid in the dear ones down to a floor; by band in money, and against the
     * same plan without its windows.
     */
    @Test
    public void boughtCheapAndGivenBackDear() {
        Page page = newSite("Harbour office", "48", "AGM", "0", "a feeder from a");
        choose(page, "Feeder");
        type(page, "takes back, at most of Feeder", "3000");
        openTheme(page, "Prices");
        String[][] bands = {{"1", "0", "6", "0.1", "0.05"}, {"2", "6", "24", "0.5", "0.4"}};
        for (String[] band : bands) {
            press(sheet(page), "one more band");
            type(page, "from of band " + band[0] + " of Feeder", band[1]);
            type(page, "to of band " + band[0] + " of Feeder", band[2]);
            type(page, "bought at of band " + band[0] + " of Feeder", band[3]);
            type(page, "sold at of band " + band[0] + " of Feeder", band[4]);
        }
        choose(page, "Inverter");
        openTheme(page, "Charger and transfer");
        press(sheet(page), "Set blends sun with AC of Inverter");
        sheet(page).getByLabel("blends sun with AC of Inverter").check();
        sheet(page).getByLabel("who charges of the AC side").selectOption("IN_WINDOWS");
        openTheme(page, "Windows");
        press(sheet(page), "one more window");
        press(sheet(page), "one more window");
        type(page, "from of window 1 of the AC side", "0");
        type(page, "to of window 1 of the AC side", "6");
        type(page, "state of charge of window 1 of the AC side", "95");
        sheet(page).getByLabel("kind of window 2 of the AC side").selectOption("DISCHARGE");
        type(page, "from of window 2 of the AC side", "17");
        type(page, "to of window 2 of the AC side", "20");
        type(page, "state of charge of window 2 of the AC side", "70");
        press(sheet(page), "Set power of window 2 of the AC side");
        type(page, "power of window 2 of the AC side", "800");
        press(sheet(page), "Set goes out to the grid of window 2 of the AC side");
        sheet(page)
                .getByLabel("goes out to the grid of window 2 of the AC side")
                .check();
        Locator band =
                sheet(page).getByRole(AriaRole.FIGURE, new Locator.GetByRoleOptions().setName("Windows of the day"));
        assertThat(band).containsText("00:00–06:00 AC charges to 95 %");
        assertThat(band.getByRole(
                        AriaRole.IMG,
                        new Locator.GetByRoleOptions()
                                .setName(Pattern.compile("^A mean day of the simulated 14 days: sun"))))
                .isVisible();
        assertThat(band).containsText("17:00–20:00 the battery gives 800 W, out to the grid too, down to 70 %");
        // There is no array: AC is there, the sun is never enough, the battery has no level to be below of.
        Locator lit = sheet(page).locator("[aria-current=true]");
        assertThat(lit).containsText(Pattern.compile("(9\\d|100) % of these days"));
        sheet(page)
                .getByLabel("time", new Locator.GetByLabelOptions().setExact(true))
                .press("Home");
        assertThat(sheet(page)).containsText("AC is there, the sun is not enough, the battery is above its level");
        assertThat(lit).hasCount(1);
        assertAccessible(page);
        page.keyboard().press("Escape");
        save(page);

        link(page, "Season").click();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Figures"))
                .or(button(page, "Figures"))
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Worked out from the run")))
                .containsText("too few nights");
        Locator cost = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Feeder: what it cost"));
        Locator cheap = cost.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("00:00 to 06:00"));
        Locator dear = cost.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("06:00 to 24:00"));
        Locator cheapCells = cheap.getByRole(AriaRole.CELL);
        Locator dearCells = dear.getByRole(AriaRole.CELL);
        assertEquals(number(cheapCells.nth(2)), 0.1 * number(cheapCells.nth(0)), 0.02, "bought at 0.1");
        assertTrue(number(dearCells.nth(1)) > 5, "given back in the dear hours: " + dear.innerText());
        assertEquals(
                number(dearCells.nth(2)),
                0.5 * number(dearCells.nth(0)) - 0.4 * number(dearCells.nth(1)),
                0.06,
                "what it earned");
        assertTrue(number(dearCells.nth(2)) < 0, "more is got than paid: " + dear.innerText());

        exact(page, "with").selectOption("the same without its windows");
        button(page, "Both").click();
        Locator figures = page.getByRole(AriaRole.TABLE).last();
        assertThat(figures).containsText("Cost, 06:00 to 24:00");
        Locator given = figures.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText("Given back to a feeder"))
                .getByRole(AriaRole.CELL);
        assertEquals(number(given.first()), 0.0, "without windows nothing goes out");
        assertTrue(number(given.nth(1)) > 10_000, given.nth(1).innerText());
        // Bought cheap and given back dear it costs less, and that is better; the battery comes down further, and that
        // is worse.
        Locator whole = figures.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.ROWHEADER,
                                new Page.GetByRoleOptions().setName("Cost").setExact(true))));
        assertThat(whole).containsText("better");
        assertThat(page.getByRole(
                        AriaRole.REGION, new Page.GetByRoleOptions().setName("What changed, and what it did")))
                .containsText("worse");
        printed(
                page,
                "All-in-one hybrid with a numbered menu",
                "Inverter",
                "",
                "charge order: TIME",
                "time 1 from: 0 h",
                "time 1 to: 6 h",
                "time 1 charge: 95 %",
                "time 2 from: 17 h",
                "time 2 to: 20 h",
                "time 2 charge: 70 %",
                "time 2 power: 800 W",
                "time 1 is for: IN",
                "time 2 is for: OUT",
                "time 2 to the grid: YES",
                "standard of the country: 0");
        // Set to an island it gives nothing to a grid, whatever is entered: it has to be told which country it stands
        // in.
    }

    /**
     * Slate museum: a flooded bank with a small generator. Absorption for sun and for generator, input limit, monitor capacity; the
     * generator by volts too and quiet at night; equalized after the first full sun.
     */
    @Test
    public void theGeneratorStartsByVoltsAndTheBankIsEqualizedToday() {
        Page page = newSite("Slate museum", "36", "FLOODED", "1500", "a generator");
        choose(page, "Charge controller");
        type(page, "absorption time of Charge controller", "2.5 h");
        openTheme(page, "Further settings");
        press(sheet(page), "Set equalization of Charge controller");
        press(sheet(page), "Set the last was of Charge controller");
        type(page, "the last was of Charge controller", "60");
        choose(page, "Inverter");
        type(page, "absorption time of Inverter", "1.5 h");
        type(page, "input limit of the AC side", "7");
        choose(page, "the battery monitor");
        type(page, "capacity it counts of the battery monitor", "200");
        page.keyboard().press("Escape");
        link(page, "Outputs").click();
        Locator start = opened(page, "Generator start");
        press(start, "Add by voltage to Generator start");
        assertThat(start).containsText("stays at or below");
        start.getByLabel("start voltage").first().click();
        page.keyboard().press("Control+a");
        page.keyboard().type("37.9");
        page.keyboard().press("Enter");
        press(start, "Add finishes equalization to");
        press(start, "Take finishes equalization away from");
        save(page);
        page.reload();
        assertThat(opened(page, "Generator start").getByLabel("start voltage").first())
                .hasText("37.9 V");

        link(page, "Season").click();
        Locator events = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Events"));
        page.getByLabel("Events of").selectOption("of Charge controller");
        assertThat(events).containsText("equalization is due");
        page.getByLabel("Events of").selectOption("of Generator start");
        assertThat(events).containsText("Generator start closes");
        Matcher closes = Pattern.compile("(\\d\\d):\\d\\d:\\d\\d\\s+Generator start closes")
                .matcher(events.innerText());
        int starts = 0;
        while (closes.find()) {
            int hour = Integer.parseInt(closes.group(1));
            assertTrue(hour >= 7 && hour < 22, "called at " + closes.group());
            starts++;
        }
        assertTrue(starts > 3, "it is called by volts: " + starts);
        // Called late in the evening with half an hour at least, it runs on: that is told.
        assertThat(page.locator("main")).containsText("ran on into its quiet hours");

        printed(
                page,
                "Inverter/charger with two programmable relays",
                "Inverter",
                "Generator start",
                "AC input limit: 7 A",
                "absorption time: 90 min",
                "or on at: 37.9 V",
                "quiet from: 22 h",
                "relay does: generator");
        printed(
                page,
                "Staged charge controller with one auxiliary output",
                "Charge controller",
                "",
                "absorb time: 25 × 0.1 h",
                "equalization every: 30 d");
        printed(page, "Battery monitor with one relay", "", "", "capacity: 200 Ah");

        // At the generator, with a phone: a later hour of rest and a lower input limit, kept; what is open on the desk
        // learns of it.
        Page phone = phoneAt("/site/slate-museum/plan/system", "liv");
        choose(phone, "Inverter");
        type(phone, "input limit of the AC side", "6");
        phone.keyboard().press("Escape");
        phone.getByRole(AriaRole.NAVIGATION).getByText("Outputs").first().click();
        Locator there = opened(phone, "Generator start");
        there.getByLabel("quiet from").first().click();
        phone.keyboard().press("Control+a");
        phone.keyboard().type("21:30");
        phone.keyboard().press("Enter");
        save(phone);
        phone.reload();
        assertThat(opened(phone, "Generator start").getByLabel("quiet from").first())
                .containsText("21.5 h");
    }

    /**
     * Ferry kiosk on a weak island grid: the battery feeds down to 40 %, AC until 70 %. With the charger at its most the line sags out of
     * what the inverter takes, and the run says so; with a lower input limit it holds.
     */
    @Test
    public void aWeakGridHoldsWithALowerInputLimit() {
        Page page = newSite("Ferry kiosk", "48", "LITHIUM_IRON_PHOSPHATE", "1000", "a feeder from a");
        add(page, "Load");
        sheet(page).getByLabel("feed of Load 3").selectOption("Inverter");
        type(page, "watts of Load 3", "900");
        choose(page, "Feeder");
        openTheme(page, "Voltage, line and frequency");
        press(sheet(page), "Set line of a leg of Feeder");
        type(page, "line of a leg of Feeder", "3");
        choose(page, "Inverter");
        openTheme(page, "Charger and transfer");
        press(sheet(page), "Set takes AC of Inverter");
        type(page, "from of Inverter", "205");
        // So weak a grid is given two minutes to prove itself, or it is taken and let go some hundred times an hour.
        type(page, "accepts AC after of Inverter", "120");
        sheet(page).getByLabel("who feeds the loads of the AC side").selectOption("BATTERY_FIRST");
        openTheme(page, "To AC and back");
        press(sheet(page), "Set by state of charge of the AC side");
        type(page, "to AC state of charge of the AC side", "40");
        type(page, "to battery state of charge of the AC side", "70");
        page.keyboard().press("Escape");
        save(page);
        link(page, "Season").click();
        Locator events = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Events"));
        page.getByLabel("Events of").selectOption("of Inverter");
        assertThat(events).containsText("loads to AC: battery at or below 40 %");
        assertThat(events).containsText("is outside what it takes");
        Locator weak = page.getByText("AC left what the inverter takes");
        assertThat(weak.first()).isVisible();

        link(page, "Plan").click();
        link(page, "System").click();
        choose(page, "Inverter");
        type(page, "input limit of the AC side", "6");
        page.keyboard().press("Escape");
        link(page, "Season").click();
        page.getByLabel("Events of").selectOption("of Inverter");
        assertThat(events).containsText("loads to battery: above 70 %");
        assertThat(weak).hasCount(0);

        // More than the inverter carries, while it carries alone: it bypasses to AC where it is set to, and else gives
        // up.
        link(page, "Plan").click();
        link(page, "System").click();
        choose(page, "Load 3");
        type(page, "watts of Load 3", "9000");
        link(page, "Season").click();
        page.getByLabel("Events of").selectOption("of Inverter");
        assertThat(events).containsText("of what it carries: off for 3 min");
        link(page, "Plan").click();
        link(page, "System").click();
        choose(page, "Inverter");
        openTheme(page, "To AC and back");
        press(sheet(page), "Set overload goes to AC of the AC side");
        link(page, "Season").click();
        page.getByLabel("Events of").selectOption("of Inverter");
        assertThat(events).containsText("the loads go to AC for 3 min");

        // An island grid that runs too fast is never taken.
        link(page, "Plan").click();
        link(page, "System").click();
        choose(page, "Feeder");
        openTheme(page, "Voltage, line and frequency");
        press(sheet(page), "Set frequency of Feeder");
        type(page, "frequency of Feeder", "54");
        choose(page, "Inverter");
        openTheme(page, "Charger and transfer");
        press(sheet(page), "Set highest frequency of Inverter");
        link(page, "Season").click();
        page.getByLabel("Events of").selectOption("of Inverter");
        assertThat(events).containsText("AC at 54.0 Hz is outside what it takes, 53 Hz: not taken");
        printed(
                page,
                "All-in-one hybrid with a numbered menu",
                "Inverter",
                "",
                "AC input limit: 6 A",
                "to AC below: 40 %",
                "back to battery above: 70 %",
                "feed order: BAT",
                "overload to AC: on",
                "AC taken from: 205 V");
    }

    /**
     * Gauging station: a controller with a level for everything, walked once down and once up. Each level's event comes in the order of
     * the voltages, and a level that is dragged on the gauge moves in the walk.
     */
    @Test
    public void everyLevelIsWalkedOnceDownAndOnceUp() {
        Page page = newSite("Gauging station", "24", "AGM", "400", "a feeder from a");
        choose(page, "Charge controller");
        openTheme(page, "Further settings");
        press(sheet(page), "Set over voltage of Charge controller");
        type(page, "stop of Charge controller", "30");
        type(page, "release of Charge controller", "29");
        press(sheet(page), "Set equalization of Charge controller");
        type(page, "voltage of Charge controller", "29.4");
        type(page, "time at it of Charge controller", "1 h");
        press(sheet(page), "Set the last was of Charge controller");
        type(page, "the last was of Charge controller", "60");
        page.keyboard().press("Escape");
        save(page);
        link(page, "Bench").click();
        button(page, "Walk once down and up").click();
        Locator story = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Once down, once up"));
        assertThat(story).containsText("each of them acts");
        String told = story.innerText();
        int last = 0;
        for (String event : List.of(
                "recharge level reached",
                "Load disconnect opens",
                "Load disconnect closes",
                "absorption voltage 28.4 V reached",
                "equalization is due",
                "equalization time is up",
                "stops charging: 30 V or more",
                "may charge again: 29 V or less")) {
            int at = told.indexOf(event);
            assertTrue(at > last, event + " in its place in " + told);
            last = at;
        }
        button(page, "Put it on the bench").click();
        Locator devices = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Chargers and inverter"));
        assertThat(devices).containsText("float");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What happened")))
                .containsText("may charge again: 29 V or less");

        link(page, "Plan").click();
        button(page, "Levels in full").click();
        Locator stop = page.getByRole(
                AriaRole.SLIDER, new Page.GetByRoleOptions().setName("over-voltage stop of Charge controller"));
        stop.focus();
        page.keyboard().press("ArrowUp");
        assertThat(stop).hasAttribute("aria-valuetext", "30.10 V");
        link(page, "Bench").click();
        button(page, "Walk once down and up").click();
        assertThat(story).containsText("stops charging: 30.1 V or more");
        printed(
                page,
                "Staged charge controller with one auxiliary output",
                "Charge controller",
                "Load disconnect",
                "over-voltage stop: 30.1 V",
                "over-voltage release: 29 V",
                "equalization: 29.4 V",
                "equalization time: 60 min",
                "auxiliary function: disconnect");
    }
}
