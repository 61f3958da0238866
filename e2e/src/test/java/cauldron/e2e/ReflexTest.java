package cauldron.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Answering by keys, bar and picture: what is counted, at which instant, and what it comes to. */
class ReflexTest {

    /** A listener beside the page's own notes when lamps were drawn and when inputs came, by their own stamps. */
    private static final String LISTENER = """
            () => {
              window.noted = { drawn: [], pressed: [] };
              let lit = false;
              const look = () => {
                const now = !!document.querySelector('[data-lamp]');
                // The frame's own beginning, as a display's clock has it.
                if (now && !lit) window.noted.drawn.push(document.timeline.currentTime);
                lit = now;
              };
              new MutationObserver(look).observe(document.body, { childList: true, subtree: true });
              for (const type of ['keydown', 'pointerdown'])
                window.addEventListener(type, (e) => window.noted.pressed.push(e.timeStamp), { capture: true });
            }""";

    /** Counts the tones that the page begins. */
    private static final String EARS = """
            () => {
              window.tones = 0;
              const start = OscillatorNode.prototype.start;
              OscillatorNode.prototype.start = function (...at) {
                window.tones++;
                return start.apply(this, at);
              };
            }""";

    private BrowserContext context;
    private Page page;

    private void bench() {
        context = Chrome.context(1280, 800);
        page = Chrome.signedIn(context, "ines");
        page.navigate(App.address() + "/bench/reflex-timer");
        Chrome.button(page, "Begin").waitFor();
    }

    @AfterEach
    void close() {
        context.close();
    }

    /** So many events, as quickly after one another as may be. */
    private void quick(int events) {
        typed("How many times", String.valueOf(events));
        typed("Shortest wait", "1");
        typed("Longest wait", "1");
    }

    /** As long as nobody would call it a false start. */
    private void afterNervesCould() {
        page.waitForFunction("since => performance.now() > since + 150", page.evaluate("() => performance.now()"));
    }

    private void typed(String setting, String value) {
        Locator field = page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^" + setting)));
        field.fill(value);
        field.press("Enter");
    }

    private void lamp() {
        page.locator("[data-lamp]").waitFor();
        afterNervesCould();
    }

    @Test
    @SuppressWarnings("unchecked")
    void timesAreThoseOfTheInputsThemselvesToAMillisecond() {
        bench();
        quick(5);
        page.evaluate(LISTENER);
        Chrome.button(page, "Begin").click();
        page.evaluate("() => { window.noted.pressed.length = 0; }");
        lamp();
        page.keyboard().press("k");
        lamp();
        page.getByTestId("answer-bar").click();
        lamp();
        page.locator("[data-answers] svg").first().click();
        lamp();
        // The page is kept busy while the key comes: its own clock is late, the input's stamp isn't.
        page.evaluate("() => { setTimeout(() => { const end = performance.now() + 250; while (performance.now() < end); }, 0); }");
        page.keyboard().press("Space");
        lamp();
        page.keyboard().press("k");
        Chrome.button(page, "Another set").waitFor();
        Chrome.button(page, "Run table").click();
        page.getByLabel("Rows", new Page.GetByLabelOptions().setExact(true)).selectOption("events");
        Chrome.button(page, "Events").click();
        for (String event : List.of("cue", "false start", "missed")) {
            page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(event).setExact(true)).uncheck();
        }
        page.keyboard().press("Escape");
        List<Number> drawn = (List<Number>) page.evaluate("() => window.noted.drawn");
        List<Number> pressed = (List<Number>) page.evaluate("() => window.noted.pressed.slice(0, 5)");
        Locator rows = page.locator("[data-run-row]");
        assertThat(rows).hasCount(5);
        int column = page.getByLabel("Rows of the run table").getByRole(AriaRole.COLUMNHEADER).allInnerTexts().indexOf("tr / ms");
        assertThat(column).as("the last time is a column").isPositive();
        for (int i = 0; i < 5; i++) {
            double said = Double.parseDouble(rows.nth(i).getByRole(AriaRole.CELL).nth(column).innerText());
            double was = pressed.get(i).doubleValue() - drawn.get(i).doubleValue();
            assertThat(said).as("answer %d", i + 1).isCloseTo(was, within(1.0));
        }
    }

    @Test
    void whileItCountsNothingHoldsItUpAndFalseStartsAreApart() {
        bench();
        quick(5);
        Chrome.button(page, "Begin").click();
        assertThat(Chrome.button(page, "Pause")).hasCount(0);
        assertThat(page.getByLabel("Speed")).hasCount(0);
        page.keyboard().press("x");
        assertThat(page.getByTestId("last-answer")).hasText("Last: false start");
        lamp();
        page.keyboard().press("x");
        assertThat(page.getByTestId("last-answer")).hasText("Last: answer");
        page.keyboard().press("Escape");
        Chrome.button(page, "Another set").waitFor();
        Locator came = page.locator("[data-came]");
        assertThat(came).containsText("False starts");
        Chrome.button(page, "Trials").click();
        assertThat(page.locator("li[data-trial]")).hasCount(1);
        Chrome.button(page, "Another set").click();
        assertThat(Chrome.button(page, "Begin")).isVisible();
    }

    @Test
    void aHornIsHeardNotSeenAndTwoSetsStandAsBoxes() {
        bench();
        quick(5);
        page.evaluate(EARS);
        for (int set = 0; set < 2; set++) {
            if (set == 1) {
                page.getByLabel("Answer to", new Page.GetByLabelOptions().setExact(true)).selectOption("horn");
            }
            Chrome.button(page, "Begin").click();
            for (int i = 0; i < 5; i++) {
                if (set == 0) {
                    lamp();
                } else {
                    page.waitForFunction("n => window.tones > n", i);
                    assertThat(page.getByTestId("delays")).containsText(Pattern.compile("what is heard \\d+ ms more"));
                    assertThat(page.locator("[data-lamp]")).hasCount(0);
                    afterNervesCould();
                }
                page.keyboard().press("j");
                page.waitForFunction("n => document.querySelectorAll('[data-peg=up]').length > n", i);
            }
            Chrome.button(page, "Another set").waitFor();
            if (set == 0) {
                Chrome.button(page, "Another set").click();
            }
        }
        Chrome.button(page, "Trials").click();
        assertThat(page.locator("li[data-trial]")).hasCount(2);
        Chrome.button(page, "Over all").click();
        assertThat(page.locator("[data-box]")).hasCount(2);
        assertThat(page.getByLabel("Boxes: Reaction time")).containsText("Trial 2: the mean is");
    }
}
