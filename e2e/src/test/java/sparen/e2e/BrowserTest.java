package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.ConsoleMessage;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.net.URI;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.testng.Assert;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import sparen.app.TestDatabase;

/** What browser tests share: the running application, and that no page logs an error. */
abstract class BrowserTest {
    private final Stand stand = Stand.shared();
    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> complaints = new ArrayList<>();
    /** What was sent off that may change something, and is not answered. */
    private final Set<Request> changing = new HashSet<>();

    @BeforeMethod
    public void nothingIsLeftOfAnotherTest() {
        stand.database.asAtFirst();
    }

    @AfterMethod(alwaysRun = true)
    public void noPageComplained() {
        // What a page has sent off is let through first, for it must not come in the middle of the next test.
        try {
            contexts.stream()
                    .flatMap(context -> context.pages().stream())
                    .limit(1)
                    .forEach(page -> page.waitForCondition(changing::isEmpty));
        } catch (TimeoutError never) {
            complaints.add("never answered: "
                    + changing.stream()
                            .map(one -> one.method() + " " + one.url())
                            .toList());
        }
        contexts.forEach(BrowserContext::close);
        contexts.clear();
        List<String> seen = List.copyOf(complaints);
        complaints.clear();
        changing.clear();
        Assert.assertEquals(seen, List.of(), "complaints: " + seen);
    }

    /** Kills the application as kill -9 does and starts it again on the same database. */
    void restartApplication() {
        stand.application.kill();
        stand.application.start();
    }

    TestDatabase database() {
        return stand.database;
    }

    String address() {
        return stand.application.address();
    }

