package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The teacher's open bench. */
class BenchTest {

    private BrowserContext context;
    private Page page;

    @BeforeEach
    void openTheBench() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
        page.navigate(App.address() + "/bench/pendulum");
        Chrome.button(page, "Run").waitFor();
    }

    @AfterEach
    void close() {
        context.close();
    }

    private double channel(String id) {
        return Double.parseDouble(page.locator("[data-channel=" + id + "]").innerText().replace('\u2212', '-')
                .split(" ")[0]);
    }

    private double time() {
        return Double.parseDouble(page.getByTestId("time").innerText().split(" ")[0]);
    }

    private void stopAt(String what, String value) {
        Chrome.button(page, "Stop at …").click();
        page.getByLabel("Stop exactly at").selectOption(what);
        page.getByLabel("Value to stop at").fill(value);
        Chrome.button(page, "Run to there").click();
        assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.STATUS)
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("Stopped at")))).hasCount(1);
    }

    @Test
    void stopsExactlyAtEventsTimesAndValues() {
        stopAt("lowest point", "1");
        assertThat(channel("angle")).isEqualTo(0);
        double quarter = time();
        stopAt("lowest point", "4");
        assertThat(time()).isCloseTo(9 * quarter, within(0.005));
        stopAt("highest point", "1");
        assertThat(Math.abs(channel("angle"))).isEqualTo(20.0);
        stopAt("a time", "6.5");
        assertThat(time()).isEqualTo(6.5);
        stopAt("Angle =", "-12.5");
        assertThat(channel("angle")).isEqualTo(-12.5);
    }

    @Test
    void theTimeLineGoesBackAndForthAndStepsAreOneFrame() {
        stopAt("a time", "3");
        double angle = channel("angle");
        Chrome.button(page, "One frame back").click();
        assertThat(time()).isCloseTo(3 - 1.0 / 60, within(0.0006));
        Chrome.button(page, "One frame forward").click();
        assertThat(channel("angle")).isEqualTo(angle);
        Locator line = page.getByRole(com.microsoft.playwright.options.AriaRole.SLIDER,
                new Page.GetByRoleOptions().setName("Time line"));
        line.press("Home");
        assertThat(time()).isZero();
        assertThat(channel("angle")).isEqualTo(20);
        line.press("End");
        assertThat(time()).isCloseTo(3, within(0.006));
    }

    @Test
    void whatIsSwitchedOnAfterwardsShowsTheWholeRun() {
        stopAt("a time", "4");
        Chrome.button(page, "Graph").click();
        page.getByLabel("Tension of the cord").check();
        page.keyboard().press("Escape");
        String path = page.locator("[data-series=tension]").getAttribute("d");
        assertThat(path.chars().filter(c -> c == 'L').count()).isGreaterThan(200);
        Chrome.button(page, "Readouts").click();
        page.getByLabel("Period by beam timer").check();
        page.keyboard().press("Escape");
        assertThat(channel("period")).isCloseTo(2.022, within(0.001));
    }

    @Test
    void aTypedValueMayHaveAUnitAndIsRefusedWithTheRange() {
        Locator length = page.getByLabel(Pattern.compile("^Length to the middle")).first();
        length.fill("85 cm");
        length.press("Enter");
        assertThat(length).hasValue("0.85");
        length.fill("3");
        length.press("Enter");
        assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.ALERT))
                .containsText("Allowed: 0.1 to 2.5 m");
        assertThat(length).hasValue("3");
    }

    @Test
    void theBobIsDrawnAsideWithTheMouseAndWithKeys() {
        Locator bob = Chrome.button(page, Pattern.compile("Move the bob"));
        BoundingBox box = bob.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + 120, box.y - 40, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
        page.mouse().up();
        double drawn = channel("angle");
        assertThat(drawn).isGreaterThan(25);
        bob.press("ArrowRight");
        assertThat(channel("angle")).isGreaterThan(drawn);
        stopAt("a time", "0.3");
        bob.press("ArrowLeft");
        assertThat(channel("angular-speed")).as("caught by hand and let go").isZero();
    }

    @Test
    void theProjectorHasLargerTypeAndNothingCutOff() {
        page.setViewportSize(1024, 768);
        Chrome.button(page, "Projector").click();
        assertThat(page.locator("html")).hasAttribute("data-theme", "projector");
        Object cut = page.evaluate("document.documentElement.scrollHeight > innerHeight"
                + " || document.documentElement.scrollWidth > innerWidth");
        assertThat(cut).isEqualTo(false);
        for (String name : new String[] {"Run", "Stop at …", "Settings", "Leave"}) {
            BoundingBox box = Chrome.button(page, name).boundingBox();
            assertThat(box.x + box.width).as(name).isLessThanOrEqualTo(1024);
            assertThat(box.y + box.height).as(name).isLessThanOrEqualTo(768);
        }
    }
}
