package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What happens with runs: kept, compared, gone back in, looped, drawn over, put side by side. */
class TrialsTest {

    private BrowserContext context;
    private Page page;
    private BenchHands hands;

    @BeforeEach
    void open() {
        context = Chrome.context(1280, 800);
        page = Chrome.signedIn(context, "tobiah");
        hands = new BenchHands(page);
        hands.open("hanging-spring");
    }

    @AfterEach
    void close() {
        context.close();
    }

    private Locator trial(int number) {
        return page.locator("[data-trial='" + number + "']");
    }

    @Test
    void runsAreKeptNamedComparedDeletedBroughtBackAndRepeated() {
        hands.runTo("a time", "1.5");
        Chrome.button(page, "New run").click();
        hands.set("Hung mass", "400");
        hands.runTo("a time", "2");
        Chrome.button(page, "Trials").click();
        assertThat(trial(1)).isVisible();
        assertThat(trial(2)).containsText("m = 400 g");
        trial(1).getByLabel("Name of trial 1").fill("Light");
        trial(1).getByLabel("Note on trial 1").fill("the first one");
        page.getByLabel("Compare Light").check();
        page.getByLabel("Compare Trial 2").check();
        Chrome.button(page, "Compare").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        assertThat(dialog.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Hung mass"))).containsText("200 g400 g");
        dialog.getByLabel("Channel").selectOption("Extension");
        assertThat(dialog.locator("[data-series=extension]")).hasCount(1);
        assertThat(dialog.locator("[data-behind=extension]")).hasCount(1);
        Chrome.button(page, "Close").click();

        Chrome.button(page, "Delete Light").click();
        assertThat(trial(1)).hasCount(0);
        Chrome.button(page, "Undo").click();
        assertThat(trial(1).getByLabel("Name of trial 1")).hasValue("Light");

        // Another day: the history is still there, and a trial opens with its numbers.
        page.reload();
        Chrome.button(page, "Trials").click();
        trial(2).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Open")).click();
        assertThat(page.getByTestId("time")).hasText("2.000 s");
        double extension = hands.channel("extension");
        trial(1).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Repeat")).click();
        assertThat(page.getByTestId("time")).hasText("0.000 s");
        hands.runTo("a time", "2");
        assertThat(hands.channel("extension")).isNotCloseTo(extension, within(0.5));
        trial(2).getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Trace behind")).click();
        Chrome.button(page, "Graph").click();
        page.getByLabel("Extension", new Page.GetByLabelOptions().setExact(true)).check();
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-behind=extension]")).hasCount(1);
        assertThat(page.locator("[data-trail=behind]")).hasCount(1);
        assertThat(trial(1).getByLabel("Note on trial 1")).hasValue("the first one");
    }

    @Test
    void eventsAreMarkedJumpedToLoopedAndGoneBackTo() {
        hands.runTo("a time", "3");
        Object marks = page.evaluate("[...document.querySelectorAll('[data-event]')].map((p) => p.getAttribute('d').split('M').length - 1)"
                + ".reduce((a, b) => a + b, 0)");
        assertThat(((Number) marks).intValue()).isGreaterThan(12);
        Chrome.button(page, "To the event before").click();
        double last = hands.time();
        Chrome.button(page, "To the event before").click();
        double before = hands.time();
        assertThat(before).isLessThan(last).isGreaterThan(last - 0.2);
        Chrome.button(page, "To the next event").click();
        assertThat(hands.time()).isEqualTo(last);

        Chrome.button(page, "Stop at …").click();
        page.getByLabel("Stop exactly at").selectOption("Extension =");
        page.getByLabel("Value to stop at").fill("9");
        Chrome.button(page, "Back to there").click();
        assertThat(page.getByText(Pattern.compile("^Stopped at"))).hasCount(1);
        assertThat(hands.channel("extension")).isEqualTo(9.0);
        assertThat(hands.time()).isLessThan(last);

        Chrome.button(page, "Loop: begin here").click();
        double from = hands.time();
        Chrome.button(page, "Ten frames forward").click();
        Chrome.button(page, "Loop: end here").click();
        double to = hands.time();
        Chrome.button(page, "Run").click();
        // It has gone round when it is seen before where it was.
        page.waitForFunction("([from, to]) => { const t = parseFloat(document.querySelector('[data-testid=time]').textContent);"
                + " window.most = Math.max(window.most ?? 0, t); return window.most > from + 0.8 * (to - from) && t < from + 0.5 * (to - from); }",
                java.util.List.of(from, to));
        assertThat(((Number) page.evaluate("window.most")).doubleValue()).isLessThan(to + 0.12);
        Chrome.button(page, "Leave the loop").click();
        Chrome.button(page, "Pause").click();
    }

