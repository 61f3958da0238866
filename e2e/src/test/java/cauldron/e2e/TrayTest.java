package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The instruments of the open bench by mouse and by keyboard; ruler and protractor are tried on a film elsewhere. */
class TrayTest {

    private BrowserContext context;
    private Page page;
    private Eyes eyes;
    private BenchHands hands;

    @BeforeEach
    void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
        eyes = new Eyes(page);
        hands = new BenchHands(page);
    }

    @AfterEach
    void close() {
        context.close();
    }

    @Test
    void theBeamTimerGivesThePeriodWhereItIsLaid() {
        hands.open("pendulum");
        Chrome.button(page, "Beam timer").click();
        double[] bob = eyes.middle("[data-part=bob]");
        Locator posts = page.locator("[data-instrument=beam-timer] > circle");
        double[] low = {bob[0] - 70, bob[1] + 60};
        assertThat(posts).hasCount(2);
        // Upright through the lowest place of the bob, which hangs below the pivot.
        double pivot = eyes.onScreen(eyes.attribute("[data-part=cord]", "x1"), 0)[0];
        eyes.drag(eyes.middle("[data-instrument=beam-timer] > circle >> nth=0"), new double[] {pivot, low[1] - 90});
        eyes.drag(eyes.middle("[data-instrument=beam-timer] > circle >> nth=1"), new double[] {pivot, low[1] + 40});
        hands.runTo("a time", "6.5");
        assertThat(page.getByLabel("Beam timer", new Page.GetByLabelOptions().setExact(true))).hasText("2.021 s");
        assertThat(page.getByText("6 passages")).isVisible();
        // A beam the bob doesn't reach is never cut.
        for (int i = 0; i < 14; i++) {
            posts.nth(0).press("ArrowUp");
            posts.nth(1).press("ArrowUp");
        }
        eyes.drag(eyes.middle("[data-instrument=beam-timer] > circle >> nth=1"), new double[] {pivot + 4, low[1] - 240});
        assertThat(page.getByLabel("Beam timer", new Page.GetByLabelOptions().setExact(true))).hasText("– s");
    }

    @Test
    void theTapesEndsMoveByMouseAndKeysAndFallIntoPoints() {
        hands.open("propeller-glider");
        Chrome.button(page, "Long tape").click();
        Locator far = Chrome.button(page, Pattern.compile("^Long tape, far end"));
        double[] glider = eyes.middle("[data-part=glider]");
        double[] centre = eyes.onScreen(0.38 * 400, 0);
        eyes.drag(eyes.middle("[data-instrument=tape] > circle >> nth=0"), new double[] {centre[0] + 5, glider[1] + 3});
        BoundingBox zero = page.locator("[data-instrument=tape] > circle").nth(0).boundingBox();
        assertThat(zero.x + zero.width / 2).as("in the glider's middle").isCloseTo(centre[0], within(1.5));
        double before = far.boundingBox().x;
        far.press("ArrowRight");
        assertThat(far.boundingBox().x - before).isCloseTo(10, within(0.5));
        far.press("Shift+ArrowLeft");
        assertThat(far.boundingBox().x - before).isCloseTo(9, within(0.5));
    }

    @Test
    void markersOneForEachFrameFaintInTheOthersAndErased() {
        hands.open("hanging-spring");
        Chrome.button(page, "Position markers").click();
        Locator glass = Chrome.button(page, Pattern.compile("^Position marker: click"));
        double[] body = eyes.middle("[data-part=body]");
        page.mouse().click(body[0], body[1]);
        page.mouse().click(body[0] + 3, body[1]);
        assertThat(page.locator("[data-marker]")).hasCount(1);
        Chrome.button(page, "Ten frames forward").click();
        glass.press("ArrowRight");
        glass.press("Shift+ArrowUp");
        glass.press("Enter");
        assertThat(page.locator("[data-marker]")).hasCount(2);
        assertThat(page.locator("[data-marker='0']")).hasAttribute("opacity", "0.4");
        Chrome.button(page, "2 markers").click();
        Chrome.button(page, "Erase marker 1").click();
        assertThat(page.locator("[data-marker]")).hasCount(1);
        page.keyboard().press("Escape");
        // Until it has closed, the focus goes back to what opened it.
        assertThat(Chrome.button(page, Pattern.compile("^Erase marker"))).hasCount(0);
        glass.press("Delete");
        assertThat(page.locator("[data-marker]")).hasCount(0);
    }

    @Test
    void theMagnifierEnlargesWhatLiesUnderIt() {
        hands.open("hanging-spring");
        Chrome.button(page, "Magnifier").click();
        Locator glass = Chrome.button(page, Pattern.compile("^Magnifier, 4"));
        BoundingBox was = glass.boundingBox();
        glass.press("ArrowDown");
        assertThat(glass.boundingBox().y - was.y).isCloseTo(10, within(0.5));
        eyes.drag(new double[] {was.x + was.width / 2, was.y + was.height / 2 + 10}, eyes.middle("[data-part=body]"));
        assertThat(page.locator("[data-instrument=magnifier] use").first()).hasAttribute("href", "#bench-content-0");
        String enlarge = page.locator("[data-instrument=magnifier] use").first().getAttribute("transform");
        assertThat(enlarge).contains("scale(4)");
        double[] body = eyes.middle("[data-part=body]");
        BoundingBox now = glass.boundingBox();
        assertThat(now.x + now.width / 2).isCloseTo(body[0], within(3.0));
    }

    @Test
    void theStopwatchHasZeroLapsAndACounterOfCycles() {
        hands.open("pendulum");
        hands.runTo("a time", "1");
        Chrome.button(page, "Stopwatch").click();
        Locator watch = page.getByLabel("Stopwatch", new Page.GetByLabelOptions().setExact(true));
        assertThat(watch).hasText("0.00 s");
        hands.runTo("a time", "2.5");
        assertThat(watch).hasText("1.50 s");
        Chrome.button(page, "Lap").click();
        Chrome.button(page, "One cycle more").click();
        Chrome.button(page, "One cycle more").click();
        Chrome.button(page, "One cycle less").click();
        hands.runTo("a time", "3");
        Chrome.button(page, "Lap").click();
        assertThat(page.getByTestId("laps")).hasText("1.50 · 2.00");
        assertThat(page.getByLabel("Cycles counted")).hasText("1");
        page.getByRole(com.microsoft.playwright.options.AriaRole.BUTTON, new Page.GetByRoleOptions().setName("zero")).last().click();
        assertThat(page.getByTestId("time")).hasText("1.000 s");
        Chrome.button(page, "Zero here").click();
        assertThat(watch).hasText("0.00 s");
    }

    @Test
    void gaugesShowWhatTheGasHas() {
        hands.open("gas-cylinder");
        Chrome.button(page, "Pressure gauge").click();
        Chrome.button(page, "Thermometer").click();
        assertThat(page.getByLabel("Pressure gauge", new Page.GetByLabelOptions().setExact(true))).hasText("– kPa");
        hands.runTo("a time", "120");
        assertThat(page.getByLabel("Thermometer", new Page.GetByLabelOptions().setExact(true))).hasText("300.0 K");
        assertThat(page.getByLabel("Pressure gauge", new Page.GetByLabelOptions().setExact(true)))
                .hasText(page.locator("[data-channel=pressure]").innerText());
    }

    @Test
    void theSpringScalesPointerStandsAtTheForceItIsHookedInto() {
        for (String[] where : new String[][] {{"hanging-spring", "spring-force"}, {"pendulum", "tension"},
            {"propeller-glider", "scale"}}) {
            hands.open(where[0]);
            Chrome.button(page, "Spring scale").click();
            page.getByLabel("Spring scale graduated in").selectOption("0.5 N");
            hands.runTo("a time", "0.3");
            if (page.locator("[data-channel=" + where[1] + "]").count() == 0) {
                Chrome.button(page, "Readouts").click();
                page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions()
                        .setName(Pattern.compile("spring scale|Force of the spring|Tension"))).first().check();
                page.keyboard().press("Escape");
            }
            Object read = page.evaluate("""
                    () => {
                      const scale = document.querySelector('[data-instrument=spring-scale]');
                      const names = [...scale.querySelectorAll('text.mono')].map((t) => [Number(t.getAttribute('y')), Number(t.textContent)]);
                      const perNewton = (names[1][0] - names[0][0]) / (names[1][1] - names[0][1]);
                      return Number(scale.querySelector('[data-part=scale-pointer]').getAttribute('data-at')) / perNewton;
                    }""");
            assertThat(((Number) read).doubleValue()).as(where[0])
                    .isCloseTo(hands.channel(where[1]), within(0.0051));
            assertThat(page.locator("[data-instrument=spring-scale] [role=button]").getAttribute("aria-label"))
                    .as("tells no value").doesNotContainPattern("\\d");
        }
    }

    @Test
    void aFingerMovesAnInstrument() {
        try (BrowserContext tablet = Chrome.browser().newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(1024, 768).setHasTouch(true))) {
            Page touched = Chrome.signIn(tablet, "ines");
            new BenchHands(touched).open("hanging-spring");
            Chrome.button(touched, "Ruler").tap();
            Locator ruler = touched.locator("[data-instrument=ruler] rect");
            ruler.waitFor();
            // The picture makes room for what lies on it a frame later; a finger put down before would miss.
            touched.evaluate("() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done))))");
            BoundingBox before = ruler.boundingBox();
            CDPSession fingers = tablet.newCDPSession(touched);
            double x = before.x + 40;
            double y = before.y + before.height / 2;
            finger(fingers, "touchStart", x, y);
            finger(fingers, "touchMove", x + 30, y + 20);
            finger(fingers, "touchMove", x + 80, y + 50);
            fingers.send("Input.dispatchTouchEvent", json("touchEnd", "[]"));
            // Fingers are told of frame by frame: the last move is drawn when the browser comes to it.
            touched.waitForCondition(() -> Math.abs(ruler.boundingBox().x - before.x - 80) < 1);
            assertThat(ruler.boundingBox().y - before.y).isCloseTo(50, within(1.0));
        }
    }

    private static void finger(CDPSession fingers, String type, double x, double y) {
        fingers.send("Input.dispatchTouchEvent", json(type, "[{\"x\":" + x + ",\"y\":" + y + "}]"));
    }

    private static JsonObject json(String type, String points) {
        return JsonParser.parseString("{\"type\":\"" + type + "\",\"touchPoints\":" + points + "}").getAsJsonObject();
    }

    @Test
    void aMovedInstrumentTellsAScreenReaderWhereItLies() {
        hands.open("hanging-spring");
        Chrome.button(page, "Ruler").click();
        Locator ruler = Chrome.button(page, Pattern.compile("^Ruler\\. Drag it"));
        ruler.press("]");
        assertThat(page.getByText(Pattern.compile("^Ruler: zero 20 % from the left and 25 % from the top, turned 1°$"))).hasCount(1);
        Chrome.button(page, "Ruler").click();
        assertThat(page.getByText("Ruler put back on the tray")).hasCount(1);
    }

    @Test
    void theRulersGraduationIsChosen() {
        hands.open("hanging-spring");
        Chrome.button(page, "Ruler").click();
        for (int i = 0; i < 6; i++) {
            Chrome.button(page, "Zoom in").click();
        }
        String fine = page.locator("[data-instrument=ruler] path").first().getAttribute("d");
        page.getByLabel("Ruler graduated in").selectOption("10 mm");
        String coarse = page.locator("[data-instrument=ruler] path").first().getAttribute("d");
        assertThat(fine.chars().filter(c -> c == 'M').count()).isEqualTo(2001);
        assertThat(coarse.chars().filter(c -> c == 'M').count()).isEqualTo(201);
    }
}
