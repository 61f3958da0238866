package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * The line over the water, frame by frame: zero at the first frame clear of the tube, a mark for each, speed as a
 * gradient.
 */
class ShotTest {

    private static final int READINGS = 8;

    private BrowserContext context;
    private Page page;
    private Eyes eyes;
    private LabHands hands;

    @AfterEach
    void close() {
        context.close();
    }

    /** Where the float's leading edge is on the screen. */
    private double[] edge() {
        var box = page.locator("[data-part=float]").first().boundingBox();
        return new double[] {box.x + box.width, box.y + box.height / 2};
    }

    private boolean isClear() {
        var box = page.locator("[data-part=float]").first().boundingBox();
        var muzzle = page.locator("[data-part=muzzle]").first().boundingBox();
        return box.x >= muzzle.x + muzzle.width - 1;
    }

    @Test
    void eachFrameIsReadMarkedAndTheGradientIsTheSpeed() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "orla.benning");
        eyes = new Eyes(page);
        hands = new LabHands(page);
        Chrome.sealed(page, "The line over the water", 2, "At the muzzle");
        hands.record("Charge", "lantern", "Float", "cork, 2.4 g");
        assertThat(page.getByTestId("film-time")).hasText("0.000 ms");
        int clear = eyes.firstFrame(30, 140, this::isClear);
        eyes.frame(clear);
        Chrome.button(page, "Stopwatch").click();
        Chrome.button(page, "Zero here").click();
        Chrome.button(page, "Ruler").click();
        page.getByLabel("Ruler graduated in").waitFor();
        double[] zero = edge();
        // A little below the float's way, so that marks can be set above it.
        double y = zero[1] + 14;
        eyes.layRuler(new double[] {zero[0], y}, new double[] {zero[0] + 300, y});
        Chrome.button(page, "Position markers").click();
        for (int i = 1; i <= READINGS; i++) {
            eyes.frame(clear + 6 * i);
            double[] at = edge();
            page.mouse().click(at[0], at[1]);
            hands.take("time", i);
            hands.type("distance", i, LabHands.print(eyes.read("ruler", new double[] {at[0], y}), 1));
        }
        assertThat(page.locator("[data-marker]")).hasCount(READINGS);
        assertThat(Chrome.cell(page, "time", 1)).hasValue("0.600");
        Locator question = Chrome.question(page, "How fast did the float leave");
        Chrome.part(page, "At the muzzle");
        double speed = 10 * hands.gradient("s", "t");
        assertThat(speed).isBetween(80.0, 160.0);
        Chrome.part(page, "Analyse");
        Chrome.answer(question, LabHands.print(speed / 1000, 4), "m/s");
        assertThat(question).containsText("Milliseconds were taken for seconds");
        Chrome.answer(question, LabHands.print(speed, 1), "m/s");
        assertThat(question.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
        Locator apart = Chrome.question(page, "How long is it from one frame");
        Chrome.answer(apart, "10000", "s");
        assertThat(apart).containsText("Which part of a second does one take?");
        Chrome.answer(apart, "100", "µs");
        assertThat(apart.locator("[data-verdict]")).hasAttribute("data-verdict", "right");
    }

    @Test
    void theShotOnTheBenchIsAsFastAsItsAirAllows() {
        context = Chrome.context(1280, 800);
        page = Chrome.signIn(context, "ines");
        BenchHands bench = new BenchHands(page);
        bench.open("swift-shot");
        Chrome.button(page, "Open the valve").click();
        Chrome.button(page, "Again").waitFor();
        // The energy integral for 4 bar above the air's, 3 g, 25 cm.
        double area = Math.PI * 1e-4;
        double p = 4e5 + 101_325;
        double work = p * 4e-4 / 0.4 * (1 - Math.pow(4e-4 / (4e-4 + area * 0.25), 0.4)) - 101_325 * area * 0.25;
        assertThat(bench.came("Speed at the muzzle")).containsText(LabHands.print(Math.sqrt(2 * work / 0.003), 1));
    }
}