    /** A window of its own, with nobody signed in. */
    Page window() {
        return open(new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    private Page open(Browser.NewContextOptions options) {
        BrowserContext context =
                stand.browser.newContext(options.setLocale("en-GB").setTimezoneId("Europe/Stockholm"));
        contexts.add(context);
        context.setDefaultTimeout(Stand.PATIENCE_MILLIS);
        context.onRequest(request -> {
            if (!request.method().equals("GET")) {
                changing.add(request);
            }
        });
        context.onResponse(response -> changing.remove(response.request()));
        context.onRequestFailed(changing::remove);
        Page page = context.newPage();
        page.onConsoleMessage(this::listen);
        page.onPageError(complaints::add);
        // Of what a page was asking for when it was left, nothing is heard any more.
        page.onDOMContentLoaded(
                left -> changing.removeIf(request -> request.frame().page() == left));
        return page;
    }

    /** Refusals that a test provokes are logged by the browser itself; all else is a fault, policy violations among them. */
    private void listen(ConsoleMessage message) {
        boolean provoked = message.text().matches("Failed to load resource: .* (401|403|404|409|422|424|429) .*");
        if (message.type().equals("error") && !provoked) {
            complaints.add(message.text());
        }
    }

    /** A window in which somebody of the demo is signed in, at a place. */
    Page at(String place, String name) {
        return at(place, name, new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    /** A phone, touched by fingers. */
    Page phoneAt(String place, String name) {
        return at(
                place,
                name,
                new Browser.NewContextOptions()
                        .setViewportSize(390, 844)
                        .setHasTouch(true)
                        .setIsMobile(true));
    }

    private Page at(String place, String name, Browser.NewContextOptions options) {
        Page page = open(options.setStorageState(stand.signedIn(name, this::signInOnce)));
        // A run begins today: the tests' today is a day in autumn, whenever they run.
        page.context().clock().setFixedTime("2026-10-05T10:00:00Z");
        page.navigate(address() + "/#" + place);
        assertThat(page.getByRole(AriaRole.NAVIGATION).first()).isVisible();
        // What arrives moves what is below it, under a hand that clicks: all is let arrive first.
        page.waitForLoadState(LoadState.NETWORKIDLE);
        return page;
    }

    private String signInOnce(String name) {
        Page page = window();
        signIn(page, name);
        return page.context().storageState();
    }

    void signIn(Page page, String name) {
        page.navigate(address() + "/");
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill("havorn-demo");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        assertThat(page.getByRole(AriaRole.NAVIGATION)).isVisible();
    }

    /** Changes the plan of a site as somebody who is signed in, unsaved: a draft that every place takes. */
    static void draft(Page page, String site, String change) {
        page.evaluate(
                """
                async () => {
                  const token = () => decodeURIComponent(document.cookie.split('; ').find(c => c.startsWith('XSRF-TOKEN=')).slice(11));
                  const latest = await (await fetch('/api/sites/SITE/revisions/latest')).json();
                  const plan = latest.plan;
                  CHANGE
                  const answer = await fetch('/api/sites/SITE/drafts', {
                    method: 'PUT',
                    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token() },
                    body: JSON.stringify({ parent: latest.revision.number, plan }),
                  });
                  if (!answer.ok) throw new Error(await answer.text());
                }
                """
                        .replace("SITE", site)
                        .replace("CHANGE", change));
    }

    static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    /** The one of just this name, where others begin alike. */
    static Locator exactButton(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator says(Page page, String words) {
        return page.getByText(words).first();
    }

    /** Does what a site's menu offers. */
    static void fromMenu(Page page, String site, String act) {
        page.getByLabel("More for " + site).click();
        page.getByLabel(act + " " + site).click();
    }

    /** The row of an output, opened. */
    static Locator opened(Page page, String name) {
        Locator article = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name));
        Locator row = article.getByRole(AriaRole.BUTTON).first();
        assertThat(row).isVisible();
        if (row.getAttribute("aria-expanded").equals("false")) {
            row.click();
        }
        return article;
    }

    /** The field that is called so, and not only holds the words. */
    static Locator exact(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    /** Opens the line that tells under which conditions a run is made. */
    static void openConditions(Page page) {
        page.getByText(Pattern.compile("^\\d+ (days?|years) from ")).click();
    }

    /** What a page asks of the server at paths that end so, from now on. */
    /** A window in which the core does not come: every question goes to the server, to be counted there. */
    static void withoutTheCore(Page page) {
        page.context()
                .route(
                        "**/engine/core.js",
                        route -> route.fulfill(new Route.FulfillOptions()
                                .setContentType("text/javascript")
                                .setBody("export const answer = () => ({ failed: 'not here' })")));
        page.reload();
        page.waitForLoadState(LoadState.NETWORKIDLE);
    }

    static List<Request> requests(Page page, String method, String pathEnd) {
        List<Request> seen = new ArrayList<>();
        page.onRequest(request -> {
            if (request.method().equals(method)
                    && URI.create(request.url()).getPath().endsWith(pathEnd)) {
                seen.add(request);
            }
        });
        return seen;
    }

    /** Nothing of a page is wider than its window. */
    static void assertNoSidewaysScroll(Page page) {
        page.waitForFunction("() => document.documentElement.scrollWidth === document.documentElement.clientWidth");
    }

    /** The accessibility rules of WCAG 2.2 AA find nothing serious on a page. */
    void assertAccessible(Page page) {
        assertClean(
                page, new AxeBuilder(page).withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")));
    }

    /** What another ground changes. */
    void assertContrast(Page page) {
        assertClean(page, new AxeBuilder(page).withRules(List.of("color-contrast")));
    }

    private static void assertClean(Page page, AxeBuilder axe) {
        List<String> serious = axe.analyze().getViolations().stream()
                .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                .map(BrowserTest::format)
                .toList();
        Assert.assertTrue(serious.isEmpty(), page.url() + ": " + serious);
    }

    private static String format(Rule rule) {
        return rule.getId() + ": " + rule.getNodes().get(0).getHtml() + " "
                + rule.getNodes().get(0).getFailureSummary();
    }
}
