package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.testng.Assert;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import sparen.app.TestDatabase;

/** What browser tests share: application, database, browser, and that no page logs an error. */
abstract class BrowserTest {
    private TestDatabase database;
    private RunningApplication application;
    private Playwright playwright;
    private Browser browser;
    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> complaints = new ArrayList<>();

    @BeforeClass
    public void open() {
        database = TestDatabase.create();
        application = new RunningApplication(database);
        application.start();
        playwright = Playwright.create();
        PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
    }

    @AfterClass(alwaysRun = true)
    public void close() {
        if (playwright != null) {
            playwright.close();
        }
        if (application != null) {
            application.stop();
        }
        if (database != null) {
            database.stop();
        }
    }

    @AfterMethod(alwaysRun = true)
    public void noPageComplained() {
        contexts.forEach(BrowserContext::close);
        contexts.clear();
        forgetDrafts();
        List<String> seen = List.copyOf(complaints);
        complaints.clear();
        Assert.assertEquals(seen, List.of(), "errors on the console");
    }

    /** What one test left unsaved must not be met by the next. */
    private void forgetDrafts() {
        String url = "jdbc:postgresql://127.0.0.1:" + database.port() + "/sparen";
        try (Connection connection = DriverManager.getConnection(url, "sparen", "");
                Statement statement = connection.createStatement()) {
            statement.execute("delete from draft");
        } catch (SQLException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** Kills the application as kill -9 does and starts it again on the same database. */
    void restartApplication() {
        application.kill();
        application.start();
    }

    String address() {
        return application.address();
    }

    /** A window of its own, with nobody signed in. */
    Page window(int width, int height) {
        return open(new Browser.NewContextOptions().setViewportSize(width, height));
    }

    /** A phone, touched by fingers. */
    Page phone() {
        return open(new Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setIsMobile(true));
    }

    private Page open(Browser.NewContextOptions options) {
        BrowserContext context = browser.newContext(options.setLocale("en-GB"));
        contexts.add(context);
        context.setDefaultTimeout(20_000);
        Page page = context.newPage();
        page.onConsoleMessage(this::listen);
        page.onPageError(complaints::add);
        return page;
    }

    /** Refusals that a test provokes are logged by the browser itself; all else is a fault, policy violations among them. */
    private void listen(ConsoleMessage message) {
        boolean provoked = message.text().matches("Failed to load resource: .* (401|403|404|409|422|429) .*");
        if (message.type().equals("error") && !provoked) {
            complaints.add(message.text());
        }
    }

    /** A window in which somebody of the demo is signed in, at a place. */
    Page at(String place, String name) {
        Page page = window(1280, 800);
        signIn(page, name);
        page.navigate(address() + "/#" + place);
        return page;
    }

    void signIn(Page page, String name) {
        page.navigate(address() + "/");
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill("havorn-demo");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        assertThat(page.getByRole(AriaRole.NAVIGATION)).isVisible();
    }

    /** The accessibility rules of WCAG 2.2 AA find nothing serious on a page. */
    void assertAccessible(Page page) {
        List<String> serious = new AxeBuilder(page)
                        .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"))
                        .analyze()
                        .getViolations()
                        .stream()
                        .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                        .map(BrowserTest::told)
                        .toList();
        Assert.assertEquals(serious, List.of(), page.url());
    }

    private static String told(Rule rule) {
        return rule.getId() + ": " + rule.getNodes().get(0).getHtml() + " "
                + rule.getNodes().get(0).getFailureSummary();
    }
}
