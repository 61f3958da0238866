package cauldron.e2e;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** Debian's Chromium, started once for each thread; every test gets a context of its own. */
final class Chrome {

    static final String SECRET = "lantern-harbour";
    /** Playwright belongs to the thread that made it, so test classes that run side by side have a browser each. */
    private static final ThreadLocal<Browser> BROWSER = ThreadLocal.withInitial(Chrome::launch);

    private Chrome() {
    }

    static Browser browser() {
        return BROWSER.get();
    }

    /**
     * Debian's Chromium without the window around its pages, where it is installed: it draws the same and takes two
     * thirds of the processor. {@code -Dcauldron.browser} names another.
     */
    private static Path executable() {
        Path shell = Path.of("/usr/bin/chromium-headless-shell");
        String named = System.getProperty("cauldron.browser");
        return named != null ? Path.of(named) : Files.isExecutable(shell) ? shell : Path.of("/usr/bin/chromium");
    }

    private static Browser launch() {
        return Playwright.create().chromium().launch(new BrowserType.LaunchOptions()
                .setExecutablePath(executable())
                .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
                        "--disable-background-networking", "--disable-component-update", "--disable-sync",
                        // A microphone that beeps, and that may be used.
                        "--use-fake-device-for-media-stream", "--use-fake-ui-for-media-stream")));
    }

    static BrowserContext context(int width, int height) {
        BrowserContext context = browser().newContext(new Browser.NewContextOptions().setViewportSize(width, height));
        context.setDefaultTimeout(15_000);
        // A page that breaks must not pass for an empty one that has nothing wrong with it.
        context.onWebError(error -> {
            throw new AssertionError("The page failed: " + error.error());
        });
        return context;
    }

    /**
     * Answers what a context's pages ask for. A page that was left, or is closed at a test's end, may still have asked: an
     * error about that would break out of whatever the same thread does next, in another test, too.
     */
    static void answering(BrowserContext context, String what, Consumer<Route> how) {
        context.route(what, route -> {
            try {
                how.accept(route);
            } catch (PlaywrightException gone) {
                // Who waits for this answer after all fails at its own time limit.
            }
        });
    }

    /** Signed in and at home. */
    static Page signIn(BrowserContext context, String userName) {
        Page page = signedIn(context, userName);
        page.navigate(App.address());
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign out")).waitFor();
        return page;
    }

    /** Signed in, and nowhere yet. By what the sign-in page sends; how that page works, {@link JourneyTest} tries. */
    static Page signedIn(BrowserContext context, String userName) {
        context.request().get(App.address() + "/api/me");
        String guard = context.cookies(App.address()).stream().filter(c -> c.name.equals("XSRF-TOKEN")).findFirst()
                .orElseThrow().value;
        APIResponse answer = context.request().post(App.address() + "/api/session", RequestOptions.create()
                .setHeader("X-XSRF-TOKEN", guard).setData(Map.of("userName", userName, "secret", SECRET)));
        if (!answer.ok()) {
            throw new AssertionError(userName + " could not sign in: " + answer.text());
        }
        return context.newPage();
    }

    /** A student at work in the lamp keeper's clock, a film on the bench. */
    static Page measuring(BrowserContext context, String userName) {
        Page page = signIn(context, userName);
        inItem(page, "The lamp keeper's clock", "Go on");
        button(page, "Measure").click();
        page.getByTestId("film-time").waitFor();
        return page;
    }

    /** Waits until nothing more comes in; a page that listens never has its network idle. */
    static void quiet(Page page) {
        page.waitForFunction("""
                () => {
                  const now = performance.now();
                  const many = performance.getEntriesByType('resource').length;
                  if (window.seenOf?.many !== many) window.seenOf = { many, at: now };
                  return document.readyState === 'complete' && now - window.seenOf.at > 500;
                }""");
    }

    static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator button(Page page, Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    /** A cell of the table, whatever more its name says. */
    static Locator cell(Page page, String column, int row) {
        return page.getByLabel(Pattern.compile("^" + column + ", row " + row + "(,|$)"));
    }

    static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator link(Page page, Pattern name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    /** A link on a class's card of a teacher's first page; other tests may have made classes that stand before it. */
    static Locator ofClass(Page page, String schoolClass, Pattern link) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(schoolClass).setExact(true))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(link));
    }

    /** Presses a button or link of the list item that speaks of something. */
    static void inItem(Page page, String about, String name) {
        Locator item = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(about));
        item.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name)).or(
                item.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(name))).click();
    }

    /** Opens a lab from a student's first page, seals a prediction, and goes to one of its parts. */
    static void sealed(Page page, String lab, int choice, String part) {
        page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(lab)).getByRole(AriaRole.BUTTON).click();
        button(page, "Prediction").click();
        page.getByRole(AriaRole.RADIO).nth(choice).check();
        button(page, "Seal my prediction").click();
        part(page, part);
    }

    /** Goes to a part of the lab that is open. */
    static void part(Page page, String name) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Parts of the lab"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true)).click();
    }

    /** The question of the part in front that says something. */
    static Locator question(Page page, String about) {
        return page.locator("section").filter(new Locator.FilterOptions().setHasText(about))
                .filter(new Locator.FilterOptions().setHas(page.getByLabel("Number"))).last();
    }

    /** Answers a question and has it checked. */
    static void answer(Locator question, String number, String unit) {
        question.getByLabel("Number").fill(number);
        question.getByLabel("Unit").fill(unit);
        question.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Check")).click();
    }
}