    @Test
    void twoBenchesRunUnderOneTransport() {
        Chrome.button(page, "Side by side").click();
        page.getByLabel("Settings of bench").selectOption("B");
        hands.set("Hung mass", "450");
        hands.runTo("lowest point", "2");
        assertThat(page.locator("[data-channel=extension]")).hasCount(2);
        double a = hands.channel("extension");
        double b = Double.parseDouble(page.locator("[data-channel=extension]").nth(1).innerText().split(" ")[0]);
        assertThat(b).isGreaterThan(a + 3);
        Chrome.button(page, "Graph").click();
        page.getByLabel("Extension", new Page.GetByLabelOptions().setExact(true)).check();
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-behind=extension]")).hasCount(1);
        // Each bench's run is a trial of its own.
        Chrome.button(page, "Trials").click();
        assertThat(trial(1)).containsText("as it is at first");
        assertThat(trial(2)).containsText("m = 450 g");
        Chrome.button(page, "Side by side").click();
        assertThat(page.locator("[data-channel=extension]")).hasCount(1);
    }

    @Test
    void forceArrowsStartAtTheBodyAndFallIntoDirectionsAndStayWithTheirMoment() {
        hands.runTo("lowest point", "1");
        Chrome.button(page, "Draw").click();
        Eyes eyes = new Eyes(page);
        double[] body = eyes.middle("[data-part=body]");
        eyes.drag(new double[] {body[0] + 6, body[1] - 4}, new double[] {body[0] + 7, body[1] + 110});
        Locator line = page.locator("[data-drawn] line");
        assertThat(line).hasCount(1);
        double x1 = Double.parseDouble(line.getAttribute("x1"));
        assertThat(Double.parseDouble(line.getAttribute("x2"))).as("straight down").isCloseTo(x1, within(1e-6));
        assertThat(x1).as("from the centre").isCloseTo(
                eyes.attribute("[data-part=body]", "x") + 0.5 * eyes.attribute("[data-part=body]", "width"), within(1e-6));
        Chrome.button(page, "Text").click();
        page.mouse().click(body[0] + 60, body[1] + 80);
        page.getByLabel("Words on the picture").fill("weight");
        page.getByLabel("Words on the picture").press("Enter");
        assertThat(page.locator("[data-drawn='2']")).hasCount(1);
        Chrome.button(page, "One frame forward").click();
        assertThat(page.locator("[data-drawn='0']")).hasCount(1);
        Chrome.button(page, "To the event before").click();
        assertThat(page.locator("[data-drawn='2']")).containsText("weight");
        Chrome.button(page, "Undo").click();
        assertThat(page.locator("[data-drawn='1']")).hasCount(1);
        Chrome.button(page, "Eraser").click();
        page.mouse().click(body[0], body[1] + 60);
        assertThat(page.locator("[data-drawn='0']")).hasCount(1);
    }

    @Test
    void thePictureAloneKeepsTrayAndTransportAndNothingIsCutOffAtAnySize() {
        for (int[] size : new int[][] {{1280, 800}, {1024, 768}, {1920, 1080}}) {
            page.setViewportSize(size[0], size[1]);
            for (String apparatus : new String[] {"gas-cylinder", "propeller-glider", "hanging-spring"}) {
                hands.open(apparatus);
                Object cut = page.evaluate("document.documentElement.scrollHeight > innerHeight"
                        + " || document.documentElement.scrollWidth > innerWidth");
                assertThat(cut).as(apparatus + " at " + size[0]).isEqualTo(false);
                for (String name : new String[] {"Run", "Stop at …", "Projector"}) {
                    var box = Chrome.button(page, name).boundingBox();
                    assertThat(box.x + box.width).as(name).isLessThanOrEqualTo(size[0]);
                    assertThat(box.y + box.height).as(name).isLessThanOrEqualTo(size[1]);
                }
            }
        }
        Chrome.button(page, "Picture only").click();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).hasCount(0);
        assertThat(Chrome.button(page, "Ruler")).isVisible();
        assertThat(Chrome.button(page, "Run")).isVisible();
        Chrome.button(page, "All panels").click();
        assertThat(page.getByRole(AriaRole.COMPLEMENTARY).first()).isVisible();
    }

    @Test
    void gasIsLetInHeatedAndFollowedAndItsHistogramShowsThePastToo() {
        hands.open("gas-cylinder");
        hands.runTo("a time", "100");
        hands.set("Molecules of gas 2", "500");
        assertThat(page.locator("[data-histogram=speeds]")).hasCount(2);
        page.getByLabel("Walls").selectOption("held");
        hands.set("Temperature", "900");
        hands.runTo("a time", "1200");
        assertThat(hands.channel("temperature")).isGreaterThan(450);
        Chrome.button(page, "Histogram").click();
        page.getByLabel("Kinetic energy").check();
        page.keyboard().press("Escape");
        assertThat(page.locator("[data-theory=energies]")).hasCount(2);
        String hot = page.locator("[data-histogram=energies]").first().getAttribute("d");
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Time line")).press("Home");
        assertThat(page.locator("[data-histogram=energies]")).hasCount(1);
        assertThat(page.locator("[data-histogram=energies]").first().getAttribute("d")).isNotEqualTo(hot);
        assertThat(hands.channel("temperature")).isEqualTo(300.0);
        double share = Double.parseDouble(page.locator("[data-share='0']").first().innerText().split(" ")[0]);
        // Above 600 m/s lies a quarter of nitrogen's molecules at 300 K.
        assertThat(share).isCloseTo(25.4, within(4.0));
        page.getByLabel("Piston", new Page.GetByLabelOptions().setExact(true)).selectOption("loaded");
        // In the past the settings are those of then: 300 K, one gas, insulated.
        assertThat(page.getByLabel("Walls")).hasValue("insulated");
        hands.set("External pressure", "200");
        double before = hands.channel("volume");
        hands.runTo("a time", "1000");
        assertThat(hands.channel("volume")).as("pressed together").isLessThan(before);
    }
}
