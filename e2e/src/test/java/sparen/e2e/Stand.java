package sparen.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import sparen.app.TestDatabase;

/** Database, application and browser, started once for all browser tests of this JVM. */
final class Stand {
    /** Nobody waits longer for something to appear (ms). */
    static final int PATIENCE_MILLIS = 60_000;

    private static Stand shared;

    final TestDatabase database = TestDatabase.create();
    final RunningApplication application = new RunningApplication(database);
    final Browser browser;
    private final Playwright playwright = Playwright.create();
    private final Map<String, String> signedIn = new HashMap<>();

    private Stand() {
        application.start();
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
    }

    static synchronized Stand shared() {
        if (shared == null) {
            shared = new Stand();
            Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
        }
        return shared;
    }

    /** What a browser keeps of somebody who has signed in; done once for each name. */
    String signedIn(String name, UnaryOperator<String> signIn) {
        return signedIn.computeIfAbsent(name, signIn);
    }

    private void close() {
        application.kill();
        database.stop();
    }
}
