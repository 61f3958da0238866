package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The teacher's open bench. */
class BenchTest {

    private BrowserContext context;
    private Page page;
    private BenchHands hands;

    @BeforeEach
    void openTheBench() {
        context = Chrome.context(1280, 800);
        page = Chrome.signedIn(context, "ines");
        hands = new BenchHands(page);
        hands.open("pendulum");
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void stopsExactlyAtEventsTimesAndValues() {
        hands.runTo("lowest point", "1");
        assertThat(hands.channel("angle")).isEqualTo(0);
        double quarter = hands.time();
        hands.runTo("lowest point", "4");
        assertThat(hands.time()).isCloseTo(9 * quarter, within(0.005));
        hands.runTo("highest point", "1");
        assertThat(Math.abs(hands.channel("angle"))).isEqualTo(20.0);
        hands.runTo("a time", "6.5");
        assertThat(hands.time()).isEqualTo(6.5);
        hands.runTo("Angle =", "-12.5");
        assertThat(hands.channel("angle")).isEqualTo(-12.5);
    }

    @Test
    void theTimeLineGoesBackAndForthAndStepsAreOneFrame() {
        hands.runTo("a time", "3");
        double angle = hands.channel("angle");
        Chrome.button(page, "One frame back").click();
        assertThat(hands.time()).isCloseTo(3 - 1.0 / 60, within(0.0006));
        Chrome.button(page, "One frame forward").click();
        assertThat(hands.channel("angle")).isEqualTo(angle);
        Locator line = page.getByRole(com.microsoft.playwright.options.AriaRole.SLIDER,
                new Page.GetByRoleOptions().setName("Time line"));
        line.press("Home");
        assertThat(hands.time()).isZero();
        assertThat(hands.channel("angle")).isEqualTo(20);
        line.press("End");
        assertThat(hands.time()).isCloseTo(3, within(0.006));
    }

    @Test
    void whatIsSwitchedOnAfterwardsShowsTheWholeRun() {
        hands.runTo("a time", "4");
        Chrome.button(page, "Graph").click();
        page.getByLabel("Tension of the cord").check();
        page.keyboard().press("Escape");
        String path = page.locator("[data-series=tension]").getAttribute("d");
        assertThat(path.chars().filter(c -> c == 'L').count()).isGreaterThan(200);
        Chrome.button(page, "Readouts").click();
        page.getByLabel("Period by beam timer").check();
        page.keyboard().press("Escape");
        assertThat(hands.channel("period")).isCloseTo(2.022, within(0.001));
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
        double drawn = hands.channel("angle");
        assertThat(drawn).isGreaterThan(25);
        bob.press("ArrowRight");
        assertThat(hands.channel("angle")).isGreaterThan(drawn);
        hands.runTo("a time", "0.3");
        bob.press("ArrowLeft");
        assertThat(hands.channel("angular-speed")).as("caught by hand and let go").isZero();
    }

    @Test
    void theProjectorHasLargerTypeAndNothingCutOff() {
        for (int[] size : new int[][] {{1024, 768}, {1280, 720}}) {
            page.setViewportSize(size[0], size[1]);
            for (String apparatus : new String[] {"pendulum", "hanging-spring", "gas-cylinder", "propeller-glider"}) {
                page.navigate(App.address() + "/bench/" + apparatus);
                Chrome.button(page, "Projector").click();
                assertThat(page.locator("html")).hasAttribute("data-theme", "projector");
                nothingIsCutOff(size[0], size[1]);
                Chrome.button(page, "Leave").click();
            }
        }
    }

    @Test
    void helpOpensAtThisPlaceBesideTheBenchAndIsSearched() {
        Chrome.button(page, "Help").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Show apparatus"))).isVisible();
        // It isn't in the way: the bench goes on.
        Chrome.button(page, "Run").click();
        assertThat(Chrome.button(page, "Pause")).isVisible();
        page.getByPlaceholder("Search").fill("beam timer");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Measure For students")).click();
        assertThat(page.getByText("The beam timer's beam is laid where the body passes")).isVisible();
        Chrome.button(page, "Close help").click();
        assertThat(page.getByPlaceholder("Search")).hasCount(0);
    }

    private void nothingIsCutOff(int width, int height) {
        Object cut = page.evaluate("document.documentElement.scrollHeight > innerHeight"
                + " || document.documentElement.scrollWidth > innerWidth");
        assertThat(cut).isEqualTo(false);
        for (String name : new String[] {"Run", "Stop at …", "Settings", "Picture only", "Help", "Leave"}) {
            BoundingBox box = Chrome.button(page, name).boundingBox();
            assertThat(box.x + box.width).as(name).isLessThanOrEqualTo(width);
            assertThat(box.y + box.height).as(name).isLessThanOrEqualTo(height);
        }
    }
}
