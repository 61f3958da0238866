package cauldron.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Makes docs/screenshots from the demo data; run by {@code ./cauldron screenshots}, not with the tests. */
class Screenshots {

    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    private static void shoot(Page page, String name) {
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }

    private static void stopAt(Page page, String what, String value) {
        Chrome.button(page, "Stop at …").click();
        page.getByLabel("Stop exactly at").selectOption(what);
        page.getByLabel("Value to stop at").fill(value);
        Chrome.button(page, "Run to there").click();
        page.getByText(Pattern.compile("^Stopped at")).waitFor(new com.microsoft.playwright.Locator.WaitForOptions()
                .setState(com.microsoft.playwright.options.WaitForSelectorState.ATTACHED));
    }

    @Test
    void teacher() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "ines");
            page.getByText("Physics 11").waitFor();
            shoot(page, "classes");
            Chrome.link(page, "Catalogue").click();
            Chrome.inItem(page, "The lamp keeper's clock", "Read and give");
            Chrome.button(page, "Give to a class").waitFor();
            shoot(page, "lab-preview");
            page.navigate(App.address());
            Chrome.link(page, "The lamp keeper's clock").first().click();
            page.getByText("Zofia Marr").waitFor();
            shoot(page, "class-list");
            Chrome.link(page, Pattern.compile("the work of Aino Brekke")).click();
            page.getByTestId("film-time").waitFor();
            page.getByLabel(Pattern.compile("^length, row 3")).click();
            page.getByText("This is how").waitFor();
            shoot(page, "marking");
            page.navigate(App.address() + "/bench/pendulum");
            page.getByLabel(Pattern.compile("^Release angle")).first().fill("55");
            page.getByLabel(Pattern.compile("^Release angle")).first().press("Enter");
            page.getByLabel("Air drag").click();
            stopAt(page, "a time", "5.3");
            Chrome.button(page, "Graph").click();
            page.getByLabel("Kinetic energy", new Page.GetByLabelOptions().setExact(true)).check();
            page.getByLabel("Potential energy", new Page.GetByLabelOptions().setExact(true)).check();
            page.keyboard().press("Escape");
            shoot(page, "bench");
            Chrome.button(page, "Projector").click();
            page.setViewportSize(1024, 768);
            shoot(page, "projector");
        }
    }

    @Test
    void student() {
        try (BrowserContext context = Chrome.context(1280, 800)) {
            Page page = Chrome.signIn(context, "kofi.strand");
            Chrome.inItem(page, "The lamp keeper's clock", "Go on");
            Chrome.button(page, "Measure").click();
            page.getByTestId("film-time").waitFor();
            page.getByLabel(Pattern.compile("^20 swings, row 2")).click();
            page.getByText("This is how").waitFor();
            Chrome.button(page, "Protractor").click();
            Chrome.button(page, "Ruler").click();
            shoot(page, "student-lab");
        }
    }
}
