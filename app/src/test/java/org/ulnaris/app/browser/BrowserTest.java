package org.ulnaris.app.browser;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Tracing;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.ulnaris.app.AppTest;

/** Drives the real interface in one shared Chromium; a failing test leaves a picture and a trace in target/browser. */
@ExtendWith(BrowserTest.OneBrowser.class)
abstract class BrowserTest extends AppTest {
    /** A shared machine stalls for seconds at times; nothing waits longer than it must. */
    private static final double PATIENCE_MS = 60_000;

    private static final String AXE = script();
    private static final List<String> STANDARDS =
            List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice");

    /** A refusal is an answer; the library tells every request given up, and {@link #GIVEN_UP} those that nothing overtook. */
    private static final List<String> EXPECTED = List.of("status of 4", "htmx:afterRequest", "htmx:sendAbort");

    /** Where only the last question counts the one before is given up; anywhere else that is something typed and lost. */
    private static final String GIVEN_UP = """
            document.addEventListener("htmx:sendAbort", (event) => {
              if (!event.target.matches("[hx-sync$=':replace']")) {
                console.error("given up: " + event.detail.pathInfo.requestPath);
              }
            });""";

    private static final Path TRACES = Path.of("target/browser");

    @LocalServerPort
    private int port;

    protected BrowserContext context;
    protected Page page;
    protected final List<String> complaints = new ArrayList<>();

    /** Opens Chromium once for all classes and closes it at the end of the run. */
    static final class OneBrowser implements org.junit.jupiter.api.extension.BeforeAllCallback {
        record Held(Playwright playwright, Browser browser) implements AutoCloseable {
            @Override
            public void close() {
                browser.close();
                playwright.close();
            }
        }

        static Browser browser;

        @Override
        public void beforeAll(ExtensionContext extension) {
            browser = extension
                    .getRoot()
                    .getStore(ExtensionContext.Namespace.GLOBAL)
                    .computeIfAbsent("browser", key -> open(), Held.class)
                    .browser();
        }

        private static Held open() {
            Playwright playwright = Playwright.create();
            Browser browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setArgs(List.of(
                                    "--no-sandbox",
                                    "--disable-gpu",
                                    "--disable-quic",
                                    "--no-first-run",
                                    "--disable-background-networking",
                                    "--disable-component-update",
                                    "--disable-sync")));
            return new Held(playwright, browser);
        }
    }

    @RegisterExtension
    final TestExecutionExceptionHandler picture = (extension, failure) -> {
        String name = extension.getRequiredTestClass().getSimpleName() + "-"
                + extension.getRequiredTestMethod().getName();
        page.screenshot(new Page.ScreenshotOptions()
                .setPath(TRACES.resolve(name + ".png"))
                .setFullPage(true));
        context.tracing().stop(new Tracing.StopOptions().setPath(TRACES.resolve(name + ".zip")));
        throw failure;
    };

    @BeforeEach
    void open() {
        context = OneBrowser.browser.newContext(options());
        context.setDefaultTimeout(PATIENCE_MS);
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        context.tracing().start(new Tracing.StartOptions().setScreenshots(false).setSnapshots(true));
        context.addInitScript(GIVEN_UP);
        page = context.newPage();
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && EXPECTED.stream().noneMatch(message.text()::contains)) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
    }

    protected Browser.NewContextOptions options() {
        return new Browser.NewContextOptions().setViewportSize(1280, 800);
    }

    @AfterEach
    void close() {
        context.close();
    }

    protected String url(String path) {
        return "http://localhost:" + port + path;
    }

    protected void visit(String path) {
        page.navigate(url(path));
    }

    /** What axe has against the page as it is now, one line a rule and place: all its rules for the web, or those named. */
    protected List<String> axe(String... rules) {
        if (!(Boolean) page.evaluate("'axe' in window")) {
            page.evaluate(AXE);
        }
        List<?> found = (List<?>) page.evaluate("""
                async ([rules, tags]) => {
                  const runOnly = rules.length ? { type: "rule", values: rules } : { type: "tag", values: tags };
                  const found = await axe.run(document, { runOnly, resultTypes: ["violations"] });
                  return found.violations.flatMap((rule) => rule.nodes.map((node) => rule.id + ": " + node.html));
                }""", List.of(List.of(rules), STANDARDS));
        return found.stream()
                .map(fault -> page.url() + " at " + page.viewportSize().width + " px: " + fault)
                .toList();
    }

    private static String script() {
        try (InputStream axe = Objects.requireNonNull(AxeBuilder.class.getResourceAsStream("/axe.min.js"))) {
            return new String(axe.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
